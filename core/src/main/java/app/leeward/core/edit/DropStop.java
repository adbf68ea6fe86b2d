package app.leeward.core.edit;

import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a stop away; what lies between its neighbours goes evenly from one to the other. */
public record DropStop(String dial, double at) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return "Took away the stop of " + OnDial.at(before, dial, at);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> Recorder.without(d, at));
    }
}
