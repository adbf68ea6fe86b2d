package app.leeward.core.dial;

import java.util.Arrays;
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
        double h = at[i + 1] - at[i];
        double t = share;
        double s = 1 - t;
        return (1 + 2 * t) * s * s * from
                + t * s * s * h * slopes[a]
                + t * t * (3 - 2 * t) * to
                + t * t * (t - 1) * h * slopes[a + width];
    }

    /**
     * Slopes that keep each stretch between the values at its ends: F. N. Fritsch and R. E. Carlson, Monotone piecewise cubic
     * interpolation, SIAM J. Numer. Anal. 17 (1980) 238–246, with their circle of radius 3.
     */
    private double[] slopes() {
        int last = at.length - 1;
        double[] m = new double[numbers.length];
        for (int k = 0; k < width; k++) {
            for (int i = 0; i <= last; i++) {
                double before = i == 0 ? 0 : secant(i - 1, k);
                double after = i == last ? 0 : secant(i, k);
                m[i * width + k] = i == 0 ? after : i == last ? before : before * after <= 0 ? 0 : (before + after) / 2;
            }
            // both stretches at a stop are looked at before it is changed, so that a mirrored dial goes the mirrored
            // way
            double[] less = new double[last + 1];
            Arrays.fill(less, 1);
            for (int i = 0; i < last; i++) {
                double d = secant(i, k);
                double steep = d == 0 ? 0 : Math.hypot(m[i * width + k], m[(i + 1) * width + k]) / Math.abs(d);
                double most = d == 0 ? 0 : steep > 3 ? 3 / steep : 1;
                less[i] = Math.min(less[i], most);
                less[i + 1] = Math.min(less[i + 1], most);
            }
            for (int i = 0; i <= last; i++) {
                m[i * width + k] *= less[i];
            }
        }
        return m;
    }

    private double secant(int i, int k) {
        return (numbers[(i + 1) * width + k] - numbers[i * width + k]) / (at[i + 1] - at[i]);
    }
}
