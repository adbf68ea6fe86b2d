package app.leeward.core.solid;

import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;

/** A cubic with given ends through points at even steps of its parameter, as near as it comes (least squares). */
final class CurveFit {
    private CurveFit() {}

    /** Both handles free: two unknowns for x, two for y. */
    static Segment.Cubic free(Point from, Point[] through, Point to) {
        double aa = 0;
        double ab = 0;
        double bb = 0;
        double ax = 0;
        double ay = 0;
        double bx = 0;
        double by = 0;
        for (int k = 0; k < through.length; k++) {
            double t = (k + 1) / (through.length + 1.0);
            double s = 1 - t;
            double a = 3 * s * s * t;
            double b = 3 * s * t * t;
            double x = through[k].x() - s * s * s * from.x() - t * t * t * to.x();
            double y = through[k].y() - s * s * s * from.y() - t * t * t * to.y();
            aa += a * a;
            ab += a * b;
            bb += b * b;
            ax += a * x;
            ay += a * y;
            bx += b * x;
            by += b * y;
        }
        double det = aa * bb - ab * ab;
        return new Segment.Cubic(
                new Point((ax * bb - bx * ab) / det, (ay * bb - by * ab) / det),
                new Point((bx * aa - ax * ab) / det, (by * aa - ay * ab) / det),
                to);
    }

    /**
     * Both handles on given lines: their lengths are the two unknowns.
     *
     * @param out unit vector the curve sets out along
     * @param in unit vector it arrives along
     * @param free what to keep where a length would turn back
     */
    static Segment.Cubic along(Point from, Point[] through, Point to, Point out, Point in, Segment.Cubic free) {
        double aa = 0;
        double ab = 0;
        double bb = 0;
        double ad = 0;
        double bd = 0;
        double dot = out.x() * in.x() + out.y() * in.y();
        for (int k = 0; k < through.length; k++) {
            double t = (k + 1) / (through.length + 1.0);
            double s = 1 - t;
            double a = 3 * s * s * t;
            double b = -3 * s * t * t;
            double near = s * s * s + a;
            double far = t * t * t - b;
            double x = through[k].x() - near * from.x() - far * to.x();
            double y = through[k].y() - near * from.y() - far * to.y();
            aa += a * a;
            ab += a * b * dot;
            bb += b * b;
            ad += a * (x * out.x() + y * out.y());
            bd += b * (x * in.x() + y * in.y());
        }
        double det = aa * bb - ab * ab;
        double first = (ad * bb - bd * ab) / det;
        double second = (bd * aa - ad * ab) / det;
        if (!(first >= 0 && second >= 0) || det < 1e-9 * aa * bb) {
            return free;
        }
        return new Segment.Cubic(
                new Point(from.x() + first * out.x(), from.y() + first * out.y()),
                new Point(to.x() - second * in.x(), to.y() - second * in.y()),
                to);
    }
}
