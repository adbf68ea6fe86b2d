package app.leeward.formats.lottie;

import java.util.ArrayList;
import java.util.List;

/**
 * What a property is at some frames.
 *
 * @param frames rising
 * @param values one for each of them, all of one length
 */
record Samples(int[] frames, double[][] values) {
    private static final double[] EVEN = {0, 0, 1, 1};

    /**
     * A key.
     *
     * @param sample which of the samples it is
     * @param ease {@code x1, y1, x2, y2} of the way to the next
     */
    record Key(int sample, double[] ease) {}

    /**
     * The fewest keys that were found from which every sample is met: from each the longest stretch is taken that one easing goes
     * through (all numbers come along at once), looked for by halves.
     *
     * @param near how far each number may be off
     */
    List<Key> keys(double near) {
        List<Key> keys = new ArrayList<>();
        int from = 0;
        int last = frames.length - 1;
        while (from < last) {
            int to = last;
            int beyond = last + 1;
            double[] ease = between(from, to, near);
            while (ease == null) {
                beyond = to;
                to = from + Math.max(1, (to - from) / 2);
                ease = between(from, to, near);
            }
            while (beyond - to > 1) {
                int tried = (to + beyond) / 2;
                double[] found = between(from, tried, near);
                if (found == null) {
                    beyond = tried;
                } else {
                    to = tried;
                    ease = found;
                }
            }
            keys.add(new Key(from, ease));
            from = to;
        }
        keys.add(new Key(last, EVEN));
        return keys;
    }

    /** The easing from one sample to another that goes through those between; null when there is none. */
    private double[] between(int from, int to, double near) {
        double[] a = values[from];
        double[] b = values[to];
        double square = 0;
        double most = 0;
        for (int i = 0; i < a.length; i++) {
            square += (b[i] - a[i]) * (b[i] - a[i]);
            most = Math.max(most, Math.abs(b[i] - a[i]));
        }
        if (most <= near) {
            for (int k = from + 1; k < to; k++) {
                if (off(k, a, b, 0) > near / 2) {
                    return null;
                }
            }
            return EVEN;
        }
        double[] u = new double[to - from - 1];
        double[] s = new double[u.length];
        for (int k = from + 1; k < to; k++) {
            double along = 0;
            for (int i = 0; i < a.length; i++) {
                along += (values[k][i] - a[i]) * (b[i] - a[i]);
            }
            s[k - from - 1] = along / square;
            u[k - from - 1] = (double) (frames[k] - frames[from]) / (frames[to] - frames[from]);
            if (off(k, a, b, along / square) > near / 2) {
                return null;
            }
        }
        return EaseFit.of(u, s, near / 2 / most);
    }

    private double off(int k, double[] a, double[] b, double share) {
        double off = 0;
        for (int i = 0; i < a.length; i++) {
            off = Math.max(off, Math.abs(a[i] + (b[i] - a[i]) * share - values[k][i]));
        }
        return off;
    }
}
