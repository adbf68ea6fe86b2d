package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Recorder;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.turn.ExtremePose;
import java.util.Optional;
import java.util.Set;

/**
 * Poses a part at a stop of a dial in place of its rest pose: what the edit would have changed there is written into the
 * stop, on top of what the dial does at that value already.
 *
 * @param at the dial's value; a stop is made where none stands
 * @param pose a {@link Nudge}, a {@link Place}, a {@link Show} or a {@link Stack}
 */
public record Record(String dial, double at, Edit pose) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
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
        if (pose instanceof Stack stack) {
            return stacked(before, stack);
        }
        Optional<Part> part = Posing.part(before, pose);
        if (part.isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NOT_POSED,
                    "Only places, sizes, rotations, drawings and the layer order can be recorded at a stop.");
        }
        String id = part.get().id();
        Outcome posed = OnDial.change(before, dial, d -> {
            away(d);
            return pose instanceof Show show
                    ? Recorder.showing(d, at, id, show.drawing())
                    : Recorder.posed(d, at, id, Posing.more(part.get(), pose));
        });
        return posed instanceof Outcome.Done done
                ? new Outcome.Done(ExtremePose.spread(before, done.character(), dial, at, id))
                : posed;
    }

    private void away(Dial d) {
        OnDial.inside(d, at);
        if (at == d.rest()) {
            throw new Refusal(
                    RefusalCode.BAD_STOP,
                    "At rest the dial does nothing; put it where the change belongs, then record.");
        }
    }

    /** Each of the parts over the one before it. */
    private Outcome stacked(Character before, Stack stack) {
        return OnDial.change(before, dial, d -> {
            away(d);
            Dial now = d;
            String over = stack.above().orElse(Dial.BACK);
            for (String part : before.rig().order()) {
                if (stack.parts().contains(part)) {
                    now = Recorder.lying(now, at, part, over);
                    over = part;
                }
            }
            return now;
        });
    }
}
