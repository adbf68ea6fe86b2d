package app.leeward.formats.lottie;

/**
 * The easing {@code cubic-bezier(x1, y1, x2, y2)} that meets given points best. For given x1 and x2 the way is linear in y1 and y2,
 * which are the least squares; x1 and x2 are searched, first on a grid and then in ever smaller steps.
 */
final class EaseFit {
    private static final int GRID = 5;
    /** Handles further off than this overshoot between the points they were fitted to. */
    private static final double LEAST = -1;

    private static final double MOST = 2;
    /**
     * How far handles stay from the ends of the time. A way that sets out upright is somewhere else a rounding after its key, where
     * players look: the points it was fitted to are whole frames and do not show it.
     */
    private static final double SLANT = 0.02;

    /** How far off the best way of the grid may be that is still worth a closer look. */
    private static final double HOPELESS = 0.05;
    /** How many times too far off it may be after the first closer look; half of that after the next. */
    private static final double HOPEFUL = 16;

    private static final int TABLE = 512;
    /** Where along the curve a share of the time is reached, for the ways of the grid. */
    private static final double[][][] GRID_TIMES = gridTimes();

    private static double[][][] gridTimes() {
        double[][][] times = new double[GRID + 1][GRID + 1][TABLE + 1];
        for (int i = 0; i <= GRID; i++) {
            for (int j = 0; j <= GRID; j++) {
                for (int k = 0; k <= TABLE; k++) {
                    times[i][j][k] = time(clamped((double) i / GRID), clamped((double) j / GRID), (double) k / TABLE);
                }
            }
        }
        return times;
    }

    private final double[] u;
    private final double[] s;

    /** The best so far: x1, y1, x2, y2, and how far off it is. */
    private double[] best = {0, 0, 1, 1, Double.POSITIVE_INFINITY};

    private EaseFit(double[] u, double[] s) {
        this.u = u;
        this.s = s;
    }

    /**
     * @param u shares of the time, above 0 and below 1, rising
     * @param s how far it has come then
     * @param near how far off it may be
     * @return x1, y1, x2, y2; null when none is near enough
     */
    static double[] of(double[] u, double[] s, double near) {
        double even = 0;
        for (int k = 0; k < u.length; k++) {
            even = Math.max(even, Math.abs(u[k] - s[k]));
        }
        if (even <= near) {
            return new double[] {0, 0, 1, 1};
        }
        if (u.length < 3) {
            // anything can be met by a bent way, and nothing says that it is one
            return null;
        }
        EaseFit fit = new EaseFit(u, s);
        double[] ts = new double[u.length];
        for (int i = 0; i <= GRID; i++) {
            for (int j = 0; j <= GRID; j++) {
                for (int k = 0; k < u.length; k++) {
                    ts[k] = GRID_TIMES[i][j][(int) Math.round(u[k] * TABLE)];
                }
                fit.tried(clamped((double) i / GRID), clamped((double) j / GRID), ts);
            }
        }
        if (fit.best[4] > HOPELESS + near) {
            return null;
        }
        // the best of the grid is an estimate, and measured anew
        fit.best[4] = Double.POSITIVE_INFINITY;
        double hope = HOPEFUL;
        for (double step = 0.5 / GRID; step > 0.004 && fit.best[4] > near; step /= 2) {
            fit.around(step);
            if (fit.best[4] > hope * near) {
                return null;
            }
            hope = Math.max(2, hope / 2);
        }
        return fit.best[4] <= near ? new double[] {fit.best[0], fit.best[1], fit.best[2], fit.best[3]} : null;
    }

    private void around(double step) {
        for (int turn = 0; turn < 3; turn++) {
            double x1 = best[0];
            double x2 = best[2];
            for (int dx = -1; dx <= 1; dx++) {
                for (int dy = -1; dy <= 1; dy++) {
                    double tried1 = clamped(x1 + dx * step);
                    double tried2 = clamped(x2 + dy * step);
                    double[] ts = new double[u.length];
                    for (int k = 0; k < u.length; k++) {
                        ts[k] = time(tried1, tried2, u[k]);
                    }
                    tried(tried1, tried2, ts);
                }
            }
            if (best[0] == x1 && best[2] == x2) {
                return;
            }
        }
    }

    private static double clamped(double x) {
        // as it will be written
        return rounded(Math.max(SLANT, Math.min(1 - SLANT, x)));
    }

    /** @param ts where along the curve each share of the time is reached */
    private void tried(double x1, double x2, double[] ts) {
        double aa = 0;
        double ab = 0;
        double bb = 0;
        double ar = 0;
        double br = 0;
        for (int k = 0; k < u.length; k++) {
            double t = ts[k];
            double a = 3 * (1 - t) * (1 - t) * t;
            double b = 3 * (1 - t) * t * t;
            double rest = s[k] - t * t * t;
            aa += a * a;
            ab += a * b;
            bb += b * b;
            ar += a * rest;
            br += b * rest;
        }
        double det = aa * bb - ab * ab;
        if (Math.abs(det) < 1e-12) {
            return;
        }
        double y1 = rounded(Math.max(LEAST, Math.min(MOST, (ar * bb - br * ab) / det)));
        double y2 = rounded(Math.max(LEAST, Math.min(MOST, (br * aa - ar * ab) / det)));
        double off = 0;
        for (int k = 0; k < u.length; k++) {
            double t = ts[k];
            double y = 3 * (1 - t) * (1 - t) * t * y1 + 3 * (1 - t) * t * t * y2 + t * t * t;
            off = Math.max(off, Math.abs(y - s[k]));
        }
        if (off < best[4]) {
            best = new double[] {x1, y1, x2, y2, off};
        }
    }

    private static double rounded(double v) {
        return Math.rint(v * 1000) / 1000;
    }

    /** Where along the curve a share of the time is reached: Newton's steps, kept between bounds since it never goes back. */
    private static double time(double x1, double x2, double u) {
        double low = 0;
        double high = 1;
        double t = u;
        for (int i = 0; i < 30; i++) {
            double x = 3 * (1 - t) * (1 - t) * t * x1 + 3 * (1 - t) * t * t * x2 + t * t * t - u;
            if (Math.abs(x) < 1e-9) {
                return t;
            }
            if (x < 0) {
                low = t;
            } else {
                high = t;
            }
            double slope = 3 * (1 - t) * (1 - t) * x1 + 6 * (1 - t) * t * (x2 - x1) + 3 * t * t * (1 - x2);
            double next = slope > 1e-6 ? t - x / slope : -1;
            t = next > low && next < high ? next : (low + high) / 2;
        }
        return t;
    }
}
