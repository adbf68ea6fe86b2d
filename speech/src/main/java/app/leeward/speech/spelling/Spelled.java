package app.leeward.speech.spelling;

import app.leeward.core.speech.Phone;
import java.util.List;

/** A word of a dictionary and one way to say it. */
public record Spelled(String word, List<Phone> phones) {
    public Spelled {
        phones = List.copyOf(phones);
    }

    /** Whether it is written in nothing but the 26 letters and apostrophes. */
    boolean plain() {
        return word.chars().allMatch(c -> c >= 'a' && c <= 'z' || c == '\'');
    }
}
