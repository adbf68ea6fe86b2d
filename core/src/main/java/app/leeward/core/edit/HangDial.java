package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Optional;
import java.util.Set;

/**
 * Says with which part a dial is offered. What the dial does, its range and its values stay as they are.
 *
 * @param part empty to take it off the part it hangs on
 */
public record HangDial(String dial, Optional<String> part) implements DialEdit {
    public HangDial {
        part = part == null ? Optional.empty() : part;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        String name = before.dial(dial).map(Dial::name).orElse(dial);
        return "The dial " + name + " is offered with "
                + part.map(id -> before.part(id).map(Part::name).orElse(id)).orElse("no part in particular");
    }

    @Override
    public Outcome on(Character before) {
        if (part.isPresent() && before.part(part.get()).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_PART, "There is no part '" + part.get() + "' to offer it with.");
        }
        return OnDial.change(before, dial, d -> d.withHangsOn(part));
    }
}
