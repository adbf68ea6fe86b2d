package app.leeward.core.art;

/** Refuses numbers that cannot be computed with, where they enter. */
public final class Numbers {
    private Numbers() {}

    /**
     * @return {@code value}
     * @throws IllegalArgumentException when it is NaN or infinite; the message carries name and value
     */
    public static double finite(String name, double value) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(name + " must be a finite number, but is " + value);
        }
        return value;
    }

    /** Text for a coordinate: at most four decimals, no trailing zeros, never an exponent. */
    public static String text(double value) {
        PathText out = new PathText();
        out.number(value);
        return out.toString();
    }
}
