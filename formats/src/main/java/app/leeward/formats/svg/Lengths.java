package app.leeward.formats.svg;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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

    /** What is wrong with a length, as in "is no number"; empty for a sound one, a share, or one that is handed down. */
    static Optional<String> fault(String text) {
        String s = text == null ? "" : text.strip();
        if (s.isEmpty() || s.endsWith("%") || Set.of("auto", "inherit", "none").contains(s)) {
            return Optional.empty();
        }
        try {
            parse(s);
            return Optional.empty();
        } catch (NumberFormatException e) {
            boolean far = s.matches("[-+]?[0-9.]+([eE][-+]?[0-9]+)?[a-z]*");
            return Optional.of(far ? "is out of all bounds" : "is no number");
        }
    }

    static double parse(String text, double otherwise) {
        try {
            return text == null ? otherwise : parse(text);
        } catch (NumberFormatException e) {
            return otherwise;
        }
    }
}
