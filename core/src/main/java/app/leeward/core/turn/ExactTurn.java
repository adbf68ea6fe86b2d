package app.leeward.core.turn;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Stop;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The head turned by its solids alone, beside what the stops of its dial make of it: where both differ the stops stray, or a hand shaped them. */
public final class ExactTurn {
    /** Points compared on each step of an outline. */
    private static final int EACH = 2;

    private ExactTurn() {}

    /**
     * @param frame the head as the solids have it
     * @param strays how far the point of its outlines that lies furthest off lies off on the dial's way, as a share of the head's width
     * @param furthest id of the piece with that point; empty where all lie on it
     */
    public record Step(double at, Frame frame, double strays, Optional<String> furthest) {}

    /**
     * The head at these places of the dial; empty for one that does not turn by its solids.
     *
     * @param rest the other dials
     */
    public static List<Step> of(Character c, Pose rest, List<Double> at) {
        Optional<Dial> dial = c.dial(TurnMaker.DIAL);
        Optional<HeadSolids> solids = c.controls().views().isPresent()
                ? Optional.empty()
                : c.controls().turn().map(TurnPlan::shape).flatMap(shape -> HeadSolids.of(c, shape));
        if (dial.isEmpty() || solids.isEmpty()) {
            return List.of();
        }
        Dial turn = dial.get();
        TurnAngle angle = TurnAngle.of(turn, c.controls().turn().orElseThrow().shape());
        SolidStops stops = new SolidStops(c, solids.get());
        Evaluator way = new Evaluator(c);
        List<Step> steps = new ArrayList<>();
        for (double place : at) {
            double degrees = angle.at(place);
            List<Stop> only =
                    Math.abs(place - turn.rest()) < 1e-9 ? List.of() : List.of(stops.at(place, View.yaw(degrees)));
            Dial exact = turn.with(d -> d.stops(only).hinges(Map.of()));
            Character there = c.withDials(
                    c.controls().dials().stream()
                            .map(d -> d == turn ? exact : d)
                            .toList(),
                    c.controls().pads());
            Pose pose = rest.withDial(turn.id(), place);
            Frame frame = new Evaluator(there).frame(pose);
            steps.add(
                    compared(c, place, frame, way.frame(pose), 2 * solids.get().halfWidth()));
        }
        return steps;
    }

    private static Step compared(Character c, double at, Frame exact, Frame way, double width) {
        double worst = 0;
        Optional<String> furthest = Optional.empty();
        for (Frame.Placed p : exact.placed()) {
            Optional<Frame.Placed> other =
                    way.of(p.part()).filter(o -> o.drawing().equals(p.drawing()));
            if (other.isPresent()) {
                double off = off(c, p, other.get());
                if (off > worst) {
                    worst = off;
                    furthest = Optional.of(p.part());
                }
            }
        }
        return new Step(at, exact, worst / width, furthest);
    }

    private static double off(Character c, Frame.Placed a, Frame.Placed b) {
        Artwork art = c.part(a.part())
                .flatMap(p -> p.drawing(a.drawing()))
                .orElseThrow()
                .art();
        List<Shape> one = a.shown(art).shapes();
        List<Shape> two = b.shown(art).shapes();
        double worst = 0;
        for (int i = 0; i < one.size(); i++) {
            List<Point> from = one.get(i).path().transform(a.matrix()).sampled(EACH);
            List<Point> to = two.get(i).path().transform(b.matrix()).sampled(EACH);
            // a closing line may have no length in one and some in the other
            for (int k = 0; k < Math.min(from.size(), to.size()); k++) {
                worst = Math.max(worst, from.get(k).distance(to.get(k)));
            }
        }
        return worst;
    }
}
