package app.leeward.core.signal;

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

    /**
     * What it knows of a value that comes in one by one.
     *
     * @param value what came out last
     * @param speed how fast it goes, a second, itself smoothed
     */
    public record State(double value, double speed) {
        /** Before anything moved. */
        public static State at(double value) {
            return new State(value, 0);
        }
    }

    /** @param rate values a second, by the time since the last one */
    public State next(State before, double value, double rate) {
        double raw = (value - before.value()) * rate;
        double speed = before.speed() + alpha(derivativeCutoff, rate) * (raw - before.speed());
        double cutoff = minimumCutoff + beta * Math.abs(speed);
        return new State(before.value() + alpha(cutoff, rate) * (value - before.value()), speed);
    }

    /** @param rate values a second */
    public double[] smoothed(double[] values, double rate) {
        double[] out = new double[values.length];
        State state = null;
        for (int i = 0; i < values.length; i++) {
            state = state == null ? State.at(values[i]) : next(state, values[i], rate);
            out[i] = state.value();
        }
        return out;
    }

    /** Share of a new value that comes through: 1 / (1 + τ / Δt) with τ = 1 / (2π cutoff). */
    private static double alpha(double cutoff, double rate) {
        double tau = 1 / (2 * Math.PI * cutoff);
        return 1 / (1 + tau * rate);
    }
}
