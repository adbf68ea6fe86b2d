package app.leeward.core.edit;

import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import java.util.Objects;
import java.util.Set;

/** Says how a dial goes from the side of rest out to one of its stops. */
public record EaseStop(String dial, double at, Ease ease) implements Edit, ShapesDial {
    public EaseStop {
        Objects.requireNonNull(ease, "ease");
    }

    @Override
    public Set<String> touches() {
        return Set.of("dial " + dial);
    }

    @Override
    public String describe(Character before) {
        String how = ease instanceof Ease.Even ? "evenly" : ease instanceof Ease.Smooth ? "smoothly" : "on a curve";
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
                                .orElseThrow(() -> new IllegalArgumentException(
                                        "There is no stop at " + Edits.plain(at) + " any more."))
                                .withEase(ease)));
    }
}
