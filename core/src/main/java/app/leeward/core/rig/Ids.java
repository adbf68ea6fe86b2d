package app.leeward.core.rig;

import java.util.Locale;
import java.util.Set;

/** Makes short ids that can be read, out of names. */
public final class Ids {
    private Ids() {}

    /** {@code name} in lower case with dashes, and a number behind it when that is already taken. */
    public static String unused(String name, Set<String> taken) {
        String base = name.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        if (base.isEmpty() || base.equals("nothing")) {
            base = "piece";
        }
        base = base.length() > 60 ? base.substring(0, 60) : base;
        String id = base;
        for (int n = 2; taken.contains(id); n++) {
            id = base + "-" + n;
        }
        return id;
    }
}
