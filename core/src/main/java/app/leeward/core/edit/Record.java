package app.leeward.core.edit;

import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Optional;
import java.util.Set;

/**
 * Poses a part at a stop of a dial in place of its rest pose: what the edit would have changed there is written into the
 * stop, on top of what the dial does at that value already.
 *
 * @param at the dial's value; a stop is made where none stands
 * @param pose a {@link Nudge}, a {@link Place}, or a {@link Show}
 */
public record Record(String dial, double at, Edit pose) implements Edit, ShapesDial {
    @Override
    public Set<String> touches() {
        return Set.of("dial " + dial);
    }

    @Override
    public String describe(Character before) {
        return OnDial.at(before, dial, at) + ": " + pose.describe(before).replace(" by default", "");
    }

    @Override
    public Outcome on(Character before) {
        // what the edit itself would refuse is refused here too
        if (pose.on(before) instanceof Outcome.Refused refused) {
            return refused;
        }
        Optional<Part> part = Posing.part(before, pose);
        if (part.isEmpty()) {
            return new Outcome.Refused(
                    "not-posed", "Only places, sizes, turns and drawings can be recorded at a stop.");
        }
        String id = part.get().id();
        return OnDial.change(before, dial, d -> {
            OnDial.inside(d, at);
            if (at == d.rest()) {
                throw new IllegalArgumentException(
                        "At rest the dial does nothing; put it where the change belongs, then record.");
            }
            return pose instanceof Show show
                    ? Recorder.showing(d, at, id, show.drawing())
                    : Recorder.posed(d, at, id, Posing.more(part.get(), pose));
        });
    }
}
