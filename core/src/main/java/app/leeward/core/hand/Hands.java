package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.WristBend;
import app.leeward.core.rig.WristBend.PointWeight;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.locationtech.jts.geom.Geometry;

/**
 * Every drawing of a hand measured at the wrist, and brought onto it. The wrist all are brought to is the default drawing's: it
 * is the one the designer drew on the arm.
 */
public final class Hands {
    /** How far an arm swings when what opens at the wrist is measured, degrees. */
    public static final double SWING = 60;
    /** What may differ unseen: widths, and places as shares of the wrist's width; by eye, no source. */
    private static final double AS_WIDE = 0.08;

    private static final double THERE = 0.04;
    /** Degrees a wrist's line may be turned unseen. */
    private static final double STRAIGHT = 6;
    /** What may open: two flat ends that only touch open by a third of their width. */
    static final double GAP = 0.25;

    /** How far from the place a point stands for, in widths of the wrist, another is still the same point of its drawing. */
    private static final double ALIKE = 0.25;

    private Hands() {}

    /**
     * One drawing at the wrist, in the coordinates of its part.
     *
     * @param off how far its wrist's middle lies from where all should meet, units
     * @param ratio its wrist's width over that of the wrist all should have
     * @param turned by how much its wrist's line is turned against it, degrees
     * @param bend largest angle between its outline and the arm's where they meet, degrees; 0 without an arm
     * @param gap widest place that opens at the wrist while the arm swings; none without an arm
     * @param message what is wrong, in words; empty when nothing is
     */
    public record AtWrist(
            String drawing,
            String name,
            Optional<Wrist> wrist,
            double off,
            double ratio,
            double turned,
            double bend,
            Gap gap,
            String message) {}

    /**
     * A hand.
     *
     * @param arm id of the part it hangs on, when that draws something
     * @param place from the arm's coordinates to the hand's
     * @param wrist where all drawings should meet the arm, in the hand's coordinates; empty when no drawing has an area
     */
    public record Hand(
            String part,
            String name,
            Optional<String> arm,
            Optional<Matrix> place,
            Optional<Wrist> wrist,
            List<AtWrist> drawings) {}

