package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.util.List;

/**
 * How a word is said.
 *
 * @param word in small letters
 * @param ways the likeliest first
 */
public record WordSounds(String word, Source source, List<List<Phone>> ways) {
    /** Who says so. */
    public enum Source {
        LEXICON,
        DICTIONARY,
        SPELLING
    }

    public WordSounds {
        ways = ways.stream().map(List::copyOf).toList();
    }
}
