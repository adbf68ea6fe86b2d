package app.leeward.bench.faces;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Draws the heads of seeded faces as they are turned by 30°, forgets where they came from, and has them turned from there: whether the
 * angle is found, and how far features lie off once the head looks to the front again. Arguments: how many faces, and the first seed.
 */
public final class DrawnHeads {
    static final double DRAWN = 30;

    private DrawnHeads() {}

    /**
     * @param atFront degrees the head is taken to be turned as it was drawn from the front: 0 is right
     * @param found the same once it was drawn turned; 0 where nothing was found
     * @param off how far an eye lies off in the front view made from that, as a share of the head's width
     */
    record Tried(long seed, double atFront, double found, double off) {}

    public static void main(String[] args) throws Exception {
        int faces = Integer.parseInt(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        int heads = 0;
        int mistaken = 0;
        int found = 0;
        double furthest = 0;
        double off = 0;
        for (long seed = first; seed < first + faces; seed++) {
            Optional<Tried> t = tried(seed);
            if (t.isEmpty()) {
                continue;
            }
            heads++;
            mistaken += t.get().atFront() != 0 ? 1 : 0;
            off = Math.max(off, t.get().off());
            if (t.get().found() != 0) {
                found++;
                furthest = Math.max(furthest, Math.abs(t.get().found() - DRAWN));
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%d heads: %d from the front taken for turned; drawn at %.0f°, %d found, %.0f° off at the most;"
                        + " back at the front an eye lies up to %.1f %% of the head's width off%n",
                heads,
                mistaken,
                DRAWN,
                found,
                furthest,
                100 * off);
    }

    /** Empty for a face without a head that turns by itself. */
    static Optional<Tried> tried(long seed) throws Exception {
        Optional<SeededHead> head = SeededHead.of(seed);
        if (head.isEmpty()) {
            return Optional.empty();
        }
        Character c = head.get().character();
        Optional<HeadShape> shape = TurnMaker.fitted(c);
        if (shape.isEmpty() || c.controls().views().isPresent()) {
            return Optional.empty();
        }
        Character front = TurnMaker.make(bare(c), shape.get().withDrawn(0));
        Frame frame = new Evaluator(front).frame(Pose.of(Map.of(TurnMaker.DIAL, DRAWN)));
        Character drawn = drawn(front, frame);
        double found = TurnMaker.fitted(drawn).map(HeadShape::drawn).orElse(0.0);
        Character again = TurnMaker.make(drawn, shape.get().withDrawn(DRAWN));
        double width = 2 * HeadSolids.of(c, shape.get()).orElseThrow().halfWidth();
        double off = c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.WHITE)
                .mapToDouble(p -> middle(front, p.id())
                        .flatMap(at -> middle(again, p.id()).map(at::distance))
                        .orElse(0.0))
                .max()
                .orElse(0);
        return Optional.of(new Tried(seed, shape.get().drawn(), found, off / width));
    }

    private static Character bare(Character c) {
        return c.withDials(List.of(), List.of())
                .withControls(k -> k.withTurn(Optional.empty()).withCorrectives(List.of()));
    }

    /** The character as if a frame of it had been drawn. */
    private static Character drawn(Character c, Frame frame) {
        Character out = bare(c);
        for (Part p : c.rig().parts()) {
            Optional<Frame.Placed> placed = frame.of(p.id());
            out = out.withPart(p.id(), q -> {
                Part flat = q.with(b -> b.rest(Placement.REST).earlierPivots(List.of()));
                return placed.flatMap(f -> q.drawing(f.drawing())
                                .map(d -> flat.withDrawings(
                                        List.of(new Drawing(
                                                d.id(),
                                                d.name(),
                                                f.shown(d.art()).transform(f.matrix()))),
                                        d.id())))
                        .orElseGet(() -> flat.withDrawings(List.of(), Part.NOTHING));
            });
        }
        return out;
    }

    /** Where the middle of what a part shows lies from the front. */
    private static Optional<Point> middle(Character c, String part) {
        return new Evaluator(c)
                .frame(Pose.of(Map.of(TurnMaker.DIAL, 0.0)))
                .of(part)
                .flatMap(p -> c.part(part)
                        .flatMap(q -> q.drawing(p.drawing()))
                        .flatMap(d -> p.shown(d.art()).transform(p.matrix()).bounds())
                        .map(b -> b.centre()));
    }
}
