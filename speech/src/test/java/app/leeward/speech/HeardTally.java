package app.leeward.speech;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How near the times found in recordings are to the true ones. */
public final class HeardTally {
    static final double FRAME = 1.0 / 24;

    int truth;
    int matched;
    int withinFrame;
    int closures;
    int found;
    int atMiddle;
    final List<Double> errors = new ArrayList<>();
    final List<Double> ends = new ArrayList<>();
    double worstDoubt = Double.NEGATIVE_INFINITY;
    double worstWord;
    final List<String> missed = new ArrayList<>();

    public void add(Flite.Said said, DialogueLine line, String name) {
        truth += said.phones().size();
        for (int[] p : pairs(said.phones(), line.phones())) {
            double error =
                    line.phones().get(p[1]).start() - said.phones().get(p[0]).start();
            errors.add(Math.abs(error));
            matched++;
            withinFrame += Math.abs(error) <= FRAME ? 1 : 0;
        }
        for (TimedPhone t : said.phones()) {
            if (t.phone().closure() || t.phone().lipToTeeth()) {
                closures++;
                double middle = (t.start() + t.end()) / 2;
                boolean here = line.phones().stream()
                        .anyMatch(h ->
                                h.phone() == t.phone() && h.start() < t.end() + FRAME && h.end() > t.start() - FRAME);
                found += here ? 1 : 0;
                atMiddle += line.phones().stream()
                                .anyMatch(h -> h.phone() == t.phone() && h.start() <= middle && h.end() >= middle)
                        ? 1
                        : 0;
                if (!here) {
                    missed.add(name + ": " + t);
                }
            }
        }
        if (!line.phones().isEmpty()) {
            ends.add(Math.abs(line.phones().get(line.phones().size() - 1).end()
                    - said.phones().get(said.phones().size() - 1).end()));
        }
        worstDoubt = Math.max(worstDoubt, line.doubt());
        for (TimedWord w : line.words()) {
            worstWord = Math.max(worstWord, w.doubt());
        }
    }

    /** Index pairs of the longest common subsequence of labels: voices and dictionary may differ over a vowel. */
    private static List<int[]> pairs(List<TimedPhone> a, List<TimedPhone> b) {
        int[][] best = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                best[i][j] = a.get(i).phone() == b.get(j).phone()
                        ? best[i + 1][j + 1] + 1
                        : Math.max(best[i + 1][j], best[i][j + 1]);
            }
        }
        List<int[]> out = new ArrayList<>();
        for (int i = 0, j = 0; i < a.size() && j < b.size(); ) {
            if (a.get(i).phone() == b.get(j).phone()) {
                out.add(new int[] {i++, j++});
            } else if (best[i + 1][j] >= best[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
        return out;
    }

    double share() {
        return (double) withinFrame / matched;
    }

    double middles() {
        return (double) atMiddle / closures;
    }

    private static double at(List<Double> values, double share) {
        List<Double> sorted = values.stream().sorted().toList();
        return sorted.isEmpty() ? Double.NaN : sorted.get((int) Math.min(sorted.size() - 1, sorted.size() * share));
    }

    public String figures(String what) {
        return String.format(
                Locale.ROOT,
                "%s: %d phones, %.2f %% of starts within one frame, median error %.0f ms, 95th percentile %.0f ms; lips of %d found of %d, %.2f %% at their middle; end of speech 95th percentile %.0f ms; largest doubt %.2f a line, %.2f a word",
                what,
                matched,
                100 * share(),
                1000 * at(errors, 0.5),
                1000 * at(errors, 0.95),
                found,
                closures,
                100 * middles(),
                1000 * at(ends, 0.95),
                worstDoubt,
                worstWord);
    }
}
