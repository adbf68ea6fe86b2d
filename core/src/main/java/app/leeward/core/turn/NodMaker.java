package app.leeward.core.turn;

import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.TurnPlan;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes the nod, the ball's pitch, as a dial of its own beside the turn: features go down and flatten, what lies at the edge
 * stays, back hair comes up. Both together make a pad.
 */
public final class NodMaker {
    public static final String DIAL = "nod";
    /** Degrees at either end of the dial. */
    private static final double FULL = 20;
    /** Degrees of the ball at the dial's end: flat drawings bear about half of a true nod; by eye, no source. */
    private static final double PITCH = 11;

    private NodMaker() {}

    /** The character with a nod beside its turn; unchanged while it has no turn made by a ball. */
    public static Character addTo(Character c) {
        return c.controls().turn().isEmpty() ? c : made(c, Map.of()).character();
    }

    /**
     * Made anew where there was one, keeping what was shaped by hand.
     *
     * @param then fingerprints of what was made before
     */
    static TurnMaker.Made made(Character c, Map<String, Integer> then) {
        TurnPlan plan = c.controls().turn().orElseThrow();
        Optional<Part> head = c.part(PartRole.HEAD);
        if (head.isEmpty()) {
            return new TurnMaker.Made(c, 0);
        }
        Ball ball = Ball.of(plan.ball());
        List<Stop> stops = new ArrayList<>();
        for (double share : new double[] {-1, -0.5, 0.5, 1}) {
            stops.add(stop(c, head.get(), plan, ball, share));
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
        made.putAll(Fingerprints.of(fresh));
        TurnPlan noted = new TurnPlan(plan.ball(), made, true);
        return new TurnMaker.Made(
                c.withDials(dials, pads).withControls(controls -> controls.withTurn(Optional.of(noted))), hands.kept());
    }

    private static Stop stop(Character c, Part head, TurnPlan plan, Ball ball, double share) {
        Map<String, Offset> offsets = new HashMap<>();
        for (Part part : c.rig().childrenOf(head.id())) {
            HeadParts.centreOf(c, part).ifPresent(at -> offsets.put(part.id(), offset(plan, ball, part, at, share)));
        }
        return new Stop(share * FULL, offsets);
    }

    private static Offset offset(TurnPlan plan, Ball ball, Part part, Point at, double share) {
        double down = ball.ry() * share;
        return switch (part.role()) {
            case FACE ->
                HeadParts.about(part, at, new Point(at.x(), at.y() + 0.015 * down), 1, 1 - 0.02 * Math.abs(share));
            case BACK_HAIR -> Offset.shift(0, -0.05 * down);
            case CAP -> HeadParts.about(part, at, new Point(at.x(), at.y() + 0.10 * down), 1, 1 + 0.05 * share);
            case FRINGE -> HeadParts.about(part, at, new Point(at.x(), at.y() + 0.09 * down), 1, 1 + 0.06 * share);
            case EAR -> Offset.shift(0, -0.06 * down);
            case SIDE_HAIR, EXTRA_HAIR -> Offset.shift(0, 0.02 * down);
            default -> {
                double lift = part.role() == PartRole.NOSE ? plan.ball().noseLift() : 0;
                Ball.Turned t = ball.turn(at, 0, PITCH * share, lift, false);
                double flat = Math.max(0.7, Math.min(1.06, t.flattening()));
                yield HeadParts.about(part, at, t.at(), 1, flat);
            }
        };
    }
}
