package app.leeward.core.morph;

import app.leeward.core.art.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Two outlines written anew so that each point of one has its point in the other, and neither looks any different. What one has and
 * the other has not is put on the other where it is as far along, between the points that were found to be the same.
 *
 * @param from how the first is written anew
 * @param to how the second is
 */
public record MatchedPoints(Rewriting from, Rewriting to) {
    /** Nearer than this, as a share of the way between two pairs, two points are one. */
    private static final double SAME = 1e-3;
    /** How near to the end of a curve it is cut, by its own parameter. */
    private static final double NEAREST = 1e-4;
    /** Below this, in squares of its size, a closed outline is too thin to say which way round it goes. */
    private static final double THIN = 0.2;

    /** Empty where the two are not of as many pieces, open and closed ones alike, or one of them has no length. */
    public static Optional<MatchedPoints> of(Path from, Path to) {
        List<Path> a = from.subPaths();
        List<Path> b = to.subPaths();
        if (a.size() != b.size() || !drawn(a) || !drawn(b)) {
            return Optional.empty();
        }
        List<Rewriting.Row> first = new ArrayList<>();
        List<Rewriting.Row> second = new ArrayList<>();
        int[] partner = Pieces.paired(a, b);
        for (int i = 0; i < a.size(); i++) {
            if (partner[i] < 0) {
                return Optional.empty();
            }
            Path own = a.get(i);
            Path other = b.get(partner[i]);
            boolean ownLine = Rewriting.closingLine(own);
            boolean otherLine = Rewriting.closingLine(other);
            CurveRow there = CurveRow.of(other, otherLine);
            KnotMatch match = match(CurveRow.of(own, ownLine), there);
            boolean reversed = match.b.row != there;
            Union union = new Union(match);
            first.add(new Rewriting.Row(i, ownLine, false, union.cuts(union.a), 0));
            second.add(new Rewriting.Row(partner[i], otherLine, reversed, union.cuts(union.b), union.first()));
        }
        return Optional.of(new MatchedPoints(new Rewriting(first), new Rewriting(second)));
    }

    private static boolean drawn(List<Path> all) {
        return !all.isEmpty() && all.stream().allMatch(p -> p.points().size() > 1 && p.length() > 0);
    }

    private static KnotMatch match(CurveRow a, CurveRow b) {
        Knots own = new Knots(a);
        Knots other = new Knots(b);
        Knots back = new Knots(b.reversed());
        if (a.closed() && Math.abs(own.area) > THIN && Math.abs(other.area) > THIN) {
            return KnotMatch.of(own, own.area * other.area < 0 ? back : other);
        }
        KnotMatch there = KnotMatch.of(own, other);
        KnotMatch turned = KnotMatch.of(own, back);
        return turned.cost < there.cost ? turned : there;
    }

    /** All points of both in one row: those of a pair, and those that one of the two gets new. */
    private static final class Union {
        private final KnotMatch match;
        final Side a;
        final Side b;

        /** Where each point of the row lies on one of the two: on which curve, and how far along; at 0 is its own knot. */
        private static final class Side {
            final Knots knots;
            final List<Integer> curve = new ArrayList<>();
            final List<Double> t = new ArrayList<>();

            Side(Knots knots) {
                this.knots = knots;
            }

            void knot(int knot) {
                curve.add(knots.row.closed() ? knot % knots.count : knot);
                t.add(0.0);
            }

            void between(int knot, double reach) {
                int at = knots.row.closed() ? knot % knots.count : knot;
                curve.add(at);
                double within = knots.within(at, reach - (knots.row.closed() ? knot / knots.count : 0));
                t.add(Math.max(within, NEAREST));
            }
        }

        Union(KnotMatch match) {
            this.match = match;
            a = new Side(match.a);
            b = new Side(match.b);
            for (int p = 0; p + 1 < match.pairs.size(); p++) {
                a.knot(match.pairs.get(p)[0]);
                b.knot(match.pairs.get(p)[1]);
                between(match.pairs.get(p), match.pairs.get(p + 1));
            }
            if (!match.a.row.closed()) {
                int[] last = match.pairs.get(match.pairs.size() - 1);
                a.knot(last[0]);
                b.knot(last[1]);
            }
        }

        private void between(int[] from, int[] to) {
            int i = from[0];
            int j = from[1];
            while (i + 1 < to[0] || j + 1 < to[1]) {
                double u = i + 1 < to[0] ? part(match.a, from[0], i + 1, to[0]) : Double.POSITIVE_INFINITY;
                double v = j + 1 < to[1] ? part(match.b, from[1], j + 1, to[1]) : Double.POSITIVE_INFINITY;
                if (Math.abs(u - v) < SAME) {
                    a.knot(++i);
                    b.knot(++j);
                } else if (u < v) {
                    a.knot(++i);
                    b.between(j, at(match.b, from[1], to[1], u));
                } else {
                    b.knot(++j);
                    a.between(i, at(match.a, from[0], to[0], v));
                }
            }
        }

        /** How far between two knots a third one is, 0 to 1. */
        private static double part(Knots k, int from, int at, int to) {
            double whole = KnotMatch.reach(k, to) - KnotMatch.reach(k, from);
            return whole > 0
                    ? (KnotMatch.reach(k, at) - KnotMatch.reach(k, from)) / whole
                    : (at - from) / (double) (to - from);
        }

        private static double at(Knots k, int from, int to, double part) {
            double begin = KnotMatch.reach(k, from);
            return begin + part * (KnotMatch.reach(k, to) - begin);
        }

        /** Where each curve of one of the two is cut. */
        List<double[]> cuts(Side side) {
            List<List<Double>> all = new ArrayList<>();
            for (int c = 0; c < side.knots.row.curves(); c++) {
                all.add(new ArrayList<>());
            }
            for (int e = 0; e < side.t.size(); e++) {
                if (side.t.get(e) > 0) {
                    all.get(side.curve.get(e)).add(side.t.get(e));
                }
            }
            return all.stream().map(Union::apart).toList();
        }

        /** Rising, and neither on each other nor on the ends, however short the curve. */
        private static double[] apart(List<Double> cuts) {
            double[] t = cuts.stream().mapToDouble(Double::doubleValue).toArray();
            double room = Math.min(NEAREST, 0.5 / (t.length + 1));
            for (int i = 0; i < t.length; i++) {
                t[i] = Math.max(t[i], (i == 0 ? 0 : t[i - 1]) + room);
            }
            for (int i = t.length - 1; i >= 0; i--) {
                t[i] = Math.min(t[i], (i == t.length - 1 ? 1 : t[i + 1]) - room);
            }
            return t;
        }

        /** The curve, of those of b once they are cut, that begins where a begins. */
        int first() {
            if (!match.a.row.closed()) {
                return 0;
            }
            int here = begin(a);
            int there = begin(b);
            return Math.floorMod(here - there, a.t.size());
        }

        private static int begin(Side side) {
            for (int e = 0; e < side.t.size(); e++) {
                if (side.curve.get(e) == 0 && side.t.get(e) == 0) {
                    return e;
                }
            }
            throw new IllegalStateException(
                    "no point of the row is the first one of its outline: " + Arrays.toString(side.curve.toArray()));
        }
    }
}
