package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Mirror;
import java.util.Set;

/** Turns the whole character round: everything reflected about the axis. Names stay, since sides are its own. */
public record Flip() implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Flipped the whole character";
    }

    @Override
    public Outcome on(Character before) {
        return new Outcome.Done(Mirror.flip(before));
    }
}
