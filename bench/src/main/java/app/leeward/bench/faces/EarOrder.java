package app.leeward.bench.faces;

import app.leeward.core.art.Point;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.SetSolid;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Holds the order in which turned heads are drawn against depths: each ear, said to come before the near side, is a point beside an
 * elliptic cylinder as wide and deep as the head is there, which is turned in space; where both lie over one another the nearer one
 * has to be drawn later. Arguments: how many faces, and the first seed.
 */
public final class EarOrder {
    static final List<Double> ANGLES = List.of(-45.0, -30.0, -12.0, 12.0, 30.0, 45.0);
    /** How far beside the head the point lies, as a share of its half width there. */
    private static final double BESIDE = 1.04;

    private static final int AROUND = 720;

    private EarOrder() {}

    /**
     * @param compared places at which an ear and the face lie over one another
     * @param wrong those at which the further one is drawn later, in words
     */
    record Order(int compared, List<String> wrong) {}

    public static void main(String[] args) throws Exception {
        int faces = Integer.parseInt(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        int heads = 0;
        int compared = 0;
        List<String> wrong = new ArrayList<>();
        for (long seed = first; seed < first + faces; seed++) {
            Order order = order(seed);
            heads += order.compared() > 0 ? 1 : 0;
            compared += order.compared();
            wrong.addAll(order.wrong());
        }
        wrong.forEach(System.out::println);
        System.out.println(faces + " heads, " + heads + " of them with ears at their sides: " + compared
                + " places where an ear and the face lie over one another, " + wrong.size() + " in the wrong order");
    }

    static Order order(long seed) throws Exception {
        Optional<SeededHead> head = SeededHead.of(seed);
        if (head.isEmpty()) {
            return new Order(0, List.of());
        }
        Character c = head.get().character();
        if (c.controls().turn().isEmpty() || c.dial(TurnMaker.DIAL).isEmpty()) {
            return new Order(0, List.of());
        }
        List<String> ears = c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.EAR)
                .map(p -> p.id())
                .toList();
        for (String ear : ears) {
            if (Edits.apply(c, SetSolid.of(ear, Optional.of(SolidKind.EAR), 0)) instanceof Outcome.Done done) {
                c = done.character();
            }
        }
        HeadShape shape = c.controls().turn().orElseThrow().shape();
        HeadSolids solids = HeadSolids.of(c, shape).orElseThrow();
        Evaluator evaluator = new Evaluator(c);
        int compared = 0;
        List<String> wrong = new ArrayList<>();
        for (String ear : ears) {
            if (!solids.pieces().contains(ear)
                    || solids.upright(ear)
                    || solids.carried(ear).isEmpty()) {
                continue;
            }
            for (double yaw : ANGLES) {
                Optional<Boolean> nearer = nearer(solids, shape, solids.root(ear), yaw);
                if (nearer.isEmpty()) {
                    continue;
                }
                compared++;
                Frame frame = evaluator.frame(Pose.of(Map.of(TurnMaker.DIAL, yaw)));
                List<String> order =
                        frame.placed().stream().map(Frame.Placed::part).toList();
                for (String piece : solids.carried(ear)) {
                    boolean later = order.indexOf(piece) > order.indexOf(solids.skin());
                    if (order.contains(piece) && later != nearer.get()) {
                        wrong.add("seed " + seed + ": " + piece + " at " + yaw + "°");
                    }
                }
            }
        }
        return new Order(compared, wrong);
    }

    /** Whether an ear lies nearer to the viewer than the head does there; empty where it lies beside it. */
    private static Optional<Boolean> nearer(HeadSolids solids, HeadShape shape, Point root, double yaw) {
        double c = Math.cos(Math.toRadians(yaw));
        double s = Math.sin(Math.toRadians(yaw));
        double half = solids.halfWidth();
        double out = Math.abs(root.x() - solids.axis());
        double deep = (shape.front() + shape.back()) / 2 * half;
        double middle = (shape.front() - shape.back()) / 2 * half;
        double earX = Math.signum(root.x() - solids.axis()) * BESIDE * out;
        double x = earX * c + middle * s;
        double z = middle * c - earX * s;
        double front = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < AROUND; i++) {
            double t = 2 * Math.PI * i / AROUND;
            double px = out * Math.cos(t);
            double pz = middle + deep * Math.sin(t);
            if (Math.abs(px * c + pz * s - x) < 0.02 * half) {
                front = Math.max(front, pz * c - px * s);
            }
        }
        return front == Double.NEGATIVE_INFINITY ? Optional.empty() : Optional.of(z > front);
    }
}
