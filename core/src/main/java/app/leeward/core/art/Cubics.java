package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;

/** Facts about one cubic Bézier curve. The parameter t runs from 0 at its start to 1 at its end. */
final class Cubics {
    private Cubics() {}

    static Point at(Point p0, Point p1, Point p2, Point p3, double t) {
        return new Point(at(p0.x(), p1.x(), p2.x(), p3.x(), t), at(p0.y(), p1.y(), p2.y(), p3.y(), t));
    }

    static double at(double p0, double p1, double p2, double p3, double t) {
        double s = 1 - t;
        return s * s * s * p0 + 3 * s * s * t * p1 + 3 * s * t * t * p2 + t * t * t * p3;
    }

    /** Parameters strictly inside (0, 1) where one coordinate turns round: the roots of its derivative. */
    static List<Double> extremes(double p0, double p1, double p2, double p3) {
        double a = -p0 + 3 * p1 - 3 * p2 + p3;
        double b = 2 * (p0 - 2 * p1 + p2);
        double c = p1 - p0;
        List<Double> roots = new ArrayList<>(2);
        if (Math.abs(a) < 1e-12) {
            if (Math.abs(b) > 1e-12) {
                keepInside(roots, -c / b);
            }
            return roots;
        }
        double disc = b * b - 4 * a * c;
        if (disc >= 0) {
            double root = Math.sqrt(disc);
            keepInside(roots, (-b + root) / (2 * a));
            keepInside(roots, (-b - root) / (2 * a));
        }
        return roots;
    }

    private static void keepInside(List<Double> roots, double t) {
        if (t > 0 && t < 1) {
            roots.add(t);
        }
    }

    private static final double[] NODE = {
        -0.9602898564975363,
        -0.7966664774136267,
        -0.525532409916329,
        -0.1834346424956498,
        0.1834346424956498,
        0.525532409916329,
        0.7966664774136267,
        0.9602898564975363
    };
    private static final double[] WEIGHT = {
        0.1012285362903763, 0.2223810344533745, 0.3137066458778873, 0.362683783378362,
        0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763
    };

    /** Arc length by Gauss–Legendre quadrature with eight nodes on each of eight stretches. */
    static double length(Point p0, Point p1, Point p2, Point p3) {
        double total = 0;
        int stretches = 8;
        for (int i = 0; i < stretches; i++) {
            for (int k = 0; k < NODE.length; k++) {
                double t = (i + (NODE[k] + 1) / 2) / stretches;
                double dx = slope(p0.x(), p1.x(), p2.x(), p3.x(), t);
                double dy = slope(p0.y(), p1.y(), p2.y(), p3.y(), t);
                total += WEIGHT[k] * Math.hypot(dx, dy) / 2 / stretches;
            }
        }
        return total;
    }

    private static double slope(double p0, double p1, double p2, double p3, double t) {
        double s = 1 - t;
        return 3 * (s * s * (p1 - p0) + 2 * s * t * (p2 - p1) + t * t * (p3 - p2));
    }

    /**
     * How many equal steps keep a chord within {@code tolerance} of the curve: the bound of Filip, Magedson and Markot
     * (1986) on the second derivative.
     */
    static int steps(Point p0, Point p1, Point p2, Point p3, double tolerance) {
        double m = Math.max(
                Math.hypot(p0.x() - 2 * p1.x() + p2.x(), p0.y() - 2 * p1.y() + p2.y()),
                Math.hypot(p1.x() - 2 * p2.x() + p3.x(), p1.y() - 2 * p2.y() + p3.y()));
        return (int) Math.max(1, Math.min(400, Math.ceil(Math.sqrt(6 * m / (8 * tolerance)))));
    }
}
