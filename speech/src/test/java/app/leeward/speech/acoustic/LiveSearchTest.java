package app.leeward.speech.acoustic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.Phone;
import app.leeward.speech.PronouncingDictionary;
import edu.cmu.sphinx.frontend.DataProcessor;
import edu.cmu.sphinx.frontend.feature.DeltasFeatureExtractor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What listens while somebody speaks, step by step. */
class LiveSearchTest {
    private static final int UNITS = AcousticUnit.SILENCE + 1;
    private static AcousticModel model;
    private static SoundPairs pairs;

    @BeforeAll
    static void load() {
        model = AcousticModel.load();
        PronouncingDictionary dictionary = PronouncingDictionary.load();
        pairs = SoundPairs.of(List.of("put", "the", "brown", "bag", "on", "table", "before", "you", "leave").stream()
                .flatMap(w -> dictionary.of(w).stream())
                .toList());
    }

    /** Reference: all ways of the whole beginning, kept in full, by Viterbi's recursion as it is written in textbooks. */
    @Test
    void theBestWayIsToldAFewFramesLate() {
        Random random = new Random(7);
        float[][] frames = new float[40][Codebook.FEATURES];
        for (float[] f : frames) {
            for (int d = 0; d < f.length; d++) {
                f[d] = (float) random.nextGaussian() * (d < Codebook.WIDTH ? 8 : 1);
            }
        }
        int late = 5;
        LiveSearch search = new LiveSearch(model, pairs, late);
        Scores scores = new Scores(model, frames, VoiceShift.none(model));
        int n = UNITS * 3;
        double[][] best = new double[frames.length + 1][n];
        int[][] from = new int[frames.length + 1][n];
        Arrays.fill(best[0], Double.NEGATIVE_INFINITY);
        best[0][AcousticUnit.SILENCE * 3] = 0;
        int told = 0;
        for (int t = 1; t <= frames.length; t++) {
            int unit = search.step(scores, t - 1, false);
            for (int to = 0; to < n; to++) {
                best[t][to] = Double.NEGATIVE_INFINITY;
                for (int f = 0; f < n; f++) {
                    double way = best[t - 1][f] + step(f, to);
                    if (way > best[t][to]) {
                        best[t][to] = way;
                        from[t][to] = f;
                    }
                }
                best[t][to] += scores.of(t - 1, model.states(to / 3)[to % 3]);
            }
            int end = 0;
            for (int s = 1; s < n; s++) {
                end = best[t][s] > best[t][end] ? s : end;
            }
            for (int back = t; back > t - late && back > 1; back--) {
                end = from[back][end];
            }
            if (t > late) {
                assertThat(unit).as("frame %d", t).isEqualTo(end / 3);
                told++;
            } else {
                assertThat(unit).isEqualTo(-1);
            }
        }
        assertThat(told).isEqualTo(frames.length - late);
    }

    private static double step(int from, int to) {
        int a = from / 3;
        int b = to / 3;
        double way = Double.NEGATIVE_INFINITY;
        if (from == to) {
            way = model.stay(a, from % 3);
        } else if (a == b && to == from + 1) {
            way = model.leave(a, from % 3);
        }
        if (from % 3 == 2 && to % 3 == 0) {
            way = Math.max(way, model.leave(a, 2) + 2 * pairs.follows(a, b));
        }
        return way;
    }

    /** What follows a sound, and silence, is something. */
    @Test
    void pairsAreShares() {
        for (int a = 0; a < UNITS; a++) {
            double sum = 0;
            for (int b = 0; b < UNITS; b++) {
                sum += Math.exp(pairs.follows(a, b));
            }
            // sounds that none of these words has lead nowhere but to what is never met
            if (sum > 0.1) {
                assertThat(sum).as("behind unit %d", a).isBetween(0.9, 1.1);
            }
        }
        assertThat(pairs.follows(Phone.B.ordinal(), Phone.R.ordinal()))
                .isGreaterThan(pairs.follows(Phone.B.ordinal(), Phone.S.ordinal()));
    }

    /** Reference: the library's own differences of the same cepstra. */
    @Test
    void differencesAreTheLibrarys() {
        Random random = new Random(11);
        float[] samples = new float[16_000];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (0.3 * Math.sin(i * 0.05) * Math.sin(i * 0.0007) + random.nextGaussian() * 0.01);
        }
        List<DataProcessor> steps = new ArrayList<>(Features.spectrum());
        steps.add(Features.denoise());
        steps.addAll(Features.cepstra());
        steps.add(new DeltasFeatureExtractor(Features.DELTA));
        Blocks all = new Blocks(steps);
        all.add(Features.block(samples, 0, samples.length));
        all.end();
        List<double[]> whole = all.made();
        List<LiveFeatures.Frame> live = new LiveFeatures().hears(samples);
        assertThat(live).hasSizeBetween(whole.size() - LiveFeatures.BEHIND - 2, whole.size());
        for (int t = 0; t < live.size(); t++) {
            for (int d = Codebook.WIDTH; d < Codebook.FEATURES; d++) {
                assertThat((double) live.get(t).features()[d])
                        .as("frame %d, feature %d", t, d)
                        .isEqualTo(whole.get(t)[d], within(1e-3));
            }
        }
    }
}
