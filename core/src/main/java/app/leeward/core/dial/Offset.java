package app.leeward.core.dial;

import app.leeward.core.art.Bend;
import app.leeward.core.art.Numbers;

/**
 * What a stop does to one part. Shifts, turns and skews are added to what else poses the part; scales and opacity are
 * multiplied with it.
 *
 * @param x user units to the right
 * @param y user units downwards
 * @param rotation degrees, clockwise
 * @param scaleX factor
 * @param scaleY factor
 * @param skewX degrees
 * @param opacity factor, 0 to 1
 * @param bend how its outlines are bent, added
 */
public record Offset(
        double x, double y, double rotation, double scaleX, double scaleY, double skewX, double opacity, Bend bend) {
    public static final Offset NONE = new Offset(0, 0, 0, 1, 1, 0, 1);

    public Offset {
        Numbers.finite("offset", x + y + rotation + scaleX + scaleY + skewX + opacity);
        // no shift to the left is no other than no shift to the right, and no store tells them apart
        x += 0.0;
        y += 0.0;
        rotation += 0.0;
        skewX += 0.0;
        // stored before anything bent
        bend = bend == null ? Bend.NONE : bend;
    }

    /** An offset that bends nothing. */
    public Offset(double x, double y, double rotation, double scaleX, double scaleY, double skewX, double opacity) {
        this(x, y, rotation, scaleX, scaleY, skewX, opacity, Bend.NONE);
    }

    public static Offset bent(double left, double middle, double right) {
        return NONE.with(new Bend(left, middle, right));
    }

    public Offset with(Bend newBend) {
        return new Offset(x, y, rotation, scaleX, scaleY, skewX, opacity, newBend);
    }

    public static Offset shift(double x, double y) {
        return new Offset(x, y, 0, 1, 1, 0, 1);
    }

    /** Whether it does more than shift, so that the pivot matters. */
    public boolean turns() {
        return rotation != 0 || scaleX != 1 || scaleY != 1 || skewX != 0;
    }

    /** The same on the other side of a vertical axis. */
    public Offset mirrored() {
        return new Offset(-x, y, -rotation, scaleX, scaleY, -skewX, opacity, bend.mirrored());
    }

    /** Both together: shifts, turns, skews and bends added, scales and opacity multiplied. */
    public Offset and(Offset o) {
        return new Offset(
                x + o.x,
                y + o.y,
                rotation + o.rotation,
                scaleX * o.scaleX,
                scaleY * o.scaleY,
                skewX + o.skewX,
                opacity * o.opacity,
                new Bend(bend.left() + o.bend.left(), bend.middle() + o.bend.middle(), bend.right() + o.bend.right()));
    }

    /** This offset at 0, {@code other} at 1, evenly between. */
    public Offset towards(Offset other, double t) {
        return new Offset(
                x + (other.x - x) * t,
                y + (other.y - y) * t,
                rotation + (other.rotation - rotation) * t,
                scaleX + (other.scaleX - scaleX) * t,
                scaleY + (other.scaleY - scaleY) * t,
                skewX + (other.skewX - skewX) * t,
                opacity + (other.opacity - opacity) * t,
                new Bend(
                        bend.left() + (other.bend.left() - bend.left()) * t,
                        bend.middle() + (other.bend.middle() - bend.middle()) * t,
                        bend.right() + (other.bend.right() - bend.right()) * t));
    }
}
