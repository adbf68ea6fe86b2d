package app.leeward.core.turn;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * Makes the head turn of a front view in one step: the head is taken for a solid ({@link HeadSolids}), and what it looks like from
 * either side is written as ordinary stops, which the rigger then shapes by hand. Made again, it keeps what was shaped by hand.
 */
public final class TurnMaker {
    public static final String DIAL = "turn";
    /** Degrees at either end of a new dial, and of the head. */
    public static final double FULL = 45;
    /** How much further than it was drawn a head turns at the least. */
    private static final double BEYOND = 10;
    /** From which share of the way on the nose shows its profile. */
    private static final double PROFILE = 0.55;
    /** From which share of the way on the extra hair comes out. */
    private static final double EXTRA = 0.3;
    /** And the side of a box. */
    private static final double OPENS = 0.01;

    private final Character character;
    private final HeadSolids solids;
    private final SolidStops stops;
    /** The dial as far as it reaches, without what it does. */
    private final Dial bare;

    private final TurnAngle angle;

    private TurnMaker(Character character, HeadSolids solids, double reach) {
        HeadShape shape = solids.shape();
        this.character = character;
        this.solids = solids;
        stops = new SolidStops(character, solids);
        double drawn = shape.drawn();
        Optional<Dial> there = character.dial(DIAL).filter(d -> d.rest() == drawn);
        // drawn from further round it turns a little beyond that all the same
        double far = Math.max(reach, Math.min(TurnRange.WIDEST, Math.abs(drawn) + BEYOND));
        double from = there.map(Dial::from).orElse(-far);
        double to = there.map(Dial::to).orElse(far);
        bare = new Dial(
                DIAL,
                "Turn",
                Purpose.TURN,
                from,
                to,
                drawn,
                there.map(Dial::unit).orElse("°"),
                List.of(),
                List.of());
        angle = TurnAngle.of(bare, shape);
    }

    /** The shape the head most likely has, and how far it is turned as drawn; empty when there is no head with something on it. */
    public static Optional<HeadShape> fitted(Character c) {
        return HeadSolids.guessedShape(c);
    }

    /** The character with a turn dial, made by the shape it was made by before; unchanged when it has no head, or one drawn from the side. */
    public static Character addTo(Character c) {
        if (c.controls().views().isPresent()) {
            // its views turn it
            return c;
        }
        Optional<HeadShape> before = c.controls().turn().map(TurnPlan::shape);
        if (before.isEmpty() && SideOn.drawn(c)) {
            return SideOn.noted(c);
        }
        Character ready = NoseProfile.bothWays(c);
        return before.map(shape -> HeadSolids.of(ready, shape))
                .orElseGet(() -> HeadSolids.guessed(ready))
                .map(solids -> make(ready, solids, FULL))
                .orElse(c);
    }

    /** The same by another shape. What was shaped by hand since the last time is kept. */
    public static Character make(Character c, HeadShape shape) {
        return make(c, shape, FULL);
    }

    /**
     * The same.
     *
     * @param reach degrees to either side of a dial that is not there yet
     */
    public static Character make(Character c, HeadShape shape, double reach) {
        Character ready = NoseProfile.bothWays(c);
        return HeadSolids.of(ready, shape)
                .map(solids -> make(ready, solids, reach))
                .orElse(c);
    }

    private static Character make(Character ready, HeadSolids solids, double reach) {
        HeadShape shape = solids.shape();
        Dial fresh = new TurnMaker(ready, solids, reach).dial();
        Optional<Dial> there = ready.dial(DIAL);
        Optional<TurnPlan> plan = ready.controls().turn();
        // one made before plans were kept was never shaped by hand: there was no way to
        ManualEditMerge hands = new ManualEditMerge(
                plan.map(TurnPlan::made).or(() -> there.map(Fingerprints::of)).orElse(Map.of()));
        Dial dial = there.map(now -> hands.over(now, fresh)).orElse(fresh);
        List<Dial> dials = new ArrayList<>(ready.controls().dials());
        int place = there.map(dials::indexOf).orElse(0);
        if (there.isPresent()) {
            dials.set(place, dial);
        } else {
            dials.add(0, dial);
        }
        TurnPlan made = new TurnPlan(shape, there.isPresent() ? hands.prints() : Fingerprints.of(fresh), false);
        Character turned = FaceWindow.cut(ready, solids)
                .withDials(dials, ready.controls().pads())
                .withControls(controls -> controls.withTurn(Optional.of(made)));
        boolean nods = plan.filter(TurnPlan::nods).isPresent()
                && turned.dial(NodMaker.DIAL).isPresent();
        return nods ? NodMaker.made(turned, plan.get().made()) : turned;
    }

