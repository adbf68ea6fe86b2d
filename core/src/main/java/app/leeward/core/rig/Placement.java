package app.leeward.core.rig;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;

/**
 * Where a part stands relative to what it follows.
 *
 * @param x shift to the right, user units
 * @param y shift downwards, user units
 * @param rotation degrees, clockwise
 * @param scaleX factor about the pivot
 * @param scaleY factor about the pivot
 * @param skewX degrees, as SVG's skewX
 * @param opacity 0 to 1
 */
public record Placement(
        double x, double y, double rotation, double scaleX, double scaleY, double skewX, double opacity) {
    public static final Placement REST = new Placement(0, 0, 0, 1, 1, 0, 1);

    public Placement {
        Numbers.finite("placement", x + y + rotation + scaleX + scaleY + skewX + opacity);
        // -0 becomes 0, which no store tells apart
        x += 0.0;
        y += 0.0;
        rotation += 0.0;
        skewX += 0.0;
    }

    /**
     * The placement whose matrix about {@code pivot} is {@code m}: the factors of {@code R · K · S}, which every matrix
     * that keeps its area has. Of the two ways to write a half turn the one nearer to {@code like} is taken.
     *
     * @param like gives the opacity, and whether sizes were negative before
     * @throws IllegalStateException when {@code m} flattens everything onto a line
     */
    public static Placement of(Matrix m, Point pivot, Placement like) {
        double scaleX = Math.hypot(m.a(), m.b());
        if (scaleX < 1e-12 || Math.abs(m.determinant()) < 1e-12) {
            throw new IllegalStateException("a placement that flattens the picture has no size");
        }
        double cos = m.a() / scaleX;
        double sin = m.b() / scaleX;
        if (like.scaleX() < 0) {
            scaleX = -scaleX;
            cos = -cos;
            sin = -sin;
        }
        double scaleY = cos * m.d() - sin * m.c();
        double slant = (cos * m.c() + sin * m.d()) / scaleY;
        return new Placement(
                m.e() - pivot.x() + m.a() * pivot.x() + m.c() * pivot.y(),
                m.f() - pivot.y() + m.b() * pivot.x() + m.d() * pivot.y(),
                Math.toDegrees(Math.atan2(sin, cos)),
                scaleX,
                scaleY,
                Math.toDegrees(Math.atan(slant)),
                like.opacity());
    }

    /** The same on the other side of a vertical axis. */
    public Placement mirrored() {
        return new Placement(-x, y, -rotation, scaleX, scaleY, -skewX, opacity);
    }

    /** The number of a channel; the channel's neutral one for a channel no placement has. */
    public double of(Channel channel) {
        return asOffset().of(channel);
    }

    /** The same numbers as what is combined with a part that stands at nothing. */
    public Offset asOffset() {
        return Offset.placed(x, y, rotation, scaleX, scaleY, skewX, opacity);
    }

    public Placement movedBy(double dx, double dy) {
        return new Placement(x + dx, y + dy, rotation, scaleX, scaleY, skewX, opacity);
    }

    /** {@code T(x, y) · T(pivot) · R · K · S · T(-pivot)}; the rightmost is applied first. */
    public Matrix matrix(Point pivot) {
        return matrix(x, y, rotation, scaleX, scaleY, skewX, pivot.x(), pivot.y());
    }

    /** {@link #matrix(Point)} multiplied out, so that a whole pose costs no more than a few products a part. */
    public static Matrix matrix(
            double x, double y, double rotation, double scaleX, double scaleY, double skewX, double px, double py) {
        double cos = 1;
        double sin = 0;
        if (rotation != 0) {
            double r = Math.toRadians(rotation);
            cos = Math.cos(r);
            sin = Math.sin(r);
        }
        double tan = skewX == 0 ? 0 : Math.tan(Math.toRadians(skewX));
        double a = cos * scaleX;
        double b = sin * scaleX;
        double c = (cos * tan - sin) * scaleY;
        double d = (sin * tan + cos) * scaleY;
        return new Matrix(a, b, c, d, x + px - a * px - c * py, y + py - b * px - d * py);
    }
}
