package app.leeward.core.speech;

import java.util.ArrayList;
import java.util.List;

/**
 * A word the dictionary lacks, and the sounds it was given from its spelling until somebody corrects them.
 *
 * @param phones the ones it is said with, of those that were likely, as far as the recording tells
 * @param others further likely ones, the likeliest first
 */
public record Guess(String word, List<Phone> phones, List<List<Phone>> others) {
    public Guess {
        phones = List.copyOf(phones);
        // stored before there were such
        others = others == null ? List.of() : others.stream().map(List::copyOf).toList();
    }

    public Guess(String word, List<Phone> phones) {
        this(word, phones, List.of());
    }

    /** The same when these of its sounds were heard. */
    public Guess heard(List<Phone> said) {
        if (said.equals(phones) || !others.contains(said)) {
            return this;
        }
        List<List<Phone>> rest = new ArrayList<>(others);
        rest.set(rest.indexOf(said), phones);
        return new Guess(word, said, rest);
    }
}
