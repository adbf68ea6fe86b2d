package app.leeward.speech.spelling;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which unit follows which: an n-gram over units with interpolated modified Kneser-Ney smoothing (Chen and Goodman, "An empirical
 * study of smoothing techniques for language modeling", 1999, section 3). Immutable once made.
 */
final class GraphoneModel {
    /** Units before the first and behind the last of a word. */
    static final int EDGE = 0;

    private final int order;
    private final List<Graphone> units = new ArrayList<>();
    private final Map<Graphone, Integer> numbers = new HashMap<>();
    /** By length from 1: likelihood of a unit behind others, natural logarithm. */
    private final NGrams[] likely;
    /** By length from 0: what is left to a shorter history, natural logarithm. */
    private final NGrams[] rest;

    /** @param words each as its units, parted by spaces */
    GraphoneModel(List<String> words, int order) {
        this.order = order;
        units.add(new Graphone("", List.of()));
        NGrams[] counts = new NGrams[order + 1];
        for (int n = 1; n <= order; n++) {
            counts[n] = new NGrams(words.size());
        }
        Map<String, Integer> known = new HashMap<>();
        for (String word : words) {
            String[] parts = word.split(" ");
            int[] all = new int[parts.length + order];
            for (int i = 0; i < parts.length; i++) {
                all[order - 1 + i] = known.computeIfAbsent(parts[i], p -> number(Graphone.parse(p)));
            }
            for (int end = order; end <= all.length; end++) {
                counts[order].add(all, end - order, end, 1);
            }
        }
        continuations(counts);
        likely = new NGrams[order + 1];
        rest = new NGrams[order];
        for (int n = 1; n <= order; n++) {
            smooth(n, counts[n]);
        }
    }

    private int number(Graphone unit) {
        return numbers.computeIfAbsent(unit, u -> {
            units.add(u);
            return units.size() - 1;
        });
    }

    /** Shorter ones count by how many different units come before them, not by how often they occur. */
    private void continuations(NGrams[] counts) {
        for (int n = order; n > 1; n--) {
            NGrams shorter = counts[n - 1];
            counts[n].each((gram, count) -> shorter.add(gram, 1, gram.length, 1));
        }
    }

    private void smooth(int n, NGrams counts) {
        double[] of = new double[5];
        counts.each((gram, count) -> {
            if (count <= 4) {
                of[(int) count]++;
            }
        });
        double y = of[1] / (of[1] + 2 * of[2]);
        double[] discount = {
            0, 1 - 2 * y * of[2] / of[1], 2 - 3 * y * of[3] / of[2], 3 - 4 * y * of[4] / of[3],
        };
        NGrams totals = new NGrams(counts.size());
        NGrams taken = new NGrams(counts.size());
        counts.each((gram, count) -> {
            totals.add(gram, 0, n - 1, count);
            taken.add(gram, 0, n - 1, discount[(int) Math.min(3, count)]);
        });
        NGrams out = new NGrams(counts.size());
        NGrams left = new NGrams(totals.size());
        taken.each((history, sum) -> left.set(history, 0, n - 1, Math.log(sum / totals.get(history, 0, n - 1, 0))));
        counts.each((gram, count) -> {
            double total = totals.get(gram, 0, n - 1, 0);
            double own = (count - discount[(int) Math.min(3, count)]) / total;
            double shorter = n == 1 ? 1.0 / units.size() : Math.exp(likelihood(gram, 1, n));
            out.set(gram, 0, n, Math.log(own + taken.get(gram, 0, n - 1, 0) / total * shorter));
        });
        likely[n] = out;
        rest[n - 1] = left;
    }

    /** Of the last unit of a stretch behind the others, natural logarithm. */
    private double likelihood(int[] all, int from, int to) {
        double left = 0;
        for (int at = from; at < to; at++) {
            double found = likely[to - at].get(all, at, to, Double.NaN);
            if (!Double.isNaN(found)) {
                return left + found;
            }
            left += rest[to - at - 1].get(all, at, to - 1, 0);
        }
        return left - Math.log(units.size());
    }

    /**
     * How likely a unit comes behind others, natural logarithm.
     *
     * @param history the units before it, the last one last, {@link #EDGE} where there is none; {@link #memory()} long
     */
    double behind(int[] history, int unit) {
        int[] all = Arrays.copyOf(history, history.length + 1);
        all[history.length] = unit;
        return likelihood(all, 0, all.length);
    }

    /** How many units before it a unit depends on. */
    int memory() {
        return order - 1;
    }

    int size() {
        return units.size();
    }

    Graphone unit(int number) {
        return units.get(number);
    }
}
