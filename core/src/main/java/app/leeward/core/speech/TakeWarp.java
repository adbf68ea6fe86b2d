package app.leeward.core.speech;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Where in one take of a line that is said which was said somewhere in another: words that both have, in the same order, lie on each
 * other from their beginning to their end, and between them time runs evenly.
 */
public final class TakeWarp {
    private final List<double[]> marks = new ArrayList<>();
    private final int words;

    private TakeWarp(DialogueLine before, DialogueLine after) {
        List<int[]> pairs = common(before.words(), after.words());
        words = pairs.size();
        mark(0, 0);
        boolean both = !before.phones().isEmpty() && !after.phones().isEmpty();
        if (both) {
            mark(before.phones().get(0).start(), after.phones().get(0).start());
        }
        for (int[] p : pairs) {
            TimedWord a = before.words().get(p[0]);
            TimedWord b = after.words().get(p[1]);
            mark(a.start(), b.start());
            mark(a.end(), b.end());
        }
        if (both) {
            mark(last(before), last(after));
        }
        mark(before.seconds(), after.seconds());
    }

    public static TakeWarp between(DialogueLine before, DialogueLine after) {
        return new TakeWarp(before, after);
    }

    private static double last(DialogueLine line) {
        return line.phones().get(line.phones().size() - 1).end();
    }

    /** A mark that would let time stand still or run backwards is none. */
    private void mark(double before, double after) {
        double[] last = marks.isEmpty() ? new double[] {-1, -1} : marks.get(marks.size() - 1);
        if (before > last[0] + DialogueLine.SAME && after > last[1] + DialogueLine.SAME) {
            marks.add(new double[] {before, after});
        }
    }

    /** How many words both takes have. */
    public int words() {
        return words;
    }

    /**
     * @param seconds into the first take
     * @return seconds into the other; before its beginning and behind its end time runs as it does in the first
     */
    public double at(double seconds) {
        double[] from = marks.get(0);
        if (seconds <= from[0]) {
            return from[1] + seconds - from[0];
        }
        for (int i = 1; i < marks.size(); i++) {
            double[] to = marks.get(i);
            if (seconds <= to[0]) {
                return from[1] + (to[1] - from[1]) * (seconds - from[0]) / (to[0] - from[0]);
            }
            from = to;
        }
        return from[1] + seconds - from[0];
    }

    /** Indices of the words of a longest common sequence. */
    private static List<int[]> common(List<TimedWord> a, List<TimedWord> b) {
        int[][] length = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                length[i][j] = same(a.get(i), b.get(j))
                        ? 1 + length[i + 1][j + 1]
                        : Math.max(length[i + 1][j], length[i][j + 1]);
            }
        }
        List<int[]> out = new ArrayList<>();
        for (int i = 0, j = 0; i < a.size() && j < b.size(); ) {
            if (same(a.get(i), b.get(j))) {
                out.add(new int[] {i++, j++});
            } else if (length[i + 1][j] >= length[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
        return out;
    }

    private static boolean same(TimedWord a, TimedWord b) {
        return plain(a.text()).equals(plain(b.text()));
    }

    private static String plain(String word) {
        return word.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}']", "");
    }
}
