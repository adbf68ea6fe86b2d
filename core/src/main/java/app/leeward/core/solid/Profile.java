package app.leeward.core.solid;

/** How far the front of a level slice stands out, from its middle (t = 0) to its edge (t = 1), as a share of its depth. */
interface Profile {
    double height(double t);

    /** dz/dt; below 0. */
    double slope(double t);

    /**
     * The t from which on it falls faster than so much: where dz/dt = -slope.
     *
     * @param slope above 0; may be infinite
     */
    double falls(double slope);

    /**
     * How far right of its middle the outline of a slice lies once it is turned: the most that {@code a·t·c + d·z(t)·s} becomes.
     *
     * @param a half its width
     * @param d half its depth
     */
    double limb(double a, double d, double c, double s);

    /** Up to which t the surface is followed exactly; from there it is led to the edge. */
    double exactTo();

    /**
     * A superellipse |x/a|ⁿ + |z/d|ⁿ = 1: n = 2 an ellipse, 7 a box with rounded edges. Its limb follows from the dual norm
     * (Rockafellar, Convex Analysis, 1970, §15).
     */
    record Superellipse(double n) implements Profile {
        @Override
        public double height(double t) {
            return Math.pow(Math.max(0, 1 - Math.pow(t, n)), 1 / n);
        }

        @Override
        public double slope(double t) {
            double rest = 1 - Math.pow(t, n);
            return rest < 1e-9 ? -1e6 : -Math.pow(t, n - 1) * Math.pow(rest, 1 / n - 1);
        }

        @Override
        public double falls(double slope) {
            // -dz/dt = (u / (1 - u))^((n-1)/n) with u = tⁿ
            double q = Math.pow(slope, n / (n - 1));
            return Double.isInfinite(q) ? 1 : Math.pow(q / (1 + q), 1 / n);
        }

        @Override
        public double limb(double a, double d, double c, double s) {
            double m = n / (n - 1);
            return Math.pow(Math.pow(a * c, m) + Math.pow(d * s, m), 1 / m);
        }

        @Override
        public double exactTo() {
            return n > 4 ? 0.94 : 0.8;
        }
    }

    /** A parabola 1 - t²: what is stuck on a face has no upright wall at its rim, where lines just inside it would fold. */
    record Bump() implements Profile {
        @Override
        public double height(double t) {
            return 1 - t * t;
        }

        @Override
        public double slope(double t) {
            return -2 * t;
        }

        @Override
        public double falls(double slope) {
            return Math.min(1, slope / 2);
        }

        @Override
        public double limb(double a, double d, double c, double s) {
            boolean atRim = 2 * d * s <= a * c;
            return atRim ? a * c : a * a * c * c / (4 * d * s) + d * s;
        }

        @Override
        public double exactTo() {
            return 0.8;
        }
    }
}
