package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import java.util.List;
import java.util.Set;

/**
 * Puts the two halves of dials together again.
 *
 * @param dials of each either half
 */
public record JoinDials(List<String> dials) implements Edit {
    public JoinDials {
        dials = List.copyOf(dials);
    }

    @Override
    public Set<String> touches() {
        return Set.of(EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Put left and right of " + SplitDial.names(before, dials) + " together";
    }

    @Override
    public Outcome on(Character before) {
        Character now = before;
        for (String id : dials) {
            try {
                now = DialSides.join(now, id);
            } catch (IllegalArgumentException e) {
                return new Outcome.Refused(
                        RefusalCode.NO_HALF, "There is no other half of the dial '" + id + "' to put it to.");
            }
        }
        return new Outcome.Done(now);
    }
}
