package app.leeward.speech;

import app.leeward.core.speech.Phone;
import app.leeward.speech.spelling.SpellingReader;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Guesses the sounds of a word no dictionary has from its letters. Letters beyond the 26 are read as the nearest of them. A guess
 * is shown to the rigger, never trusted. Thread-safe.
 */
final class LetterToSound {
    private static final Map<String, String> NEAREST =
            Map.of("æ", "ae", "œ", "oe", "ø", "o", "ß", "ss", "ł", "l", "þ", "th", "ð", "th", "đ", "d", "ı", "i");

    private final SpellingReader spelling;

    LetterToSound(SpellingReader spelling) {
        this.spelling = spelling;
    }

    /** @return the likeliest ways to say it, the best first, {@code most} at most; empty for a word without Latin letters */
    List<List<Phone>> guesses(String word, int most) {
        String letters = word.toLowerCase(Locale.ROOT);
        for (Map.Entry<String, String> e : NEAREST.entrySet()) {
            letters = letters.replace(e.getKey(), e.getValue());
        }
        return spelling.read(Normalizer.normalize(letters, Normalizer.Form.NFD).replaceAll("[^a-z']", ""), most);
    }
}