    /** Every hand with drawings. */
    public static List<Hand> of(Character c) {
        return c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.HAND && !p.drawings().isEmpty())
                .map(p -> hand(c, p))
                .toList();
    }

    private static Hand hand(Character c, Part hand) {
        Optional<Arm> arm = arm(c, hand);
        Point side = armSide(hand, arm);
        Optional<Wrist> wanted = wanted(hand, side);
        Optional<Joint> joint = wanted.flatMap(w -> arm.map(a -> Joint.of(w, a.fills)));
        Optional<WristBend> bends = c.wristBend(hand.id());
        CutEnd model = new CutEnd(hand);
        List<AtWrist> drawings = hand.drawings().parallelStream()
                .map(d -> measured(d, own(model, d, side, wanted), arm, joint, wanted, bends))
                .toList();
        return new Hand(hand.id(), hand.name(), arm.map(a -> a.part), arm.map(a -> a.place), wanted, drawings);
    }

    /** The forearm in the coordinates of the hand. */
    private record Arm(
            String part, Matrix place, Artwork art, List<Geometry> fills, Optional<WristFinder.Outline> outline) {}

    private static Optional<Arm> arm(Character c, Part hand) {
        Evaluator rest = new Evaluator(c);
        Matrix toHand = rest.atRest(Optional.of(hand.id())).inverse();
        return hand.parent().flatMap(c::part).flatMap(p -> p.drawing(p.shown()).map(d -> {
            Matrix place = toHand.times(rest.atRest(Optional.of(p.id())));
            Artwork art = d.art().transform(place);
            return new Arm(p.id(), place, art, Joint.fills(art), WristFinder.outline(art));
        }));
    }

    /** Where a drawing's wrist is: where somebody put it, or where it is found. */
    private static Optional<Wrist> wrist(Drawing d, Point side) {
        return d.wrist().or(() -> WristFinder.of(d.art(), side, true).map(WristFinder.End::wrist));
    }

    /**
     * A drawing that lies elsewhere than on its arm, as on a sheet, points any way: its wrist is where the whole outline says it was cut,
     * with what the wrist all should have is to the cut end of the drawing on the arm. One on its arm is never turned round. Of one that was
     * brought there by its middle alone no wrist is known: a guess would be mended to, and be wrong.
     */
    private static Optional<Wrist> own(CutEnd model, Drawing d, Point side, Optional<Wrist> wanted) {
        if (d.unplaced()) {
            return Optional.empty();
        }
        Optional<Wrist> there = wrist(d, side);
        if (d.wrist().isPresent() || there.isEmpty() || wanted.isEmpty() || onArm(there.get(), wanted.get())) {
            return there;
        }
        Optional<Wrist> cut = WristSearch.sure(d.art());
        return cut.flatMap(c -> model.get().map(m -> wanted.get().transform(m.onto(c, false))))
                .or(() -> there);
    }

    /** Where the drawing on the arm was cut: only looked for when another lies elsewhere, and once for all of them. */
    private static final class CutEnd {
        private final Part hand;
        private Optional<Wrist> found;

        CutEnd(Part hand) {
            this.hand = hand;
        }

        synchronized Optional<Wrist> get() {
            if (found == null) {
                found = onTheArm(hand).flatMap(d -> WristSearch.sure(d.art()));
            }
            return found;
        }
    }

    private static Optional<Drawing> onTheArm(Part hand) {
        return hand.drawing(hand.shown()).or(() -> hand.drawings().stream().findFirst());
    }

    private static boolean onArm(Wrist own, Wrist wanted) {
        return own.middle().distance(wanted.middle()) < wanted.width() && Math.abs(turned(wanted, own)) < 60;
    }

    /** Which way the arm lies: its middle, or up the body when it draws nothing. */
    private static Point armSide(Part hand, Optional<Arm> arm) {
        return arm.flatMap(a -> a.art.bounds()).map(Box::centre).orElseGet(() -> hand.pivot()
                .minus(new Point(0, 1e4)));
    }

    private static Optional<Wrist> wanted(Part hand, Point side) {
        return onTheArm(hand).flatMap(d -> wrist(d, side));
    }

    private static AtWrist measured(
            Drawing d,
            Optional<Wrist> own,
            Optional<Arm> arm,
            Optional<Joint> joint,
            Optional<Wrist> wanted,
            Optional<WristBend> bends) {
        if (own.isEmpty() || wanted.isEmpty()) {
            return new AtWrist(
                    d.id(),
                    d.name(),
                    own,
                    0,
                    1,
                    0,
                    0,
                    Gap.NONE,
                    d.unplaced()
                            ? "It does not lie on its arm, and where it was cut off is not certain; put the two points of its wrist"
                                    + " there."
                            : "It has no area, so no wrist is found; put its two points there.");
        }
        Wrist w = own.get();
        Wrist to = wanted.get();
        double off = w.middle().distance(to.middle());
        double ratio = w.width() / to.width();
        double turned = turned(to, w);
        Gap gap = joint.map(j -> j.gap(by -> swung(d, w, to, bends, by))).orElse(Gap.NONE);
        double bend = arm.map(a -> bend(d.art(), a)).orElse(0.0);
        List<String> told = new ArrayList<>();
        if (off > THERE * to.width()) {
            told.add(say("its wrist lies %.1f beside the others'", off));
        }
        if (Math.abs(turned) > STRAIGHT) {
            told.add(say("it is turned by %.0f°", turned));
        }
        if (Math.abs(ratio - 1) > AS_WIDE) {
            told.add(say("its wrist is %.0f %% as wide", 100 * ratio));
        }
        if (told.isEmpty() && gap.width() > GAP * to.width()) {
            told.add(say("a gap of %.1f opens when the arm swings", gap.width()));
        }
        return new AtWrist(d.id(), d.name(), own, off, ratio, turned, bend, gap, String.join(", ", told));
    }

    private static String say(String words, double number) {
        return String.format(Locale.ROOT, words, number);
    }

    /** Degrees from one wrist's line to another's, -180 to 180. */
    private static double turned(Wrist from, Wrist to) {
        Point a = from.second().minus(from.first());
        Point b = to.second().minus(to.first());
        return Math.toDegrees(Math.atan2(a.x() * b.y() - a.y() * b.x(), a.x() * b.x() + a.y() * b.y()));
    }

    /** Both outlines where they meet: how far from straight on they go, the larger of the two sides. */
    private static double bend(Artwork hand, Arm arm) {
        Optional<Point> middle = hand.bounds().map(Box::centre);
        Optional<Point> elbow = arm.art.bounds().map(Box::centre);
        if (middle.isEmpty() || elbow.isEmpty()) {
            return 0;
        }
        Optional<WristFinder.End> h = WristFinder.of(hand, elbow.get(), true);
        Optional<WristFinder.End> a = arm.outline.flatMap(o -> WristFinder.of(o, middle.get(), false));
        if (h.isEmpty() || a.isEmpty()) {
            return 0;
        }
        return Math.max(
                beyond(h.get().firstGoes(), a.get().firstGoes()),
                beyond(h.get().secondGoes(), a.get().secondGoes()));
    }

    /** How far two ways out of one point are from opposite each other, degrees. */
    private static double beyond(Point a, Point b) {
        return 180 - Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, a.x() * b.x() + a.y() * b.y()))));
    }

    /** A drawing turned about the wrist's middle, degrees; where the wrist bends, with what stays on the arm. */
    private static Artwork swung(Drawing d, Wrist own, Wrist at, Optional<WristBend> bends, double by) {
        Matrix turn = about(at.middle(), by);
        return bends.map(b -> b.bent(d.art(), own, d.id(), turn.inverse()))
                .orElse(d.art())
                .transform(turn);
    }

    private static Matrix about(Point m, double by) {
        return new Placement(0, 0, by, 1, 1, 0, 1).matrix(m);
    }

    /**
     * A drawing of a hand whose wrist bends.
     *
     * @param outlines of its shapes while the hand is turned, in the coordinates of the drawing before it is turned
     * @param weights of the points each outline's segments end in: 1 to stay with the arm, 0 to go with the hand
     */
    public record Bent(List<Path> outlines, List<double[]> weights) {}

    /**
     * The drawings of a hand turned about the wrist all should have, by drawing; none where the wrist does not bend, and none of
     * drawings whose wrist is not known.
     *
     * @param by degrees
     */
    public static Map<String, Bent> bentBy(Character c, String part, double by) {
        Map<String, Bent> out = new TreeMap<>();
        Optional<Part> hand = c.part(part);
        Optional<WristBend> bend = c.wristBend(part);
        Optional<Wrist> at = hand.flatMap(h -> wanted(h, armSide(h, arm(c, h))));
        if (bend.isEmpty() || at.isEmpty()) {
            return out;
        }
        Matrix still = about(at.get().middle(), by).inverse();
        for (Drawing d : hand.get().drawings()) {
            c.wrist(part, d.id()).ifPresent(own -> {
                List<double[]> weights = new ArrayList<>();
                for (Shape s : d.art().shapes()) {
                    weights.add(bend.get().ofPoints(own, d.id(), weights.size(), s.path()));
                }
                List<Path> outlines = bend.get().bent(d.art(), own, d.id(), still).shapes().stream()
                        .map(Shape::path)
                        .toList();
                out.put(d.id(), new Bent(outlines, weights));
            });
        }
        return out;
    }

    /**
     * A drawing brought onto the wrist of the default one: its art turned, scaled and moved.
     *
     * @param keepSize its size stays as it was drawn
     * @return empty when part, drawing or wrist is not there
     */
    public static Optional<Character> registered(Character c, String part, String drawing, boolean keepSize) {
        Optional<Part> hand = c.part(part);
        Optional<Drawing> d = hand.flatMap(p -> p.drawing(drawing));
        if (d.isEmpty()) {
            return Optional.empty();
        }
        Point side = armSide(hand.get(), arm(c, hand.get()));
        Optional<Wrist> to = wanted(hand.get(), side);
        Optional<Wrist> own = own(new CutEnd(hand.get()), d.get(), side, to);
        if (own.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        Matrix m = own.get().onto(to.get(), keepSize);
        Wrist there = own.get().transform(m);
        // where it is found again depends on the outline's new place; it is known now
        return Optional.of(
                c.withPart(part, p -> p.withDrawing(drawing, x -> x.transform(m).withWrist(Optional.of(there)))));
    }

    /**
     * Drawings that were not drawn on their arm, turned any way, brought onto it: where each was cut is laid on where the default one was.
     *
     * @param drawings ids
     * @return those for which it is certain where they were cut, in the coordinates of the hand; none where it is not for the default one
     */
    public static List<Drawing> laidOn(Character c, String part, Collection<String> drawings) {
        Part hand = c.part(part).orElseThrow();
        List<Drawing> all = hand.drawings();
        List<Optional<Wrist>> cut = WristVote.of(all.stream().map(Drawing::art).toList());
        Optional<Wrist> model = onTheArm(hand).flatMap(d -> cut.get(all.indexOf(d)));
        Optional<Wrist> to = wanted(hand, armSide(hand, arm(c, hand)));
        List<Drawing> laid = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (drawings.contains(all.get(i).id())
                    && model.isPresent()
                    && cut.get(i).isPresent()) {
                Matrix m = cut.get(i).get().onto(model.get(), false);
                laid.add(all.get(i).transform(m).withWrist(to));
            }
        }
        return laid;
    }

    /** With the wrist of every drawing of a hand said where it is found, so that it stays there. */
    public static Character withWristsFound(Character c, String part) {
        Part hand = c.part(part).orElseThrow();
        Point side = armSide(hand, arm(c, hand));
        return c.withPart(
                part,
                p -> p.withDrawings(p.drawings().stream()
                        .map(d -> d.withWrist(wrist(d, side)))
                        .toList()));
    }

    /**
     * The points on a hand's other drawings that stand for one of a drawing: of all shapes in the same role the nearest when both
     * wrists are laid on each other.
     */
    public static List<PointWeight> alike(Character c, String part, String drawing, int shape, int at, double weight) {
        List<PointWeight> out = new ArrayList<>();
        Part hand = c.part(part).orElseThrow();
        Shape from = hand.drawing(drawing).orElseThrow().art().shapes().get(shape);
        Optional<Wrist> own = c.wrist(part, drawing);
        Point place = PathPoints.place(from.path(), at, PathPoints.Hold.POINT);
        for (Drawing d : hand.drawings()) {
            Optional<Wrist> to = c.wrist(part, d.id());
            if (d.id().equals(drawing) || own.isEmpty() || to.isEmpty()) {
                continue;
            }
            Point wanted = own.get().onto(to.get(), false).apply(place);
            List<Shape> shapes = d.art().shapes();
            PointWeight best = null;
            double nearest = ALIKE * to.get().width();
            for (int s = 0; s < shapes.size(); s++) {
                List<Segment> segments = shapes.get(s).path().segments();
                for (int i = 0; i < segments.size() && shapes.get(s).role() == from.role(); i++) {
                    if (segments.get(i) instanceof Segment.Close) {
                        continue;
                    }
                    double far = PathPoints.place(shapes.get(s).path(), i, PathPoints.Hold.POINT)
                            .distance(wanted);
                    if (far < nearest) {
                        nearest = far;
                        best = new PointWeight(d.id(), s, i, weight);
                    }
                }
            }
            if (best != null) {
                out.add(best);
            }
        }
        return out;
    }
}
