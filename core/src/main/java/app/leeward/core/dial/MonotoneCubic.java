package app.leeward.core.dial;

import java.util.Arrays;

/**
 * The monotone cubic: a smooth way through values that never goes beyond the two it runs between. F. N. Fritsch and R. E. Carlson,
 * Monotone piecewise cubic interpolation, SIAM J. Numer. Anal. 17 (1980) 238–246, with their circle of radius 3.
 */
public final class MonotoneCubic {
    private static final double RADIUS = 3;

    private MonotoneCubic() {}

    /**
     * The slope at a place between two stretches: even between both, level where the way turns back.
     *
     * @param before rise for a step across on the stretch before it
     * @param after the same behind it
     */
    public static double slope(double before, double after) {
        return before * after <= 0 ? 0 : (before + after) / 2;
    }

    /**
     * Makes slopes less steep where the way would go beyond the values at the ends of a stretch. Both stretches at a place are looked
     * at before its slope is changed, so that a mirrored way is the mirror of the way.
     *
     * @param secants rise for a step across on each stretch
     * @param slopes at each place, one more than stretches; changed in place
     */
    public static void limit(double[] secants, double[] slopes) {
        double[] less = new double[slopes.length];
        Arrays.fill(less, 1);
        for (int i = 0; i < secants.length; i++) {
            double d = secants[i];
            double steep = d == 0 ? 0 : Math.hypot(slopes[i], slopes[i + 1]) / Math.abs(d);
            double most = d == 0 ? 0 : steep > RADIUS ? RADIUS / steep : 1;
            less[i] = Math.min(less[i], most);
            less[i + 1] = Math.min(less[i + 1], most);
        }
        for (int i = 0; i < slopes.length; i++) {
            slopes[i] *= less[i];
        }
    }

    /**
     * The cubic Hermite way over one stretch.
     *
     * @param t share of the stretch, 0 to 1
     * @param width of the stretch
     */
    public static double at(double from, double slopeFrom, double to, double slopeTo, double width, double t) {
        double s = 1 - t;
        return (1 + 2 * t) * s * s * from
                + t * s * s * width * slopeFrom
                + t * t * (3 - 2 * t) * to
                + t * t * (t - 1) * width * slopeTo;
    }
}
