package app.leeward.speech.acoustic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The search against trying every way there is, on recordings of a few frames. */
class SearchTest {
    private static AcousticModel model;

    @BeforeAll
    static void load() {
        model = AcousticModel.load();
    }

    private static float[][] noise(int frames, long seed) {
        Random random = new Random(seed);
        float[][] out = new float[frames][Codebook.FEATURES];
        for (float[] frame : out) {
            for (int d = 0; d < frame.length; d++) {
                frame[d] = (float) random.nextGaussian() * (d < Codebook.WIDTH ? 8 : 1);
            }
        }
        return out;
    }

    /** The best score of all ways, by trying them. */
    private static final class Everything {
        private final SoundGraph graph;
        private final Scores scores;
        private double best = Double.NEGATIVE_INFINITY;

        Everything(SoundGraph graph, Scores scores) {
            this.graph = graph;
            this.scores = scores;
        }

        double best() {
            onto(0, 0, 0);
            return best;
        }

        private static boolean held(int at, int frame) {
            return at == SoundGraph.ANY_TIME || at == frame;
        }

        /** Comes to a node at a frame. */
        private void onto(int n, int frame, double score) {
            SoundGraph.Node node = graph.node(n);
            if (node.crossing()) {
                if (n == graph.size() - 1 && frame == scores.length()) {
                    best = Math.max(best, score);
                }
                from(n, frame, score);
            } else if (held(node.begins(), frame)) {
                within(n, 0, frame, score);
            }
        }

        private void within(int n, int state, int frame, double score) {
            if (frame == scores.length()) {
                return;
            }
            SoundGraph.Node node = graph.node(n);
            double here = score + scores.of(frame, node.states()[state]);
            within(n, state, frame + 1, here + model.stay(node.unit(), state));
            double on = here + model.leave(node.unit(), state);
            if (state + 1 < node.states().length) {
                within(n, state + 1, frame + 1, on);
            } else if (held(node.ends(), frame + 1)) {
                from(n, frame + 1, on);
            }
        }

        private void from(int n, int frame, double score) {
            for (int i = 0; i < graph.targets(n).length; i++) {
                onto(graph.targets(n)[i], frame, score + graph.costs(n)[i]);
            }
        }
    }

    private static double score(List<Search.Sounded> path, SoundGraph graph, Scores scores) {
        // a graph of nothing but this way, in these times
        SoundGraph only = new SoundGraph();
        int before = only.crossing();
        double costs = 0;
        for (Search.Sounded s : path) {
            int n = only.sound(s.node().unit(), s.node().states(), s.node().word(), s.start(), s.end());
            only.way(before, n, 0);
            before = n;
        }
        int end = only.crossing();
        only.way(before, end, 0);
        return new Everything(only.finished(), scores).best() + costs;
    }

    @Test
    void noOtherWayIsBetter() {
        List<Pronounced> words = List.of(
                Pronounced.as(List.of(List.of(Phone.B, Phone.IY), List.of(Phone.B))),
                Pronounced.as(List.of(List.of(Phone.S), List.of(Phone.AA))));
        for (int seed = 0; seed < 12; seed++) {
            Scores scores = new Scores(model, noise(11, seed), VoiceShift.none(model));
            SoundGraph graph = GraphMaker.of(model, words, gap -> false, HeldFrames.of(words, t -> 0, 11));
            Search search = new Search(model, graph, Double.POSITIVE_INFINITY);
            for (int t = 0; t < scores.length(); t++) {
                search.step(scores);
            }
            assertThat(search.arrived()).isTrue();
            double best = new Everything(graph, scores).best();
            double silences = search.best().stream()
                            .filter(s -> s.node().word() == SoundGraph.NO_WORD)
                            .count()
                    * -5.0;
            assertThat(score(search.best(), graph, scores) + silences)
                    .as("seed %d", seed)
                    .isCloseTo(best, within(1e-2));
        }
    }

