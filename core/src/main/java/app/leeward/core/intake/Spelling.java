package app.leeward.core.intake;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Puts mistyped words of the vocabulary right: one letter too many, too few or wrong, or two exchanged. */
final class Spelling {
    /** Shorter words have too many neighbours; of them only exchanged letters are put right. */
    private static final int LONG_ENOUGH = 5;

    /** Words that are meant although they are near others. */
    private static final Set<String> KNOWN = known();

    /** What a figure may wear or hold, and what is no slip of a word of the vocabulary. */
    private static final Set<String> OTHERS = Set.of("bead", "beads", "bear", "bears");

    private Spelling() {}

    private static Set<String> known() {
        Set<String> all = new HashSet<>();
        Vocabulary.phrases()
                .values()
                .forEach(phrases -> phrases.forEach(p -> {
                    for (String word : p.split(" ")) {
                        all.add(word);
                        all.add(word + "s");
                    }
                }));
        all.addAll(PartNames.IDLE);
        all.addAll(PartNames.BESIDE_EYES);
        all.addAll(PartNames.LEFT);
        all.addAll(PartNames.RIGHT);
        all.addAll(List.of(
                "front", "back", "open", "close", "closed", "shut", "smile", "rest", "neutral", "happy", "angry"));
        return Set.copyOf(all);
    }

    /** The one word of the vocabulary a word is a slip of the fingers away from; itself where there is none, or several. */
    static String corrected(String word) {
        if (KNOWN.contains(word) || OTHERS.contains(word) || word.length() < 3) {
            return word;
        }
        String found = null;
        for (String known : KNOWN) {
            if (near(word, known) && !(found != null && (known + "s").equals(found))) {
                if (found != null && !known.equals(found + "s")) {
                    return word;
                }
                found = found == null ? known : found;
            }
        }
        return found == null ? word : found;
    }

    /** Whether they begin alike and are one slip apart. */
    private static boolean near(String word, String known) {
        if (word.charAt(0) != known.charAt(0) || Math.abs(word.length() - known.length()) > 1) {
            return false;
        }
        int same = 0;
        while (same < Math.min(word.length(), known.length()) && word.charAt(same) == known.charAt(same)) {
            same++;
        }
        String a = word.substring(same);
        String b = known.substring(same);
        if (a.length() == b.length() && a.length() > 1) {
            boolean exchanged = a.charAt(0) == b.charAt(1)
                    && a.charAt(1) == b.charAt(0)
                    && a.substring(2).equals(b.substring(2));
            if (exchanged) {
                return true;
            }
        }
        if (known.length() < LONG_ENOUGH) {
            return false;
        }
        // a word that another one only goes on from is a word of its own: a bell is no belly
        return !a.isEmpty() && a.length() == b.length() && a.substring(1).equals(b.substring(1))
                || a.length() > b.length() && a.substring(1).equals(b)
                || !a.isEmpty() && b.length() > a.length() && b.substring(1).equals(a);
    }
}
