package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.turn.NosePieces;
import java.util.Set;

/** Takes the nose apart, so that its profile's line shows only past the face's edge, as {@link NosePieces} says. */
public record SplitNose() implements TurnEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Nose in pieces: its profile shows past the edge of the face";
    }

    @Override
    public Outcome on(Character before) {
        return NosePieces.of(before)
                .<Outcome>map(after -> new Outcome.Done(
                        after.withControls(now -> now.withTurn(now.turn().map(t -> t.remade(before.controls(), now))))))
                .orElseGet(
                        () -> new Outcome.Refused(
                                RefusalCode.NO_PROFILE,
                                "A nose comes apart when it has a drawing from the front and one whose name says profile, and lies on a face that no views turn."));
    }
}
