package app.leeward.speech.acoustic;

import java.util.Arrays;

/**
 * How well the states of the model fit the frames of a recording, natural logarithm of the density. Of each codebook only the
 * best few Gaussians of a frame count, as the model was trained to be used. What was computed of one frame is kept until
 * another is asked for, so that all searches should look at the same frame together; for one thread.
 */
final class Scores {
    static final int TOP = 4;
    private static final float NEGLIGIBLE = -14;

    private final AcousticModel model;
    private final float[][] frames;
    private final VoiceShift shift;
    private final Best[] best;
    private final float[] ofState;
    private final int[] stateAt;
    private final float[] fits = new float[TOP];
    /** How well each Gaussian of a stream fits. */
    private final float[] all;

    private float[][] heard;
    private int heardAt = -1;

    /** The best Gaussians of a codebook for one frame, stream by stream, and how well each fits. */
    private static final class Best {
        private int frame = -1;
        private final int[] numbers = new int[Codebook.STREAMS * TOP];
        private final float[] fits = new float[Codebook.STREAMS * TOP];
    }

    Scores(AcousticModel model, float[][] frames, VoiceShift shift) {
        this.model = model;
        this.frames = frames;
        this.shift = shift;
        this.best = new Best[model.codebooks()];
        Arrays.setAll(best, b -> new Best());
        this.ofState = new float[model.states()];
        this.stateAt = new int[model.states()];
        Arrays.fill(stateAt, -1);
        this.all = new float[model.codebook(0).size()];
    }

    int length() {
        return frames.length;
    }

    float of(int frame, int state) {
        if (stateAt[state] != frame) {
            stateAt[state] = frame;
            ofState[state] = computed(frame, state);
        }
        return ofState[state];
    }

    private float computed(int frame, int state) {
        Best top = best(frame, model.codebookOf(state));
        float[] weights = model.weights(state);
        int gaussians = weights.length / Codebook.STREAMS;
        float sum = 0;
        double product = 1;
        for (int stream = 0; stream < Codebook.STREAMS; stream++) {
            float most = Float.NEGATIVE_INFINITY;
            for (int i = 0; i < TOP; i++) {
                fits[i] = fit(top, stream, i, weights, gaussians);
                most = Math.max(most, fits[i]);
            }
            double total = 0;
            for (int i = 0; i < TOP; i++) {
                // what is this much rarer does not show in a float
                total += fits[i] == most ? 1 : fits[i] - most > NEGLIGIBLE ? Math.exp(fits[i] - most) : 0;
            }
            sum += most;
            product *= total;
        }
        return sum + (float) Math.log(product);
    }

    private static float fit(Best top, int stream, int i, float[] weights, int gaussians) {
        int at = stream * TOP + i;
        return top.fits[at] + weights[stream * gaussians + top.numbers[at]];
    }

    private Best best(int frame, int book) {
        Best found = best[book];
        if (found.frame != frame) {
            find(heard(frame, book), model.codebook(book), found);
            found.frame = frame;
        }
        return found;
    }

    private float[] heard(int frame, int book) {
        if (heardAt != frame) {
            heardAt = frame;
            heard = shift.heard(frames[frame]);
        }
        return heard[shift.kindOf(book)];
    }

    private void find(float[] x, Codebook book, Best found) {
        int[] numbers = found.numbers;
        float[] best = found.fits;
        Arrays.fill(best, Float.NEGATIVE_INFINITY);
        for (int stream = 0; stream < Codebook.STREAMS; stream++) {
            fitAll(x, book, stream);
            int first = stream * TOP;
            int last = first + TOP - 1;
            for (int g = 0; g < all.length; g++) {
                float fit = all[g];
                if (fit > best[last]) {
                    int i = last;
                    for (; i > first && best[i - 1] < fit; i--) {
                        best[i] = best[i - 1];
                        numbers[i] = numbers[i - 1];
                    }
                    best[i] = fit;
                    numbers[i] = g;
                }
            }
        }
    }

    /** Feature by feature over all Gaussians, so that many are worked out at once. */
    private void fitAll(float[] x, Codebook book, int stream) {
        System.arraycopy(book.offsets()[stream], 0, all, 0, all.length);
        for (int d = 0; d < Codebook.WIDTH; d++) {
            add(x[stream * Codebook.WIDTH + d], book.means()[stream][d], book.halfPrecisions()[stream][d], all);
        }
    }

    private static void add(float x, float[] means, float[] halfPrecisions, float[] fits) {
        for (int g = 0; g < fits.length; g++) {
            float away = x - means[g];
            fits[g] -= away * away * halfPrecisions[g];
        }
    }

    /**
     * Adds to {@code away} and {@code sure} how far a frame lies from what a state expects, feature by feature, and how sure
     * the state is of it: its Gaussians weighted by how likely each is the one.
     */
    void lean(int frame, int state, double[] away, double[] sure) {
        Best top = best(frame, model.codebookOf(state));
        Codebook book = model.codebook(model.codebookOf(state));
        float[] weights = model.weights(state);
        int gaussians = weights.length / Codebook.STREAMS;
        for (int stream = 0; stream < Codebook.STREAMS; stream++) {
            double[] share = new double[TOP];
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < TOP; i++) {
                share[i] = fit(top, stream, i, weights, gaussians);
                most = Math.max(most, share[i]);
            }
            double total = 0;
            for (int i = 0; i < TOP; i++) {
                share[i] = Math.exp(share[i] - most);
                total += share[i];
            }
            for (int d = 0; d < Codebook.WIDTH; d++) {
                double mean = 0;
                double precision = 0;
                for (int i = 0; i < TOP; i++) {
                    int g = top.numbers[stream * TOP + i];
                    mean += share[i] / total * book.means()[stream][d][g];
                    precision += share[i] / total * 2 * book.halfPrecisions()[stream][d][g];
                }
                int feature = stream * Codebook.WIDTH + d;
                away[feature] += precision * (frames[frame][feature] - mean);
                sure[feature] += precision;
            }
        }
    }
}
