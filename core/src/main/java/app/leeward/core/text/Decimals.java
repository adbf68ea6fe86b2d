package app.leeward.core.text;

/**
 * Numbers in words: with a point, never an exponent, rounded half up. Ours, because the formatters of Java bring every language's
 * notation along, which is a third of what the page would have to load.
 */
public final class Decimals {
    private static final long[] TENS = {1, 10, 100, 1_000, 10_000, 100_000, 1_000_000, 10_000_000};
    /** From here on a number has no room for places in a long. */
    private static final double LARGE = 1e11;

    private Decimals() {}

    /** @param places 0 to 7, all of them written */
    public static String fixed(double value, int places) {
        if (!(Math.abs(value) < LARGE)) {
            return huge(value);
        }
        long tens = TENS[places];
        long scaled = (long) Math.floor(Math.abs(value) * tens + 0.5);
        StringBuilder out = new StringBuilder();
        if (value < 0 && scaled > 0) {
            out.append('-');
        }
        out.append(scaled / tens);
        if (places > 0) {
            String behind = Long.toString(scaled % tens);
            out.append('.').append("0".repeat(places - behind.length())).append(behind);
        }
        return out.toString();
    }

    /** @param places at most so many, 0 to 7, without zeros at the end */
    public static String plain(double value, int places) {
        String text = fixed(value, places);
        if (text.indexOf('.') < 0) {
            return text;
        }
        int end = text.length();
        while (text.charAt(end - 1) == '0') {
            end--;
        }
        return text.substring(0, text.charAt(end - 1) == '.' ? end - 1 : end);
    }

    /** A number without regard to its places, its exponent written out. */
    public static String huge(double value) {
        String text = Double.toString(value);
        int e = text.indexOf('E');
        if (e < 0) {
            return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
        }
        String sign = text.startsWith("-") ? "-" : "";
        int point = text.indexOf('.');
        String digits = text.substring(sign.length(), point) + text.substring(point + 1, e);
        int whole = point - sign.length() + Integer.parseInt(text.substring(e + 1));
        if (whole <= 0) {
            return sign + "0." + "0".repeat(-whole) + digits;
        }
        if (whole >= digits.length()) {
            return sign + digits + "0".repeat(whole - digits.length());
        }
        String behind = digits.substring(whole);
        return sign + digits.substring(0, whole) + (behind.equals("0") ? "" : "." + behind);
    }
}
