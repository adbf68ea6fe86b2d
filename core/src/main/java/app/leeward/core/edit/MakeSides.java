package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.BoxSides;
import java.util.Set;

/** Gives a head that is a box the two sides that were never drawn. */
public record MakeSides() implements TurnEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Gave the head its sides";
    }

    @Override
    public Outcome on(Character before) {
        return BoxSides.of(before)
                .<Outcome>map(Outcome.Done::new)
                .orElseGet(() -> new Outcome.Refused(
                        RefusalCode.NO_HEAD,
                        "Sides are made for a head that is a box, turns by itself and has none yet."));
    }
}
