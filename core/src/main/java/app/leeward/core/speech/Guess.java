package app.leeward.core.speech;

import java.util.List;

/** A word the dictionary lacks, and the sounds it was given from its spelling until somebody corrects them. */
public record Guess(String word, List<Phone> phones) {
    public Guess {
        phones = List.copyOf(phones);
    }
}
