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
        double scaled = Math.rint(value * 1e4);
        if (!(Math.abs(scaled) < 1e15)) {
            double rounded = scaled / 1e4;
            return rounded == Math.rint(rounded) && Math.abs(rounded) < 1e15
                    ? Long.toString((long) rounded)
                    : java.math.BigDecimal.valueOf(rounded).toPlainString();
        }
        long whole = Math.abs((long) scaled);
        long left = whole % 10_000;
        StringBuilder out = new StringBuilder(12);
        if (scaled < 0) {
            out.append('-');
        }
        out.append(whole / 10_000);
        if (left != 0) {
            out.append('.');
            // large art is mostly coordinates: this is written out by hand because it takes a third of the time
            for (long digit = 1000; left != 0; left %= digit, digit /= 10) {
                out.append((char) ('0' + left / digit));
            }
        }
        return out.toString();
    }
}
