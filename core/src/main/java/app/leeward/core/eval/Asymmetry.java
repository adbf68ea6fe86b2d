package app.leeward.core.eval;

import app.leeward.core.art.Box;
import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.Arrays;
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

    /** How much further apart what both show is, one of them mirrored, than it is at rest; 0 for a piece that was drawn on one side only. */
    private static double apart(Frame there, Frame back, Frame rest, Part p, Part twin, double axis) {
        Optional<Box> one = box(there, p);
        Optional<Box> other = box(back, twin);
        Optional<Box> oneAtRest = box(rest, p);
        Optional<Box> otherAtRest = box(rest, twin);
        if (one.isEmpty() || other.isEmpty()) {
            return 0;
        }
        double[] now = apart(one.get(), other.get(), axis);
        double[] drawn = new double[4];
        if (oneAtRest.isPresent() && otherAtRest.isPresent()) {
            drawn = apart(oneAtRest.get(), otherAtRest.get(), axis);
            double wide = Math.max(oneAtRest.get().width(), oneAtRest.get().height());
            if (Arrays.stream(drawn).anyMatch(d -> Math.abs(d) > ONE_SIDED * wide)) {
                return 0;
            }
        }
        double across = Math.max(Math.abs(now[0] - drawn[0]), Math.abs(now[1] - drawn[1]));
        double down = Math.max(Math.abs(now[2] - drawn[2]), Math.abs(now[3] - drawn[3]));
        return Math.hypot(across, down);
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
