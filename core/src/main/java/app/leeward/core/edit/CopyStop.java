package app.leeward.core.edit;

import app.leeward.core.dial.Recorder;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** What one stop says, said at another value too. */
public record CopyStop(String dial, double at, double to) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
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
                throw new Refusal(RefusalCode.BAD_STOP, "Only a stop can be copied, and not to where the dial rests.");
            }
            return Recorder.copied(d, at, to);
        });
    }
}
