package app.leeward.speech.acoustic;

import edu.cmu.sphinx.linguist.acoustic.HMM;
import edu.cmu.sphinx.linguist.acoustic.HMMPosition;
import edu.cmu.sphinx.linguist.acoustic.LeftRightContext;
import edu.cmu.sphinx.linguist.acoustic.Unit;
import edu.cmu.sphinx.linguist.acoustic.UnitManager;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.Loader;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.Pool;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.Senone;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.SenoneHMM;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.Sphinx3Loader;
import edu.cmu.sphinx.util.LogMath;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * The acoustic model that comes with the library, as plain arrays: phonetically tied mixtures, three states a sound, other
 * states for each pair of neighbours. Immutable; one serves any number of searches at once.
 */
public final class AcousticModel {
    static final int STATES = 3;

    private static final String LOCATION = "resource:/edu/cmu/sphinx/models/en-us/en-us";
    private static final float LEAST_VARIANCE = 1e-4f;
    private static final float LEAST_WEIGHT = 1e-7f;
    /** Held, so that its level is not forgotten: the library tells of every unit it reads. */
    private static final Logger LIBRARY = Logger.getLogger("edu.cmu.sphinx");

    private final Codebook[] codebooks;
    /** Which codebook a state uses. */
    private final int[] codebookOf;
    /** Logarithm of each Gaussian's weight: state, then stream by stream. */
    private final float[][] weights;
    /** States of a sound between neighbours, packed by {@link #key}. */
    private final Map<Integer, int[]> contexts;

    private final int[][] alone = new int[AcousticUnit.COUNT][];
    /** Logarithm of staying in a state, and of going on from it. */
    private final float[][] stay = new float[AcousticUnit.COUNT][STATES];

    private final float[][] leave = new float[AcousticUnit.COUNT][STATES];

    private AcousticModel(Codebook[] codebooks, int[] codebookOf, float[][] weights) {
        this.codebooks = codebooks;
        this.codebookOf = codebookOf;
        this.weights = weights;
        this.contexts = new HashMap<>(300_000);
    }

    /** Reads the model; takes a second or two. */
    public static AcousticModel load() {
        LIBRARY.setLevel(Level.WARNING);
        try {
            UnitManager units = new UnitManager();
            Sphinx3Loader loader =
                    new Sphinx3Loader(LOCATION, units, 0, LEAST_WEIGHT, LEAST_VARIANCE, Scores.TOP, true);
            loader.load();
            return of(loader, loader.getSenone2Ci(), loader.getNumGaussiansPerState());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("the acoustic model is missing from the build", e);
        }
    }

    static AcousticModel of(Loader loader, int[] codebookOf, int gaussians) {
        Codebook[] books = new Codebook[loader.getMeansPool().size() / gaussians / Codebook.STREAMS];
        for (int b = 0; b < books.length; b++) {
            books[b] = codebook(loader, b, gaussians);
        }
        Pool<Senone> senones = loader.getSenonePool();
        float[][] weights = new float[senones.size()][Codebook.STREAMS * gaussians];
        for (int s = 0; s < weights.length; s++) {
            for (int i = 0; i < weights[s].length; i++) {
                weights[s][i] = ln(loader.getMixtureWeights().get(s, i / gaussians, i % gaussians));
            }
        }
        AcousticModel model = new AcousticModel(books, codebookOf.clone(), weights);
        for (HMM hmm : loader.getHMMManager()) {
            model.put((SenoneHMM) hmm);
        }
        return model;
    }

    private static Codebook codebook(Loader loader, int book, int gaussians) {
        float[][][] means = new float[Codebook.STREAMS][Codebook.WIDTH][gaussians];
        float[][][] halves = new float[Codebook.STREAMS][Codebook.WIDTH][gaussians];
        float[][] offsets = new float[Codebook.STREAMS][gaussians];
        for (int stream = 0; stream < Codebook.STREAMS; stream++) {
            for (int g = 0; g < gaussians; g++) {
                int at = (book * Codebook.STREAMS + stream) * gaussians + g;
                float[] mean = loader.getMeansPool().get(at);
                float[] variance = loader.getVariancePool().get(at);
                double offset = -0.5 * Codebook.WIDTH * Math.log(2 * Math.PI);
                for (int d = 0; d < Codebook.WIDTH; d++) {
                    means[stream][d][g] = mean[d];
                    halves[stream][d][g] = 0.5f / variance[d];
                    offset -= 0.5 * Math.log(variance[d]);
                }
                offsets[stream][g] = (float) offset;
            }
        }
        return new Codebook(means, halves, offsets);
    }

    private void put(SenoneHMM hmm) {
        int unit = AcousticUnit.of(hmm.getBaseUnit().getName());
        int[] states = new int[STATES];
        for (int i = 0; i < STATES; i++) {
            states[i] = (int) hmm.getSenoneSequence().getSenones()[i].getID();
            stay[unit][i] = ln(hmm.getTransitionProbability(i, i));
            leave[unit][i] = ln(hmm.getTransitionProbability(i, i + 1));
        }
        if (hmm.getUnit().getContext() instanceof LeftRightContext context && hmm.isContextDependent()) {
            contexts.put(
                    key(
                            position(hmm.getPosition()),
                            unit,
                            only(context.getLeftContext()),
                            only(context.getRightContext())),
                    states);
        } else {
            alone[unit] = states;
        }
    }

    private static int only(Unit[] context) {
        return AcousticUnit.of(context[0].getName());
    }

    private static Position position(HMMPosition p) {
        return switch (p) {
            case BEGIN -> Position.FIRST;
            case END -> Position.LAST;
            case SINGLE -> Position.ALONE;
            default -> Position.INNER;
        };
    }

    private static int key(Position position, int unit, int left, int right) {
        return ((position.ordinal() * 64 + unit) * 64 + left) * 64 + right;
    }

    private static float ln(float log) {
        return log == LogMath.LOG_ZERO
                ? Float.NEGATIVE_INFINITY
                : LogMath.getLogMath().logToLn(log);
    }

    /** States of a unit whatever is around it. */
    int[] states(int unit) {
        return alone[unit];
    }

    /**
     * States of a sound between two others; where the model never met it there, those of the same neighbours elsewhere in a
     * word, else those of the sound by itself.
     */
    int[] states(Position position, int unit, int left, int right) {
        int[] found = contexts.get(key(position, unit, left, right));
        for (Position p : Position.values()) {
            found = found == null ? contexts.get(key(p, unit, left, right)) : found;
        }
        return found == null ? alone[unit] : found;
    }

    float stay(int unit, int state) {
        return stay[unit][state];
    }

    float leave(int unit, int state) {
        return leave[unit][state];
    }

    Codebook codebook(int book) {
        return codebooks[book];
    }

    int codebooks() {
        return codebooks.length;
    }

    int codebookOf(int state) {
        return codebookOf[state];
    }

    float[] weights(int state) {
        return weights[state];
    }

    int states() {
        return weights.length;
    }
}
