package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import java.util.List;
import java.util.Set;

/**
 * Puts the two halves of dials together again.
 *
 * @param dials of each either half
 */
public record JoinDials(List<String> dials) implements DialEdit {
    public JoinDials {
        dials = List.copyOf(dials);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Put left and right of " + SplitDial.names(before, dials) + " together";
    }

    @Override
    public Outcome on(Character before) {
        Character now = before;
        for (String id : dials) {
            now = DialSides.join(now, id);
        }
        return new Outcome.Done(now);
    }
}
