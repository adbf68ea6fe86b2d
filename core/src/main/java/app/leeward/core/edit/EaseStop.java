package app.leeward.core.edit;

import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Recorder;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Objects;
import java.util.Set;

/** Says how a dial goes from the side of rest out to one of its stops. */
public record EaseStop(String dial, double at, Ease ease) implements DialEdit, ShapesDial {
    public EaseStop {
        Objects.requireNonNull(ease, "ease");
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        String how = ease instanceof Ease.Linear ? "evenly" : ease instanceof Ease.Smooth ? "smoothly" : "on a curve";
        return OnDial.at(before, dial, at) + " is come to " + how;
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(
                before,
                dial,
                d -> Recorder.with(
                        d,
                        d.stop(at)
                                .orElseThrow(() -> new Refusal(
                                        RefusalCode.BAD_STOP, "There is no stop at " + Edits.plain(at) + " any more."))
                                .withEase(ease)));
    }
}
