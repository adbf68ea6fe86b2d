package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Puts a dial in place of the one with its id, or adds it. */
public record SetDial(Dial dial) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial.id()));
    }

    @Override
    public String describe(Character before) {
        return (before.dial(dial.id()).isPresent() ? "Changed dial " : "Added dial ") + dial.name();
    }

    @Override
    public Outcome on(Character before) {
        List<Dial> dials = new ArrayList<>(before.controls().dials());
        int at = dials.indexOf(before.dial(dial.id()).orElse(null));
        if (at < 0) {
            dials.add(dial);
        } else {
            dials.set(at, dial);
        }
        return new Outcome.Done(before.withDials(dials, before.controls().pads()));
    }
}
