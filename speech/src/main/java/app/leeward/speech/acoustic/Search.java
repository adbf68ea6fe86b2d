package app.leeward.speech.acoustic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Finds the best way through a graph of sounds for the frames of a recording, frame by frame (Viterbi, 1967). Exact as long as
 * nothing falls behind the best by more than the beam. Nodes are numbered along the line, so that only those between the first
 * and the last with a way in it are looked at.
 */
final class Search {
    private static final int STATES = AcousticModel.STATES;
    private static final float NEVER = Float.NEGATIVE_INFINITY;

    private final AcousticModel model;
    private final SoundGraph graph;
    private final float beam;
    private final int end;
    private final boolean[] crossing;
    private final int[] unit;
    /** States of each node, three places to a node. */
    private final int[] states;

    private final int[] count;
    private final int[] begins;
    private final int[] ends;

    /** How good the best way is that has come into each state; and the entry it came by. */
    private final float[] score;

    private final int[] came;
    /** The same of ways that are about to enter a node, or stand at a crossing. */
    private final float[] entering;

    private final int[] enteringBy;
    /** What being silent costs in each frame; null for nothing. */
    private final float[] loud;

    private final History history = new History();
    private int frame;
    private int low;
    private int high;

    /** @param beam by how much a way may be worse than the best one, natural logarithm */
    Search(AcousticModel model, SoundGraph graph, double beam) {
        this(model, graph, beam, null);
    }

    /** @param loud by how much worse silence fits each frame than the model says; null for nowhere */
    Search(AcousticModel model, SoundGraph graph, double beam, float[] loud) {
        this.loud = loud;
        this.model = model;
        this.graph = graph;
        this.beam = (float) beam;
        int size = graph.size();
        this.end = size - 1;
        crossing = new boolean[size];
        unit = new int[size];
        states = new int[STATES * size];
        count = new int[size];
        begins = new int[size];
        ends = new int[size];
        score = new float[STATES * size];
        came = new int[STATES * size];
        entering = new float[size];
        enteringBy = new int[size];
        for (int n = 0; n < size; n++) {
            SoundGraph.Node node = graph.node(n);
            crossing[n] = node.crossing();
            unit[n] = node.unit();
            count[n] = node.states().length;
            System.arraycopy(node.states(), 0, states, STATES * n, count[n]);
            begins[n] = node.begins();
            ends[n] = node.ends();
        }
        Arrays.fill(score, NEVER);
        Arrays.fill(entering, NEVER);
        Arrays.fill(came, History.NONE);
        Arrays.fill(enteringBy, History.NONE);
        entering[0] = 0;
        cross();
    }

    /** A sound from frame {@code start} to before frame {@code end}. */
    record Sounded(SoundGraph.Node node, int start, int end) {}

    /** Goes on by one frame. */
    void step(Scores scores) {
        float best = NEVER;
        for (int n = low; n <= high; n++) {
            if (!crossing[n]) {
                best = Math.max(best, stepped(n, scores));
            }
        }
        int first = low;
        int last = high;
        Arrays.fill(entering, first, last + 1, NEVER);
        low = Integer.MAX_VALUE;
        high = -1;
        frame++;
        for (int n = first; n <= last; n++) {
            if (!crossing[n]) {
                leave(n, best - beam);
            }
        }
        cross();
        if (history.full()) {
            forget();
        }
    }

    private float stepped(int n, Scores scores) {
        int at = STATES * n;
        if (entering[n] == NEVER && score[at] == NEVER && score[at + 1] == NEVER && score[at + 2] == NEVER) {
            return NEVER;
        }
        float best = NEVER;
        for (int i = count[n] - 1; i >= 0; i--) {
            float now = score[at + i] + model.stay(unit[n], i);
            float on = i > 0 ? score[at + i - 1] + model.leave(unit[n], i - 1) : entering[n];
            if (i == 0 && on > now && at(begins[n])) {
                score[at] = on;
                came[at] = history.add(n, frame, enteringBy[n]);
            } else if (i > 0 && on > now) {
                score[at + i] = on;
                came[at + i] = came[at + i - 1];
            } else {
                score[at + i] = now;
            }
            if (score[at + i] > NEVER) {
                score[at + i] += scores.of(frame, states[at + i]);
                if (loud != null && unit[n] == AcousticUnit.SILENCE) {
                    score[at + i] -= loud[frame];
                }
                best = Math.max(best, score[at + i]);
            }
        }
        return best;
    }

    private boolean at(int held) {
        return held == SoundGraph.ANY_TIME || held == frame;
    }

    private void leave(int n, float least) {
        int at = STATES * n;
        boolean living = false;
        for (int i = 0; i < count[n]; i++) {
            if (score[at + i] < least) {
                score[at + i] = NEVER;
            }
            living |= score[at + i] > NEVER;
        }
        if (living) {
            look(n);
        }
        int last = at + count[n] - 1;
        if (score[last] > NEVER && at(ends[n])) {
            enter(n, score[last] + model.leave(unit[n], count[n] - 1), came[last]);
        }
    }

    private void look(int n) {
        low = Math.min(low, n);
        high = Math.max(high, n);
    }

    private void enter(int from, float value, int by) {
        int[] targets = graph.targets(from);
        float[] costs = graph.costs(from);
        for (int i = 0; i < targets.length; i++) {
            float there = value + costs[i];
            if (there > entering[targets[i]]) {
                entering[targets[i]] = there;
                enteringBy[targets[i]] = by;
                look(targets[i]);
            }
        }
    }

    private void cross() {
        for (int n = low; n <= high; n++) {
            if (crossing[n] && entering[n] > NEVER) {
                enter(n, entering[n], enteringBy[n]);
            }
        }
    }

    private void forget() {
        for (int n = 0; n <= end; n++) {
            for (int i = STATES * n; i < STATES * (n + 1); i++) {
                came[i] = score[i] > NEVER ? came[i] : History.NONE;
            }
            enteringBy[n] = entering[n] > NEVER ? enteringBy[n] : History.NONE;
        }
        history.keep(came, enteringBy);
    }

    /** Whether any way has come to the end of the graph. */
    boolean arrived() {
        return entering[end] > NEVER;
    }

    /** The sounds of the best way that has come to the end by now; empty when none has. */
    List<Sounded> best() {
        List<Sounded> path = new ArrayList<>();
        int until = frame;
        for (int e = arrived() ? enteringBy[end] : History.NONE; e != History.NONE; e = history.before(e)) {
            path.add(new Sounded(graph.node(history.node(e)), history.frame(e), until));
            until = history.frame(e);
        }
        Collections.reverse(path);
        return path;
    }
}
