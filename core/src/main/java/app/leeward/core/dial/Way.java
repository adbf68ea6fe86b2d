package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * One part's way along one dial: the stops that name the part, and rest, where nothing is changed unless a stop stands
 * there. Compiled once a dial, read for every pose.
 */
public final class Way {
    /** How many numbers an offset is. */
    public static final int WIDTH = 10;

    private final String part;
    private final double[] at;
    private final Offset[] offsets;
    /** The offsets' numbers one behind the other, so that a pose reads along one array. */
    private final double[] numbers;

    private Way(String part, double[] at, Offset[] offsets) {
        this.part = part;
        this.at = at;
        this.offsets = offsets;
        numbers = new double[offsets.length * WIDTH];
        for (int i = 0; i < offsets.length; i++) {
            Offset o = offsets[i];
            double[] all = {
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
            System.arraycopy(all, 0, numbers, i * WIDTH, WIDTH);
        }
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
        List<Double> at = new ArrayList<>();
        List<Offset> offsets = new ArrayList<>();
        boolean restPlaced = false;
        for (Stop stop : dial.stops()) {
            Offset offset = stop.offsets().get(part);
            if (!restPlaced && stop.at() >= dial.rest()) {
                restPlaced = true;
                if (stop.at() > dial.rest() || offset == null) {
                    at.add(dial.rest());
                    offsets.add(Offset.NONE);
                }
            }
            if (offset != null) {
                at.add(stop.at());
                offsets.add(offset);
            }
        }
        if (!restPlaced) {
            at.add(dial.rest());
            offsets.add(Offset.NONE);
        }
        return new Way(part, at.stream().mapToDouble(Double::doubleValue).toArray(), offsets.toArray(new Offset[0]));
    }

    public String part() {
        return part;
    }

    /** The offset at {@code value}; before the first stop and behind the last it holds. */
    public Offset at(double value) {
        if (value <= at[0]) {
            return offsets[0];
        }
        for (int i = 1; i < at.length; i++) {
            if (value < at[i]) {
                return offsets[i - 1].towards(offsets[i], (value - at[i - 1]) / (at[i] - at[i - 1]));
            }
        }
        return offsets[offsets.length - 1];
    }

    /**
     * Adds the offset at {@code value} to {@link #WIDTH} numbers from {@code from} on (x, y, rotation, scaleX, scaleY,
     * skewX, opacity, bend left, middle, right), multiplying scales and opacity: what {@link #at} says, without making an offset for each pose.
     */
    public void addTo(double[] into, int from, double value) {
        int next = 0;
        while (next < at.length && at[next] <= value) {
            next++;
        }
        int a = Math.max(0, next - 1) * WIDTH;
        int b = Math.min(at.length - 1, next) * WIDTH;
        double t = a == b ? 0 : (value - at[next - 1]) / (at[next] - at[next - 1]);
        into[from] += between(a, b, t);
        into[from + 1] += between(a + 1, b + 1, t);
        into[from + 2] += between(a + 2, b + 2, t);
        into[from + 3] *= between(a + 3, b + 3, t);
        into[from + 4] *= between(a + 4, b + 4, t);
        into[from + 5] += between(a + 5, b + 5, t);
        into[from + 6] *= between(a + 6, b + 6, t);
        into[from + 7] += between(a + 7, b + 7, t);
        into[from + 8] += between(a + 8, b + 8, t);
        into[from + 9] += between(a + 9, b + 9, t);
    }

    private double between(int a, int b, double t) {
        return numbers[a] + (numbers[b] - numbers[a]) * t;
    }
}
