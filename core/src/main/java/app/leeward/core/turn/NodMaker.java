package app.leeward.core.turn;

import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes the nod as a dial of its own beside the turn, by the same solids: features go down and flatten, what lies behind comes
 * up. Both together make a pad.
 */
public final class NodMaker {
    public static final String DIAL = "nod";
    /** Degrees at either end of the dial. */
    static final double FULL = 20;

    private NodMaker() {}

    /** The character with a nod beside its turn; unchanged while it has no turn made from its shape. */
    public static Character addTo(Character c) {
        return c.controls().turn().isEmpty() ? c : made(c, Map.of());
    }

    /**
     * Made anew where there was one, keeping what was shaped by hand.
     *
     * @param then fingerprints of what was made before
     */
    static Character made(Character c, Map<String, Integer> then) {
        TurnPlan plan = c.controls().turn().orElseThrow();
        Optional<HeadSolids> solids = HeadSolids.of(c, plan.shape());
        if (solids.isEmpty()) {
            return c;
        }
        SolidStops solid = new SolidStops(c, solids.get());
        List<Stop> stops = new ArrayList<>();
        for (double share : new double[] {-1, -0.5, 0.5, 1}) {
            stops.add(solid.at(share * FULL, View.of(plan.shape().drawn(), share * FULL)));
        }
        Dial fresh = new Dial(DIAL, "Nod", Purpose.NOD, -FULL, FULL, 0, "°", stops, List.of());
        Optional<Dial> there = c.dial(DIAL);
        ManualEditMerge hands = new ManualEditMerge(then);
        Dial dial = there.map(now -> hands.over(now, fresh)).orElse(fresh);
        List<Dial> dials = new ArrayList<>(c.controls().dials());
        if (there.isPresent()) {
            dials.set(dials.indexOf(there.get()), dial);
        } else {
            int turn = dials.indexOf(c.dial(TurnMaker.DIAL).orElse(null));
            dials.add(turn + 1, dial);
        }
        List<Pad> pads = new ArrayList<>(c.controls().pads());
        if (pads.stream().noneMatch(p -> p.down().equals(DIAL))
                && c.dial(TurnMaker.DIAL).isPresent()) {
            pads.add(new Pad("Head", TurnMaker.DIAL, DIAL));
        }
        Map<String, Integer> made = new HashMap<>(plan.made());
        made.putAll(there.isPresent() ? hands.prints() : Fingerprints.of(fresh));
        Character nodding = c.withDials(dials, pads);
        HeadCorners corners = new HeadCorners(nodding, solid, plan.shape(), then);
        List<Corrective> correctives = corners.made(made);
        TurnPlan noted = new TurnPlan(plan.shape(), made, true);
        return nodding.withControls(
                controls -> controls.withTurn(Optional.of(noted)).withCorrectives(correctives));
    }
}
