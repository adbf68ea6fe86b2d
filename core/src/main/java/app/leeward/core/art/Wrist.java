package app.leeward.core.art;

/**
 * Where a drawing of a hand meets its forearm: two points in order, in the drawing's coordinates.
 *
 * @param first the left one, seen from the arm towards the fingers
 * @param second the right one
 */
public record Wrist(Point first, Point second) {
    public Wrist {
        if (!(first.distance(second) > 1e-9)) {
            throw new IllegalArgumentException("the two points of a wrist must lie apart");
        }
    }

    public double width() {
        return first.distance(second);
    }

    public Point middle() {
        return new Point((first.x() + second.x()) / 2, (first.y() + second.y()) / 2);
    }

    /** How far a point lies past the wrist's line, towards the fingers, in widths of the wrist; negative on the arm's side. */
    public double past(Point p) {
        Point along = second.minus(first);
        Point from = p.minus(first);
        double square = along.x() * along.x() + along.y() * along.y();
        // y down: with the left point first the fingers lie on the cross product's negative side
        return -(along.x() * from.y() - along.y() * from.x()) / square;
    }

    public Wrist transform(Matrix m) {
        return new Wrist(m.apply(first), m.apply(second));
    }

    /** Of the drawing's mirror image: what was the left point is the right one. */
    public Wrist mirrored(double axis) {
        Matrix m = Matrix.mirror(axis);
        return new Wrist(m.apply(second), m.apply(first));
    }

    /**
     * The similarity (rotation, even scale, shift) that takes this wrist onto another: multiplication by the quotient of the two
     * as complex numbers, then a shift.
     *
     * @param keepSize only turns and shifts: the middles meet, and the lines
     */
    public Matrix onto(Wrist other, boolean keepSize) {
        Point own = second.minus(first);
        Point to = other.second.minus(other.first);
        double square = own.x() * own.x() + own.y() * own.y();
        double re = (to.x() * own.x() + to.y() * own.y()) / square;
        double im = (to.y() * own.x() - to.x() * own.y()) / square;
        double size = Math.hypot(re, im);
        double a = keepSize ? re / size : re;
        double b = keepSize ? im / size : im;
        Point from = middle();
        Point there = other.middle();
        return new Matrix(
                a, b, -b, a, there.x() - a * from.x() + b * from.y(), there.y() - b * from.x() - a * from.y());
    }
}
