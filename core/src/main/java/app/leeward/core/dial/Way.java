package app.leeward.core.dial;

import app.leeward.core.art.Bend;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * One part's way along one dial: the stops that name the part, and rest, where nothing is changed unless a stop stands
 * there. Compiled once a dial, read for every pose.
 */
public final class Way {
    /** How many numbers an offset is. */
    public static final int WIDTH = 10;

    private final String part;
    private final Chain chain;

    private Way(String part, Chain chain) {
        this.part = part;
        this.chain = chain;
    }

    /** The ways of every part the dial poses, in order of first mention. */
    public static List<Way> of(Dial dial) {
        Set<String> parts = new LinkedHashSet<>();
        dial.stops().forEach(s -> s.offsets().keySet().stream().sorted().forEach(parts::add));
        List<Way> ways = new ArrayList<>();
        for (String part : parts) {
            ways.add(of(dial, part));
        }
        return ways;
    }

    /** The way of one part; one that no stop names stays where it is. */
    public static Way of(Dial dial, String part) {
        Function<Stop, Optional<double[]>> numbers =
                s -> Optional.ofNullable(s.offsets().get(part)).map(Way::numbers);
        return new Way(part, chain(dial, numbers, numbers(Offset.NONE)));
    }

    /**
     * The stops that have something to say, and rest where nothing is said unless a stop stands there.
     *
     * @param said what a stop says, always as many numbers as {@code nothing}
     */
    static Chain chain(Dial dial, Function<Stop, Optional<double[]>> said, double[] nothing) {
        List<Double> at = new ArrayList<>();
        List<double[]> all = new ArrayList<>();
        List<Ease> eases = new ArrayList<>();
        boolean restPlaced = false;
        for (Stop stop : dial.stops()) {
            double[] numbers = said.apply(stop).orElse(null);
            if (!restPlaced && stop.at() >= dial.rest()) {
                restPlaced = true;
                if (stop.at() > dial.rest() || numbers == null) {
                    at.add(dial.rest());
                    all.add(nothing);
                    eases.add(Ease.EVEN);
                }
            }
            if (numbers != null) {
                at.add(stop.at());
                all.add(numbers);
                eases.add(stop.ease());
            }
        }
        if (!restPlaced) {
            at.add(dial.rest());
            all.add(nothing);
            eases.add(Ease.EVEN);
        }
        double[] flat = new double[all.size() * nothing.length];
        for (int i = 0; i < all.size(); i++) {
            System.arraycopy(all.get(i), 0, flat, i * nothing.length, nothing.length);
        }
        return new Chain(at.stream().mapToDouble(Double::doubleValue).toArray(), flat, eases, dial.rest());
    }

    /** The numbers of an offset, in the order of {@link #addTo}. */
    public static double[] numbers(Offset o) {
        return new double[] {
            o.x(),
            o.y(),
            o.rotation(),
            o.scaleX(),
            o.scaleY(),
            o.skewX(),
            o.opacity(),
            o.bend().left(),
            o.bend().middle(),
            o.bend().right()
        };
    }

    public String part() {
        return part;
    }

    /** The offset at {@code value}; before the first stop and behind the last it holds. */
    public Offset at(double value) {
        double[] n = numbers(Offset.NONE);
        addTo(n, 0, value);
        return new Offset(n[0], n[1], n[2], n[3], n[4], n[5], n[6], new Bend(n[7], n[8], n[9]));
    }

    /**
     * Adds the offset at {@code value} to {@link #WIDTH} numbers from {@code from} on (x, y, rotation, scaleX, scaleY,
     * skewX, opacity, bend left, middle, right), multiplying scales and opacity: what {@link #at} says, without making an
     * offset for each pose.
     */
    public void addTo(double[] into, int from, double value) {
        int i = chain.before(value);
        double t = chain.share(i, value);
        if (chain.even()) {
            double[] all = chain.numbers();
            int a = Math.max(0, i) * WIDTH;
            int b = t == 0 ? a : a + WIDTH;
            into[from] += between(all, a, b, t);
            into[from + 1] += between(all, a + 1, b + 1, t);
            into[from + 2] += between(all, a + 2, b + 2, t);
            into[from + 3] *= between(all, a + 3, b + 3, t);
            into[from + 4] *= between(all, a + 4, b + 4, t);
            into[from + 5] += between(all, a + 5, b + 5, t);
            into[from + 6] *= between(all, a + 6, b + 6, t);
            into[from + 7] += between(all, a + 7, b + 7, t);
            into[from + 8] += between(all, a + 8, b + 8, t);
            into[from + 9] += between(all, a + 9, b + 9, t);
            return;
        }
        for (int k = 0; k < WIDTH; k++) {
            double n = chain.number(i, t, k);
            if (k == 3 || k == 4 || k == 6) {
                into[from + k] *= n;
            } else {
                into[from + k] += n;
            }
        }
    }

    private static double between(double[] all, int a, int b, double t) {
        return all[a] + (all[b] - all[a]) * t;
    }
}
