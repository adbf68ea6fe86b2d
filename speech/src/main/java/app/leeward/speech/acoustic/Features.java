package app.leeward.speech.acoustic;

import app.leeward.speech.Sound;
import edu.cmu.sphinx.frontend.BaseDataProcessor;
import edu.cmu.sphinx.frontend.Data;
import edu.cmu.sphinx.frontend.DataEndSignal;
import edu.cmu.sphinx.frontend.DataProcessor;
import edu.cmu.sphinx.frontend.DataStartSignal;
import edu.cmu.sphinx.frontend.DoubleData;
import edu.cmu.sphinx.frontend.FloatData;
import edu.cmu.sphinx.frontend.FrontEnd;
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
import java.util.Iterator;
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
    private static final int CEPSTRA = 13;
    private static final int LIFTER = 22;
    private static final int POINTS = 512;
    private static final float WINDOW_MS = 25.625f;
    private static final double CURVE = 0.46;
    private static final double EMPHASIS = 0.97;
    private static final int DELTA = 3;
    private static final int BLOCK = 1600;

    /** @param skip samples at 16 kHz that are left out at the beginning */
    static Features of(Sound sound, int skip) {
        double[][] bands = bands(sound.at(RATE), skip);
        NoiseReduction noise = NoiseReduction.of(bands);
        List<DataProcessor> steps = new ArrayList<>();
        if (!noise.noisy()) {
            // the library's own does best where there is hardly any noise
            steps.add(new Denoise(0.7, 0.999, 0.5, 0.85, 0.2, 20, 4));
        }
        steps.add(new DiscreteCosineTransform2(BANDS, CEPSTRA));
        steps.add(new Lifter(LIFTER));
        steps.add(new BatchCMN());
        steps.add(new DeltasFeatureExtractor(DELTA));
        List<double[]> made = run(noise.reduced(bands), steps);
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

    private static double[][] bands(Sound sound, int skip) {
        float[] samples = sound.samples();
        List<double[]> blocks = new ArrayList<>();
        for (int at = skip; at < samples.length; at += BLOCK) {
            double[] block = new double[Math.min(BLOCK, samples.length - at)];
            for (int i = 0; i < block.length; i++) {
                block[i] = Math.round(Math.max(-1, Math.min(1, samples[at + i])) * 32767);
            }
            blocks.add(block);
        }
        return run(
                        blocks.toArray(double[][]::new),
                        List.of(
                                new Preemphasizer(EMPHASIS),
                                new RaisedCosineWindower(CURVE, WINDOW_MS, (float) (STEP * 1000)),
                                new DiscreteFourierTransform(POINTS, false),
                                new MelFrequencyFilterBank2(LOWEST, HIGHEST, BANDS)))
                .toArray(double[][]::new);
    }

    private static List<double[]> run(double[][] input, List<DataProcessor> steps) {
        List<DataProcessor> all = new ArrayList<>();
        all.add(new Source(input));
        all.addAll(steps);
        FrontEnd frontEnd = new FrontEnd(all);
        frontEnd.initialize();
        List<double[]> out = new ArrayList<>();
        for (Data d = frontEnd.getData(); d != null && !(d instanceof DataEndSignal); d = frontEnd.getData()) {
            if (d instanceof DoubleData values) {
                out.add(values.getValues());
            } else if (d instanceof FloatData values) {
                double[] wide = new double[values.getValues().length];
                for (int i = 0; i < wide.length; i++) {
                    wide[i] = values.getValues()[i];
                }
                out.add(wide);
            }
        }
        return out;
    }

    /** Hands blocks of numbers to the library's front end. */
    private static final class Source extends BaseDataProcessor {
        private final Iterator<double[]> blocks;
        private boolean begun;
        private boolean ended;
        private long sample;

        Source(double[][] blocks) {
            this.blocks = List.of(blocks).iterator();
        }

        @Override
        public Data getData() {
            if (!begun) {
                begun = true;
                return new DataStartSignal(RATE);
            }
            if (blocks.hasNext()) {
                // the steps behind change what they are given
                double[] block = blocks.next().clone();
                Data data = new DoubleData(block, RATE, sample);
                sample += block.length;
                return data;
            }
            if (ended) {
                return null;
            }
            ended = true;
            return new DataEndSignal(0);
        }
    }
}
