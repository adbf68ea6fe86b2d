package app.leeward.speech.script;

import app.leeward.speech.SpeechProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Labels over time in tiers: a TextGrid as Praat writes it, in its long form and its short one, or a table. As Praat's manual has it,
 * of a TextGrid only numbers, quoted texts and flags that stand free are read, and everything else between them is there for people.
 *
 * @param seconds where it ends
 * @param tiers those of intervals; tiers of points are left out
 */
public record TimingGrid(double seconds, List<Tier> tiers) {
    private static final int LONGEST = 900_000;
    private static final int MOST = 40_000;
    private static final Pattern TOKEN = Pattern.compile("\"((?:[^\"]|\"\")*)\"|![^\\n]*|(\\S+)");
    private static final Pattern NUMBER = Pattern.compile("[-+]?\\d+(?:\\.\\d+)?(?:[eE][-+]?\\d+)?");

    /** Labelled stretches, in order. */
    public record Tier(String name, List<Interval> intervals) {}

    /**
     * @param from seconds
     * @param to seconds
     * @param label empty where there is nothing
     */
    public record Interval(double from, double to, String label) {}

    private static boolean isTextGrid(String text) {
        return text.replace("\uFEFF", "").stripLeading().startsWith("File type = \"ooTextFile");
    }

    /** @throws SpeechProblem {@code grid-not}, {@code grid-long} or {@code grid-broken} */
    public static TimingGrid read(String text) {
        Optional<TimingTable> table = isTextGrid(text) ? Optional.empty() : TimingTable.of(text);
        if (table.isEmpty() && !isTextGrid(text)) {
            throw new SpeechProblem(
                    "grid-not",
                    "These are no timings: a TextGrid begins with File type = \"ooTextFile\", a table with a row that names"
                            + " its columns: start, end, sound (and word), or start, end, tier, label.");
        }
        if (text.length() > LONGEST) {
            throw new SpeechProblem(
                    "grid-long", "The timings are " + text.length() + " letters long; at most " + LONGEST + ".");
        }
        return table.map(TimingTable::grid).orElseGet(() -> new Tokens(text).grid());
    }

    /** What stands free in the text, in order. */
    private static final class Tokens {
        private final List<String> tokens = new ArrayList<>();
        private final List<Integer> lines = new ArrayList<>();
        private int next;

        Tokens(String text) {
            Matcher m = TOKEN.matcher(text);
            int line = 1;
            int at = 0;
            while (m.find()) {
                for (; at < m.start(); at++) {
                    line += text.charAt(at) == '\n' ? 1 : 0;
                }
                if (m.group(1) != null) {
                    tokens.add("\"" + m.group(1).replace("\"\"", "\""));
                    lines.add(line);
                } else if (m.group(2) != null && NUMBER.matcher(m.group(2)).matches()) {
                    tokens.add(m.group(2));
                    lines.add(line);
                }
            }
        }

        TimingGrid grid() {
            text();
            if (!text().equals("TextGrid")) {
                throw broken("it holds another kind of object");
            }
            number();
            double end = number();
            int count = count();
            List<Tier> tiers = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                boolean intervals = text().equals("IntervalTier");
                String name = text();
                number();
                number();
                int size = count();
                List<Interval> all = new ArrayList<>();
                for (int k = 0; k < size; k++) {
                    double from = number();
                    double to = intervals ? number() : from;
                    String label = text().strip();
                    double before = all.isEmpty() ? 0 : all.get(all.size() - 1).to();
                    if (intervals && (from < before - 1e-6 || to <= from)) {
                        throw broken("an interval of the tier '" + name + "' does not follow the one before it");
                    }
                    all.add(new Interval(from, to, label));
                }
                if (intervals) {
                    tiers.add(new Tier(name, List.copyOf(all)));
                }
            }
            return new TimingGrid(end, List.copyOf(tiers));
        }

        private String taken() {
            if (next >= tokens.size()) {
                throw broken("it ends too early");
            }
            return tokens.get(next++);
        }

        private String text() {
            String token = taken();
            if (!token.startsWith("\"")) {
                throw broken("there is a number where a text should be");
            }
            return token.substring(1);
        }

        private double number() {
            String token = taken();
            if (token.startsWith("\"")) {
                throw broken("there is a text where a number should be");
            }
            return Double.parseDouble(token);
        }

        private int count() {
            double n = number();
            if (n < 0 || n > MOST || n != Math.rint(n)) {
                throw broken("it says there are " + n + " of something");
            }
            return (int) n;
        }

        private SpeechProblem broken(String why) {
            int line = lines.isEmpty() ? 1 : lines.get(Math.max(0, Math.min(next, lines.size()) - 1));
            return new SpeechProblem("grid-broken", "The TextGrid cannot be read at line " + line + ": " + why + ".");
        }
    }
}
