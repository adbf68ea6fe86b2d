package app.leeward.core.speech;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** How this crew pronounces words the dictionary lacks or gets wrong: word in lower case to its sounds. */
public record Lexicon(Map<String, List<Phone>> entries) {
    public static final Lexicon EMPTY = new Lexicon(Map.of());
    /** Words at most. */
    public static final int MOST = 5_000;

    public Lexicon {
        TreeMap<String, List<Phone>> sorted = new TreeMap<>();
        entries.forEach((word, phones) -> {
            if (word.isBlank() || phones.isEmpty()) {
                throw new IllegalArgumentException("'" + word + "' needs at least one sound");
            }
            sorted.put(word.toLowerCase(Locale.ROOT), List.copyOf(phones));
        });
        entries = java.util.Collections.unmodifiableMap(sorted);
    }

    public Optional<List<Phone>> of(String word) {
        return Optional.ofNullable(entries.get(word.toLowerCase(Locale.ROOT)));
    }

    public Lexicon with(String word, List<Phone> phones) {
        TreeMap<String, List<Phone>> more = new TreeMap<>(entries);
        more.put(word.toLowerCase(Locale.ROOT), phones);
        return new Lexicon(more);
    }

    /** With the words of another, which win over the same ones of this. */
    public Lexicon with(Lexicon other) {
        TreeMap<String, List<Phone>> more = new TreeMap<>(entries);
        more.putAll(other.entries());
        return new Lexicon(more);
    }

    public Lexicon without(String word) {
        TreeMap<String, List<Phone>> fewer = new TreeMap<>(entries);
        fewer.remove(word.toLowerCase(Locale.ROOT));
        return new Lexicon(fewer);
    }
}
