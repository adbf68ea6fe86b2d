package app.leeward.core.dial;

import java.util.List;

/**
 * Some numbers on their way through places along a dial, the same count of them at every place. Before the first place and
 * behind the last one they hold. Compiled once, read for every pose.
 */
final class KeyedCurve {
    private final double[] at;
    private final int width;
    private final double[] numbers;
    /** How each stretch between two places goes; null when all go evenly. */
    private final Ease[] eases;

    private final double rest;
    /** Slopes at the places, number by number; null when no stretch is smooth. */
    private final double[] slopes;

    /**
     * @param at in rising order
     * @param numbers those of the first place, then those of the second …
     * @param outwards the ease carried by each place, for the stretch that leads to it from the side of rest
     */
    KeyedCurve(double[] at, double[] numbers, List<Ease> outwards, double rest) {
        this.at = at;
        this.numbers = numbers;
        this.rest = rest;
        width = numbers.length / at.length;
        boolean even = outwards.stream().allMatch(e -> e instanceof Ease.Linear);
        eases = even ? null : new Ease[at.length];
        for (int i = 0; i + 1 < at.length && !even; i++) {
            eases[i] = outwards.get(at[i] >= rest ? i + 1 : i);
        }
        slopes = !even && outwards.contains(Ease.SMOOTH) ? slopes() : null;
    }

    /** Whether every stretch goes evenly, as most do. */
    boolean even() {
        return eases == null;
    }

    /** Where it turns, in rising order. */
    double[] places() {
        return at;
    }

    /** The place at or before a value, -1 before the first. */
    int before(double value) {
        int next = 0;
        while (next < at.length && at[next] <= value) {
            next++;
        }
        return next - 1;
    }

    /** How far along the stretch behind place {@code i} a value has come; 0 where the numbers hold. */
    double share(int i, double value) {
        if (i < 0 || i + 1 == at.length) {
            return 0;
        }
        double t = (value - at[i]) / (at[i + 1] - at[i]);
        if (eases == null || !(eases[i] instanceof Ease.Curve c)) {
            return t;
        }
        return at[i] >= rest ? c.at(t) : 1 - c.at(1 - t);
    }

    /** Number {@code k} so far along the stretch behind place {@code i}. */
    double number(int i, double share, int k) {
        int a = Math.max(0, i) * width + k;
        if (share == 0) {
            return numbers[a];
        }
        double from = numbers[a];
        double to = numbers[a + width];
        if (slopes == null || !(eases[i] instanceof Ease.Smooth)) {
            return from + (to - from) * share;
        }
        return MonotoneCubic.at(from, slopes[a], to, slopes[a + width], at[i + 1] - at[i], share);
    }

    /** For each of the numbers its slopes on the {@link MonotoneCubic}. */
    private double[] slopes() {
        int last = at.length - 1;
        double[] all = new double[numbers.length];
        for (int k = 0; k < width; k++) {
            double[] secants = new double[last];
            for (int i = 0; i < last; i++) {
                secants[i] = secant(i, k);
            }
            double[] m = new double[last + 1];
            for (int i = 0; i <= last; i++) {
                m[i] = last == 0
                        ? 0
                        : i == 0
                                ? secants[0]
                                : i == last ? secants[last - 1] : MonotoneCubic.slope(secants[i - 1], secants[i]);
            }
            MonotoneCubic.limit(secants, m);
            for (int i = 0; i <= last; i++) {
                all[i * width + k] = m[i];
            }
        }
        return all;
    }

    private double secant(int i, int k) {
        return (numbers[(i + 1) * width + k] - numbers[i * width + k]) / (at[i + 1] - at[i]);
    }
}
