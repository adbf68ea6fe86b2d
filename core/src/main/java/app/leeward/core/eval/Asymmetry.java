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

    /** Empty when both halves are alike, or the dial goes to one side only. */
    public static Optional<Asymmetry> of(Character c, Dial dial) {
        double reach = Math.min(dial.to() - dial.rest(), dial.rest() - dial.from());
        Evaluator evaluator = new Evaluator(c);
        Matrix mirror = Matrix.mirror(c.sheet().model().axis());
        Asymmetry worst = new Asymmetry("", 0, UNSEEN);
        for (int i = 1; i <= SAMPLES && reach > 0; i++) {
            double away = reach * i / SAMPLES;
            Frame there = evaluator.frame(Pose.of(Map.of(dial.id(), dial.rest() + away)));
            Frame back = evaluator.frame(Pose.of(Map.of(dial.id(), dial.rest() - away)));
            for (Part p : c.rig().parts()) {
                Optional<Part> twin = p.side() == Side.NONE ? Optional.of(p) : Mirror.twinOf(c, p);
                Optional<Box> box = p.bounds();
                if (twin.isPresent() && box.isPresent()) {
                    double by = apart(there, back, p, twin.get(), box.get(), mirror);
                    worst = by > worst.by ? new Asymmetry(p.id(), dial.rest() + away, by) : worst;
                }
            }
        }
        return worst.part.isEmpty() ? Optional.empty() : Optional.of(worst);
    }

    private static double apart(Frame there, Frame back, Part p, Part twin, Box box, Matrix mirror) {
        Optional<Frame.Placed> one = there.of(p.id());
        Optional<Frame.Placed> other = back.of(twin.id());
        if (one.isEmpty() || other.isEmpty()) {
            return 0;
        }
        double most = 0;
        for (Point corner : List.of(
                new Point(box.minX(), box.minY()),
                new Point(box.maxX(), box.minY()),
                new Point(box.maxX(), box.maxY()),
                new Point(box.minX(), box.maxY()))) {
            Point wanted = mirror.apply(one.get().matrix().apply(corner));
            most = Math.max(most, wanted.distance(other.get().matrix().apply(mirror.apply(corner))));
        }
        return most;
    }
}
