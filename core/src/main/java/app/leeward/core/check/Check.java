package app.leeward.core.check;

import app.leeward.core.rig.Character;
import java.util.Locale;
import java.util.stream.Stream;

/** Looks at one side of a character. Pure: the same character gives the same faults, the worst of a kind first. */
interface Check {
    /** What it is asked for by. */
    String id();

    Stream<Fault> find(Character c);

    /**
     * Who notices.
     *
     * @param code of a fault it finds
     */
    Harm harm(String code);

    /** Words as a sentence: with a capital letter and a full stop. */
    static String sentence(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + (words.endsWith(".") ? "" : ".");
    }

    /** The code of an enum's word: {@code LID_SHORT} is "lid-short". */
    static String code(Enum<?> word) {
        return word.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
