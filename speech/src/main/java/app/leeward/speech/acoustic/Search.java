package app.leeward.speech.acoustic;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Finds the best way through a graph of sounds for the frames of a recording, frame by frame (Viterbi, 1967). Exact as long as
 * nothing falls behind the best by more than the beam.
 */
final class Search {
    private static final int[] NOTHING = {};

    private final AcousticModel model;
    private final SoundGraph graph;
    private final float beam;
    private final int size;
    private final int end;

    /** How good the best way is that has come into each state, three to a node; and the entry it came by. */
    private final float[] score;

    private final int[] came;
    /** The same of ways that are about to enter a node, or stand at a crossing. */
    private final float[] entering;

    private final int[] enteringBy;
    private final SoundGraph.Node[] nodes;
    private final List<Integer> crossings = new ArrayList<>();

    private int frame;
    // every entry into a sound: which, when, and the entry before
    private int entries;
    private int[] entered = new int[4096];
    private int[] enteredAt = new int[4096];
    private int[] before = new int[4096];

    /** @param beam by how much a way may be worse than the best one, natural logarithm */
    Search(AcousticModel model, SoundGraph graph, double beam) {
        this.model = model;
        this.graph = graph;
        this.beam = (float) beam;
        this.size = graph.size();
        this.end = size - 1;
        score = new float[AcousticModel.STATES * size];
        came = new int[AcousticModel.STATES * size];
        entering = new float[size];
        enteringBy = new int[size];
        nodes = new SoundGraph.Node[size];
        for (int n = 0; n < size; n++) {
            nodes[n] = graph.node(n);
            if (nodes[n].crossing()) {
                crossings.add(n);
            }
        }
        Arrays.fill(score, Float.NEGATIVE_INFINITY);
        Arrays.fill(entering, Float.NEGATIVE_INFINITY);
        entering[0] = 0;
        enteringBy[0] = -1;
        cross();
    }

    /** A sound from frame {@code start} to before frame {@code end}. */
    record Sounded(SoundGraph.Node node, int start, int end) {}

    /** Goes on by one frame. */
    void step(Scores scores) {
        float best = Float.NEGATIVE_INFINITY;
        for (int n = 0; n < size; n++) {
            if (!nodes[n].crossing()) {
                best = Math.max(best, stepped(n, scores));
            }
        }
        Arrays.fill(entering, Float.NEGATIVE_INFINITY);
        frame++;
        for (int n = 0; n < size; n++) {
            if (!nodes[n].crossing()) {
                leave(n, best - beam);
            }
        }
        cross();
    }

    private float stepped(int n, Scores scores) {
        SoundGraph.Node node = nodes[n];
        int at = AcousticModel.STATES * n;
        float best = Float.NEGATIVE_INFINITY;
        for (int i = node.states().length - 1; i >= 0; i--) {
            float now = score[at + i] + model.stay(node.unit(), i);
            float on = i > 0 ? score[at + i - 1] + model.leave(node.unit(), i - 1) : entering[n];
            if (i == 0 && on > now && node.beginsAt(frame)) {
                score[at] = on;
                came[at] = entry(n, enteringBy[n]);
            } else if (i > 0 && on > now) {
                score[at + i] = on;
                came[at + i] = came[at + i - 1];
            } else {
                score[at + i] = now;
            }
            if (score[at + i] > Float.NEGATIVE_INFINITY) {
                score[at + i] += scores.of(frame, node.states()[i]);
                best = Math.max(best, score[at + i]);
            }
        }
        return best;
    }

    private int entry(int n, int by) {
        if (entries == entered.length) {
            entered = Arrays.copyOf(entered, entries * 2);
            enteredAt = Arrays.copyOf(enteredAt, entries * 2);
            before = Arrays.copyOf(before, entries * 2);
        }
        entered[entries] = n;
        enteredAt[entries] = frame;
        before[entries] = by;
        return entries++;
    }

    private void leave(int n, float least) {
        int at = AcousticModel.STATES * n;
        for (int i = 0; i < AcousticModel.STATES; i++) {
            if (score[at + i] < least) {
                score[at + i] = Float.NEGATIVE_INFINITY;
            }
        }
        int last = at + nodes[n].states().length - 1;
        if (score[last] > Float.NEGATIVE_INFINITY && nodes[n].endsAt(frame)) {
            enter(n, score[last] + model.leave(nodes[n].unit(), last - at), came[last]);
        }
    }

    private void enter(int from, float value, int by) {
        int[] targets = value > Float.NEGATIVE_INFINITY ? graph.targets(from) : NOTHING;
        for (int i = 0; i < targets.length; i++) {
            float there = value + graph.costs(from)[i];
            if (there > entering[targets[i]]) {
                entering[targets[i]] = there;
                enteringBy[targets[i]] = by;
            }
        }
    }

    private void cross() {
        for (int n : crossings) {
            enter(n, entering[n], enteringBy[n]);
        }
    }

    /** Whether any way has come to the end of the graph. */
    boolean arrived() {
        return entering[end] > Float.NEGATIVE_INFINITY;
    }

    /** The sounds of the best way that has come to the end by now; empty when none has. */
    List<Sounded> best() {
        List<Sounded> path = new ArrayList<>();
        int until = frame;
        for (int e = arrived() ? enteringBy[end] : -1; e >= 0; e = before[e]) {
            path.add(new Sounded(nodes[entered[e]], enteredAt[e], until));
            until = enteredAt[e];
        }
        Collections.reverse(path);
        return path;
    }
}
