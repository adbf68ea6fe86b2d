package app.leeward.core.edit;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Mirror;
import java.util.List;
import java.util.Set;

/**
 * What one stop says, on the other side of rest for the other side of the face, drawings too. What stood there is replaced as
 * far as this stop speaks.
 */
public record MirrorStop(String dial, double at) implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        List<String> out =
                before.dial(dial).map(d -> Mirror.leftOut(before, d, at)).orElse(List.of());
        String but = out.isEmpty()
                ? ""
                : ", but not the outline of " + String.join(", ", out) + ", which is not drawn alike on both sides";
        return "Mirrored " + OnDial.at(before, dial, at) + but;
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> {
            if (d.stop(at).isEmpty() || at == d.rest()) {
                throw new Refusal(RefusalCode.BAD_STOP, "There is no stop at " + Edits.plain(at) + " to mirror.");
            }
            OnDial.inside(d, 2 * d.rest() - at);
            return Mirror.acrossRest(before, d, at);
        });
    }
}
