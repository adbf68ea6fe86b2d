package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.turn.TurnMaker;
import java.util.Optional;
import java.util.Set;

/**
 * Makes the head turn from the shape of the head, and the nod where there is one. What was shaped by hand since it was last made is kept.
 *
 * @param shape empty for the one it was made from before, or else the one it most likely has
 */
public record MakeTurn(Optional<HeadShape> shape) implements TurnEdit {
    public MakeTurn {
        shape = shape == null ? Optional.empty() : shape;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(TurnMaker.DIAL), Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        if (before.dial(TurnMaker.DIAL).isEmpty()) {
            return "Made the head turn";
        }
        int kept = TurnMaker.keptByHand(before);
        return "Made the head turn anew"
                + (kept == 0 ? "" : ", keeping " + kept + (kept == 1 ? " thing" : " things") + " shaped by hand");
    }

    private Optional<HeadShape> wanted(Character c) {
        return shape.or(() -> c.controls().turn().map(t -> t.shape())).or(() -> TurnMaker.fitted(c));
    }

    @Override
    public Outcome on(Character before) {
        if (before.controls().views().isPresent()) {
            return new Outcome.Refused(
                    RefusalCode.TURN_BY_VIEWS,
                    "This head turns by exchanging its views; to move pieces on the way, record them at a stop.");
        }
        if (TurnMaker.fitted(before).isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_HEAD, "There is no head with a face on it yet; say on Parts which part is which.");
        }
        return new Outcome.Done(TurnMaker.make(before, wanted(before).orElseThrow()));
    }
}
