package app.leeward.core.lips;

import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * How the starting mouth's lips are drawn: what sets them apart from plain arcs of the same width and heights, point by
 * point. Every made mouth gets it back, so that a bow in the upper lip stays a bow.
 */
final class LipProfile {
    /** Lips so far apart, as a share of their width, are two; by eye, no source. */
    private static final double PARTED = 0.06;

    private final double width;
    private final double height;
    private final Arc upper;
    private final Arc lower;
    private final List<Point> upperOff;
    private final List<Point> lowerOff;

    private LipProfile(double width, double height, Arc upper, Arc lower, List<Point> upperOff, List<Point> lowerOff) {
        this.width = width;
        this.height = height;
        this.upper = upper;
        this.lower = lower;
        this.upperOff = upperOff;
        this.lowerOff = lowerOff;
    }

    static LipProfile of(MouthStart start) {
        Lips lips = start.lips();
        Arc under = lips.lower().reversed();
        return new LipProfile(
                lips.width(),
                lips.lower().middlePoint().y() - lips.upper().middlePoint().y(),
                lips.upper(),
                under,
                off(lips.upper()),
                lips.line() ? still(under) : off(under));
    }

    /** The bow of a line is the upper lip's: an opening mouth parts under it, and the lower lip is round. */
    private static List<Point> still(Arc arc) {
        return Collections.nCopies(arc.points().size(), new Point(0, 0));
    }

    private static List<Point> off(Arc arc) {
        List<Point> best = List.of();
        double least = Double.POSITIVE_INFINITY;
        for (double round = 0; round <= 1; round += 0.125) {
            Arc plain = plain(arc, arc.start(), arc.middlePoint(), arc.end(), round);
            List<Point> off = new ArrayList<>();
            double sum = 0;
            for (int i = 0; i < arc.points().size(); i++) {
                Point d = arc.points().get(i).minus(plain.points().get(i));
                off.add(d);
                sum += d.x() * d.x() + d.y() * d.y();
            }
            if (sum < least) {
                least = sum;
                best = off;
            }
        }
        return best;
    }

    Lips lips(double centre, double w, double corner, double up, double low, double round) {
        Point left = new Point(centre - w / 2, corner);
        Point right = new Point(centre + w / 2, corner);
        Arc top =
                with(plain(upper, left, new Point(centre + aside(upper, w), up), right, round), upperOff, w, low - up);
        Arc bottom =
                with(plain(lower, left, new Point(centre + aside(lower, w), low), right, round), lowerOff, w, low - up);
        // lips that meet are one line, however differently the two are drawn
        double meet = Math.max(0, 1 - (low - up) / (PARTED * w));
        Arc lowest = meet > 0 ? bottom.towards(top.over(bottom), meet) : bottom;
        return new Lips(top, lowest.reversed());
    }

    /** How far from the centre the middle point of a lip lies. */
    private double aside(Arc arc, double w) {
        double centre = (arc.start().x() + arc.end().x()) / 2;
        return (arc.middlePoint().x() - centre) * w / width;
    }

    /** The corners and the middles stay where they are wanted. */
    private Arc with(Arc plain, List<Point> off, double w, double h) {
        double sx = w / width;
        double sy = height > 0.1 * width ? Math.min(1.2, h / height) : sx;
        List<Point> out = new ArrayList<>();
        int last = plain.points().size() - 1;
        for (int i = 0; i <= last; i++) {
            Point d = off.get(i);
            boolean corner = i == 0 || i == last;
            out.add(corner ? plain.points().get(i) : plain.points().get(i).plus(new Point(sx * d.x(), sy * d.y())));
        }
        return new Arc(out);
    }

    /**
     * A plain arc over the same number of curves as {@code like}: two curves that meet level in the middle, cut where the
     * other's points lie.
     *
     * @param round 0 a parabola's corners, 1 an ellipse's
     */
    private static Arc plain(Arc like, Point left, Point middle, Point right, double round) {
        List<Point> half = half(left, middle, round);
        List<Point> other = half(right, middle, round);
        List<Point> all = new ArrayList<>(half);
        all.addAll(List.of(other.get(2), other.get(1), other.get(0)));
        Arc arc = new Arc(all);
        int mid = like.middle();
        arc = spread(arc, 1, shares(like, mid, like.curves()));
        return spread(arc, 0, shares(like, 0, mid));
    }

    private static List<Point> half(Point corner, Point middle, double round) {
        double dx = middle.x() - corner.x();
        double dy = middle.y() - corner.y();
        double k = 0.5523;
        Point c1 = new Point(corner.x() + (1 - round) * dx / 3, corner.y() + ((1 - round) * 2 / 3 + round * k) * dy);
        Point c2 = new Point(middle.x() - ((1 - round) / 3 + round * k) * dx, middle.y());
        return List.of(corner, c1, c2, middle);
    }

    /** Where the points between two of an arc's lie, in shares of the way across. */
    private static List<Double> shares(Arc like, int from, int to) {
        double a = like.points().get(3 * from).x();
        double b = like.points().get(3 * to).x();
        List<Double> out = new ArrayList<>();
        for (int i = from + 1; i < to; i++) {
            double share = Math.abs(b - a) < 1e-9
                    ? (i - from) / (double) (to - from)
                    : (like.points().get(3 * i).x() - a) / (b - a);
            double least = out.isEmpty() ? 0 : out.get(out.size() - 1);
            out.add(Math.max(least + 1e-3, Math.min(1 - 1e-3 * (to - i), share)));
        }
        return out;
    }

    /** One curve cut at shares of its parameter. */
    private static Arc spread(Arc arc, int curve, List<Double> shares) {
        Arc out = arc;
        double done = 0;
        int at = curve;
        for (double s : shares) {
            out = out.cut(at, (s - done) / (1 - done));
            done = s;
            at++;
        }
        return out;
    }
}
