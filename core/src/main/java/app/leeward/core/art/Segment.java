package app.leeward.core.art;

import java.util.List;
import java.util.Optional;

/** One step of a path, in absolute coordinates. Quadratics and arcs are turned into cubics when art is read. */
public sealed interface Segment {
    /** The point it ends in; empty for the closing of an outline, which has none of its own. */
    default Optional<Point> end() {
        if (this instanceof Cubic c) {
            return Optional.of(c.to);
        }
        if (this instanceof Line l) {
            return Optional.of(l.to);
        }
        return this instanceof Move m ? Optional.of(m.to) : Optional.empty();
    }

    record Move(Point to) implements Segment {}

    record Line(Point to) implements Segment {}

    record Cubic(Point c1, Point c2, Point to) implements Segment {
        /** @param t 0 at {@code from}, where the pen stands, to 1 at the end */
        public Point at(Point from, double t) {
            return Cubics.at(from, c1, c2, to, t);
        }

        /** The same curve as two that meet at {@code t} (de Casteljau). */
        public List<Cubic> cut(Point from, double t) {
            Point a = from.towards(c1, t);
            Point b = c1.towards(c2, t);
            Point c = c2.towards(to, t);
            Point ab = a.towards(b, t);
            Point bc = b.towards(c, t);
            return List.of(new Cubic(a, ab, ab.towards(bc, t)), new Cubic(bc, c, to));
        }
    }

    record Close() implements Segment {}
}
