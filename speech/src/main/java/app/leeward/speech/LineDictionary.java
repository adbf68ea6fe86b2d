package app.leeward.speech;

import app.leeward.core.speech.Phone;
import edu.cmu.sphinx.linguist.dictionary.TextDictionary;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The words of one line with all their pronunciations, handed in before each alignment, so that a word nobody knows can
 * never be dropped in silence. Public because the library makes it by name.
 */
public final class LineDictionary extends TextDictionary {
    private final Set<String> handed = new HashSet<>();

    /** Must be called behind {@link #allocate()}. */
    void setWords(Map<String, List<List<Phone>>> spoken) {
        dictionary.keySet().removeAll(handed);
        wordDictionary.keySet().removeAll(handed);
        handed.clear();
        spoken.forEach((word, pronunciations) -> {
            for (int i = 0; i < pronunciations.size(); i++) {
                // the parent class looks further pronunciations up as word(2), word(3) …
                String key = i == 0 ? word : word + "(" + (i + 1) + ")";
                String phones = pronunciations.get(i).stream().map(Phone::name).collect(Collectors.joining(" "));
                dictionary.put(key, key + " " + phones);
                handed.add(key);
            }
        });
    }
}
