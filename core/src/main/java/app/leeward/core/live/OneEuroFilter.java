package app.leeward.core.live;

/**
 * The One Euro filter: a low-pass of first order whose cutoff rises with speed, so that a hand at rest does not tremble and one that
 * moves is not behind. Casiez, Roussel and Vogel, "1€ Filter", CHI 2012, 2527–2530.
 *
 * @param minimumCutoff hertz, at rest; lower takes out more tremble
 * @param beta how much the cutoff rises with speed; higher is less behind
 * @param derivativeCutoff hertz, of the speed itself; 1 in the paper
 */
public record OneEuroFilter(double minimumCutoff, double beta, double derivativeCutoff) {
    public OneEuroFilter {
        if (!(minimumCutoff > 0 && beta >= 0 && derivativeCutoff > 0)
                || Double.isInfinite(minimumCutoff + beta + derivativeCutoff)) {
            throw new IllegalArgumentException("cutoffs are above 0 and beta is not below it");
        }
    }

    public OneEuroFilter(double minimumCutoff, double beta) {
        this(minimumCutoff, beta, 1);
    }

    /** @param rate values a second */
    public double[] smoothed(double[] values, double rate) {
        double[] out = new double[values.length];
        double speed = 0;
        for (int i = 0; i < values.length; i++) {
            if (i == 0) {
                out[0] = values[0];
                continue;
            }
            double raw = (values[i] - out[i - 1]) * rate;
            speed += alpha(derivativeCutoff, rate) * (raw - speed);
            double cutoff = minimumCutoff + beta * Math.abs(speed);
            out[i] = out[i - 1] + alpha(cutoff, rate) * (values[i] - out[i - 1]);
        }
        return out;
    }

    /** Share of a new value that comes through: 1 / (1 + τ / Δt) with τ = 1 / (2π cutoff). */
    private static double alpha(double cutoff, double rate) {
        double tau = 1 / (2 * Math.PI * cutoff);
        return 1 / (1 + tau * rate);
    }
}
