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
        into[from] += chain.number(i, t, 0);
        into[from + 1] += chain.number(i, t, 1);
        into[from + 2] += chain.number(i, t, 2);
        into[from + 3] *= chain.number(i, t, 3);
        into[from + 4] *= chain.number(i, t, 4);
        into[from + 5] += chain.number(i, t, 5);
        into[from + 6] *= chain.number(i, t, 6);
        into[from + 7] += chain.number(i, t, 7);
        into[from + 8] += chain.number(i, t, 8);
        into[from + 9] += chain.number(i, t, 9);
    }
}
