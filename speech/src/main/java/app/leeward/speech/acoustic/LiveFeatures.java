package app.leeward.speech.acoustic;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * Features of a voice while it still speaks: those of {@link Features}, {@link #BEHIND} frames late, with a mean of the cepstra that
 * follows what has been heard until then.
 */
final class LiveFeatures {
    /** Frames by which features are behind the samples: second differences look ahead. */
    static final int BEHIND = Features.DELTA;

    /** Frames that what is usual is worth at the beginning, and frames that the mean remembers. */
    private static final double USUAL_FRAMES = 40;

    private static final double REMEMBERED = 500;
    /** Decibels under the loudest of late from which on a frame says nothing of the voice, and nobody can be speaking. */
    private static final double QUIET = 30;

    private static final double SILENT = 45;
    /** What is taken for the loudest before anything was heard, decibels; voices of flite peak some 20 above it. */
    private static final double FIRST = 95;

    /** Decibels a frame that the loudest is forgotten by, and that the quietest rises by; and how far over that nobody speaks. */
    private static final double FALL = 0.02;

    private static final double RISE = 0.01;
    private static final double OVER_QUIET = 3;

    /** Samples the library wants at once, to cut windows from: the end of a shorter piece would be filled up with silence. */
    private static final int LEAST = 480;

    /** The cepstra of three voices over twenty sentences, as flite speaks them. */
    private static final double[] USUAL = {80.7, -1.3, 9.6, 23.2, 1.9, -0.6, 5.5, -9.1, -5.7, -4.6, 7.1, 2.9, 2.1};

    private final Blocks spectrum = new Blocks(Features.spectrum());
    private final Blocks clean = new Blocks(List.of(Features.denoise()));
    private final Blocks cepstra = new Blocks(Features.cepstra());
    private final Deque<Heard> window = new ArrayDeque<>();
    private final double[] mean;
    private double weight = USUAL_FRAMES;
    private float[] held = new float[0];
    private double loudest = FIRST;
    private double quietest = Double.POSITIVE_INFINITY;

    /**
     * @param features 39 of them
     * @param silent whether it is too quiet for a voice
     */
    record Frame(float[] features, boolean silent) {}

    private record Heard(double[] cepstra, boolean silent) {}

    LiveFeatures() {
        mean = USUAL.clone();
    }

    /** @param samples at {@link Features#RATE}, -1 to 1 */
    List<Frame> hears(float[] samples) {
        float[] all = Arrays.copyOf(held, held.length + samples.length);
        System.arraycopy(samples, 0, all, held.length, samples.length);
        List<Frame> out = new ArrayList<>();
        if (all.length < LEAST) {
            held = all;
            return out;
        }
        held = new float[0];
        spectrum.add(Features.block(all, 0, all.length));
        for (double[] bands : spectrum.made()) {
            double level = level(bands);
            loudest = Math.max(level, loudest - FALL);
            quietest = Math.min(level, quietest + RISE);
            boolean silent = level < Math.max(loudest - SILENT, Math.min(quietest + OVER_QUIET, loudest - QUIET));
            clean.add(bands);
            clean.made().forEach(cepstra::add);
            for (double[] c : cepstra.made()) {
                if (level > loudest - QUIET) {
                    learn(c);
                }
                Heard heard = new Heard(c, silent);
                window.addLast(heard);
                // as if the first had stood before
                while (window.size() < Features.DELTA + 1) {
                    window.addLast(heard);
                }
                if (window.size() > 2 * Features.DELTA) {
                    out.add(frame());
                    window.removeFirst();
                }
            }
        }
        return out;
    }

    private static double level(double[] bands) {
        double sum = 1;
        for (double b : bands) {
            sum += b;
        }
        return 10 * Math.log10(sum);
    }

    private void learn(double[] c) {
        weight = Math.min(REMEMBERED, weight + 1);
        for (int i = 0; i < mean.length; i++) {
            mean[i] += (c[i] - mean[i]) / weight;
        }
    }

    /** First and second differences as the library makes them. */
    private Frame frame() {
        Heard[] heard = window.toArray(Heard[]::new);
        double[][] w = Arrays.stream(heard).map(Heard::cepstra).toArray(double[][]::new);
        int t = Features.DELTA;
        float[] out = new float[Codebook.FEATURES];
        for (int i = 0; i < Features.CEPSTRA; i++) {
            out[i] = (float) (w[t][i] - mean[i]);
            out[Codebook.WIDTH + i] = (float) (w[t + 2][i] - w[t - 2][i]);
            out[2 * Codebook.WIDTH + i] = (float) ((w[t + 3][i] - w[t - 1][i]) - (w[t + 1][i] - w[t - 3][i]));
        }
        return new Frame(out, heard[t].silent());
    }
}
