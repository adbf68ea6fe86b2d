package app.leeward.speech.script;

import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WordReader;
import java.util.List;
import java.util.Locale;

/**
 * Reads a script of any kind into its lines: captions (WebVTT, SRT), a table (CSV, also with semicolons or tabs) whose first row
 * names its columns, or plain text with a line to a line, with or without speakers and cue numbers. Lines in which nothing is
 * spoken are left out.
 */
public final class ScriptReader {
    /** Most lines a script may have. */
    public static final int MOST_LINES = 2_000;

    /** Longest script, letters. */
    public static final int LONGEST = 400_000;

    private ScriptReader() {}

    /** @throws SpeechProblem {@code script-long}, {@code script-many}, {@code script-none} or {@code script-time} */
    public static List<ScriptLine> read(String text) {
        if (text.length() > LONGEST) {
            throw new SpeechProblem(
                    "script-long", "The script is " + text.length() + " letters long; at most " + LONGEST + ".");
        }
        String plain = text.replace("\uFEFF", "").replace("\r\n", "\n").replace('\r', '\n');
        List<ScriptLine> lines = lines(plain).stream()
                .filter(l -> !WordReader.read(l.words()).isEmpty())
                .toList();
        if (lines.isEmpty()) {
            throw new SpeechProblem("script-none", "The script has no line in which anything is said.");
        }
        if (lines.size() > MOST_LINES) {
            throw new SpeechProblem(
                    "script-many",
                    "The script has " + lines.size() + " lines; at most " + MOST_LINES + " can be read.");
        }
        return lines;
    }

    private static List<ScriptLine> lines(String text) {
        if (Captions.are(text)) {
            return Captions.read(text);
        }
        return ScriptTable.of(text).orElseGet(() -> PlainScript.read(text));
    }

    /** A time such as 1:02:03.5, 02:03,500 or 63.5, in seconds. */
    static double seconds(String time, int place) {
        double seconds = 0;
        try {
            for (String part : time.strip().replace(',', '.').split(":")) {
                seconds = seconds * 60 + Double.parseDouble(part);
            }
        } catch (NumberFormatException e) {
            seconds = Double.NaN;
        }
        if (!(seconds >= 0 && seconds < 360_000)) {
            throw new SpeechProblem(
                    "script-time",
                    String.format(Locale.ROOT, "In line %d of the script '%s' is no time.", place, time.strip()));
        }
        return seconds;
    }
}
