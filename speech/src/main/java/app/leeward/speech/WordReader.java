package app.leeward.speech;

import edu.cmu.sphinx.alignment.USEnglishTokenizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Splits typed text into words and reads out what is not written as a word. */
public final class WordReader {
    private static final Map<String, String> SIGNS = Map.of("&", "and", "%", "percent", "+", "plus", "@", "at");

    /** What a script says about a line and nobody speaks: tags, and what stands in brackets of any kind. */
    private static final Pattern DIRECTION =
            Pattern.compile("</?[\\p{L}!][^<>]{0,200}>|\\([^()]{0,400}\\)|\\[[^\\[\\]]{0,400}\\]|\\{[^{}]{0,400}\\}");

    private WordReader() {}

    /** The words that are spoken, in order; directions are left out. */
    public static List<WrittenWord> read(String text) {
        List<WrittenWord> words = new ArrayList<>();
        String plain = DIRECTION
                .matcher(text)
                .replaceAll(" ")
                .replace('’', '\'')
                .replace('‘', '\'')
                .replaceAll("[—–…]", " ");
        for (String token : plain.split("\\s+")) {
            String bare = token.replaceAll("^[^\\p{L}\\p{N}$&%+@']+|[^\\p{L}\\p{N}&%+@']+$", "");
            List<String> spoken = spoken(bare);
            if (!spoken.isEmpty()) {
                words.add(new WrittenWord(bare, spoken));
            }
        }
        return words;
    }

    private static List<String> spoken(String token) {
        if (SIGNS.containsKey(token)) {
            return List.of(SIGNS.get(token));
        }
        List<String> out = new ArrayList<>();
        for (String piece : token.split("[-/_]")) {
            if (piece.chars().anyMatch(Character::isDigit)) {
                out.addAll(number(piece));
            } else {
                String letters = piece.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}']", "")
                        .replaceAll("^'+(?!(tis|twas|em|cause|til)\\b)|(?<!s)'+$", "");
                if (letters.chars().anyMatch(Character::isLetter)) {
                    out.add(letters);
                }
            }
        }
        return out;
    }

    private static List<String> number(String piece) {
        String percent = piece.endsWith("%") ? " percent" : "";
        boolean grouped = piece.contains(",");
        String body = piece.replaceAll("[%,]", "");
        // a time of day: the hours, then the minutes with "oh" before a single digit and nothing for a full hour
        if (body.matches("\\d{1,2}:\\d{2}")) {
            String[] parts = body.split(":");
            String minutes = parts[1].equals("00")
                    ? ""
                    : parts[1].startsWith("0") ? "oh " + expand(parts[1].substring(1)) : expand(parts[1]);
            return words(expand(parts[0]) + " " + minutes);
        }
        if (body.matches("\\d+\\.\\d+")) {
            String[] parts = body.split("\\.");
            StringBuilder digits = new StringBuilder();
            for (char c : parts[1].toCharArray()) {
                digits.append(' ').append(expand(String.valueOf(c)));
            }
            return words(expand(parts[0]) + " point" + digits + percent);
        }
        // an ordinal, a decade or a sum is one number to the library; anything else is read run by run, as in "B2"
        if (body.matches("\\$?\\d+(st|nd|rd|th|s)?")) {
            return words((isYear(body) && !grouped ? year(body) : expand(body)) + percent);
        }
        List<String> out = new ArrayList<>();
        Matcher runs = RUN.matcher(body);
        while (runs.find()) {
            out.addAll(
                    runs.group().matches("\\d+")
                            ? words(expand(runs.group()))
                            : List.of(runs.group().toLowerCase(Locale.ROOT)));
        }
        out.addAll(words(percent));
        return out;
    }

    private static final Pattern RUN = Pattern.compile("\\d+|\\p{L}[\\p{L}']*");

    /** Four digits from 1100 to 2099 without a comma are said as a year is, but for the first ten years of a thousand. */
    private static boolean isYear(String body) {
        return body.matches("(1[1-9]|20)\\d\\d") && !body.matches("200\\d");
    }

    private static String year(String body) {
        String tail = body.substring(2);
        String end =
                tail.equals("00") ? "hundred" : tail.startsWith("0") ? "oh " + expand(tail.substring(1)) : expand(tail);
        return expand(body.substring(0, 2)) + " " + end;
    }

    private static String expand(String number) {
        return String.join(" ", new USEnglishTokenizer().expand(number));
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}']+"))
                .filter(w -> !w.isBlank())
                .toList();
    }
}
