package app.leeward.bench.faces;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.transfer.Transfer;
import app.leeward.core.transfer.TransferItem;
import app.leeward.faces.Face;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Seeded faces take from each other: the rig of one onto the art of the next, as it came in. Arguments: how many pairs, and the first
 * seed.
 */
public final class TakenFaces {
    private TakenFaces() {}

    /**
     * A face that took all it could of another.
     *
     * @param offered how many things had a place
     * @param broken promises that were broken, in words
     */
    record Tried(long seed, double seconds, int offered, int without, List<String> broken) {}

    public static void main(String[] args) {
        int pairs = Integer.parseInt(args[0]);
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        List<Double> seconds = new ArrayList<>();
        int broken = 0;
        int offered = 0;
        int without = 0;
        for (long seed = first; seed < first + pairs; seed++) {
            Optional<Tried> tried = tried(seed);
            if (tried.isPresent()) {
                seconds.add(tried.get().seconds());
                offered += tried.get().offered();
                without += tried.get().without();
                broken += tried.get().broken().size();
                tried.get()
                        .broken()
                        .forEach(b -> System.out.println("seed " + tried.get().seed() + ": " + b));
            }
        }
        seconds.sort(Comparator.naturalOrder());
        System.out.printf(
                Locale.ROOT,
                "%d of %d pairs: %d things had a place, %d had none; all offered in %.2f s (median), %.2f s at most; %d promises broken%n",
                seconds.size(),
                pairs,
                offered,
                without,
                seconds.get(seconds.size() / 2),
                seconds.get(seconds.size() - 1),
                broken);
    }

    /** The face of a seed takes from that of the next; empty when one of them is refused. */
    static Optional<Tried> tried(long seed) {
        Optional<Character> to = Trial.of(Face.of(seed)).character();
        Optional<Character> from = Trial.of(Face.of(seed + 1)).character().map(CheckedFaces::rigged);
        return to.isEmpty() || from.isEmpty() ? Optional.empty() : Optional.of(tried(seed, from.get(), to.get()));
    }

    private static Tried tried(long seed, Character from, Character to) {
        long began = System.nanoTime();
        Transfer transfer = Transfer.between(from, to);
        List<TransferItem> items = transfer.items();
        double seconds = (System.nanoTime() - began) / 1e9;
        Set<String> free = items.stream()
                .filter(i -> i.fitting() == TransferItem.Fitting.WHOLE || i.fitting() == TransferItem.Fitting.PARTLY)
                .map(TransferItem::key)
                .collect(Collectors.toSet());
        List<String> broken = new ArrayList<>();
        Character after = transfer.taken(free).orElse(to);
        kept(to, after, broken);
        Map<String, TransferItem> again = new HashMap<>();
        Transfer.between(from, after).items().forEach(i -> again.put(i.key(), i));
        for (TransferItem i : items) {
            TransferItem now = again.get(i.key());
            // what came in part has the rest still missing
            if (i.fitting() == TransferItem.Fitting.WHOLE
                    && now != null
                    && now.fitting() == TransferItem.Fitting.WHOLE) {
                broken.add(i.key() + " was taken and is offered again");
            }
        }
        for (Dial d : after.controls().dials()) {
            for (double v : new double[] {d.from(), d.to()}) {
                finite(after, Pose.of(Map.of(d.id(), v)), d.name() + " at " + v, broken);
            }
        }
        after.library().looks().forEach(l -> finite(after, Pose.REST.withLooks(Map.of(l.id(), 1.0)), l.name(), broken));
        return new Tried(
                seed,
                seconds,
                (int) items.stream().filter(TransferItem::possible).count(),
                (int) items.stream().filter(i -> !i.possible()).count(),
                broken);
    }

    /** Nothing of the face that takes is lost or moved, as long as nothing is taken in its place. */
    private static void kept(Character to, Character after, List<String> broken) {
        for (Part p : to.rig().parts()) {
            Optional<Part> q = after.part(p.id());
            if (q.isEmpty()
                    || !q.get().rest().equals(p.rest())
                    || !q.get().shown().equals(p.shown())
                    || !q.get().drawings().containsAll(p.drawings())) {
                broken.add(p.name() + " is not what it was");
            }
        }
        for (Dial d : to.controls().dials()) {
            if (!after.dial(d.id()).equals(Optional.of(d))) {
                broken.add(d.name() + " is not what it was");
            }
        }
        if (!after.library().looks().containsAll(to.library().looks())) {
            broken.add("a look is gone");
        }
        List<String> order =
                after.rig().order().stream().filter(o -> to.part(o).isPresent()).toList();
        if (!order.equals(to.rig().order())) {
            broken.add("what was there lies in another order");
        }
    }

    private static void finite(Character c, Pose pose, String what, List<String> broken) {
        for (Frame.Placed p : new Evaluator(c).frame(pose).placed()) {
            double sum = p.matrix().a()
                    + p.matrix().b()
                    + p.matrix().c()
                    + p.matrix().d()
                    + p.matrix().e()
                    + p.matrix().f();
            boolean drawn = c.drawing(p.part(), p.drawing()).map(Drawing::art).isPresent();
            if (!Double.isFinite(sum) || !drawn) {
                broken.add(what + " cannot be shown");
            }
        }
    }
}
