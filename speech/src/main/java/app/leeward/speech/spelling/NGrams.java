package app.leeward.speech.spelling;

import java.util.Arrays;

/**
 * A number for each short run of units, in one flat table with open addressing: a million of them in some tens of megabytes. Runs
 * of one table have one length.
 */
final class NGrams {
    private static final double FULL = 0.6;
    private static final int LEAST = 1 << 10;

    private int[][] keys;
    private double[] values;
    private int size;

    NGrams(int expected) {
        int room = LEAST;
        while (room * FULL < Math.min(expected, 1 << 16)) {
            room *= 2;
        }
        keys = new int[room][];
        values = new double[room];
    }

    int size() {
        return size;
    }

    void add(int[] all, int from, int to, double by) {
        int at = place(all, from, to);
        if (keys[at] == null) {
            at = put(all, from, to, at);
        }
        values[at] += by;
    }

    void set(int[] all, int from, int to, double value) {
        int at = place(all, from, to);
        if (keys[at] == null) {
            at = put(all, from, to, at);
        }
        values[at] = value;
    }

    double get(int[] all, int from, int to, double otherwise) {
        int at = place(all, from, to);
        return keys[at] == null ? otherwise : values[at];
    }

    interface Each {
        void is(int[] gram, double value);
    }

    void each(Each each) {
        for (int i = 0; i < keys.length; i++) {
            if (keys[i] != null) {
                each.is(keys[i], values[i]);
            }
        }
    }

    private int put(int[] all, int from, int to, int at) {
        int place = at;
        if (++size > keys.length * FULL) {
            grow();
            place = place(all, from, to);
        }
        keys[place] = Arrays.copyOfRange(all, from, to);
        return place;
    }

    private void grow() {
        int[][] oldKeys = keys;
        double[] oldValues = values;
        keys = new int[oldKeys.length * 2][];
        values = new double[keys.length];
        for (int i = 0; i < oldKeys.length; i++) {
            if (oldKeys[i] != null) {
                int at = place(oldKeys[i], 0, oldKeys[i].length);
                keys[at] = oldKeys[i];
                values[at] = oldValues[i];
            }
        }
    }

    private int place(int[] all, int from, int to) {
        int hash = 17;
        for (int i = from; i < to; i++) {
            hash = hash * 0x01000193 + all[i] * 0x9E3779B1;
            hash ^= hash >>> 15;
        }
        hash *= 0x85EBCA6B;
        int at = (hash ^ hash >>> 13) & keys.length - 1;
        while (keys[at] != null && !Arrays.equals(keys[at], 0, keys[at].length, all, from, to)) {
            at = at + 1 & keys.length - 1;
        }
        return at;
    }
}
