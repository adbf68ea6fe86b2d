package app.leeward.bench.heard;

import app.leeward.core.speech.Phone;
import app.leeward.speech.PronouncingDictionary;
import app.leeward.speech.spelling.GraphoneTrainer;
import app.leeward.speech.spelling.Spelled;
import app.leeward.speech.spelling.SpellingReader;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.GZIPOutputStream;

/**
 * How many words that were kept out of the dictionary are read out rightly by their letters: a tenth of them is kept out, every
 * sixth of those is read. Given a file, writes the words of the whole dictionary as their units there, which is what ships.
 */
public final class SpelledFigures {
    private static final int FOLDS = 10;
    private static final int EVERY = 6;

    private SpelledFigures() {}

    /** @param args which tenth is kept out, 0 to 9; or the file to write */
    public static void main(String[] args) throws IOException {
        PronouncingDictionary dictionary = PronouncingDictionary.load();
        List<String> words = dictionary.words().stream()
                .filter(w -> w.matches("[a-z']+"))
                .sorted()
                .toList();
        if (args.length > 0 && !args[0].matches("\\d")) {
            write(Path.of(args[0]), GraphoneTrainer.cut(entries(dictionary, words)));
            return;
        }
        int fold = args.length > 0 ? Integer.parseInt(args[0]) : 3;
        List<String> kept = words.stream()
                .filter(w -> Math.floorMod(w.hashCode(), FOLDS) == fold)
                .toList();
        List<String> known = words.stream()
                .filter(w -> Math.floorMod(w.hashCode(), FOLDS) != fold)
                .toList();
        long start = System.nanoTime();
        List<String> cut = GraphoneTrainer.cut(entries(dictionary, known));
        long counted = System.nanoTime();
        SpellingReader reader = new SpellingReader(cut);
        System.out.printf(
                Locale.ROOT,
                "%d words cut in %.1f s, counted in %.1f s%n",
                cut.size(),
                (counted - start) / 1e9,
                (System.nanoTime() - counted) / 1e9);
        read(dictionary, kept, reader);
    }

    private static void read(PronouncingDictionary dictionary, List<String> kept, SpellingReader reader) {
        int exact = 0;
        int among = 0;
        int tried = 0;
        int wrong = 0;
        int sounds = 0;
        long start = System.nanoTime();
        for (int i = 0; i < kept.size(); i += EVERY) {
            List<List<Phone>> truth = dictionary.of(kept.get(i));
            List<List<Phone>> read = reader.read(kept.get(i), 3);
            tried++;
            exact += !read.isEmpty() && truth.contains(read.get(0)) ? 1 : 0;
            among += read.stream().anyMatch(truth::contains) ? 1 : 0;
            List<Phone> first = read.isEmpty() ? List.of() : read.get(0);
            List<Phone> nearest = truth.get(0);
            for (List<Phone> t : truth) {
                nearest = edits(t, first) < edits(nearest, first) ? t : nearest;
            }
            wrong += edits(nearest, first);
            sounds += nearest.size();
        }
        System.out.printf(
                Locale.ROOT,
                "%d words kept out: %.1f %% right, %.1f %% among the first three, %.2f %% of sounds wrong; %.1f ms a word%n",
                tried,
                100.0 * exact / tried,
                100.0 * among / tried,
                100.0 * wrong / sounds,
                (System.nanoTime() - start) / 1e6 / tried);
    }

    private static List<Spelled> entries(PronouncingDictionary dictionary, List<String> words) {
        List<Spelled> all = new ArrayList<>();
        for (String w : words) {
            dictionary.of(w).forEach(p -> all.add(new Spelled(w, p)));
        }
        return all;
    }

    private static void write(Path file, List<String> cut) throws IOException {
        try (Writer out =
                new OutputStreamWriter(new GZIPOutputStream(Files.newOutputStream(file)), StandardCharsets.UTF_8)) {
            for (String word : cut) {
                out.write(word + "\n");
            }
        }
    }

    private static int edits(List<Phone> a, List<Phone> b) {
        int[][] d = new int[a.size() + 1][b.size() + 1];
        for (int i = 0; i <= a.size(); i++) {
            for (int j = 0; j <= b.size(); j++) {
                int same = i > 0 && j > 0 && a.get(i - 1) == b.get(j - 1) ? 0 : 1;
                d[i][j] = i == 0 || j == 0
                        ? i + j
                        : Math.min(d[i - 1][j - 1] + same, 1 + Math.min(d[i - 1][j], d[i][j - 1]));
            }
        }
        return d[a.size()][b.size()];
    }
}
