package app.leeward.formats.timing;

import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Shot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is said in a shot as captions: two lines of 42 letters at most, six seconds at most, a new one after a pause and after a sentence.
 * Common practice, no source.
 */
final class Captions {
    private static final int LETTERS = 42;
    private static final int MOST_LETTERS = 2 * LETTERS;
    private static final double LONGEST = 6;
    private static final double PAUSE = 0.6;
    /** A sentence this long stands alone. */
    private static final int SENTENCE = 20;

    private Captions() {}

    static List<Timing.Span> of(Shot shot) {
        List<Timing.Span> all = new ArrayList<>();
        List<Timing.Span> open = new ArrayList<>();
        for (Timing.Span w : Timing.words(shot)) {
            if (!open.isEmpty() && breaks(open, w)) {
                all.add(caption(open));
                open.clear();
            }
            open.add(w);
        }
        if (!open.isEmpty()) {
            all.add(caption(open));
        }
        for (PlacedLine line : shot.lines()) {
            // words that were not found in the recording are said somewhere in it
            if (line.line().words().isEmpty() && !line.line().text().isBlank()) {
                double from = shot.starts(line);
                all.add(new Timing.Span(
                        from,
                        from + line.line().seconds(),
                        folded(line.line().text().strip())));
            }
        }
        all.sort(Comparator.comparingDouble(Timing.Span::start));
        return all;
    }

    private static boolean breaks(List<Timing.Span> open, Timing.Span next) {
        Timing.Span last = open.get(open.size() - 1);
        int letters = letters(open);
        boolean sentence = last.text().matches(".*[.!?…][\"'”’)]*") && letters >= SENTENCE;
        return next.start() - last.end() > PAUSE
                || next.end() - open.get(0).start() > LONGEST
                || letters + 1 + next.text().length() > MOST_LETTERS
                || sentence;
    }

    private static int letters(List<Timing.Span> words) {
        return words.stream().mapToInt(w -> w.text().length() + 1).sum() - 1;
    }

    private static Timing.Span caption(List<Timing.Span> words) {
        String text = String.join(" ", words.stream().map(Timing.Span::text).toList());
        return new Timing.Span(words.get(0).start(), words.get(words.size() - 1).end(), folded(text));
    }

    /** In two lines of nearly one length when it is too long for one. */
    private static String folded(String text) {
        if (text.length() <= LETTERS) {
            return text;
        }
        int best = -1;
        for (int i = text.indexOf(' '); i >= 0; i = text.indexOf(' ', i + 1)) {
            if (best < 0 || Math.abs(i - text.length() / 2) < Math.abs(best - text.length() / 2)) {
                best = i;
            }
        }
        return best < 0 ? text : text.substring(0, best) + "\n" + text.substring(best + 1);
    }

    /** Hours, minutes, seconds and thousandths. */
    static String time(double seconds, char point) {
        long ms = Math.round(seconds * 1000);
        return two(ms / 3_600_000) + ":" + two(ms / 60_000 % 60) + ":" + two(ms / 1000 % 60) + point
                + String.valueOf(1000 + ms % 1000).substring(1);
    }

    private static String two(long n) {
        return n < 10 ? "0" + n : String.valueOf(n);
    }
}
