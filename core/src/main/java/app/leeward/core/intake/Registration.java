package app.leeward.core.intake;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds how a whole file was scaled and moved between two versions of it: the map x' = sx·x + tx, y' = sy·y + ty under
 * which the most drawings fall onto their older selves. Every drawing proposes the map that fits its own points best by
 * least squares; the proposal most others agree with is fitted again over all that agree. Drawings that were changed are
 * outvoted instead of averaged in.
 */
final class Registration {
    /** How far a point may lie off and still agree, as a share of the drawing's reach. */
    private static final double AGREES = 1e-4;

    private static final int MOST_POINTS = 60;
    private static final int MOST_PROPOSALS = 120;

    private Registration() {}

    record Pair(Artwork from, Artwork to) {}

    private record Points(List<Point> from, List<Point> to) {}

    /** The identity when nothing corresponds or nothing moved. */
    static Matrix of(List<Pair> pairs) {
        List<Points> all = pairs.stream()
                .filter(p -> Difference.pairs(p.from, p.to))
                .map(p -> new Points(thinned(Difference.points(p.from)), thinned(Difference.points(p.to))))
                .filter(p -> !p.from.isEmpty())
                .toList();
        if (all.isEmpty() || agreeing(all, Matrix.IDENTITY).size() * 2 >= all.size()) {
            return Matrix.IDENTITY;
        }
        Matrix best = Matrix.IDENTITY;
        int most = agreeing(all, best).size();
        for (Points p : all.subList(0, Math.min(all.size(), MOST_PROPOSALS))) {
            Matrix m = fit(List.of(p));
            int n = agreeing(all, m).size();
            if (n > most) {
                best = m;
                most = n;
            }
        }
        // one drawing alone always agrees with itself
        return most < 2 ? Matrix.IDENTITY : fit(agreeing(all, best));
    }

    private static List<Point> thinned(List<Point> points) {
        int step = Math.max(1, points.size() / MOST_POINTS);
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < points.size(); i += step) {
            out.add(points.get(i));
        }
        return out;
    }

    private static List<Points> agreeing(List<Points> all, Matrix m) {
        double reach = all.stream()
                .flatMap(p -> p.to.stream())
                .mapToDouble(p -> Math.max(Math.abs(p.x()), Math.abs(p.y())))
                .max()
                .orElse(1);
        double near = Math.max(Difference.NEAR, AGREES * reach);
        return all.stream().filter(p -> furthest(p, m) <= near).toList();
    }

    private static double furthest(Points p, Matrix m) {
        double far = 0;
        for (int i = 0; i < p.from.size(); i++) {
            far = Math.max(far, m.apply(p.from.get(i)).distance(p.to.get(i)));
        }
        return far;
    }

    /** Two regressions over all the points, one an axis; an axis without any width keeps its scale. */
    private static Matrix fit(List<Points> all) {
        double[] x = line(all, true);
        double[] y = line(all, false);
        return new Matrix(x[0], 0, 0, y[0], x[1], y[1]);
    }

    private static double[] line(List<Points> all, boolean across) {
        double n = 0;
        double sumFrom = 0;
        double sumTo = 0;
        for (Points p : all) {
            for (int i = 0; i < p.from.size(); i++) {
                n++;
                sumFrom += coordinate(p.from.get(i), across);
                sumTo += coordinate(p.to.get(i), across);
            }
        }
        double meanFrom = sumFrom / n;
        double meanTo = sumTo / n;
        double both = 0;
        double own = 0;
        for (Points p : all) {
            for (int i = 0; i < p.from.size(); i++) {
                double d = coordinate(p.from.get(i), across) - meanFrom;
                both += d * (coordinate(p.to.get(i), across) - meanTo);
                own += d * d;
            }
        }
        double scale = own < 1e-9 || Math.abs(both) < 1e-12 ? 1 : both / own;
        return new double[] {scale, meanTo - scale * meanFrom};
    }

    private static double coordinate(Point p, boolean across) {
        return across ? p.x() : p.y();
    }
}
