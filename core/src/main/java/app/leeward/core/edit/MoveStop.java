package app.leeward.core.edit;

import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Stop;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Moves a stop along its dial, with all it says; bands stay. */
public record MoveStop(String dial, double at, double to) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return "Moved the stop of " + OnDial.at(before, dial, at) + " to " + Edits.plain(to);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> {
            Stop stop = d.stop(at)
                    .orElseThrow(() ->
                            new Refusal(RefusalCode.BAD_STOP, "There is no stop at " + Edits.plain(at) + " any more."));
            OnDial.inside(d, to);
            if (to != at && (d.stop(to).isPresent() || to == d.rest())) {
                throw new Refusal(
                        RefusalCode.BAD_STOP,
                        "There is something at " + Edits.plain(to) + " already: two stops cannot"
                                + " stand at one value, and rest keeps its own.");
            }
            return Recorder.with(Recorder.without(d, at), stop.movedTo(to));
        });
    }
}
