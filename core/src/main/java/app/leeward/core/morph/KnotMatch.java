package app.leeward.core.morph;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;

/**
 * Which knot of one sub-path is which of another. Both keep their order; a knot may be left without one, for a price that is higher
 * for a corner. The cheapest way is found by dynamic programming over both rows, as Sederberg and Greenwood, <i>A physically based
 * approach to 2-D shape blending</i> (SIGGRAPH 1992), do; the prices here are place about the middle, the two directions, and the
 * share of the length, all without unit.
 */
final class KnotMatch {
    private static final double DIRECTIONS = 0.6;
    private static final double LENGTH = 1.5;
    private static final double ALONE = 0.03;
    private static final double ALONE_CORNER = 0.3;

    /** Degrees. */
    private static final double TURNED = 25;
    /** How often one is laid on the other. */
    private static final int LAYINGS = 4;

    /** Pairs that are tried as the beginning of two closed rows. */
    private static final int BEGINNINGS = 12;
    /** Fields of the table that all tries together may take. */
    private static final double MOST_WORK = 6e6;

    final Knots a;
    final Knots b;
    /** Pairs in order, the index in a and the index in b; those of closed rows begin anywhere and count past the end of the row. */
    final List<int[]> pairs;

    final double cost;

    private KnotMatch(Knots a, Knots b, List<int[]> pairs, double cost) {
        this.a = a;
        this.b = b;
        this.pairs = pairs;
        this.cost = cost;
    }

    /** The cheapest of several beginnings: as they lie, and with one turned to either side. */
    static KnotMatch of(Knots a, Knots b) {
        KnotMatch best = laid(a, b);
        for (double degrees : new double[] {-TURNED, TURNED}) {
            KnotMatch turned = laid(a.turned(degrees), b);
            best = turned.cost < best.cost - 1e-9 ? turned : best;
        }
        return best;
    }

    /** Found, then found again with one laid on the other by what was found, as long as that makes it cheaper. */
    private static KnotMatch laid(Knots a, Knots b) {
        KnotMatch best = found(a, b);
        for (int i = 0; i < LAYINGS; i++) {
            KnotMatch next = found(a.laidOn(b, best.pairs), b);
            if (next.cost >= best.cost - 1e-9) {
                break;
            }
            best = next;
        }
        return best;
    }

    private static KnotMatch found(Knots a, Knots b) {
        if (!a.row.closed()) {
            return matched(a, b, 0, 0, a.count - 1, b.count - 1);
        }
        List<int[]> begins = new ArrayList<>();
        for (int i = 0; i < a.count; i++) {
            for (int j = 0; j < b.count; j++) {
                begins.add(new int[] {i, j});
            }
        }
        // a corner that is a corner in both says more than two smooth knots that happen to lie alike
        begins.sort(Comparator.comparingDouble(p -> alike(a, p[0], b, p[1]) - alone(a, p[0]) - alone(b, p[1])));
        double each = (a.count + 1.0) * (b.count + 1.0);
        int tries = (int) Math.max(1, Math.min(BEGINNINGS, MOST_WORK / each));
        KnotMatch best = null;
        for (int[] p : begins.subList(0, Math.min(tries, begins.size()))) {
            KnotMatch m = matched(a, b, p[0], p[1], p[0] + a.count, p[1] + b.count);
            best = best == null || m.cost < best.cost ? m : best;
        }
        return best;
    }

    private static double alone(Knots k, int i) {
        return ALONE + ALONE_CORNER * k.corner(i);
    }

    private static double alike(Knots a, int i, Knots b, int j) {
        double x = a.place[2 * i] - b.place[2 * j];
        double y = a.place[2 * i + 1] - b.place[2 * j + 1];
        return x * x + y * y + DIRECTIONS * (Knots.apart(a.in, i, b.in, j) + Knots.apart(a.out, i, b.out, j)) / 2;
    }

    /** The cheapest way from the pair (i0, j0) to the pair (i1, j1). */
    private static KnotMatch matched(Knots a, Knots b, int i0, int j0, int i1, int j1) {
        int n = i1 - i0;
        int m = j1 - j0;
        double[][] best = new double[n + 1][m + 1];
        byte[][] way = new byte[n + 1][m + 1];
        for (int i = 0; i <= n; i++) {
            for (int j = 0; j <= m; j++) {
                double least = Double.POSITIVE_INFINITY;
                byte by = 0;
                boolean ends = i == n || j == m;
                if (i == 0 && j == 0) {
                    least = paired(a, i0, b, j0, 0);
                } else if (i > 0 && j > 0 && (!ends || i == n && j == m)) {
                    double longer = share(a, i0, i) - share(b, j0, j);
                    least = best[i - 1][j - 1] + paired(a, i0 + i, b, j0 + j, longer);
                    by = 1;
                }
                if (i > 0 && i < n && best[i - 1][j] + alone(a, (i0 + i) % a.count) < least) {
                    least = best[i - 1][j] + alone(a, (i0 + i) % a.count);
                    by = 2;
                }
                if (j > 0 && j < m && best[i][j - 1] + alone(b, (j0 + j) % b.count) < least) {
                    least = best[i][j - 1] + alone(b, (j0 + j) % b.count);
                    by = 3;
                }
                best[i][j] = least;
                way[i][j] = by;
            }
        }
        List<int[]> pairs = new ArrayList<>();
        int i = n;
        int j = m;
        while (i > 0 || j > 0) {
            if (way[i][j] == 1) {
                pairs.add(new int[] {i0 + i, j0 + j});
                i--;
                j--;
            } else if (way[i][j] == 2) {
                i--;
            } else {
                j--;
            }
        }
        pairs.add(new int[] {i0, j0});
        Collections.reverse(pairs);
        return new KnotMatch(a, b, pairs, best[n][m]);
    }

    private static double paired(Knots a, int i, Knots b, int j, double longer) {
        return alike(a, i % a.count, b, j % b.count) + LENGTH * longer * longer;
    }

    /** The share of the length from one knot to so many knots on. */
    private static double share(Knots k, int from, int on) {
        return reach(k, from + on) - reach(k, from);
    }

    /** How far along a knot is; those past the end of a closed row are on their second way round. */
    static double reach(Knots k, int knot) {
        return k.row.closed() ? knot / k.count + k.along[knot % k.count] : k.along[knot];
    }

    @Override
    public String toString() {
        return Arrays.deepToString(pairs.toArray()) + " " + cost;
    }
}
