package app.leeward.core.art;

/** One step of a path, in absolute coordinates. Quadratics and arcs are turned into cubics when art is read. */
public sealed interface Segment {
    record Move(Point to) implements Segment {}

    record Line(Point to) implements Segment {}

    record Cubic(Point c1, Point c2, Point to) implements Segment {
        /** @param t 0 at {@code from}, where the pen stands, to 1 at the end */
        public Point at(Point from, double t) {
            return Cubics.at(from, c1, c2, to, t);
        }
    }

    record Close() implements Segment {}
}
