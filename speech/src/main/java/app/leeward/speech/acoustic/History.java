package app.leeward.speech.acoustic;

import java.util.Arrays;

/**
 * Every entry into a sound that a way in the search has made: which, when, and the entry before. Those that no way leads back to
 * any more are forgotten when there are many, so that memory grows with the ways and not with the recording.
 */
final class History {
    /** Before the first sound. */
    static final int NONE = -1;

    private static final int FEW = 1 << 16;

    private int size;
    private int limit = FEW;
    private int[] node = new int[FEW];
    private int[] frame = new int[FEW];
    private int[] before = new int[FEW];

    int add(int ofNode, int atFrame, int by) {
        if (size == node.length) {
            node = Arrays.copyOf(node, size * 2);
            frame = Arrays.copyOf(frame, size * 2);
            before = Arrays.copyOf(before, size * 2);
        }
        node[size] = ofNode;
        frame[size] = atFrame;
        before[size] = by;
        return size++;
    }

    int node(int entry) {
        return node[entry];
    }

    int frame(int entry) {
        return frame[entry];
    }

    int before(int entry) {
        return before[entry];
    }

    /** Whether it is time to forget. */
    boolean full() {
        return size >= limit;
    }

    /** Forgets what none of the numbers lead back to, and puts the new numbers of what is left in their place. */
    void keep(int[]... living) {
        int[] kept = new int[size];
        for (int[] some : living) {
            for (int entry : some) {
                for (int e = entry; e != NONE && kept[e] == 0; e = before[e]) {
                    kept[e] = 1;
                }
            }
        }
        int next = 0;
        for (int e = 0; e < size; e++) {
            if (kept[e] == 1) {
                // an entry comes behind the one before it, so that one has its new number already
                node[next] = node[e];
                frame[next] = frame[e];
                before[next] = before[e] == NONE ? NONE : kept[before[e]];
                kept[e] = next++;
            } else {
                kept[e] = NONE;
            }
        }
        size = next;
        limit = Math.max(FEW, 2 * size);
        for (int[] some : living) {
            for (int i = 0; i < some.length; i++) {
                some[i] = some[i] == NONE ? NONE : kept[some[i]];
            }
        }
    }
}
