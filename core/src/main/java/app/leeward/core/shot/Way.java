package app.leeward.core.shot;

import app.leeward.core.dial.Ease;

/** How a keyed dial goes from one key to the next. */
public sealed interface Way {
    Way HOLD = new Hold();
    Way EVEN = new Even();
    Way SMOOTH = new Smooth();

    /** Stays where it is until the next key, and is there at once. */
    record Hold() implements Way {}

    /** In equal steps. */
    record Even() implements Way {}

    /**
     * On the monotone cubic through the keys, never beyond the two it runs between; it sets out slowly from where it stood still and
     * settles slowly where it will, see {@link app.leeward.core.dial.MonotoneCubic}.
     */
    record Smooth() implements Way {}

    /**
     * The CSS easing {@code cubic-bezier(x1, y1, x2, y2)}; W3C CSS Easing Functions Level 1.
     *
     * @param x1 0 to 1
     * @param y1 any; outside 0 to 1 the way swings back or over
     * @param x2 0 to 1
     * @param y2 any
     */
    record Curve(double x1, double y1, double x2, double y2) implements Way {
        public Curve {
            new Ease.Curve(x1, y1, x2, y2);
        }

        /** How far the way has come when {@code x} of it, 0 to 1, has passed. */
        double at(double x) {
            return new Ease.Curve(x1, y1, x2, y2).at(x);
        }
    }
}
