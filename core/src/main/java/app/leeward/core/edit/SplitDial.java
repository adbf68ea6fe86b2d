package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import java.util.Optional;
import java.util.Set;

/** Takes a dial apart into one for each side: a blink into two winks, brows that move together into two. */
public record SplitDial(String dial) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of(EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Took " + before.dial(dial).map(Dial::name).orElse(dial) + " apart into left and right";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Dial> whole = before.dial(dial);
        if (whole.isEmpty()) {
            return new Outcome.Refused("no-dial", "There is no dial '" + dial + "' any more.");
        }
        return DialSides.canSplit(before, whole.get())
                ? new Outcome.Done(DialSides.split(before, dial))
                : new Outcome.Refused(
                        "no-sides",
                        whole.get().name()
                                + " cannot be taken apart: it poses a part that is neither left nor right, or only one side.");
    }
}
