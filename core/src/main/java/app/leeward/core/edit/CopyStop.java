package app.leeward.core.edit;

import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import java.util.Set;

/** What one stop says, said at another value too. */
public record CopyStop(String dial, double at, double to) implements Edit, ShapesDial {
    @Override
    public Set<String> touches() {
        return Set.of("dial " + dial);
    }

    @Override
    public String describe(Character before) {
        return "Copied " + OnDial.at(before, dial, at) + " to " + Edits.plain(to);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> {
            OnDial.inside(d, to);
            if (d.stop(at).isEmpty() || to == d.rest()) {
                throw new IllegalArgumentException("Only a stop can be copied, and not to where the dial rests.");
            }
            return Recorder.copied(d, at, to);
        });
    }
}
