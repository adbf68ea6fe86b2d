package app.leeward.core.edit;

import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.hand.Hands;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.WristBend;
import app.leeward.core.rig.WristBend.PointWeight;
import app.leeward.core.text.Decimals;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Says how much one point of a hand's outline stays with the forearm while the hand turns.
 *
 * @param shape which shape of the drawing, from 0
 * @param at which point, named by the segment that ends in it, from 0
 * @param weight 0 to go with the hand, 1 to stay with the arm
 * @param everywhere whether the points that stand for it on the hand's other drawings are given the same
 */
public record WeighPoint(String part, String drawing, int shape, int at, double weight, boolean everywhere)
        implements HandEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.BEND.of(part));
    }

    @Override
    public String describe(Character before) {
        return "A point of " + Redrawing.name(before, part, drawing)
                + (everywhere ? ", and the like on every drawing," : "") + " follows the arm by " + percent();
    }

    private String percent() {
        return Decimals.fixed(100 * weight, 0) + " %";
    }

    @Override
    public Outcome on(Character before) {
        Optional<WristBend> bend = before.wristBend(part);
        if (bend.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_BEND, "Its wrist does not bend; let it bend first.");
        }
        if (!(weight >= 0 && weight <= 1)) {
            return new Outcome.Refused(
                    RefusalCode.WEIGHT, "A point follows the arm by 0 to 100 %, not " + percent() + ".");
        }
        List<Shape> shapes = before.part(part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.art().shapes())
                .orElse(List.of());
        if (shape < 0
                || shape >= shapes.size()
                || at < 0
                || at >= shapes.get(shape).path().segments().size()
                || shapes.get(shape).path().segments().get(at) instanceof Segment.Close) {
            return new Outcome.Refused(RefusalCode.NO_POINT, "There is no such point any more.");
        }
        WristBend now = bend.get().with(new PointWeight(drawing, shape, at, weight));
        if (everywhere) {
            for (PointWeight alike : Hands.alike(before, part, drawing, shape, at, weight)) {
                now = now.with(alike);
            }
        }
        WristBend said = now;
        return Edits.onPart(before, part, p -> p.withWristBend(Optional.of(said)));
    }
}
