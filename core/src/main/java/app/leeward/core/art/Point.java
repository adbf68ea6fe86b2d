package app.leeward.core.art;

/** A place on the canvas in user units, y down. Both coordinates are finite. */
public record Point(double x, double y) {
    public Point {
        Numbers.finite("x", x);
        Numbers.finite("y", y);
    }

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public double distance(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }

    /** The point {@code t} of the way to {@code other}: this point at 0, {@code other} at 1. */
    public Point towards(Point other, double t) {
        return new Point(x + (other.x - x) * t, y + (other.y - y) * t);
    }
}
