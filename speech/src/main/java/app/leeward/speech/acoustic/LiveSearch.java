package app.leeward.speech.acoustic;

import java.util.Arrays;

/**
 * The best way through a loop of all sounds (Viterbi, 1967), told a fixed number of frames late: what the way that is best now went
 * through then. The same work and memory for each frame, however long it goes on.
 */
final class LiveSearch {
    private static final int STATES = AcousticModel.STATES;
    private static final int UNITS = AcousticUnit.SILENCE + 1;
    private static final float NEVER = Float.NEGATIVE_INFINITY;

    /** By how much what follows what counts beside what is heard: best of 1, 2 and 4 over twenty sentences by three voices. */
    private static final float PAIRS = 2;

    /** For a sound in a frame that is too quiet for one, natural logarithm. */
    private static final float NOT_SPOKEN = 200;

    private final AcousticModel model;
    private final SoundPairs pairs;
    private final int late;
    /** The state before each state of the last frames. */
    private final int[][] came;

    private float[] score = new float[UNITS * STATES];
    private float[] next = new float[UNITS * STATES];
    private final float[] out = new float[UNITS];
    private int frame;

    /** @param late frames that are waited for before a sound is told */
    LiveSearch(AcousticModel model, SoundPairs pairs, int late) {
        this.model = model;
        this.pairs = pairs;
        this.late = late;
        came = new int[late + 1][UNITS * STATES];
        Arrays.fill(score, NEVER);
        score[AcousticUnit.SILENCE * STATES] = 0;
    }

    /**
     * Goes on by one frame.
     *
     * @param at the number the scores have for it
     * @param silent whether nobody can be speaking in it
     * @return the unit that was {@code late} frames before; -1 as long as there is none
     */
    int step(Scores scores, int at, boolean silent) {
        int[] before = came[frame % came.length];
        for (int u = 0; u < UNITS; u++) {
            out[u] = score[u * STATES + STATES - 1] + model.leave(u, STATES - 1);
        }
        float best = NEVER;
        int bestState = 0;
        for (int u = 0; u < UNITS; u++) {
            int[] states = model.states(u);
            for (int s = STATES - 1; s >= 0; s--) {
                int here = u * STATES + s;
                float most = score[here] + model.stay(u, s);
                int from = here;
                if (s > 0) {
                    float on = score[here - 1] + model.leave(u, s - 1);
                    if (on > most) {
                        most = on;
                        from = here - 1;
                    }
                } else {
                    for (int o = 0; o < UNITS; o++) {
                        float entered = out[o] + PAIRS * pairs.follows(o, u);
                        if (entered > most) {
                            most = entered;
                            from = o * STATES + STATES - 1;
                        }
                    }
                }
                next[here] = most + scores.of(at, states[s]) - (silent && u != AcousticUnit.SILENCE ? NOT_SPOKEN : 0);
                before[here] = from;
                if (next[here] > best) {
                    best = next[here];
                    bestState = here;
                }
            }
        }
        for (int i = 0; i < next.length; i++) {
            next[i] -= best;
        }
        float[] swap = score;
        score = next;
        next = swap;
        int state = bestState;
        for (int back = 0; back < late && back < frame; back++) {
            state = came[(frame - back) % came.length][state];
        }
        return frame++ < late ? -1 : state / STATES;
    }
}
