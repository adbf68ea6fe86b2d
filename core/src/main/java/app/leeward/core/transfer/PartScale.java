package app.leeward.core.transfer;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How much larger what a part moves within is in one character than in another: a lid goes as far as its white is high, a brow as the
 * face is, a forearm as it is itself.
 *
 * @param x factor across
 * @param y factor downwards
 * @param from what the factors were taken from, in the character that has the part
 * @param to the same in the other
 */
record PartScale(double x, double y, Box from, Box to) {
    private static final double LEAST = 0.05;
    private static final double MOST = 20;
    private static final Box UNIT = new Box(0, 0, 1, 1);
    /** Nothing is scaled: neither has anything to measure. */
    static final PartScale NONE = new PartScale(1, 1, UNIT, UNIT);

    static PartScale of(Character from, String a, Character to, String b) {
        Optional<Box> one = around(from, a);
        Optional<Box> two = around(to, b);
        if (one.isEmpty() || two.isEmpty()) {
            return NONE;
        }
        double x = ratio(two.get().width(), one.get().width());
        double y = ratio(two.get().height(), one.get().height());
        boolean limb = within(from, a, PartRole.HEAD).isEmpty();
        // a limb may be drawn hanging in one and stretched out in the other: only its size as a whole is meant
        double even = Math.sqrt(x * y);
        return limb ? new PartScale(even, even, one.get(), two.get()) : new PartScale(x, y, one.get(), two.get());
    }

    private static double ratio(double to, double from) {
        return from < 1e-6 || to < 1e-6 ? 1 : Math.max(LEAST, Math.min(MOST, to / from));
    }

    /** What a part moves within. */
    static Optional<Box> around(Character c, String id) {
        Optional<String> eye = within(c, id, PartRole.EYE).filter(e -> !e.equals(id));
        if (eye.isPresent()) {
            return c.rig().childrenOf(eye.get()).stream()
                    .filter(p -> p.role() == PartRole.WHITE)
                    .findFirst()
                    .flatMap(Part::bounds)
                    .or(() -> c.rig().boundsWithFollowers(eye.get()));
        }
        Optional<String> head = within(c, id, PartRole.HEAD).filter(h -> !h.equals(id));
        return head.isPresent() ? face(c) : c.rig().boundsWithFollowers(id);
    }

    /** The skin of the face, or the whole head where none is told apart. */
    static Optional<Box> face(Character c) {
        return c.mainParts().stream()
                .filter(p -> p.role() == PartRole.FACE)
                .findFirst()
                .flatMap(Part::bounds)
                .or(() -> c.part(PartRole.HEAD).flatMap(h -> c.rig().boundsWithFollowers(h.id())));
    }

    /** The nearest part of a role that a part is or follows. */
    static Optional<String> within(Character c, String id, PartRole role) {
        Optional<Part> at = c.part(id);
        while (at.isPresent() && at.get().role() != role) {
            at = at.get().parent().flatMap(c::part);
        }
        return at.map(Part::id);
    }

    /** One factor both ways. */
    double even() {
        return Math.sqrt(x * y);
    }

    /** From a place in the one to the same place in the other; art is never squeezed. */
    Matrix placing(Point of) {
        double s = even();
        double wx = from.width() < 1e-6 ? 0.5 : (of.x() - from.minX()) / from.width();
        double wy = from.height() < 1e-6 ? 0.5 : (of.y() - from.minY()) / from.height();
        Point there = new Point(to.minX() + wx * to.width(), to.minY() + wy * to.height());
        return new Matrix(s, 0, 0, s, there.x() - s * of.x(), there.y() - s * of.y());
    }

    Offset offset(Offset o) {
        Map<Channel, Double> out = new HashMap<>();
        for (Channel c : o.channels()) {
            double by = c.unit() != Channel.Unit.LENGTH ? 1 : c.equals(Channel.X) ? x : y;
            out.put(c, o.of(c) * by);
        }
        return Offset.of(out);
    }

    PointDeltas deltas(PointDeltas d, String drawing) {
        List<Point> shifts =
                d.shifts().stream().map(s -> new Point(s.x() * x, s.y() * y)).toList();
        return new PointDeltas(drawing, d.shape(), shifts);
    }
}
