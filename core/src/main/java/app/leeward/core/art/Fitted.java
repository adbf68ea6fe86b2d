package app.leeward.core.art;

import java.util.List;
import java.util.Optional;

/** The affine map that comes nearest to taking points to where they are now. */
final class Fitted {
    /** Points on one line, to this share of their spread, say nothing of what lies beside it. */
    private static final double FLAT = 1e-9;

    private Fitted() {}

    /**
     * By least squares: the solution of the normal equations about the two middles. Where the points lie on one line, a move from middle
     * to middle.
     *
     * @return empty where there are no points, or not as many of one as of the other
     */
    static Optional<Matrix> between(List<Point> from, List<Point> to) {
        if (from.isEmpty() || from.size() != to.size()) {
            return Optional.empty();
        }
        Point a = middle(from);
        Point b = middle(to);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xu = 0;
        double xv = 0;
        double yu = 0;
        double yv = 0;
        for (int i = 0; i < from.size(); i++) {
            double x = from.get(i).x() - a.x();
            double y = from.get(i).y() - a.y();
            double u = to.get(i).x() - b.x();
            double v = to.get(i).y() - b.y();
            xx += x * x;
            xy += x * y;
            yy += y * y;
            xu += x * u;
            xv += x * v;
            yu += y * u;
            yv += y * v;
        }
        double det = xx * yy - xy * xy;
        if (det <= FLAT * (xx + yy) * (xx + yy)) {
            return Optional.of(Matrix.translate(b.x() - a.x(), b.y() - a.y()));
        }
        double m11 = (xu * yy - yu * xy) / det;
        double m12 = (yu * xx - xu * xy) / det;
        double m21 = (xv * yy - yv * xy) / det;
        double m22 = (yv * xx - xv * xy) / det;
        return Optional.of(
                new Matrix(m11, m21, m12, m22, b.x() - m11 * a.x() - m12 * a.y(), b.y() - m21 * a.x() - m22 * a.y()));
    }

    private static Point middle(List<Point> points) {
        double x = 0;
        double y = 0;
        for (Point p : points) {
            x += p.x();
            y += p.y();
        }
        return new Point(x / points.size(), y / points.size());
    }
}
