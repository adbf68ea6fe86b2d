package app.leeward.core.edit;

import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Recorder;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Moves the edge of a band, and of the one that touches it there.
 *
 * @param layer whether it is an edge of where the part lies in the stack, and not of its drawings
 */
public record MoveBandEdge(String dial, String part, double edge, double to, boolean layer)
        implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return "Moved an edge of " + Edits.nameOf(before, part) + " on "
                + before.dial(dial).map(Dial::name).orElse(dial);
    }

    @Override
    public Outcome on(Character before) {
        return OnDial.change(before, dial, d -> Recorder.edgeMoved(d, part, edge, to, layer));
    }
}
