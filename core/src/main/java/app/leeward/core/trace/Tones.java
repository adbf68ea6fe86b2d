package app.leeward.core.trace;

import app.leeward.core.art.Lab;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;

/**
 * The even colours a picture is painted with, the one that covers most first. Pixels on soft edges, which are mixed of two
 * colours, weigh little.
 *
 * @param colours {@code 0xrrggbb}
 * @param labs the same in CIE L*a*b*
 * @param even whether they are nearly all of it; otherwise it is shaded or painted, and pieces within it are none
 * @param known every colour that was looked up, which takes long
 */
record Tones(List<Integer> colours, List<Lab> labs, boolean even, Map<Integer, Lab> known) {
    /** From this alpha on a pixel says what colour it is, of 255. */
    private static final int SOLID = 200;
    /** How much a pixel on an edge weighs beside one among its like. */
    private static final double EDGE = 0.15;
    /** Pixels are alike up to this difference in any channel. */
    private static final int ALIKE = 12;
    /** Colours nearer than this are one, in CIE L*a*b*: shades of one skin are. By eye, as the others. */
    private static final double ONE = 12;
    /** What covers less is no colour of its own. */
    private static final double LEAST = 0.015;

    /** Unless so many pixels have it to the last bit, as a thin line has. */
    private static final double EXACT = 0.003;

    private static final int MOST = 9;
    /** What is nearer to a colour than this is hardly told from it. */
    private static final double SAME = 4;
    /** From this share on such pixels make the picture an even one. */
    private static final double EVEN = 0.6;

    static Tones of(int[] argb, int width, int height) {
        Map<Integer, Double> weights = new HashMap<>();
        Map<Integer, Integer> counts = new HashMap<>();
        double all = 0;
        int pixels = 0;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int p = argb[y * width + x];
                if (p >>> 24 < SOLID) {
                    continue;
                }
                double w = among(argb, width, height, x, y) ? 1 : EDGE;
                weights.merge(p & 0xffffff, w, Double::sum);
                counts.merge(p & 0xffffff, 1, Integer::sum);
                all += w;
                pixels++;
            }
        }
        double least = EXACT * pixels;
        return of(weights, all, rgb -> counts.get(rgb) >= least);
    }

    /** @param meant whether a colour stands in so many pixels to the last bit that it is no mixture */
    private static Tones of(Map<Integer, Double> weights, double all, IntPredicate meant) {
        // the most frequent colours are those that were meant; all others go to the nearest of them
        List<Map.Entry<Integer, Double>> most = new ArrayList<>(weights.entrySet());
        most.sort(Map.Entry.<Integer, Double>comparingByValue(Comparator.reverseOrder())
                .thenComparing(Map.Entry.comparingByKey()));
        List<Integer> colours = new ArrayList<>();
        List<Lab> labs = new ArrayList<>();
        List<Double> shares = new ArrayList<>();
        double same = 0;
        Map<Integer, Lab> known = new HashMap<>();
        for (Map.Entry<Integer, Double> e : most) {
            Lab lab = lab(e.getKey());
            known.put(e.getKey(), lab);
            int at = nearest(labs, lab);
            double away = at < 0 ? Double.POSITIVE_INFINITY : labs.get(at).difference(lab);
            boolean own = away >= ONE;
            same += own || away < SAME ? e.getValue() : 0;
            if (own && colours.size() < 4 * MOST) {
                colours.add(e.getKey());
                labs.add(lab);
                shares.add(e.getValue());
            } else if (!own) {
                shares.set(at, shares.get(at) + e.getValue());
            }
        }
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < colours.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparingDouble((Integer i) -> -shares.get(i)));
        List<Integer> out = new ArrayList<>();
        for (int i : order) {
            boolean counts = shares.get(i) >= LEAST * all || meant.test(colours.get(i));
            if (out.isEmpty() || out.size() < MOST && counts) {
                out.add(i);
            }
        }
        return new Tones(
                out.stream().map(colours::get).toList(),
                out.stream().map(labs::get).toList(),
                same >= EVEN * all,
                known);
    }

    private static boolean among(int[] argb, int width, int height, int x, int y) {
        if (x == 0 || y == 0 || x == width - 1 || y == height - 1) {
            return false;
        }
        int i = y * width + x;
        return alike(argb[i], argb[i - 1])
                && alike(argb[i], argb[i + 1])
                && alike(argb[i], argb[i - width])
                && alike(argb[i], argb[i + width]);
    }

    private static boolean alike(int a, int b) {
        return b >>> 24 >= SOLID
                && Math.abs((a >> 16 & 255) - (b >> 16 & 255)) <= ALIKE
                && Math.abs((a >> 8 & 255) - (b >> 8 & 255)) <= ALIKE
                && Math.abs((a & 255) - (b & 255)) <= ALIKE;
    }

    /** Of any pixel, its alpha left out. */
    Lab of(int argb) {
        return known.computeIfAbsent(argb & 0xffffff, Tones::lab);
    }

    private static Lab lab(int rgb) {
        return Lab.of(hex(rgb));
    }

    static String hex(int rgb) {
        return String.format("#%06x", rgb & 0xffffff);
    }

    private static int nearest(List<Lab> labs, Lab lab) {
        int best = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < labs.size(); i++) {
            double d = labs.get(i).difference(lab);
            if (d < least) {
                least = d;
                best = i;
            }
        }
        return best;
    }

    /** Which of them a pixel is, for every pixel that is seen; −1 for the others. */
    int[] labels(int[] argb, int seen) {
        Map<Integer, Integer> found = new HashMap<>();
        int[] out = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            out[i] = argb[i] >>> 24 < seen
                    ? -1
                    : found.computeIfAbsent(argb[i] & 0xffffff, rgb -> nearest(labs, of(rgb)));
        }
        return out;
    }
}
