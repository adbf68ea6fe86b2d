package app.leeward.core.art;

/** One step of a path, in absolute coordinates. Quadratics and arcs are turned into cubics when art is read. */
public sealed interface Segment {
    record Move(Point to) implements Segment {}

    record Line(Point to) implements Segment {}

    record Cubic(Point c1, Point c2, Point to) implements Segment {}

    record Close() implements Segment {}
}
