package app.leeward.core.eye;

import app.leeward.core.art.Regions;
import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How much of a pupil lies inside its window when it is moved about. For a convex pupil the height that the window leaves
 * of it is integrated across, edge by edge of the window, exactly and some hundred times faster than areas in general;
 * anything else goes through JTS.
 */
final class Overlap {
    private final Geometry window;
    private final Geometry pupil;
    private final double whole;
    /** x and y in turn, once round; null when the simple way will not do. */
    private final double[] simpleWindow;
    /** Where the pupil's outline bends, rising, and its lower and upper y there. */
    private final double[] across;

    private final double[] low;
    private final double[] high;
    /** The pupil's area left of each of them. */
    private final double[] before;

    private double bottom = Double.POSITIVE_INFINITY;
    private double top = Double.NEGATIVE_INFINITY;
    /** Where the last edge was found; the next one begins there. */
    private int place;

    Overlap(Geometry window, Geometry pupil) {
        this.window = window;
        this.pupil = pupil;
        this.whole = pupil.getArea();
        Geometry hull = pupil.convexHull();
        boolean convex = hull instanceof Polygon && hull.getArea() - whole <= 1e-9 * Math.max(1, whole);
        boolean plain = window instanceof Polygon p && p.getNumInteriorRing() == 0;
        this.simpleWindow = convex && plain ? ring(window) : null;
        double[] ring = simpleWindow == null ? new double[0] : ring(hull);
        double[] xs = new double[ring.length / 2];
        for (int i = 0; i < xs.length; i++) {
            xs[i] = ring[2 * i];
        }
        this.across = Arrays.stream(xs).sorted().distinct().toArray();
        this.low = new double[across.length];
        this.high = new double[across.length];
        Arrays.fill(low, Double.POSITIVE_INFINITY);
        Arrays.fill(high, Double.NEGATIVE_INFINITY);
        for (int i = 0; i < ring.length; i += 2) {
            int k = (i + 2) % ring.length;
            spanned(ring[i], ring[i + 1], ring[k], ring[k + 1]);
            bottom = Math.min(bottom, ring[i + 1]);
            top = Math.max(top, ring[i + 1]);
        }
        this.before = new double[across.length];
        for (int j = 1; j < across.length; j++) {
            double height = (high[j - 1] - low[j - 1] + high[j] - low[j]) / 2;
            before[j] = before[j - 1] + height * (across[j] - across[j - 1]);
        }
    }

    private static double[] ring(Geometry g) {
        Coordinate[] c = g.getCoordinates();
        double[] out = new double[Math.max(0, 2 * (c.length - 1))];
        for (int i = 0; i < out.length / 2; i++) {
            out[2 * i] = c[i].x;
            out[2 * i + 1] = c[i].y;
        }
        return out;
    }

    /** Takes one edge of the pupil into its heights. */
    private void spanned(double ax, double ay, double bx, double by) {
        for (int j = 0; j < across.length; j++) {
            double x = across[j];
            if (x < Math.min(ax, bx) || x > Math.max(ax, bx)) {
                continue;
            }
            double y = ax == bx ? ay : ay + (by - ay) * (x - ax) / (bx - ax);
            low[j] = Math.min(low[j], ax == bx ? Math.min(ay, by) : y);
            high[j] = Math.max(high[j], ax == bx ? Math.max(ay, by) : y);
        }
    }

    /** Share of the pupil's area inside its window when it is moved by (dx, dy), 0 to 1. */
    double kept(double dx, double dy) {
        if (!(whole > 0)) {
            return 0;
        }
        if (simpleWindow == null) {
            Geometry moved = AffineTransformation.translationInstance(dx, dy).transform(pupil);
            return Regions.both(window, moved).getArea() / whole;
        }
        double area = 0;
        double[] w = simpleWindow;
        for (int i = 0; i < w.length; i += 2) {
            int k = i + 2 == w.length ? 0 : i + 2;
            area += under(w[i] - dx, w[i + 1] - dy, w[k] - dx, w[k + 1] - dy);
        }
        return Math.min(1, Math.abs(area) / whole);
    }

    /**
     * The area between the pupil's lower outline and an edge of the window, as far as it lies in the pupil; negative for an
     * edge that runs back. Summed once round the window this is what lies in both, since above and below an edge cancels.
     */
    private double under(double ax, double ay, double bx, double by) {
        if (ax > bx) {
            return -under(bx, by, ax, ay);
        }
        double from = Math.max(ax, across[0]);
        double to = Math.min(bx, across[across.length - 1]);
        if (!(to > from) || Math.max(ay, by) <= bottom) {
            return 0;
        }
        if (Math.min(ay, by) >= top) {
            return left(to) - left(from);
        }
        double slope = (by - ay) / (bx - ax);
        int j = seek(from);
        double area = 0;
        for (double x = from; x < to; j++) {
            double next = Math.min(to, across[j + 1]);
            double width = across[j + 1] - across[j];
            double s = (x - across[j]) / width;
            double t = (next - across[j]) / width;
            double y = ay + slope * (x - ax);
            double ny = ay + slope * (next - ax);
            double l = low[j] + s * (low[j + 1] - low[j]);
            double nl = low[j] + t * (low[j + 1] - low[j]);
            double h = high[j] + s * (high[j + 1] - high[j]);
            double nh = high[j] + t * (high[j + 1] - high[j]);
            area += (next - x) * (above(y - l, ny - nl) - above(y - h, ny - nh));
            x = next;
        }
        return area;
    }

    /** The pupil's area left of x. */
    private double left(double x) {
        int j = seek(x);
        double way = x - across[j];
        double height = high[j] - low[j];
        double change = high[j + 1] - low[j + 1] - height;
        return before[j] + way * (height + change * way / (2 * (across[j + 1] - across[j])));
    }

    /** The piece between two bends that x lies in. */
    private int seek(double x) {
        while (place > 0 && across[place] > x) {
            place--;
        }
        while (place < across.length - 2 && across[place + 1] <= x) {
            place++;
        }
        return place;
    }

    /** The mean, over an even way from a to b, of what of it is above 0. */
    private static double above(double a, double b) {
        if (a >= 0 && b >= 0) {
            return (a + b) / 2;
        }
        if (a <= 0 && b <= 0) {
            return 0;
        }
        double top = Math.max(a, b);
        return top * top / (2 * Math.abs(a - b));
    }
}
