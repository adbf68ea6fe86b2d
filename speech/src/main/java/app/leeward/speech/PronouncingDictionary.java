package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The CMU Pronouncing Dictionary, as shipped with the acoustic model. Immutable once loaded. */
public final class PronouncingDictionary {
    private static final String RESOURCE = "/edu/cmu/sphinx/models/en-us/cmudict-en-us.dict";

    /** Word to its pronunciations, each still as text: most are never asked for. */
    private final Map<String, List<String>> entries;

    private PronouncingDictionary(Map<String, List<String>> entries) {
        this.entries = entries;
    }

    public static PronouncingDictionary load() {
        Map<String, List<String>> entries = new HashMap<>(200_000);
        try (InputStream in = PronouncingDictionary.class.getResourceAsStream(RESOURCE);
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                int space = line.indexOf(' ');
                if (space > 0) {
                    String word = line.substring(0, space).replaceAll("\\(\\d+\\)$", "");
                    entries.computeIfAbsent(word, k -> new ArrayList<>(1)).add(line.substring(space + 1));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new PronouncingDictionary(entries);
    }

    /** All pronunciations of a word, in the dictionary's order; empty when it lacks the word. */
    public List<List<Phone>> of(String word) {
        return entries.getOrDefault(word.toLowerCase(Locale.ROOT), List.of()).stream()
                .map(symbols -> Phone.parseAll(symbols)
                        .orElseThrow(() -> new IllegalStateException("dictionary entry " + word + ": " + symbols)))
                .toList();
    }

    /** All words, in no order. */
    public java.util.Set<String> words() {
        return java.util.Collections.unmodifiableSet(entries.keySet());
    }
}
