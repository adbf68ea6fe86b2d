package app.leeward.core.motion;

import app.leeward.core.art.Matrix;

/**
 * A placement as steps that formats without matrices know: scaled, then skewed along x, then turned, then shifted.
 *
 * <p>{@code M = T(x, y) · R(rotation) · K(skew) · S(scaleX, scaleY)}, the QR decomposition of its linear part (Gram–Schmidt).
 *
 * @param x user units
 * @param y user units
 * @param rotation degrees, clockwise
 * @param skew degrees along x
 */
public record Decomposed(double x, double y, double rotation, double skew, double scaleX, double scaleY) {
    public static Decomposed of(Matrix m) {
        double scaleX = Math.hypot(m.a(), m.b());
        if (scaleX < 1e-9) {
            // flattened to a line along the second axis, or to a point
            double scaleY = Math.hypot(m.c(), m.d());
            double rotation = scaleY < 1e-9 ? 0 : Math.toDegrees(Math.atan2(-m.c(), m.d()));
            return new Decomposed(m.e(), m.f(), rotation, 0, 0, scaleY);
        }
        double cos = m.a() / scaleX;
        double sin = m.b() / scaleX;
        double along = cos * m.c() + sin * m.d();
        double scaleY = cos * m.d() - sin * m.c();
        double skew = Math.abs(scaleY) < 1e-9 ? 0 : Math.toDegrees(Math.atan(along / scaleY));
        return new Decomposed(m.e(), m.f(), Math.toDegrees(Math.atan2(m.b(), m.a())), skew, scaleX, scaleY);
    }

    public Matrix matrix() {
        return Matrix.translate(x, y)
                .times(Matrix.rotate(rotation))
                .times(Matrix.skewX(skew))
                .times(Matrix.scale(scaleX, scaleY));
    }

    /** The same with its rotation written within half a turn of another's, so that what lies between them is the short way. */
    public Decomposed near(double otherRotation) {
        double turns = Math.rint((rotation - otherRotation) / 360);
        return turns == 0 ? this : new Decomposed(x, y, rotation - 360 * turns, skew, scaleX, scaleY);
    }
}
