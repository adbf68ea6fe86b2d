package app.leeward.speech;

import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * A lexicon as a file in the form of the CMU Pronouncing Dictionary: a line a word, its sounds behind it in ARPAbet, stress or
 * none. Lines that begin with ;;; or # are remarks. Of several ways to say a word, written WORD(2), the first one counts.
 */
public final class LexiconFile {
    private static final int LARGEST = 2 << 20;

    private LexiconFile() {}

    public static String write(Lexicon lexicon) {
        return lexicon.entries().entrySet().stream()
                .map(e -> e.getKey() + "  "
                        + e.getValue().stream().map(Phone::name).collect(Collectors.joining(" ")) + "\n")
                .collect(Collectors.joining());
    }

    /** @throws SpeechProblem {@code lexicon-line} with the number of the line that cannot be read, {@code lexicon-empty}, {@code
     *     lexicon-large} or {@code lexicon-text} */
    public static Lexicon read(byte[] file) {
        if (file.length > LARGEST) {
            throw new SpeechProblem("lexicon-large", "A lexicon file has " + (LARGEST >> 20) + " MB at most.");
        }
        Map<String, List<Phone>> words = new TreeMap<>();
        String[] lines = text(file).split("\\R");
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip().replaceFirst("^\uFEFF", "");
            if (line.isEmpty() || line.startsWith(";;;") || line.startsWith("#")) {
                continue;
            }
            String[] parts = line.split("\\s+", 2);
            String word = parts[0].replaceAll("\\(\\d+\\)$", "").toLowerCase(Locale.ROOT);
            if (parts.length < 2 || word.isEmpty()) {
                throw bad(i, "'" + shortened(line) + "' is not a word and its sounds.");
            }
            // what stands behind # is a remark, as in the dictionary itself
            String sounds = parts[1].replaceAll("\\s#.*$", "");
            for (String symbol : sounds.split("\\s+")) {
                if (Phone.parse(symbol).isEmpty()) {
                    throw bad(i, "'" + shortened(symbol) + "' is no sound.");
                }
            }
            words.putIfAbsent(word, Phone.parseAll(sounds).orElseThrow());
        }
        if (words.isEmpty()) {
            throw new SpeechProblem("lexicon-empty", "There is no word in this file.");
        }
        return new Lexicon(words);
    }

    private static String text(byte[] file) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new SpeechProblem("lexicon-text", "This is no text in UTF-8.");
        }
    }

    private static SpeechProblem bad(int line, String reason) {
        return new SpeechProblem("lexicon-line", "Line " + (line + 1) + ": " + reason);
    }

    private static String shortened(String s) {
        return s.length() > 40 ? s.substring(0, 40) + "…" : s;
    }
}
