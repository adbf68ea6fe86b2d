package app.leeward.core.eye;

import app.leeward.core.art.Matrix;
import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How much of a pupil lies inside its window when it is moved about. A convex pupil is clipped by hand (Sutherland and
 * Hodgman, 1974), a hundred times faster than areas in general; anything else goes through JTS.
 */
final class Overlap {
    private final Geometry window;
    private final Geometry pupil;
    private final double whole;
    /** x and y in turn, anticlockwise as the sums go; null when the simple way will not do. */
    private final double[] simpleWindow;

    private final double[] simplePupil;
    private double[] from;
    private double[] to;

    Overlap(Geometry window, Geometry pupil) {
        this.window = window;
        this.pupil = pupil;
        this.whole = pupil.getArea();
        boolean convex = pupil.convexHull().getArea() - whole <= 1e-9 * Math.max(1, whole);
        boolean plain = window instanceof Polygon p && p.getNumInteriorRing() == 0;
        this.simpleWindow = convex && plain ? ring(window) : null;
        this.simplePupil = convex && plain ? ring(pupil.convexHull()) : null;
        int most = simpleWindow == null ? 0 : 4 * (simpleWindow.length + simplePupil.length);
        from = new double[most];
        to = new double[most];
    }

    private static double[] ring(Geometry g) {
        Coordinate[] c = g.getCoordinates();
        if (c.length < 4) {
            return new double[0];
        }
        double[] out = new double[2 * (c.length - 1)];
        double area = 0;
        for (int i = 0; i + 1 < c.length; i++) {
            out[2 * i] = c[i].x;
            out[2 * i + 1] = c[i].y;
            area += c[i].x * c[i + 1].y - c[i + 1].x * c[i].y;
        }
        if (area < 0) {
            for (int i = 0, j = out.length - 2; i < j; i += 2, j -= 2) {
                double x = out[i];
                double y = out[i + 1];
                out[i] = out[j];
                out[i + 1] = out[j + 1];
                out[j] = x;
                out[j + 1] = y;
            }
        }
        return out;
    }

    /** Share of the pupil's area inside its window when it is moved by (dx, dy), 0 to 1. */
    double kept(double dx, double dy) {
        if (!(whole > 0)) {
            return 0;
        }
        if (simpleWindow == null) {
            Geometry moved = AffineTransformation.translationInstance(dx, dy).transform(pupil);
            return window.intersection(moved).getArea() / whole;
        }
        int n = simpleWindow.length;
        from = room(from, n);
        System.arraycopy(simpleWindow, 0, from, 0, n);
        for (int i = 0; i < simplePupil.length && n > 0; i += 2) {
            int k = (i + 2) % simplePupil.length;
            n = clip(n, simplePupil[i] + dx, simplePupil[i + 1] + dy, simplePupil[k] + dx, simplePupil[k + 1] + dy);
            double[] swap = from;
            from = to;
            to = swap;
        }
        double area = 0;
        for (int i = 0; i < n; i += 2) {
            int k = (i + 2) % n;
            area += from[i] * from[k + 1] - from[k] * from[i + 1];
        }
        return Math.min(1, Math.abs(area) / 2 / whole);
    }

    /** What of {@code from} lies left of the line, into {@code to}; gives how many numbers that are. */
    private int clip(int n, double ax, double ay, double bx, double by) {
        to = room(to, 2 * n + 4);
        int out = 0;
        double px = from[n - 2];
        double py = from[n - 1];
        double before = (bx - ax) * (py - ay) - (by - ay) * (px - ax);
        for (int i = 0; i < n; i += 2) {
            double x = from[i];
            double y = from[i + 1];
            double now = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
            if (now >= 0 != before >= 0) {
                double t = before / (before - now);
                to[out++] = px + t * (x - px);
                to[out++] = py + t * (y - py);
            }
            if (now >= 0) {
                to[out++] = x;
                to[out++] = y;
            }
            px = x;
            py = y;
            before = now;
        }
        return out;
    }

    private static double[] room(double[] a, int wanted) {
        return a.length >= wanted ? a : Arrays.copyOf(a, 2 * wanted);
    }

    static Geometry placed(Geometry g, Matrix m) {
        return new AffineTransformation(m.a(), m.c(), m.e(), m.b(), m.d(), m.f()).transform(g);
    }
}
