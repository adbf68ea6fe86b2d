package app.leeward.core.rig;

/** The picture's size in user units, with its top left corner at 0, 0. */
public record Canvas(double width, double height) {
    public Canvas {
        if (!(width > 0 && height > 0 && width <= 100_000 && height <= 100_000)) {
            throw new IllegalArgumentException(
                    "canvas must be 1 to 100000 units each way, not " + width + " × " + height);
        }
    }
}
