package app.leeward.core.hand;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Brings hands that were laid out on a sheet beside the figure onto their arm, at any angle and size, where their cut end is sure. */
public final class Gathering {
    private Gathering() {}

    /** The same character where no hand lies elsewhere. */
    public static Character of(Character c) {
        Character now = c;
        for (Part hand : c.rig().parts()) {
            if (hand.role() == PartRole.HAND && hand.drawings().size() > 1) {
                now = gathered(now, hand.id());
            }
        }
        return now;
    }

    private static Character gathered(Character before, String id) {
        Optional<Geometry> arm = arm(before, id);
        if (arm.isEmpty()) {
            return before;
        }
        Character c = before.withPart(id, p -> p.withDrawings(p.drawings(), onArm(p, arm.get())));
        Part hand = c.part(id).orElseThrow();
        List<String> moved = new ArrayList<>();
        List<String> asked = new ArrayList<>();
        for (Drawing d : hand.drawings()) {
            if (d.id().equals(hand.shown()) || Hands.liesOnArm(c, id, d)) {
                continue;
            }
            if (WristSearch.sure(d.art()).isEmpty()) {
                asked.add(d.name());
                continue;
            }
            c = Hands.registered(c, id, d.id(), false).orElse(c);
            moved.add(d.name());
        }
        return told(c, hand, moved, asked);
    }

    private static Character told(Character c, Part hand, List<String> moved, List<String> asked) {
        List<Note> notes = new ArrayList<>(c.origin().notes());
        if (!moved.isEmpty()) {
            notes.add(new Note(
                    "laid-out",
                    hand.name(),
                    moved.size() + " drawings of " + hand.name()
                            + " laid out beside the figure were brought onto its wrist: " + String.join(", ", moved)
                            + ". Look at them on Hands."));
        }
        if (!asked.isEmpty()) {
            notes.add(new Note(
                    "wrist-undecided",
                    hand.name(),
                    "Where the wrist of these drawings of " + hand.name() + " is cannot be told: "
                            + String.join(", ", asked) + ". Put its two points there on Hands, and register them."));
        }
        return moved.isEmpty() && asked.isEmpty() ? c : c.withOrigin(o -> o.withNotes(notes));
    }

    /** The drawing shown; where that lies elsewhere, the one that is nearest to the arm. */
    private static String onArm(Part hand, Geometry arm) {
        String best = hand.shown();
        double least = hand.drawing(best).map(d -> far(d, arm)).orElse(Double.POSITIVE_INFINITY);
        double near = 1e-3 * arm.getLength();
        for (Drawing d : hand.drawings()) {
            double far = far(d, arm);
            if (far < least - near) {
                least = far;
                best = d.id();
            }
        }
        return best;
    }

    private static double far(Drawing d, Geometry arm) {
        Geometry area = Regions.ofFills(d.art().shapes());
        return area.isEmpty() ? Double.POSITIVE_INFINITY : area.distance(arm);
    }

    /** What the hand hangs on, in its coordinates. */
    private static Optional<Geometry> arm(Character c, String id) {
        Evaluator rest = new Evaluator(c);
        Matrix toHand = rest.atRest(Optional.of(id)).inverse();
        return c.part(id)
                .flatMap(Part::parent)
                .flatMap(c::part)
                .filter(p -> p.role() == PartRole.FOREARM || p.role() == PartRole.UPPER_ARM)
                .flatMap(p -> p.drawing(p.shown()).map(d -> {
                    Matrix m = toHand.times(rest.atRest(Optional.of(p.id())));
                    return new AffineTransformation(m.a(), m.c(), m.e(), m.b(), m.d(), m.f())
                            .transform(Regions.ofFills(d.art().shapes()));
                }))
                .filter(g -> !g.isEmpty());
    }
}
