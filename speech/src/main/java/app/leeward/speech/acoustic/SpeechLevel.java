package app.leeward.speech.acoustic;

import java.util.Arrays;

/** How loud speech is in a recording, and with it where nothing can be silent. */
final class SpeechLevel {
    /** Shares of the frames that are no louder than the quiet, and than what speaks. */
    private static final double QUIET = 0.08;

    private static final double LOUD = 0.85;
    /** Decibels. */
    private static final double OVER_QUIET = 3;

    private static final double UNDER_SPEECH = 25;
    private static final double RISE = 4;
    /** For a frame that cannot be silent, natural logarithm. */
    private static final double NOT_SILENT = 12;

    private SpeechLevel() {}

    /** What silence costs where it is as loud as speech: in noise the model's silence fits everything that is not written. */
    static float[] loud(double[][] bands) {
        double[] levels = Arrays.stream(bands)
                .mapToDouble(b -> 10 * Math.log10(Arrays.stream(b).sum() + 1))
                .toArray();
        double[] sorted = levels.clone();
        Arrays.sort(sorted);
        double quiet = sorted[(int) (sorted.length * QUIET)];
        double speech = sorted[(int) (sorted.length * LOUD)];
        double least = Math.max(quiet + OVER_QUIET, speech - UNDER_SPEECH);
        float[] out = new float[levels.length];
        for (int t = 0; t < out.length; t++) {
            out[t] = (float) (NOT_SILENT * Math.max(0, Math.min(1, (levels[t] - least) / RISE)));
        }
        return out;
    }
}