    @Test
    void heldEdgesAreKeptToTheFrame() {
        List<Pronounced> words = List.of(new Pronounced(
                List.of(List.of(Phone.B, Phone.IY, Phone.S)),
                List.of(new Pronounced.HeldEdge(1, false, 0.05), new Pronounced.HeldEdge(2, true, 0.17))));
        for (int seed = 0; seed < 20; seed++) {
            Scores scores = new Scores(model, noise(24, seed), VoiceShift.none(model));
            SoundGraph graph =
                    GraphMaker.of(model, words, gap -> false, HeldFrames.of(words, t -> (int) Math.round(t * 100), 24));
            Search search = new Search(model, graph, Double.POSITIVE_INFINITY);
            for (int t = 0; t < scores.length(); t++) {
                search.step(scores);
            }
            List<Search.Sounded> spoken =
                    search.best().stream().filter(s -> s.node().word() == 0).toList();
            assertThat(spoken.get(1).start()).isEqualTo(5);
            assertThat(spoken.get(2).end()).isEqualTo(17);
        }
    }

    @Test
    void edgesHeldNearerThanTheSearchCanFollowAreStillHeld() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            List<Pronounced.HeldEdge> held = new ArrayList<>();
            double at = random.nextDouble() * 0.2;
            for (int k = 0; k < 4; k++) {
                double to = at + (random.nextBoolean() ? 0.01 : 0.01 + random.nextDouble() * 0.08);
                if (random.nextInt(3) > 0) {
                    held.add(new Pronounced.HeldEdge(k, false, at));
                }
                if (random.nextInt(3) > 0) {
                    held.add(new Pronounced.HeldEdge(k, true, to));
                }
                at = to;
            }
            List<Pronounced> words = List.of(
                    new Pronounced(List.of(List.of(Phone.B, Phone.IY, Phone.S, Phone.T)), held),
                    Pronounced.as(List.of(List.of(Phone.AY))));
            Scores scores = new Scores(model, noise(70, seed), VoiceShift.none(model));
            HeldFrames frames = HeldFrames.of(words, t -> (int) Math.round(t * 100), 70);
            Search search =
                    new Search(model, GraphMaker.of(model, words, gap -> false, frames), Double.POSITIVE_INFINITY);
            for (int t = 0; t < scores.length(); t++) {
                search.step(scores);
            }
            List<Search.Sounded> spoken =
                    search.best().stream().filter(s -> s.node().word() == 0).toList();
            assertThat(spoken).as("seed %d", seed).hasSize(4);
            for (Pronounced.HeldEdge h : held) {
                Search.Sounded s = spoken.get(h.sound());
                assertThat(h.end() ? s.end() : s.start())
                        .as("seed %d: %s", seed, h)
                        .isEqualTo(frames.of(0, h));
                assertThat(Math.abs(frames.of(0, h) - h.seconds() * 100))
                        .as("seed %d: %s", seed, h)
                        .isLessThan(4);
            }
        }
    }

    @Test
    void wordsThatTakeLongerThanThereIsAreNotFound() {
        Scores scores = new Scores(model, noise(8, 1), VoiceShift.none(model));
        List<Pronounced> words = List.of(Pronounced.as(List.of(List.of(Phone.B, Phone.IY, Phone.S))));
        SoundGraph graph = GraphMaker.of(model, words, gap -> true, HeldFrames.of(words, t -> 0, 8));
        Search search = new Search(model, graph, Double.POSITIVE_INFINITY);
        for (int t = 0; t < scores.length(); t++) {
            search.step(scores);
        }
        assertThat(search.arrived()).isFalse();
        assertThat(search.best()).isEqualTo(new ArrayList<>());
    }

    @Test
    void whatIsForgottenWasOfNoWayThatLives() {
        History history = new History();
        Random random = new Random(9);
        int[] living = new int[40];
        java.util.Arrays.fill(living, History.NONE);
        List<List<Integer>> truth = new ArrayList<>();
        for (int i = 0; i < living.length; i++) {
            truth.add(List.of());
        }
        for (int frame = 0; frame < 6000; frame++) {
            int from = random.nextInt(living.length);
            int to = random.nextInt(living.length);
            List<Integer> chain = new ArrayList<>(truth.get(from));
            chain.add(frame);
            truth.set(to, chain.subList(Math.max(0, chain.size() - 50), chain.size()));
            living[to] = history.add(to, frame, living[from]);
            if (frame % 500 == 499) {
                history.keep(living);
            }
        }
        for (int i = 0; i < living.length; i++) {
            List<Integer> chain = truth.get(i);
            int e = living[i];
            for (int k = chain.size() - 1; k >= 0; k--) {
                assertThat(history.frame(e)).isEqualTo(chain.get(k));
                e = history.before(e);
            }
        }
    }
}
