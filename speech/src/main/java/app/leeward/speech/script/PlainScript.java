package app.leeward.speech.script;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A script as text: a line to each line. A cue number may stand before it, and a speaker: in capitals before a colon, in any
 * letters where most lines have one, before a tab, or in capitals alone above what is said.
 */
final class PlainScript {
    static final int LONGEST_CUE = 24;

    private static final int LONGEST_NAME = 32;
    /** Share of the lines with something before a colon, from which on it is who speaks. */
    private static final double MOST = 0.6;

    private static final String NUMBER = "\\d{1,5}[A-Za-z]?(?:[._-]\\d{1,4}[A-Za-z]?)*";
    private static final Pattern CUE = Pattern.compile("[\\[(]?(" + NUMBER + "|[A-Za-z]{1,6}[_-]?" + NUMBER
            + ")(?:[\\])]\\s*[.:]?|[.:)]|\\t|\\s+[-–—])\\s+(?=\\S)(.*)");
    private static final Pattern NAMED =
            Pattern.compile("([\\p{L}][\\p{L}\\p{N} .'’#&-]{0,31}?)\\s*(?:\\([^)]*\\)\\s*)?[:\\t]\\s*(\\S.*)");
    private static final Pattern ALONE =
            Pattern.compile("([\\p{Lu}][\\p{Lu}\\p{N} .'’#&-]{1,31})(?:\\s*\\([^)]*\\))?\\s*:?");

    private PlainScript() {}

    /** A name and what it says. */
    record Said(String speaker, String words) {}

    /** A speaker in capitals before a colon. */
    static Optional<Said> said(String line) {
        return named(line).filter(s -> capitals(s.speaker()));
    }

    private static Optional<Said> named(String line) {
        Matcher m = NAMED.matcher(line.strip());
        return m.matches() && m.group(1).length() <= LONGEST_NAME && m.group(1).split("\\s+").length <= 4
                ? Optional.of(new Said(m.group(1).strip(), m.group(2).strip()))
                : Optional.empty();
    }

    private static boolean capitals(String name) {
        return name.equals(name.toUpperCase(Locale.ROOT));
    }

    static List<ScriptLine> read(String text) {
        String[] all = text.split("\n", -1);
        long written = text.lines().filter(l -> !l.isBlank()).count();
        long withName = text.lines().filter(l -> named(uncued(l)).isPresent()).count();
        boolean names = written > 1 && withName >= MOST * written;
        List<ScriptLine> out = new ArrayList<>();
        for (int i = 0; i < all.length; i++) {
            String line = all[i].strip();
            if (line.isEmpty()) {
                continue;
            }
            Matcher alone = ALONE.matcher(line);
            boolean below = i + 1 < all.length && !all[i + 1].isBlank();
            if (below && alone.matches() && (i == 0 || all[i - 1].isBlank())) {
                int first = i + 2;
                StringBuilder words = new StringBuilder();
                for (i++; i < all.length && !all[i].isBlank(); i++) {
                    words.append(words.isEmpty() ? "" : " ").append(all[i].strip());
                }
                out.add(new ScriptLine(first, alone.group(1).strip(), "", Optional.empty(), words.toString()));
                continue;
            }
            Matcher cue = CUE.matcher(line);
            String number = cue.matches() ? cue.group(1) : "";
            String rest = cue.matches() ? cue.group(2) : line;
            Optional<Said> said = names ? named(rest) : said(rest);
            out.add(new ScriptLine(
                    i + 1,
                    said.map(Said::speaker).orElse(""),
                    number,
                    Optional.empty(),
                    said.map(Said::words).orElse(rest)));
        }
        return out;
    }

    private static String uncued(String line) {
        Matcher cue = CUE.matcher(line.strip());
        return cue.matches() ? cue.group(2) : line;
    }
}
