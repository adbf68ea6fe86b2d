package app.leeward.formats.svg;

import java.util.Locale;
import java.util.Map;

/** CSS lengths in user units, at the 96 units an inch that SVG fixes. */
final class Lengths {
    private static final Map<String, Double> UNITS = Map.of(
            "px", 1.0, "pt", 96.0 / 72, "pc", 16.0, "mm", 96 / 25.4, "cm", 96 / 2.54, "in", 96.0, "q", 96 / 101.6);

    private Lengths() {}

    /** @throws NumberFormatException when it is not a number with a known absolute unit */
    static double parse(String text) {
        String s = text.strip().toLowerCase(Locale.ROOT);
        for (Map.Entry<String, Double> unit : UNITS.entrySet()) {
            if (s.endsWith(unit.getKey())) {
                return finite(s.substring(0, s.length() - unit.getKey().length())) * unit.getValue();
            }
        }
        return finite(s);
    }

    private static double finite(String s) {
        double v = Double.parseDouble(s.strip());
        if (!Double.isFinite(v) || Math.abs(v) > 1e9) {
            throw new NumberFormatException("out of range: " + s);
        }
        return v;
    }

    static double parse(String text, double otherwise) {
        try {
            return text == null ? otherwise : parse(text);
        } catch (NumberFormatException e) {
            return otherwise;
        }
    }
}
