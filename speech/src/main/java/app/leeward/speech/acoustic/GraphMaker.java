package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;

/**
 * The graph of given words in their order: between any two of them a silence, nothing, or something that nobody wrote. Sounds
 * at the edge of a word are there once for each sound that may stand beside them.
 */
final class GraphMaker {
    /** Silences that are none are rarer, and pauses still found, than with the library's -2.3. */
    private static final double INTO_SILENCE = -5;
    /** Each sound that nobody wrote. */
    private static final double LOOSE = Math.log(0.05);
    /** Once for anything that nobody wrote. */
    private static final double INTO_UNWRITTEN = -60;

    /** Each sound beside a script, so that the lines of it are preferred to anything at all. */
    private static final double BESIDE_SCRIPT = -12;
    /** A line of a script that is not said. */
    private static final double NOT_SAID = -100;

    private static final int MIDDLE = 1;

    private final AcousticModel model;
    private final List<Pronounced> words;
    private final IntPredicate unwritten;
    private final HeldFrames held;
    private final SoundGraph graph = new SoundGraph();
    private boolean scripted;

    private GraphMaker(AcousticModel model, List<Pronounced> words, IntPredicate unwritten, HeldFrames held) {
        this.model = model;
        this.words = words;
        this.unwritten = unwritten;
        this.held = held;
    }

    /**
     * @param unwritten whether there may be sounds that belong to no word before the word of a number, or behind the last one
     * @param held the frames of edges that stay where they are
     */
    static SoundGraph of(AcousticModel model, List<Pronounced> words, IntPredicate unwritten, HeldFrames held) {
        return new GraphMaker(model, words, unwritten, held).made();
    }

    /**
     * The graph of a script of which some lines may not be said, of which the recording may end after any word, and beside
     * which anything may be said between its lines.
     *
     * @param begins the words that lines begin with, rising, the first one 0
     * @param freely whether there may be anything beside it at all, and lines left out
     */
    static SoundGraph ofScript(AcousticModel model, List<Pronounced> words, List<Integer> begins, boolean freely) {
        GraphMaker maker = new GraphMaker(
                model,
                words,
                i -> freely && (i == words.size() || begins.contains(i)),
                HeldFrames.of(words, t -> 0, 0));
        maker.scripted = true;
        return maker.made();
    }

    /** Any sounds at all. */
    static SoundGraph anything(AcousticModel model) {
        SoundGraph graph = new SoundGraph();
        int start = graph.crossing();
        loop(model, graph, start, SoundGraph.NO_WORD, LOOSE);
        int end = graph.crossing();
        graph.way(start, end, 0);
        return graph.finished();
    }

    private static void loop(AcousticModel model, SoundGraph graph, int crossing, int word, double each) {
        for (int unit = 0; unit <= AcousticUnit.SILENCE; unit++) {
            int sound = graph.sound(unit, model.states(unit), word);
            graph.way(crossing, sound, each);
            graph.way(sound, crossing, 0);
        }
    }

    /** The first sound of a pronunciation, to be come to from {@code left}. */
    private record Door(int left, int first, int node) {}

    /** The last sound of a pronunciation, when {@code right} follows. */
    private record Exit(int last, int right, int node) {}

    private SoundGraph made() {
        List<Exit> exits = List.of();
        // where a line of a script may be left out, and where the recording may end
        List<Integer> leavable = new ArrayList<>();
        int lineBefore = -1;
        for (int i = 0; i <= words.size(); i++) {
            int after = graph.crossing();
            for (Exit e : exits) {
                if (e.right() == AcousticUnit.SILENCE) {
                    graph.way(e.node(), after, 0);
                }
            }
            int between = after;
            if (unwritten.test(i)) {
                between = graph.crossing();
                graph.way(after, between, INTO_UNWRITTEN);
                loop(model, graph, between, SoundGraph.UNWRITTEN, scripted ? BESIDE_SCRIPT : LOOSE);
            }
            int silence = graph.sound(AcousticUnit.SILENCE, model.states(AcousticUnit.SILENCE), SoundGraph.NO_WORD);
            int before = graph.crossing();
            graph.way(after, silence, INTO_SILENCE);
            graph.way(silence, before, 0);
            if (unwritten.test(i)) {
                graph.way(between, before, 0);
            }
            if (i == 0 || i == words.size()) {
                graph.way(after, before, 0);
            }
            if (scripted) {
                leavable.add(after);
                if (unwritten.test(i)) {
                    leavable.add(before);
                    if (lineBefore >= 0) {
                        graph.way(lineBefore, before, NOT_SAID);
                    }
                    lineBefore = before;
                }
            }
            if (i < words.size()) {
                exits = word(i, before, exits);
            }
        }
        if (scripted) {
            int end = graph.crossing();
            leavable.forEach(from -> graph.way(from, end, 0));
        }
        return graph.finished();
    }

