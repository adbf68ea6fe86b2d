package app.leeward.core.live;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;

/**
 * Fewer points of a course of values, from which straight ways between them are nowhere further than a tolerance. Douglas and Peucker,
 * Cartographica 10 (1973), 112–122; the distance is that of the values, since the ways between keys are over frames.
 */
final class DouglasPeucker {
    private DouglasPeucker() {}

    /**
     * @param at where each value stands, rising
     * @return for each whether it is kept; the first and the last always are
     */
    static boolean[] kept(double[] at, double[] values, double tolerance) {
        boolean[] keep = new boolean[values.length];
        if (values.length == 0) {
            return keep;
        }
        keep[0] = true;
        keep[values.length - 1] = true;
        Deque<int[]> open = new ArrayDeque<>();
        open.push(new int[] {0, values.length - 1});
        while (!open.isEmpty()) {
            int[] way = open.pop();
            int furthest = -1;
            double most = tolerance;
            for (int i = way[0] + 1; i < way[1]; i++) {
                double t = (at[i] - at[way[0]]) / (at[way[1]] - at[way[0]]);
                double off = Math.abs(values[i] - values[way[0]] - t * (values[way[1]] - values[way[0]]));
                if (off > most) {
                    most = off;
                    furthest = i;
                }
            }
            if (furthest >= 0) {
                keep[furthest] = true;
                open.push(new int[] {way[0], furthest});
                open.push(new int[] {furthest, way[1]});
            }
        }
        return keep;
    }

    /** Where values change: for what is exchanged, nothing lies between two of them. */
    static boolean[] changes(double[] values) {
        boolean[] keep = new boolean[values.length];
        Arrays.fill(keep, 0, Math.min(1, keep.length), true);
        for (int i = 1; i < values.length; i++) {
            keep[i] = values[i] != values[i - 1];
        }
        return keep;
    }
}
