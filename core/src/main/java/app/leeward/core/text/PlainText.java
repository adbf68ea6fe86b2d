package app.leeward.core.text;

import java.util.Locale;
import java.util.Optional;

/**
 * Text that can be stored, sent and written into any of our files: the characters of XML 1.0 (production 2, Char), which are
 * those that PostgreSQL and JSON take as well. Left out are control characters but for tab and line ends, halves of
 * surrogate pairs, U+FFFE and U+FFFF.
 */
public final class PlainText {
    private PlainText() {}

    /** What is wrong with a text, to be read behind "it holds"; empty when nothing is. */
    public static Optional<String> fault(String text) {
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            if (!allowed(c)) {
                return Optional.of(
                        String.format(Locale.ROOT, "U+%04X at letter %d, %s, which cannot be kept", c, i + 1, what(c)));
            }
            i += java.lang.Character.charCount(c);
        }
        return Optional.empty();
    }

    private static String what(int c) {
        return c >= 0xD800 && c <= 0xDFFF
                ? "half a character"
                : c >= 0xFFFE ? "no character at all" : "a control character";
    }

    private static boolean allowed(int c) {
        return c == 0x9
                || c == 0xA
                || c == 0xD
                || c >= 0x20 && c <= 0xD7FF
                || c >= 0xE000 && c <= 0xFFFD
                || c >= 0x10000 && c <= 0x10FFFF;
    }

    /** The same text with a replacement character (U+FFFD) for everything that cannot be written into a file. */
    public static String mended(String text) {
        if (fault(text).isEmpty()) {
            return text;
        }
        StringBuilder out = new StringBuilder(text.length());
        text.codePoints().forEach(c -> out.appendCodePoint(allowed(c) ? c : 0xFFFD));
        return out.toString();
    }
}
