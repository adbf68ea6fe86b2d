package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * One part's way along one dial: the stops that name the part, and rest, where nothing is changed unless a stop stands
 * there. Compiled once a dial, read for every pose.
 */
public final class OffsetCurve {
    private final String part;
    /** The channels some stop says something about: those that are added first, then those that are multiplied. */
    private final List<Channel> channels;

    private final int added;
    private final KeyedCurve chain;

    private OffsetCurve(String part, List<Channel> channels, KeyedCurve chain) {
        this.part = part;
        this.channels = channels;
        this.chain = chain;
        added = (int) channels.stream()
                .filter(c -> c.combining() == Channel.Combining.ADDED)
                .count();
    }

    /** The ways of every part the dial poses, in order of first mention. */
    public static List<OffsetCurve> of(Dial dial) {
        Set<String> parts = new LinkedHashSet<>();
        dial.stops().forEach(s -> s.offsets().keySet().stream().sorted().forEach(parts::add));
        List<OffsetCurve> ways = new ArrayList<>();
        for (String part : parts) {
            ways.add(of(dial, part));
        }
        return ways;
    }

    /** The way of one part; one that no stop names stays where it is. */
    public static OffsetCurve of(Dial dial, String part) {
        List<Channel> channels = dial.stops().stream()
                .flatMap(s -> Optional.ofNullable(s.offsets().get(part)).stream())
                .flatMap(o -> o.channels().stream())
                .distinct()
                .sorted(Comparator.comparing(Channel::combining).thenComparing(Channel::id))
                .toList();
        Function<Stop, Optional<double[]>> numbers =
                s -> Optional.ofNullable(s.offsets().get(part)).map(o -> numbers(channels, o));
        return new OffsetCurve(part, channels, chain(dial, numbers, numbers(channels, Offset.NONE)));
    }

    private static double[] numbers(List<Channel> channels, Offset o) {
        return channels.stream().mapToDouble(o::of).toArray();
    }

    /**
     * The stops that have something to say, and rest where nothing is said unless a stop stands there.
     *
     * @param said what a stop says, always as many numbers as {@code nothing}
     */
    static KeyedCurve chain(Dial dial, Function<Stop, Optional<double[]>> said, double[] nothing) {
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
                    eases.add(Ease.LINEAR);
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
            eases.add(Ease.LINEAR);
        }
        double[] flat = new double[all.size() * nothing.length];
        for (int i = 0; i < all.size(); i++) {
            System.arraycopy(all.get(i), 0, flat, i * nothing.length, nothing.length);
        }
        return new KeyedCurve(at.stream().mapToDouble(Double::doubleValue).toArray(), flat, eases, dial.rest());
    }

    public String part() {
        return part;
    }

    /** The channels some stop says something about. */
    public List<Channel> channels() {
        return channels;
    }

    KeyedCurve chain() {
        return chain;
    }

    /** The offset at {@code value}; before the first stop and behind the last it holds. */
    public Offset at(double value) {
        int i = chain.before(value);
        double t = chain.share(i, value);
        Map<Channel, Double> said = new HashMap<>();
        for (int k = 0; k < channels.size(); k++) {
            said.put(channels.get(k), chain.number(i, t, k));
        }
        return Offset.of(said);
    }

    /**
     * Combines the offset at {@code value} with numbers that are there: what {@link #at} says, without making an offset for each
     * pose.
     *
     * @param slots where in {@code into} the number of each of {@link #channels} is
     */
    public void addTo(double[] into, int[] slots, double value) {
        int i = chain.before(value);
        double t = chain.share(i, value);
        for (int k = 0; k < added; k++) {
            into[slots[k]] += chain.number(i, t, k);
        }
        for (int k = added; k < slots.length; k++) {
            into[slots[k]] *= chain.number(i, t, k);
        }
    }
}
