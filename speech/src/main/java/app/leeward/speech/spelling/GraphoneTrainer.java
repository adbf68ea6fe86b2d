package app.leeward.speech.spelling;

import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Cuts the words of a dictionary into {@link Graphone}s: expectation maximisation over all ways to cut each word, then the
 * likeliest way (Bisani and Ney 2008, section 2; the units' own likelihoods, without their neighbours).
 */
public final class GraphoneTrainer {
    private static final int ROUNDS = 8;
    /** Letters that say nothing begin rarer than others, or everything would be explained by them. */
    private static final double SILENT = 0.1;

    private final Map<Graphone, Integer> numbers = new HashMap<>();
    private final List<Graphone> units = new ArrayList<>();
    private double[] likelihood = new double[0];

    private GraphoneTrainer() {}

    /** @return each word as its units, words that cannot be cut left out; units are parted by spaces */
    public static List<String> cut(List<Spelled> dictionary) {
        GraphoneTrainer trainer = new GraphoneTrainer();
        List<Word> words = new ArrayList<>();
        for (Spelled s : dictionary) {
            Word word = trainer.new Word(s);
            if (s.plain() && word.possible()) {
                words.add(word);
            }
        }
        trainer.learn(words);
        return words.stream().map(Word::best).toList();
    }

    private int number(Graphone unit) {
        return numbers.computeIfAbsent(unit, u -> {
            units.add(u);
            return units.size() - 1;
        });
    }

    private void learn(List<Word> words) {
        likelihood = new double[units.size()];
        for (int u = 0; u < likelihood.length; u++) {
            likelihood[u] = units.get(u).phones().isEmpty() ? SILENT : 1;
        }
        for (int round = 0; round < ROUNDS; round++) {
            double[] counts = new double[likelihood.length];
            words.forEach(w -> w.count(counts));
            double total = Arrays.stream(counts).sum();
            for (int u = 0; u < counts.length; u++) {
                likelihood[u] = counts[u] / total;
            }
        }
    }

    /** All ways to cut one word: edges from one place (letters and sounds used) to a later one. */
    private final class Word {
        private final int letters;
        private final int phones;
        /** From place, to place, unit; in rising order of the first. */
        private final int[] edges;

        Word(Spelled s) {
            letters = s.word().length();
            phones = s.phones().size();
            List<Integer> out = new ArrayList<>();
            for (int i = 0; i < letters; i++) {
                for (int j = 0; j <= phones; j++) {
                    for (int a = 1; a <= Math.min(Graphone.MOST_LETTERS, letters - i); a++) {
                        for (int b = 0; b <= Math.min(Graphone.MOST_PHONES, phones - j); b++) {
                            if (Graphone.allowed(a, b)
                                    && reachable(i, j)
                                    && reachable(letters - i - a, phones - j - b)) {
                                List<Phone> said = s.phones().subList(j, j + b);
                                out.add(place(i, j));
                                out.add(place(i + a, j + b));
                                out.add(number(new Graphone(s.word().substring(i, i + a), said)));
                            }
                        }
                    }
                }
            }
            edges = out.stream().mapToInt(Integer::intValue).toArray();
        }

        private int place(int i, int j) {
            return i * (phones + 1) + j;
        }

        private int places() {
            return (letters + 1) * (phones + 1);
        }

        /** Whether so many letters can say so many sounds. */
        private boolean reachable(int i, int j) {
            return j <= Graphone.MOST_PHONES * i;
        }

        boolean possible() {
            return letters > 0 && phones > 0 && reachable(letters, phones);
        }

        /** Adds to the count of each unit how likely it is one of this word. */
        void count(double[] counts) {
            double[] to = new double[places()];
            double[] on = new double[places()];
            to[0] = 1;
            for (int e = 0; e < edges.length; e += 3) {
                to[edges[e + 1]] += to[edges[e]] * likelihood[edges[e + 2]];
            }
            on[places() - 1] = 1;
            for (int e = edges.length - 3; e >= 0; e -= 3) {
                on[edges[e]] += on[edges[e + 1]] * likelihood[edges[e + 2]];
            }
            double all = to[places() - 1];
            for (int e = 0; all > 0 && e < edges.length; e += 3) {
                counts[edges[e + 2]] += to[edges[e]] * likelihood[edges[e + 2]] * on[edges[e + 1]] / all;
            }
        }

        String best() {
            double[] best = new double[places()];
            int[] by = new int[places()];
            Arrays.fill(best, Double.NEGATIVE_INFINITY);
            best[0] = 0;
            for (int e = 0; e < edges.length; e += 3) {
                double there = best[edges[e]] + Math.log(likelihood[edges[e + 2]]);
                if (there > best[edges[e + 1]]) {
                    best[edges[e + 1]] = there;
                    by[edges[e + 1]] = e;
                }
            }
            List<String> out = new ArrayList<>();
            for (int at = places() - 1; at > 0; at = edges[by[at]]) {
                out.add(units.get(edges[by[at] + 2]).toString());
            }
            Collections.reverse(out);
            return String.join(" ", out);
        }
    }
}