    private List<Exit> word(int i, int before, List<Exit> exits) {
        Set<Integer> rights = new TreeSet<>();
        rights.add(AcousticUnit.SILENCE);
        if (i + 1 < words.size()) {
            words.get(i + 1).ways().forEach(w -> rights.add(w.get(0).ordinal()));
        }
        List<Door> doors = new ArrayList<>();
        List<Exit> out = new ArrayList<>();
        for (List<Phone> way : words.get(i).ways()) {
            Set<Integer> lefts = new LinkedHashSet<>();
            lefts.add(AcousticUnit.SILENCE);
            int first = way.get(0).ordinal();
            exits.stream().filter(e -> e.right() == first).forEach(e -> lefts.add(e.last()));
            way(i, way, lefts, rights, doors, out);
        }
        for (Door d : doors) {
            if (d.left() == AcousticUnit.SILENCE) {
                graph.way(before, d.node(), 0);
            }
            for (Exit e : exits) {
                if (e.last() == d.left() && e.right() == d.first()) {
                    graph.way(e.node(), d.node(), 0);
                }
            }
        }
        return out;
    }

    private void way(
            int word, List<Phone> way, Set<Integer> lefts, Set<Integer> rights, List<Door> doors, List<Exit> exits) {
        int n = way.size();
        int first = way.get(0).ordinal();
        int last = way.get(n - 1).ordinal();
        if (n == 1) {
            for (int left : lefts) {
                for (int right : rights) {
                    int node = sound(word, 0, n, first, model.states(Position.ALONE, first, left, right));
                    doors.add(new Door(left, first, node));
                    exits.add(new Exit(last, right, node));
                }
            }
            return;
        }
        int[] inner = new int[n];
        for (int k = 1; k < n - 1; k++) {
            int unit = way.get(k).ordinal();
            inner[k] = sound(
                    word,
                    k,
                    n,
                    unit,
                    model.states(
                            Position.INNER,
                            unit,
                            way.get(k - 1).ordinal(),
                            way.get(k + 1).ordinal()));
            if (k > 1) {
                graph.way(inner[k - 1], inner[k], 0);
            }
        }
        List<Integer> ends = new ArrayList<>();
        for (int right : rights) {
            int[] states = model.states(Position.LAST, last, way.get(n - 2).ordinal(), right);
            int node = sound(word, n - 1, n, last, states);
            exits.add(new Exit(last, right, node));
            ends.add(node);
            if (n > 2) {
                graph.way(inner[n - 2], node, 0);
            }
        }
        for (int left : lefts) {
            int[] states = model.states(Position.FIRST, first, left, way.get(1).ordinal());
            int node = sound(word, 0, n, first, states);
            doors.add(new Door(left, first, node));
            if (n > 2) {
                graph.way(node, inner[1], 0);
            } else {
                ends.forEach(e -> graph.way(node, e, 0));
            }
        }
    }

    private int sound(int word, int at, int sounds, int unit, int[] states) {
        int begins = SoundGraph.ANY_TIME;
        int ends = SoundGraph.ANY_TIME;
        for (Pronounced.HeldEdge edge : words.get(word).held()) {
            if (Pronounced.of(edge, at, sounds) && edge.end()) {
                ends = held.of(word, edge);
            } else if (Pronounced.of(edge, at, sounds)) {
                begins = held.of(word, edge);
            }
        }
        if (held.tight(word, at)) {
            return graph.sound(unit, new int[] {states[MIDDLE]}, word, begins, ends);
        }
        return graph.sound(unit, states, word, begins, ends);
    }
}
