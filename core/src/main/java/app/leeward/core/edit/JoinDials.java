package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DialSides;
import java.util.Set;

/**
 * Puts the two halves of a dial together again.
 *
 * @param dial either half
 */
public record JoinDials(String dial) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of(EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        String name = before.dial(dial).map(Dial::name).orElse(dial).replaceAll(", (left|right)$", "");
        return "Put left and right of " + name + " together";
    }

    @Override
    public Outcome on(Character before) {
        try {
            return new Outcome.Done(DialSides.join(before, dial));
        } catch (IllegalArgumentException e) {
            return new Outcome.Refused("no-half", "There is no other half of the dial '" + dial + "' to put it to.");
        }
    }
}
