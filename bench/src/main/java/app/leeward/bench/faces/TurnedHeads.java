package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.turn.TurnMaker;
import app.leeward.render.FramePainter;
import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Turns the heads of seeded faces and counts where ground shows inside them that did not at rest. Arguments: how many faces, and
 * the first seed.
 */
public final class TurnedHeads {
    /** Thirteen angles, between stops as well as at them. */
    static final List<Double> ANGLES =
            List.of(-45.0, -37.0, -30.0, -22.0, -15.0, -7.0, 0.0, 7.0, 15.0, 22.0, 30.0, 37.0, 45.0);

    /** Through glasses one sees past the edge of the face. */
    private static final Set<PartRole> SEEN_THROUGH = Set.of(PartRole.GLASSES, PartRole.LENS);

    private TurnedHeads() {}

    /**
     * A head that turned.
     *
     * @param ground the most pixels of ground inside it beyond those at rest
     * @param at the angle at which that is
     */
    record Turned(long seed, int ground, double at) {}

    public static void main(String[] args) throws Exception {
        int faces = Integer.parseInt(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        int turned = 0;
        int open = 0;
        int most = 0;
        for (long seed = first; seed < first + faces; seed++) {
            Optional<Turned> t = turned(seed, 700);
            if (t.isEmpty()) {
                continue;
            }
            turned++;
            most = Math.max(most, t.get().ground());
            if (t.get().ground() > 0) {
                open++;
                System.out.println("seed " + seed + ": " + t.get().ground() + " pixels at "
                        + t.get().at() + "°");
            }
        }
        System.out.println(turned + " of " + faces + " heads turned at " + ANGLES.size()
                + " angles, 700 pixels wide: ground inside " + open + " of them, " + most + " pixels at the most");
    }

    /** The head of a seeded face with all that is offered taken; empty for one without a turn of its own. */
    static Optional<Turned> turned(long seed, int width) throws Exception {
        Optional<SeededHead> head = SeededHead.of(seed);
        if (head.isEmpty()) {
            return Optional.empty();
        }
        Character c = head.get().character();
        ImageShelf images = head.get().images();
        if (c.controls().turn().isEmpty() || c.dial(TurnMaker.DIAL).isEmpty()) {
            return Optional.empty();
        }
        Evaluator evaluator = new Evaluator(c);
        FramePainter painter = FramePainter.of(c, width, images);
        int rest = ground(painted(c, evaluator, painter, 0));
        Turned worst = new Turned(seed, 0, 0);
        for (double at : ANGLES) {
            int more = ground(painted(c, evaluator, painter, at)) - rest;
            worst = more > worst.ground() ? new Turned(seed, more, at) : worst;
        }
        return Optional.of(worst);
    }

    /** The head alone, without what is seen through. */
    private static BufferedImage painted(Character c, Evaluator evaluator, FramePainter painter, double turn)
            throws Exception {
        String head = c.part(PartRole.HEAD).orElseThrow().id();
        Frame frame = evaluator.frame(Pose.of(Map.of(TurnMaker.DIAL, turn)));
        return Likeness.png(painter.png(new Frame(frame.placed().stream()
                .filter(p -> c.rig().follows(p.part(), head) && !seenThrough(c, p.part()))
                .toList())));
    }

    private static boolean seenThrough(Character c, String part) {
        Part p = c.part(part).orElseThrow();
        return SEEN_THROUGH.contains(p.role())
                || p.parent()
                        .flatMap(c::part)
                        .filter(q -> SEEN_THROUGH.contains(q.role()))
                        .isPresent();
    }

    /** Pixels mostly clear that cannot be reached from outside; half clear ones at an edge lead on. */
    static int ground(BufferedImage picture) {
        int w = picture.getWidth();
        int h = picture.getHeight();
        boolean[] outside = new boolean[w * h];
        Deque<Integer> next = new ArrayDeque<>();
        for (int x = 0; x < w; x++) {
            reach(picture, x, 0, outside, next);
            reach(picture, x, h - 1, outside, next);
        }
        for (int y = 0; y < h; y++) {
            reach(picture, 0, y, outside, next);
            reach(picture, w - 1, y, outside, next);
        }
        while (!next.isEmpty()) {
            int at = next.poll();
            reach(picture, at % w - 1, at / w, outside, next);
            reach(picture, at % w + 1, at / w, outside, next);
            reach(picture, at % w, at / w - 1, outside, next);
            reach(picture, at % w, at / w + 1, outside, next);
        }
        int inside = 0;
        for (int i = 0; i < w * h; i++) {
            inside += !outside[i] && alpha(picture, i % w, i / w) < 128 ? 1 : 0;
        }
        return inside;
    }

    private static void reach(BufferedImage picture, int x, int y, boolean[] outside, Deque<Integer> next) {
        int w = picture.getWidth();
        if (x >= 0 && y >= 0 && x < w && y < picture.getHeight() && !outside[y * w + x] && alpha(picture, x, y) < 250) {
            outside[y * w + x] = true;
            next.add(y * w + x);
        }
    }

    private static int alpha(BufferedImage picture, int x, int y) {
        return picture.getRGB(x, y) >>> 24;
    }
}
