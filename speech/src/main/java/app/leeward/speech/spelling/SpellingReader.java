package app.leeward.speech.spelling;

import app.leeward.core.speech.Phone;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;

/** Reads words out by their letters. Thread-safe. */
public final class SpellingReader {
    private static final String SHIPPED = "/app/leeward/speech/spelling/words.txt.gz";
    private static final int ORDER = 7;
    /** Ways that are followed at once. */
    private static final int BEAM = 20;

    private final GraphoneModel model;
    private final Map<String, List<Integer>> byLetters = new HashMap<>();

    /** @param words each as its units, parted by spaces, as {@link GraphoneTrainer#cut} gives them */
    public SpellingReader(List<String> words) {
        model = new GraphoneModel(words, ORDER);
        for (int u = 1; u < model.size(); u++) {
            byLetters
                    .computeIfAbsent(model.unit(u).letters(), l -> new ArrayList<>())
                    .add(u);
        }
    }

    /** The one that was learnt from the dictionary that ships; takes seconds. */
    public static SpellingReader shipped() {
        return new SpellingReader(shippedWords());
    }

    /** The words of the dictionary that ships, each as its units. */
    public static List<String> shippedWords() {
        try (InputStream in = SpellingReader.class.getResourceAsStream(SHIPPED);
                BufferedReader lines =
                        new BufferedReader(new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
            return lines.lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private record Way(int[] history, double score, List<Phone> phones) {}

    /**
     * The likeliest ways to say a word, the best first.
     *
     * @param letters small ones from a to z and apostrophes; anything else is passed over
     * @param most how many
     * @return empty when it has no letters
     */
    public List<List<Phone>> read(String letters, int most) {
        String word = letters.replaceAll("[^a-z']", "");
        List<List<Way>> at = new ArrayList<>();
        for (int i = 0; i <= word.length(); i++) {
            at.add(new ArrayList<>());
        }
        at.get(0).add(new Way(new int[model.memory()], 0, List.of()));
        for (int i = 0; i < word.length(); i++) {
            for (Way way : best(at.get(i))) {
                for (int n = 1; n <= Math.min(Graphone.MOST_LETTERS, word.length() - i); n++) {
                    for (int unit : byLetters.getOrDefault(word.substring(i, i + n), List.of())) {
                        at.get(i + n).add(on(way, unit));
                    }
                }
            }
        }
        Map<List<Phone>, Double> found = new LinkedHashMap<>();
        for (Way way : best(at.get(word.length()))) {
            if (!way.phones().isEmpty()) {
                found.merge(way.phones(), way.score() + model.behind(way.history(), GraphoneModel.EDGE), Math::max);
            }
        }
        return found.entrySet().stream()
                .sorted(Map.Entry.<List<Phone>, Double>comparingByValue().reversed())
                .limit(most)
                .map(Map.Entry::getKey)
                .toList();
    }

    private Way on(Way way, int unit) {
        int[] history = Arrays.copyOfRange(way.history(), 1, way.history().length + 1);
        history[history.length - 1] = unit;
        List<Phone> phones = new ArrayList<>(way.phones());
        phones.addAll(model.unit(unit).phones());
        return new Way(history, way.score() + model.behind(way.history(), unit), phones);
    }

    private static List<Way> best(List<Way> all) {
        return all.stream()
                .sorted(Comparator.comparingDouble(Way::score).reversed())
                .limit(BEAM)
                .toList();
    }
}
