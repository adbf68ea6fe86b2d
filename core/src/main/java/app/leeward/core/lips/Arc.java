package app.leeward.core.lips;

import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * One lip's edge: cubic curves from one corner of the mouth to the other.
 *
 * @param points three a curve and one more: start, handle, handle, end, handle, handle, end …
 */
record Arc(List<Point> points) {
    /** Steps a curve is cut into when its length is wanted quickly. */
    private static final int STEPS = 10;

    Arc {
        points = List.copyOf(points);
        if (points.size() < 4 || points.size() % 3 != 1) {
            throw new IllegalArgumentException("an arc has three points a curve and one more, not " + points.size());
        }
    }

    int curves() {
        return points.size() / 3;
    }

    Point start() {
        return points.get(0);
    }

    Point end() {
        return points.get(points.size() - 1);
    }

    /** The corner point between curves that lies nearest to the middle between the ends; never an end. */
    int middle() {
        double wanted = (start().x() + end().x()) / 2;
        int best = 1;
        for (int i = 1; i < curves(); i++) {
            if (Math.abs(points.get(3 * i).x() - wanted)
                    < Math.abs(points.get(3 * best).x() - wanted)) {
                best = i;
            }
        }
        return best;
    }

    Point middlePoint() {
        return points.get(3 * middle());
    }

    /** To about one part in a thousand. */
    double length() {
        double sum = 0;
        for (int i = 0; i < curves(); i++) {
            Point before = points.get(3 * i);
            for (int k = 1; k <= STEPS; k++) {
                Point here = at(i, k / (double) STEPS);
                sum += before.distance(here);
                before = here;
            }
        }
        return sum;
    }

    Point at(int curve, double t) {
        double s = 1 - t;
        Point a = points.get(3 * curve);
        Point b = points.get(3 * curve + 1);
        Point c = points.get(3 * curve + 2);
        Point d = points.get(3 * curve + 3);
        double p = s * s * s;
        double q = 3 * s * s * t;
        double r = 3 * s * t * t;
        double u = t * t * t;
        return new Point(p * a.x() + q * b.x() + r * c.x() + u * d.x(), p * a.y() + q * b.y() + r * c.y() + u * d.y());
    }

    /** Its curves, for a pen that stands where it starts. */
    void addTo(List<Segment> out) {
        for (int i = 0; i < curves(); i++) {
            out.add(new Segment.Cubic(points.get(3 * i + 1), points.get(3 * i + 2), points.get(3 * i + 3)));
        }
    }

    Arc reversed() {
        List<Point> back = new ArrayList<>(points);
        java.util.Collections.reverse(back);
        return new Arc(back);
    }

    /** With one curve cut in two; the arc does not change (de Casteljau). */
    Arc cut(int curve, double t) {
        Point p0 = points.get(3 * curve);
        Point p1 = points.get(3 * curve + 1);
        Point p2 = points.get(3 * curve + 2);
        Point p3 = points.get(3 * curve + 3);
        Point a = p0.towards(p1, t);
        Point b = p1.towards(p2, t);
        Point c = p2.towards(p3, t);
        Point ab = a.towards(b, t);
        Point bc = b.towards(c, t);
        List<Point> out = new ArrayList<>(points.subList(0, 3 * curve + 1));
        out.addAll(List.of(a, ab, ab.towards(bc, t), bc, c));
        out.addAll(points.subList(3 * curve + 3, points.size()));
        return new Arc(out);
    }

    /**
     * This edge over as many curves as another; where it has more or fewer itself, nearly this edge over the other's shares of the width.
     * Both go from left to right.
     */
    Arc over(Arc other) {
        if (other.curves() == curves()) {
            return this;
        }
        double from = other.start().x();
        double width = other.end().x() - from;
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < other.curves(); i++) {
            double left = (other.points.get(3 * i).x() - from) / width;
            double right = (other.points.get(3 * i + 3).x() - from) / width;
            Point a = atShare(left);
            Point b = atShare(right);
            double inch = (right - left) / 64;
            Point behind = atShare(left + inch);
            Point before = atShare(right - inch);
            double third = (b.x() - a.x()) / 3;
            if (i == 0) {
                out.add(a);
            }
            out.add(new Point(a.x() + third, a.y() + third * slope(a, behind)));
            out.add(new Point(b.x() - third, b.y() - third * slope(before, b)));
            out.add(b);
        }
        return new Arc(out);
    }

    private static double slope(Point a, Point b) {
        return Math.abs(b.x() - a.x()) < 1e-9 ? 0 : (b.y() - a.y()) / (b.x() - a.x());
    }

    /** Where the edge is at a share of its width from the left; of an edge that turns back, the first such place. */
    Point atShare(double share) {
        double x = start().x() + Math.max(0, Math.min(1, share)) * (end().x() - start().x());
        for (int i = 0; i < curves(); i++) {
            if (x <= points.get(3 * i + 3).x() + 1e-9 || i == curves() - 1) {
                double low = 0;
                double high = 1;
                for (int k = 0; k < 40; k++) {
                    double t = (low + high) / 2;
                    if (at(i, t).x() < x) {
                        low = t;
                    } else {
                        high = t;
                    }
                }
                return at(i, (low + high) / 2);
            }
        }
        throw new IllegalStateException("an edge has a curve at least");
    }

    /** On the way to another edge of as many curves. */
    Arc towards(Arc other, double share) {
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            out.add(points.get(i).towards(other.points.get(i), share));
        }
        return new Arc(out);
    }
}
