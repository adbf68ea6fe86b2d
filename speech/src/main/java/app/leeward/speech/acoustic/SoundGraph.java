package app.leeward.speech.acoustic;

import java.util.ArrayList;
import java.util.List;

/**
 * Everything a recording may consist of, as sounds with ways from one to the next. Crossings take no time; they lead only to
 * sounds and to crossings that were made later.
 */
final class SoundGraph {
    /** No sound of any word. */
    static final int NO_WORD = -1;
    /** A sound of something that nobody wrote. */
    static final int UNWRITTEN = -2;

    static final int ANY_TIME = Integer.MAX_VALUE;

    /**
     * A sound or a crossing.
     *
     * @param unit what sounds; -1 for a crossing
     * @param states of the model, in the order they are gone through
     * @param word whose sound it is, from 0; {@link #NO_WORD} or {@link #UNWRITTEN}
     * @param begins the only frame it may begin at; {@link #ANY_TIME} for any
     * @param ends the only frame before which it may end; {@link #ANY_TIME} for any
     */
    record Node(int unit, int[] states, int word, int begins, int ends) {
        boolean crossing() {
            return unit < 0;
        }
    }

    private record Way(int to, float cost) {}

    private final List<Node> nodes = new ArrayList<>();
    private final List<List<Way>> ways = new ArrayList<>();

    private int[][] targets = new int[0][];
    private float[][] costs = new float[0][];

    int crossing() {
        return add(new Node(-1, new int[0], NO_WORD, ANY_TIME, ANY_TIME));
    }

    int sound(int unit, int[] states, int word) {
        return sound(unit, states, word, ANY_TIME, ANY_TIME);
    }

    int sound(int unit, int[] states, int word, int begins, int ends) {
        return add(new Node(unit, states, word, begins, ends));
    }

    private int add(Node node) {
        nodes.add(node);
        ways.add(new ArrayList<>());
        return nodes.size() - 1;
    }

    /** @param cost natural logarithm, not above 0 */
    void way(int from, int to, double cost) {
        if (nodes.get(from).crossing() && nodes.get(to).crossing() && to <= from) {
            throw new IllegalArgumentException("crossings lead on only to later ones");
        }
        ways.get(from).add(new Way(to, (float) cost));
    }

    /** To be called when nothing more is added. The first node is where a way begins, the last one where it ends. */
    SoundGraph finished() {
        targets = new int[nodes.size()][];
        costs = new float[nodes.size()][];
        for (int n = 0; n < targets.length; n++) {
            List<Way> out = ways.get(n);
            targets[n] = out.stream().mapToInt(Way::to).toArray();
            costs[n] = new float[out.size()];
            for (int i = 0; i < out.size(); i++) {
                costs[n][i] = out.get(i).cost();
            }
        }
        return this;
    }

    int size() {
        return nodes.size();
    }

    Node node(int n) {
        return nodes.get(n);
    }

    int[] targets(int n) {
        return targets[n];
    }

    float[] costs(int n) {
        return costs[n];
    }
}
