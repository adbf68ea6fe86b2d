package app.leeward.core.rig;

import java.util.Locale;
import java.util.Set;

/** Makes short ids that can be read, out of names. */
public final class Ids {
    private Ids() {}

    /** {@code name} in lower case with dashes, and a number behind it when that is already taken. */
    public static String unused(String name, Set<String> taken) {
        String base = dashed(name.toLowerCase(Locale.ROOT));
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

    /** Letters and digits as they are, one dash for whatever stands between them. */
    private static String dashed(String name) {
        StringBuilder out = new StringBuilder();
        boolean between = false;
        for (int i = 0; i < name.length(); ) {
            int c = name.codePointAt(i);
            i += java.lang.Character.charCount(c);
            if (java.lang.Character.isLetter(c) || number(c)) {
                if (between && out.length() > 0) {
                    out.append('-');
                }
                out.appendCodePoint(c);
                between = false;
            } else {
                between = true;
            }
        }
        return out.toString();
    }

    private static boolean number(int c) {
        int type = java.lang.Character.getType(c);
        return type == java.lang.Character.DECIMAL_DIGIT_NUMBER
                || type == java.lang.Character.LETTER_NUMBER
                || type == java.lang.Character.OTHER_NUMBER;
    }
}
