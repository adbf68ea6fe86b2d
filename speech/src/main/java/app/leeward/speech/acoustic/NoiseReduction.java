package app.leeward.speech.acoustic;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Takes steady noise out of the energies of mel bands: what is heard in the quietest tenth of the recording is taken from
 * every band, the energies smoothed forwards and backwards in time so that what is short (a closure) stays sharp.
 *
 * @param quiet how loud each band is in the quietest frames
 * @param noisy whether there is so much of it that it is taken out
 */
record NoiseReduction(double[] quiet, boolean noisy) {
    /** Decibels of speech over noise from which on a recording is clean. */
    private static final double CLEAN = 18;

    private static final double SHARE = 0.1;
    private static final int LEAST = 5;
    private static final double[] SMOOTH = {0.09, 0.3, 1, 0.3, 0.09};
    private static final double OVER = 1.5;
    private static final double FLOOR = 0.05;

    static NoiseReduction of(double[][] bands) {
        if (bands.length == 0) {
            return new NoiseReduction(new double[0], false);
        }
        int[] byLoudness = IntStream.range(0, bands.length)
                .boxed()
                .sorted(Comparator.comparingDouble(t -> loudness(bands[t])))
                .mapToInt(Integer::intValue)
                .toArray();
        int count = Math.min(bands.length, Math.max(LEAST, (int) (bands.length * SHARE)));
        double[] quiet = mean(bands, Arrays.copyOf(byLoudness, count));
        double speech = Arrays.stream(mean(bands, byLoudness)).average().orElse(0);
        double noise = Arrays.stream(quiet).average().orElse(0);
        return new NoiseReduction(quiet, 10 * Math.log10(speech / Math.max(noise, 1e-9)) < CLEAN);
    }

    private static double loudness(double[] frame) {
        return Arrays.stream(frame).map(m -> Math.log(m + 1)).average().orElse(0);
    }

    private static double[] mean(double[][] bands, int[] frames) {
        double[] mean = new double[bands[0].length];
        for (int t : frames) {
            for (int k = 0; k < mean.length; k++) {
                mean[k] += bands[t][k] / frames.length;
            }
        }
        return mean;
    }

    /** The energies without the noise; the very same ones of a recording that is clean. */
    double[][] reduced(double[][] bands) {
        if (!noisy) {
            return bands;
        }
        double[][] out = new double[bands.length][];
        for (int t = 0; t < bands.length; t++) {
            double[] gain = gain(bands, t);
            out[t] = new double[gain.length];
            for (int k = 0; k < gain.length; k++) {
                int from = Math.max(0, k - 1);
                int to = Math.min(gain.length - 1, k + 1);
                double sum = 0;
                for (int i = from; i <= to; i++) {
                    sum += gain[i];
                }
                out[t][k] = bands[t][k] * sum / (to - from + 1);
            }
        }
        return out;
    }

    private double[] gain(double[][] bands, int t) {
        double[] gain = new double[quiet.length];
        for (int k = 0; k < gain.length; k++) {
            double sum = 0;
            double weight = 0;
            for (int i = 0; i < SMOOTH.length; i++) {
                int at = t + i - SMOOTH.length / 2;
                if (at >= 0 && at < bands.length) {
                    sum += SMOOTH[i] * bands[at][k];
                    weight += SMOOTH[i];
                }
            }
            double power = sum / weight;
            gain[k] = power <= 0 ? FLOOR : Math.max((power - OVER * quiet[k]) / power, FLOOR);
        }
        return gain;
    }
}