    /** The character with a turn that does only what was shaped by hand, from so far to so far; empty where that stands beyond. */
    public static Optional<Character> ranged(Character c, double reach) {
        Dial now = c.dial(DIAL).orElseThrow();
        Map<String, Integer> made = c.controls().turn().map(TurnPlan::made).orElseGet(() -> Fingerprints.of(now));
        Dial bare = now.with(d -> d.stops(List.of()).bands(List.of()).layers(List.of()));
        Dial only = new ManualEditMerge(made).over(now, bare);
        boolean beyond = DoubleStream.concat(
                        only.stops().stream().mapToDouble(Stop::at),
                        only.effects().stream().flatMapToDouble(DialEffect::values))
                .anyMatch(at -> Math.abs(at) > reach);
        if (beyond) {
            return Optional.empty();
        }
        Dial ranged = only.ranged(now.name(), -reach, reach, 0, "°");
        // what was made is gone, so it is not a hand's doing that it is
        Map<String, Integer> left = new HashMap<>(made);
        left.keySet().removeAll(Fingerprints.of(now).keySet());
        List<Corrective> corners = HeadCorners.byHand(c.controls().correctives(), left);
        return Optional.of(c.withDials(
                        c.controls().dials().stream()
                                .map(d -> d == now ? ranged : d)
                                .toList(),
                        c.controls().pads())
                .withControls(k -> k.withCorrectives(corners)
                        .withTurn(k.turn().map(p -> new TurnPlan(p.shape(), left, p.nods())))));
    }

    /** How many poses, outlines, sets of bands and corners were shaped by hand since they were made, and would be kept. */
    public static int keptByHand(Character c) {
        Set<String> parts = c.rig().parts().stream().map(Part::id).collect(Collectors.toSet());
        return c.controls()
                .turn()
                .map(plan -> plan.shapedByHand(c.controls(), Set.of(DIAL, NodMaker.DIAL), parts))
                .orElse(0);
    }

    private Dial dial() {
        List<Stop> all = new ArrayList<>();
        for (double end : new double[] {bare.from(), bare.to()}) {
            int steps = end == bare.rest() ? 0 : stops.steps(angle.drawn(), angle.at(end));
            for (int i = 1; i <= steps; i++) {
                double place = bare.rest() + (end - bare.rest()) * i / steps;
                all.add(stops.at(place, View.yaw(angle.at(place))));
            }
        }
        return bare.with(d -> d.stops(all).bands(bands()).layers(new PlateOrder(character, solids, bare).made()));
    }

    /** The place of the dial so far on the way to one of its ends. */
    private double towards(double end, double share) {
        return bare.rest() + (end - bare.rest()) * share;
    }

    private List<Bands> bands() {
        List<Bands> all = new ArrayList<>();
        for (Part part : character.rig().parts()) {
            if (part.role() == PartRole.NOSE) {
                NoseProfile.alwaysOn(part, bare.from(), bare.rest(), bare.to())
                        .or(() -> profileBands(part))
                        .ifPresent(all::add);
            } else if (part.solid().flatMap(Solid::kind).equals(Optional.of(SolidKind.SIDE))
                    && !part.drawings().isEmpty()) {
                nearSide(part, OPENS).ifPresent(all::add);
            } else if (part.role() == PartRole.EXTRA_HAIR && !part.drawings().isEmpty()) {
                nearSide(part, EXTRA).ifPresent(all::add);
            }
        }
        return all;
    }

    private Optional<Bands> profileBands(Part nose) {
        Optional<Drawing> right = NoseProfile.towards(nose, true);
        Optional<Drawing> left = NoseProfile.towards(nose, false);
        if (right.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        return NoseProfile.bands(
                nose,
                bare.from(),
                towards(bare.from(), PROFILE),
                left.get().id(),
                towards(bare.to(), PROFILE),
                bare.to(),
                right.get().id());
    }

    /**
     * What covers the near side of the skull shows when the face turns away from its side of the screen.
     *
     * @param from which share of the way on
     */
    private Optional<Bands> nearSide(Part part, double from) {
        String drawing = part.drawings().get(0).id();
        boolean screenRight = stops.besideAxis(part).filter(x -> x > 0).isPresent();
        double end = screenRight ? bare.from() : bare.to();
        double opens = towards(end, from);
        if (end == opens) {
            return Optional.empty();
        }
        Band band = screenRight ? new Band(end, opens, drawing) : new Band(opens, end, drawing);
        return Optional.of(new Bands(part.id(), List.of(band)));
    }
}
