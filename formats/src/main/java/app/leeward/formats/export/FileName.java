package app.leeward.formats.export;

import java.text.Normalizer;
import java.util.Locale;

/** Names of files that every system takes, and that sort. */
public final class FileName {
    private static final int LONGEST = 60;

    private FileName() {}

    /** A name in lower case, in plain letters and numbers with hyphens between; {@code leeward} when nothing is left of it. */
    public static String stem(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String cut = plain.length() > LONGEST ? plain.substring(0, LONGEST).replaceAll("-+$", "") : plain;
        return cut.isEmpty() ? "leeward" : cut;
    }
}
