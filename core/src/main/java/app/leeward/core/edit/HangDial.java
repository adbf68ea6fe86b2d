package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Optional;
import java.util.Set;

/**
 * Says with which part a dial is offered. What the dial does, its range and its values stay as they are.
 *
 * @param part empty to take it off the part it hangs on
 */
public record HangDial(String dial, Optional<String> part) implements Edit {
    public HangDial {
        part = part == null ? Optional.empty() : part;
    }

    @Override
    public Set<String> touches() {
        return Set.of("dial " + dial);
    }

    @Override
    public String describe(Character before) {
        String name = before.dial(dial).map(Dial::name).orElse(dial);
        return part.map(id -> "Hung the dial " + name + " on "
                        + before.part(id).map(Part::name).orElse(id))
                .orElse("Took the dial " + name + " off its part");
    }

    @Override
    public Outcome on(Character before) {
        if (part.isPresent() && before.part(part.get()).isEmpty()) {
            return new Outcome.Refused("no-part", "There is no part '" + part.get() + "' to hang it on.");
        }
        return OnDial.change(before, dial, d -> d.hangingOn(part));
    }
}
