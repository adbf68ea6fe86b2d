package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A control with a range and a rest value that poses parts. Its value never depends on where it hangs, and outside its
 * range it holds.
 *
 * @param unit shown behind the value, for example {@code °}; may be empty
 * @param stops in rising order; a part's way runs evenly through the stops that name it and through rest
 * @param bands at most one entry a part
 */
public record Dial(
        String id,
        String name,
        Purpose purpose,
        double from,
        double to,
        double rest,
        String unit,
        List<Stop> stops,
        List<Bands> bands) {
    public Dial {
        Numbers.finite("range", from + to + rest);
        if (!(from < to)) {
            throw new IllegalArgumentException("dial '" + name + "' has an empty range: " + from + " to " + to);
        }
        if (rest < from || rest > to) {
            throw new IllegalArgumentException("dial '" + name + "' rests at " + rest + ", outside its range");
        }
        List<Stop> sorted = new ArrayList<>(stops);
        sorted.sort(Comparator.comparingDouble(Stop::at));
        for (int i = 0; i < sorted.size(); i++) {
            double at = sorted.get(i).at();
            if (at < from || at > to) {
                throw new IllegalArgumentException("dial '" + name + "' has a stop at " + at + ", outside its range");
            }
            if (i > 0 && at == sorted.get(i - 1).at()) {
                throw new IllegalArgumentException("dial '" + name + "' has two stops at " + at);
            }
        }
        stops = List.copyOf(sorted);
        bands = List.copyOf(bands);
        if (bands.stream().map(Bands::part).distinct().count() != bands.size()) {
            throw new IllegalArgumentException("dial '" + name + "' exchanges one part's drawings twice");
        }
    }

    /** {@code value} held inside the range. */
    public double hold(double value) {
        return Math.min(to, Math.max(from, value));
    }

    /** How far {@code value} is from rest, as a share of the whole range, 0 to 1. */
    public double share(double value) {
        return Math.abs(hold(value) - rest) / (to - from);
    }
}
