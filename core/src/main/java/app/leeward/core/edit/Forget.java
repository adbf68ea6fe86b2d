package app.leeward.core.edit;

import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import java.util.Locale;
import java.util.Set;

/** Takes one change back out of a stop. */
public record Forget(String dial, double at, String part, Aspect aspect) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return OnDial.at(before, dial, at) + ": " + Edits.nameOf(before, part) + " without its "
                + aspect.name().toLowerCase(Locale.ROOT);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> Recorder.forgotten(d, at, part, aspect));
    }
}
