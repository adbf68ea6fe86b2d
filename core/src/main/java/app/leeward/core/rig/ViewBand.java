package app.leeward.core.rig;

/**
 * From where to where on the dial a view is shown.
 *
 * @param from in the dial's unit; belongs to the band
 * @param to in the dial's unit; belongs to the next band, or to this one at the end
 * @param view root of the view
 * @param flipped shown as its mirror image about the axis, where only one side was drawn
 */
public record ViewBand(double from, double to, String view, boolean flipped) {
    public ViewBand {
        if (!(from < to) || !Double.isFinite(from) || !Double.isFinite(to)) {
            throw new IllegalArgumentException(
                    "a view's band goes from a lower to a higher value, not " + from + " to " + to);
        }
    }

    public double middle() {
        return (from + to) / 2;
    }
}
