package app.leeward.core.eval;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where the two halves of a dial differ most: what it does on one side of rest, reflected, against what it does on the other.
 *
 * @param part whose place differs
 * @param at the value at which it does
 * @param by how far, canvas units
 */
public record Asymmetry(String part, double at, double by) {
    private static final int SAMPLES = 6;
    /** Less than this is nobody's to see, canvas units. */
    private static final double UNSEEN = 0.05;
    /** A piece whose mirror image lies further off at rest, as a share of its size, is on one side only, such as a badge. */
    private static final double ONE_SIDED = 0.1;
    /** How near each point's mirror image another point lies, as a share of the size, for two drawings to be alike. */
    private static final double EVEN = 0.02;

    private static final double FLATTENED = 1e-9;

    /** Empty when both halves are alike, or the dial goes to one side only. */
    public static Optional<Asymmetry> of(Character c, Dial dial) {
        double reach = Math.min(dial.to() - dial.rest(), dial.rest() - dial.from());
        Evaluator evaluator = new Evaluator(c);
        double axis = c.sheet().model().axis();
        Frame rest = evaluator.frame(Pose.REST);
        Asymmetry worst = new Asymmetry("", 0, UNSEEN);
        for (int i = 1; i <= SAMPLES && reach > 0; i++) {
            double away = reach * i / SAMPLES;
            Frame there = evaluator.frame(Pose.of(Map.of(dial.id(), dial.rest() + away)));
            Frame back = evaluator.frame(Pose.of(Map.of(dial.id(), dial.rest() - away)));
            for (Part p : c.rig().parts()) {
                Optional<Part> twin = p.side() == Side.NONE ? Optional.of(p) : Mirror.twinOf(c, p);
                if (twin.isPresent()) {
                    double by = apart(there, back, rest, p, twin.get(), axis);
                    worst = by > worst.by ? new Asymmetry(p.id(), dial.rest() + away, by) : worst;
                }
            }
        }
        return worst.part.isEmpty() ? Optional.empty() : Optional.of(worst);
    }

    /**
     * How far apart what both show is, one of them mirrored; of drawings that are no mirror images of each other, how far apart
     * they are placed. 0 for a piece that was drawn on one side only.
     */
    private static double apart(Frame there, Frame back, Frame rest, Part p, Part twin, double axis) {
        Optional<Box> one = box(there, p);
        Optional<Box> other = box(back, twin);
        if (one.isEmpty() || other.isEmpty()) {
            return 0;
        }
        Optional<Box> oneAtRest = box(rest, p);
        Optional<Box> otherAtRest = box(rest, twin);
        if (!same(there, rest, p) || !same(back, rest, twin) || oneAtRest.isEmpty() || otherAtRest.isEmpty()) {
            // exchanged on the way: how they were drawn at rest says nothing of them
            return far(apart(one.get(), other.get(), axis));
        }
        double size = Math.max(oneAtRest.get().width(), oneAtRest.get().height());
        if (far(apart(oneAtRest.get(), otherAtRest.get(), axis)) > ONE_SIDED * size) {
            return 0;
        }
        List<Point> drawn = points(rest, p);
        List<Point> facing = points(rest, twin);
        boolean even = drawn.stream().allMatch(q -> {
            Point m = new Point(2 * axis - q.x(), q.y());
            return facing.stream().anyMatch(f -> f.distance(m) < EVEN * size);
        });
        if (Math.abs(rest.of(p.id()).orElseThrow().matrix().determinant()) < FLATTENED) {
            return 0;
        }
        return even ? far(apart(one.get(), other.get(), axis)) : placed(there, back, rest, p, twin, axis);
    }

    /** How far apart the corners of what both show at rest are taken. */
    private static double placed(Frame there, Frame back, Frame rest, Part p, Part twin, double axis) {
        Matrix mirror = Matrix.mirror(axis);
        Matrix one = moved(there, rest, p);
        Matrix other = moved(back, rest, twin);
        Box box = box(rest, p).orElseThrow();
        double most = 0;
        for (Point q : List.of(
                new Point(box.minX(), box.minY()),
                new Point(box.maxX(), box.minY()),
                new Point(box.maxX(), box.maxY()),
                new Point(box.minX(), box.maxY()))) {
            most = Math.max(most, mirror.apply(one.apply(q)).distance(other.apply(mirror.apply(q))));
        }
        return most;
    }

    /** From where a part is at rest to where it is, on the canvas. */
    private static Matrix moved(Frame now, Frame rest, Part p) {
        return now.of(p.id())
                .orElseThrow()
                .matrix()
                .times(rest.of(p.id()).orElseThrow().matrix().inverse());
    }

    private static double far(double[] apart) {
        return Math.hypot(
                Math.max(Math.abs(apart[0]), Math.abs(apart[1])), Math.max(Math.abs(apart[2]), Math.abs(apart[3])));
    }

    private static List<Point> points(Frame frame, Part p) {
        return frame.of(p.id())
                .flatMap(placed -> p.drawing(placed.drawing())
                        .map(d -> placed.shown(d.art()).transform(placed.matrix())))
                .map(art -> art.shapes().stream()
                        .flatMap(s -> s.path().points().stream())
                        .toList())
                .orElse(List.of());
    }

    private static boolean same(Frame a, Frame b, Part p) {
        return a.of(p.id()).map(Frame.Placed::drawing).equals(b.of(p.id()).map(Frame.Placed::drawing));
    }

    /** Side by side: left, right, top and bottom of the one, mirrored, less those of the other. */
    private static double[] apart(Box one, Box other, double axis) {
        return new double[] {
            2 * axis - one.maxX() - other.minX(),
            2 * axis - one.minX() - other.maxX(),
            one.minY() - other.minY(),
            one.maxY() - other.maxY()
        };
    }

    private static Optional<Box> box(Frame frame, Part p) {
        return frame.of(p.id()).flatMap(placed -> p.drawing(placed.drawing())
                .flatMap(d -> placed.shown(d.art()).transform(placed.matrix()).bounds()));
    }
}
