package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.turn.SideOn;
import app.leeward.core.turn.TurnMaker;
import app.leeward.core.turn.TurnRange;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Makes the head turn from the shape of the head, and the nod where there is one. What was shaped by hand since it was last made is kept.
 *
 * @param shape empty for the one it was made from before, or else the one it most likely has
 * @param reach degrees to turn to either side, {@value TurnRange#LEAST} to {@value TurnRange#WIDEST}; empty for as far as it turns now
 */
public record MakeTurn(Optional<HeadShape> shape, Optional<Double> reach) implements TurnEdit {
    public MakeTurn {
        shape = shape == null ? Optional.empty() : shape;
        reach = reach == null ? Optional.empty() : reach;
        reach.ifPresent(degrees -> {
            Numbers.finite("angle", degrees);
            if (!(degrees >= TurnRange.LEAST && degrees <= TurnRange.WIDEST)) {
                throw new IllegalArgumentException(String.format(
                        Locale.ROOT,
                        "A head drawn from one side turns %.0f° to %.0f° either way, not %s.",
                        TurnRange.LEAST,
                        TurnRange.WIDEST,
                        degrees));
            }
        });
    }

    /** By this shape, as far as it turns now. */
    public static MakeTurn of(Optional<HeadShape> shape) {
        return new MakeTurn(shape, Optional.empty());
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
        return "Rebuilt the head turn"
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
        if (before.dial(TurnMaker.DIAL).isEmpty() && SideOn.drawn(before)) {
            return new Outcome.Refused(RefusalCode.TURN_FROM_THE_SIDE, SideOn.WHY);
        }
        Character ready = before;
        Optional<Dial> there = before.dial(TurnMaker.DIAL);
        if (reach.isPresent() && there.isPresent()) {
            double far = reach.get();
            Optional<Character> ranged = TurnMaker.ranged(before, far);
            if (ranged.isEmpty()) {
                return new Outcome.Refused(
                        RefusalCode.BAD_STOP,
                        String.format(
                                Locale.ROOT,
                                "Something shaped by hand stands beyond %.0f°; take it off the turn first.",
                                far));
            }
            ready = ranged.get();
        }
        HeadShape by = wanted(before).orElseThrow();
        return new Outcome.Done(
                there.isPresent() || reach.isEmpty()
                        ? TurnMaker.make(ready, by)
                        : TurnMaker.make(ready, by, reach.get()));
    }
}
