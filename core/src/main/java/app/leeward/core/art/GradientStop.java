package app.leeward.core.art;

/**
 * One colour of a gradient.
 *
 * @param at how far along, 0 to 1
 * @param colour {@code #rrggbb}
 * @param opacity 0 to 1
 */
public record GradientStop(double at, String colour, double opacity) {
    public GradientStop {
        if (!(at >= 0 && at <= 1 && opacity >= 0 && opacity <= 1)) {
            throw new IllegalArgumentException("a gradient's stop lies at 0 to 1, not at " + at + " with " + opacity);
        }
    }
}
