package app.leeward.core.dial;

import java.util.List;

/** Where a dial under a hand counts as standing, so that a trembling hand does not make drawings flicker. */
public final class Steady {
    /** A little before an edge, where the drawing on that side still shows. */
    private static final double BEFORE = 1e-6;

    private Steady() {}

    /**
     * The value, but on the side of a drawing's edge it was on before, until it is further beyond the edge than a hand trembles.
     *
     * @param edges values at which some drawing gives way to another, rising
     * @param trembling how far beyond an edge counts as not yet beyond it, in the dial's unit
     * @param last where it counted as standing before; NaN when the hand has just come
     */
    public static double at(List<Double> edges, double trembling, double last, double value) {
        double held = value;
        for (double edge : edges) {
            boolean crossed = !Double.isNaN(last) && (last < edge) != (value < edge);
            if (crossed && Math.abs(value - edge) < trembling) {
                held = last < edge ? Math.min(held, edge - BEFORE) : Math.max(held, edge);
            }
        }
        return held;
    }
}
