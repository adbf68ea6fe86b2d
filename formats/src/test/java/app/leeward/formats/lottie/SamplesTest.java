package app.leeward.formats.lottie;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Ease;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SamplesTest {
    /** What keys show at a frame, by the easing the screen uses, which is held against Chromium's. */
    private static double[] shown(Samples samples, List<Samples.Key> keys, int sample) {
        for (int k = keys.size() - 1; k >= 0; k--) {
            int from = keys.get(k).sample();
            if (from <= sample) {
                if (from == sample || k == keys.size() - 1) {
                    return samples.values()[from];
                }
                int to = keys.get(k + 1).sample();
                int[] f = samples.frames();
                double u = (double) (f[sample] - f[from]) / (f[to] - f[from]);
                double[] e = keys.get(k).ease();
                double share = new Ease.Curve(e[0], e[1], e[2], e[3]).at(u);
                double[] out = samples.values()[from].clone();
                for (int i = 0; i < out.length; i++) {
                    out[i] += (samples.values()[to][i] - out[i]) * share;
                }
                return out;
            }
        }
        throw new IllegalStateException();
    }

    @Test
    void everySampleIsMetWhateverHappens() {
        Random random = new Random(3);
        for (int trial = 0; trial < 100; trial++) {
            int n = 2 + random.nextInt(60);
            int[] frames = new int[n];
            double[][] values = new double[n][3];
            double v = 0;
            for (int i = 0; i < n; i++) {
                frames[i] = i == 0 ? 0 : frames[i - 1] + 1 + random.nextInt(3);
                v += random.nextInt(4) == 0 ? 20 * random.nextGaussian() : random.nextInt(3) == 0 ? 0 : 1;
                values[i] = new double[] {v, -2 * v, trial % 2 == 0 ? 0 : random.nextInt(2)};
            }
            Samples samples = new Samples(frames, values);
            List<Samples.Key> keys = samples.keys(0.1);
            for (int i = 0; i < n; i++) {
                assertThat(shown(samples, keys, i)).containsExactly(values[i], within(0.1));
            }
        }
    }

    /** Players look a rounding after a frame; nothing may have gone anywhere by then. Freckles of a turning head, seen so. */
    @Test
    void nothingJumpsRightAfterAKey() {
        double[][] seen = {{56.81}, {25.286}, {-2.874}, {-18.258}, {-25.678}};
        Samples samples = new Samples(new int[] {20, 22, 24, 26, 28}, seen);
        List<Samples.Key> keys = samples.keys(0.02);
        for (int k = 0; k + 1 < keys.size(); k++) {
            double[] e = keys.get(k).ease();
            Ease.Curve ease = new Ease.Curve(e[0], e[1], e[2], e[3]);
            double far = seen[keys.get(k + 1).sample()][0] - seen[keys.get(k).sample()][0];
            assertThat(far * ease.at(2e-6)).as("after key %d", k).isCloseTo(0, within(0.05));
            assertThat(far * ease.at(1 - 2e-6)).as("before key %d", k + 1).isCloseTo(far, within(0.05));
        }
    }

    @Test
    void aWayThatWasEasedIsTwoKeysAgain() {
        for (Ease.Curve ease : List.of(
                new Ease.Curve(0.4, 0, 0.2, 1),
                new Ease.Curve(0.1, 0.7, 0.9, 0.3),
                new Ease.Curve(0.3, -0.4, 0.5, 1.3))) {
            int[] frames = new int[25];
            double[][] values = new double[25][];
            for (int i = 0; i < 25; i++) {
                frames[i] = i;
                double at = ease.at(i / 24.0);
                values[i] = new double[] {100 * at, 40 - 60 * at};
            }
            assertThat(new Samples(frames, values).keys(0.2)).as("%s", ease).hasSize(2);
        }
    }

    @Test
    void whatStandsStillAndThenMovesKeepsStandingStill() {
        int[] frames = new int[20];
        double[][] values = new double[20][];
        for (int i = 0; i < 20; i++) {
            frames[i] = i;
            values[i] = new double[] {i < 10 ? 0 : 50};
        }
        assertThat(new Samples(frames, values).keys(0.1))
                .extracting(Samples.Key::sample)
                .containsExactly(0, 9, 10, 19);
    }

    /** The colour at a place, by SVG's rule for each spread, before and after. */
    @Test
    void aRepeatedGradientIsTheSameWrittenOut() {
        List<GradientStop> stops = List.of(
                new GradientStop(0, "#000000", 1),
                new GradientStop(0.25, "#ff0000", 1),
                new GradientStop(1, "#0000ff", 1));
        for (Paint.Spread spread : List.of(Paint.Spread.REPEAT, Paint.Spread.REFLECT)) {
            Paint.Gradient g = new Paint.Gradient(
                    false, Matrix.translate(40, 0).times(Matrix.scale(30, 30)), stops, spread, new Point(0, 0));
            Paint.Gradient long_ = Repeated.unrolled(g, new Box(0, 0, 200, 100));
            assertThat(long_.spread()).isEqualTo(Paint.Spread.PAD);
            for (double x = 3; x < 200; x += 7.3) {
                assertThat(red(long_, x)).as("%s at %s", spread, x).isCloseTo(red(g, x), within(1e-6));
            }
        }
    }

    private static double red(Paint.Gradient g, double x) {
        double t = g.place().inverse().apply(new Point(x, 0)).x();
        double folded =
                switch (g.spread()) {
                    case PAD -> Math.max(0, Math.min(1, t));
                    case REPEAT -> t - Math.floor(t);
                    case REFLECT -> Math.abs(t - 2 * Math.floor((t + 1) / 2));
                };
        GradientStop before = g.stops().get(0);
        for (GradientStop s : g.stops()) {
            if (s.at() > folded) {
                double share = (folded - before.at()) / (s.at() - before.at());
                return red(before) + (red(s) - red(before)) * share;
            }
            before = s;
        }
        return red(before);
    }

    private static double red(GradientStop s) {
        return Integer.parseInt(s.colour().substring(1, 3), 16);
    }
}
