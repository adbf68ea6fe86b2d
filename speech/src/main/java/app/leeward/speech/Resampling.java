package app.leeward.speech;

/**
 * Samples at another rate by windowed-sinc interpolation (Hann window, 16 zero crossings a side), which keeps everything above the
 * lower of the two half-rates out.
 */
final class Resampling {
    private static final int CROSSINGS = 16;
    private static final double CUT = 0.97;

    private final double step;
    private final double cut;
    private final int half;

    Resampling(int rate, int newRate) {
        step = (double) rate / newRate;
        cut = Math.min(1, 1 / step) * CUT;
        half = (int) Math.ceil(CROSSINGS / cut);
    }

    /** Old samples from one new sample to the next. */
    double step() {
        return step;
    }

    /** How many old samples on each side count. */
    int reach() {
        return half;
    }

    /** @param at between the samples, counted from the first of them */
    float at(float[] samples, double at) {
        int first = Math.max(0, (int) Math.ceil(at - half));
        int last = Math.min(samples.length - 1, (int) Math.floor(at + half));
        double sum = 0;
        for (int k = first; k <= last; k++) {
            double x = k - at;
            double window = 0.5 + 0.5 * Math.cos(Math.PI * x / half);
            double sinc = x == 0 ? 1 : Math.sin(Math.PI * cut * x) / (Math.PI * cut * x);
            sum += samples[k] * cut * sinc * window;
        }
        return (float) sum;
    }
}
