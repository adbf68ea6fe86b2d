package app.leeward.core.dial;

import app.leeward.core.art.Numbers;

/**
 * How a dial goes from the stop next to rest, or from rest itself, out to the stop that carries this. Both halves of a dial
 * go outwards alike, so that a mirrored stop carries the same ease.
 */
public sealed interface Ease {
    Ease LINEAR = new Linear();
    Ease SMOOTH = new Smooth();

    /** In equal steps. */
    record Linear() implements Ease {}

    /** On the monotone cubic through all stops, never beyond the stops' own values (Fritsch &amp; Carlson 1980). */
    record Smooth() implements Ease {}

    /**
     * The CSS easing {@code cubic-bezier(x1, y1, x2, y2)}; W3C CSS Easing Functions Level 1.
     *
     * @param x1 0 to 1
     * @param y1 any; outside 0 to 1 the way swings back or over
     * @param x2 0 to 1
     * @param y2 any
     */
    record Curve(double x1, double y1, double x2, double y2) implements Ease {
        private static final int STEPS = 60;

        public Curve {
            Numbers.finite("easing", x1 + y1 + x2 + y2);
            if (x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1) {
                throw new IllegalArgumentException(
                        "The handles of an easing stand between 0 and 1 across, not at " + x1 + " and " + x2 + ".");
            }
        }

        /** How far the way has come, 0 at 0 and 1 at 1, when {@code x} of it, 0 to 1, has passed. */
        public double at(double x) {
            if (x <= 0 || x >= 1) {
                return x <= 0 ? 0 : 1;
            }
            // across never goes back, so halving always finds it
            double from = 0;
            double to = 1;
            for (int i = 0; i < STEPS; i++) {
                double middle = (from + to) / 2;
                if (bezier(x1, x2, middle) < x) {
                    from = middle;
                } else {
                    to = middle;
                }
            }
            return bezier(y1, y2, (from + to) / 2);
        }

        private static double bezier(double a, double b, double t) {
            double s = 1 - t;
            return 3 * s * s * t * a + 3 * s * t * t * b + t * t * t;
        }
    }
}
