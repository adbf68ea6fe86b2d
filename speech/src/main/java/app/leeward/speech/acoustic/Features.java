package app.leeward.speech.acoustic;

import app.leeward.speech.Sound;
import edu.cmu.sphinx.frontend.DataProcessor;
import edu.cmu.sphinx.frontend.denoise.Denoise;
import edu.cmu.sphinx.frontend.feature.BatchCMN;
import edu.cmu.sphinx.frontend.feature.DeltasFeatureExtractor;
import edu.cmu.sphinx.frontend.filter.Preemphasizer;
import edu.cmu.sphinx.frontend.frequencywarp.MelFrequencyFilterBank2;
import edu.cmu.sphinx.frontend.transform.DiscreteCosineTransform2;
import edu.cmu.sphinx.frontend.transform.DiscreteFourierTransform;
import edu.cmu.sphinx.frontend.transform.Lifter;
import edu.cmu.sphinx.frontend.window.RaisedCosineWindower;
import java.util.ArrayList;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * A recording as the model hears it: 13 cepstra with their first and second differences every 10 ms.
 *
 * @param frames 39 features each
 * @param bands the energies of 25 mel bands they were made from, before anything was taken away
 * @param noise how loud each band is where nobody speaks
 * @param noisy whether noise was taken out by its own measure
 */
record Features(float[][] frames, double[][] bands, double[] noise, boolean noisy) {
    /** Held, so that its level is not forgotten: a step of the library tells of every recording. */
    private static final Logger LIBRARY = Logger.getLogger("BatchCMN");

    static {
        LIBRARY.setLevel(Level.WARNING);
    }

    /** The model hears 16 kHz. */
    static final int RATE = 16_000;
    /** Seconds from one frame to the next. */
    static final double STEP = 0.01;

    private static final int BANDS = 25;
    private static final double LOWEST = 130;
    private static final double HIGHEST = 6800;
    static final int CEPSTRA = 13;
    private static final int LIFTER = 22;
    private static final int POINTS = 512;
    private static final float WINDOW_MS = 25.625f;
    private static final double CURVE = 0.46;
    private static final double EMPHASIS = 0.97;
    static final int DELTA = 3;
    private static final int BLOCK = 1600;

    /** @param skip samples at 16 kHz that are left out at the beginning */
    static Features of(Sound sound, int skip) {
        double[][] bands = bands(sound.at(RATE), skip);
        NoiseReduction noise = NoiseReduction.of(bands);
        List<DataProcessor> steps = new ArrayList<>();
        if (!noise.noisy()) {
            steps.add(denoise());
        }
        steps.addAll(cepstra());
        steps.add(new BatchCMN());
        steps.add(new DeltasFeatureExtractor(DELTA));
        Blocks blocks = new Blocks(steps);
        for (double[] frame : noise.reduced(bands)) {
            blocks.add(frame);
        }
        blocks.end();
        List<double[]> made = blocks.made();
        float[][] frames = new float[made.size()][];
        for (int t = 0; t < frames.length; t++) {
            frames[t] = new float[Codebook.FEATURES];
            for (int d = 0; d < Codebook.FEATURES; d++) {
                frames[t][d] = (float) made.get(t)[d];
            }
        }
        return new Features(frames, bands, noise.quiet(), noise.noisy());
    }

    int length() {
        return frames.length;
    }

    /** From samples to the energies of mel bands. */
    static List<DataProcessor> spectrum() {
        return List.of(
                new Preemphasizer(EMPHASIS),
                new RaisedCosineWindower(CURVE, WINDOW_MS, (float) (STEP * 1000)),
                new DiscreteFourierTransform(POINTS, false),
                new MelFrequencyFilterBank2(LOWEST, HIGHEST, BANDS));
    }

    /** The library's own noise reduction; does best where there is hardly any noise. */
    static DataProcessor denoise() {
        return new Denoise(0.7, 0.999, 0.5, 0.85, 0.2, 20, 4);
    }

    /** From energies of mel bands to cepstra. */
    static List<DataProcessor> cepstra() {
        return List.of(new DiscreteCosineTransform2(BANDS, CEPSTRA), new Lifter(LIFTER));
    }

    /** Samples as the library takes them: those of 16 bits. */
    static double[] block(float[] samples, int from, int to) {
        double[] block = new double[to - from];
        for (int i = 0; i < block.length; i++) {
            block[i] = Math.round(Math.max(-1, Math.min(1, samples[from + i])) * 32767);
        }
        return block;
    }

    private static double[][] bands(Sound sound, int skip) {
        float[] samples = sound.samples();
        Blocks blocks = new Blocks(spectrum());
        for (int at = skip; at < samples.length; at += BLOCK) {
            blocks.add(block(samples, at, Math.min(samples.length, at + BLOCK)));
        }
        blocks.end();
        return blocks.made().toArray(double[][]::new);
    }
}
