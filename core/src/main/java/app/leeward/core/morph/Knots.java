package app.leeward.core.morph;

import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.List;

/** Where the curves of a sub-path meet: how they lie about its middle, measured by its size, and how far along it they are. */
final class Knots {
    /** Stretches that each curve is measured in. */
    private static final int STEPS = 16;
    /** Closer than this, units, two places have no direction from one to the other. */
    private static final double NO_WAY = 1e-9;

    /** How much larger or smaller than by its own measure it is taken to be at most. */
    private static final double MOST_SCALE = 1.5;

    final CurveRow row;
    final int count;
    /** Share of the whole length at each knot, and at the end. */
    final double[] along;
    /** Places about the middle, x and y in turns, in sizes of the sub-path. */
    final double[] place;
    /** Directions in which the outline comes in and goes out, as unit vectors; nothing where there is none. */
    final double[] in;

    final double[] out;
    /** Twice the area with its sign, in squares of the size; 0 for one that is open. */
    final double area;
    /** Length up to each measured place of each curve. */
    private final double[] walked;

    private final double length;

    Knots(CurveRow row) {
        this.row = row;
        int curves = row.curves();
        count = row.closed() ? curves : curves + 1;
        walked = new double[curves * STEPS + 1];
        double sumX = 0;
        double sumY = 0;
        double squares = 0;
        double turned = 0;
        Point before = row.points().get(0);
        Point begin = before;
        for (int i = 0; i < curves; i++) {
            Segment.Cubic c = new Segment.Cubic(row.point(i, 1), row.point(i, 2), row.point(i, 3));
            for (int k = 1; k <= STEPS; k++) {
                Point here = c.at(row.point(i, 0), k / (double) STEPS);
                double step = before.distance(here);
                // about the beginning, so that a face far from the origin loses no digits
                double x = (before.x() + here.x()) / 2 - begin.x();
                double y = (before.y() + here.y()) / 2 - begin.y();
                sumX += step * x;
                sumY += step * y;
                squares += step * (x * x + y * y);
                turned += (before.x() - begin.x()) * (here.y() - begin.y())
                        - (here.x() - begin.x()) * (before.y() - begin.y());
                walked[i * STEPS + k] = walked[i * STEPS + k - 1] + step;
                before = here;
            }
        }
        length = walked[walked.length - 1];
        double middleX = length > 0 ? sumX / length : 0;
        double middleY = length > 0 ? sumY / length : 0;
        double spread = length > 0 ? squares / length - middleX * middleX - middleY * middleY : 0;
        double size = Math.sqrt(Math.max(spread, 1e-12));
        area = row.closed() ? turned / size / size : 0;
        along = new double[count + (row.closed() ? 1 : 0)];
        place = new double[2 * count];
        in = new double[2 * count];
        out = new double[2 * count];
        for (int i = 0; i < along.length; i++) {
            along[i] = length > 0 ? walked[i * STEPS] / length : i / (double) curves;
        }
        for (int i = 0; i < count; i++) {
            Point p = row.points().get(3 * i);
            place[2 * i] = (p.x() - begin.x() - middleX) / size;
            place[2 * i + 1] = (p.y() - begin.y() - middleY) / size;
            way(i, 1, out);
            way(i, -1, in);
        }
    }

    /** The direction to, or from, the nearest point of the outline's own that is elsewhere. */
    private void way(int knot, int step, double[] ways) {
        int last = row.points().size() - 1;
        Point here = row.points().get(3 * knot);
        int at = 3 * knot;
        for (int k = 0; k < last; k++) {
            at += step;
            if (at < 0 || at > last) {
                if (!row.closed()) {
                    return;
                }
                // the first point and the last one are one
                at = at < 0 ? last - 1 : 1;
            }
            Point there = row.points().get(at);
            double far = here.distance(there);
            if (far > NO_WAY) {
                ways[2 * knot] = step * (there.x() - here.x()) / far;
                ways[2 * knot + 1] = step * (there.y() - here.y()) / far;
                return;
            }
        }
    }

    /** The same with its places and directions elsewhere: {@code x, y} goes to {@code c·x − s·y + e, s·x + c·y + f}. */
    private Knots(Knots of, double c, double s, double e, double f) {
        row = of.row;
        count = of.count;
        along = of.along;
        area = of.area;
        walked = of.walked;
        length = of.length;
        place = turned(of.place, c, s, e, f);
        double size = Math.hypot(c, s);
        in = turned(of.in, c / size, s / size, 0, 0);
        out = turned(of.out, c / size, s / size, 0, 0);
    }

    /** About its middle. */
    Knots turned(double degrees) {
        double angle = Math.toRadians(degrees);
        return new Knots(this, Math.cos(angle), Math.sin(angle), 0, 0);
    }

    private static double[] turned(double[] all, double c, double s, double e, double f) {
        double[] out = new double[all.length];
        for (int i = 0; i < all.length; i += 2) {
            out[i] = c * all[i] - s * all[i + 1] + e;
            out[i + 1] = s * all[i] + c * all[i + 1] + f;
        }
        return out;
    }

    /** Laid on another one as nearly as turning, moving and scaling do it (least squares over the pairs). */
    Knots laidOn(Knots other, List<int[]> pairs) {
        double[] sum = new double[4];
        for (int[] p : pairs) {
            for (int k = 0; k < 2; k++) {
                sum[k] += place[2 * (p[0] % count) + k] / pairs.size();
                sum[2 + k] += other.place[2 * (p[1] % other.count) + k] / pairs.size();
            }
        }
        double dot = 0;
        double cross = 0;
        double square = 0;
        for (int[] p : pairs) {
            double x = place[2 * (p[0] % count)] - sum[0];
            double y = place[2 * (p[0] % count) + 1] - sum[1];
            double u = other.place[2 * (p[1] % other.count)] - sum[2];
            double v = other.place[2 * (p[1] % other.count) + 1] - sum[3];
            dot += x * u + y * v;
            cross += x * v - y * u;
            square += x * x + y * y;
        }
        if (square < 1e-9 || Math.hypot(dot, cross) < 1e-9) {
            return this;
        }
        double scale = Math.max(1 / MOST_SCALE, Math.min(MOST_SCALE, Math.hypot(dot, cross) / square));
        double c = scale * dot / Math.hypot(dot, cross);
        double s = scale * cross / Math.hypot(dot, cross);
        return new Knots(this, c, s, sum[2] - c * sum[0] + s * sum[1], sum[3] - s * sum[0] - c * sum[1]);
    }

    /** How much it turns at a knot: 0 where it goes straight on, 1 where it goes back. */
    double corner(int knot) {
        return apart(in, knot, out, knot);
    }

    /** How far two directions are apart, 0 to 1. */
    static double apart(double[] a, int i, double[] b, int j) {
        return (1 - (a[2 * i] * b[2 * j] + a[2 * i + 1] * b[2 * j + 1])) / 2;
    }

    /**
     * Where on one curve the outline has gone a share of its whole length, by the curve's own parameter.
     *
     * @return inside 0 to 1
     */
    double within(int curve, double share) {
        double wanted = share * length;
        int k = curve * STEPS;
        int last = k + STEPS - 1;
        while (k < last && walked[k + 1] < wanted) {
            k++;
        }
        double step = walked[k + 1] - walked[k];
        double part = step > 0 ? (wanted - walked[k]) / step : 0.5;
        return (k % STEPS + Math.max(0, Math.min(1, part))) / STEPS;
    }
}
