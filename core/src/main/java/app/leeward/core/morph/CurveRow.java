package app.leeward.core.morph;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * One sub-path as cubic curves only.
 *
 * @param points where it begins, then for each curve its two handles and where it ends
 */
record CurveRow(List<Point> points, boolean closed) {
    CurveRow {
        points = List.copyOf(points);
    }

    /** @param closingLine whether the line that closes it is a curve of its own: not so where it ends on its beginning */
    static CurveRow of(Path subPath, boolean closingLine) {
        List<Point> points = new ArrayList<>();
        for (Segment s : subPath.segments()) {
            if (s instanceof Segment.Move m) {
                points.add(m.to());
            } else if (s instanceof Segment.Line l) {
                line(points, l.to());
            } else if (s instanceof Segment.Cubic c) {
                add(points, c);
            }
        }
        if (closingLine) {
            line(points, points.get(0));
        }
        return new CurveRow(points, subPath.closes());
    }

    private static void line(List<Point> points, Point to) {
        Point from = points.get(points.size() - 1);
        Collections.addAll(points, from.towards(to, 1 / 3.0), from.towards(to, 2 / 3.0), to);
    }

    private static void add(List<Point> points, Segment.Cubic c) {
        Collections.addAll(points, c.c1(), c.c2(), c.to());
    }

    int curves() {
        return (points.size() - 1) / 3;
    }

    /** @param k 0 for its beginning, 1 and 2 for its handles, 3 for its end */
    Point point(int curve, int k) {
        return points.get(3 * curve + k);
    }

    CurveRow reversed() {
        List<Point> back = new ArrayList<>(points);
        Collections.reverse(back);
        return new CurveRow(back, closed);
    }

    /**
     * With each curve cut where its list says ; the outline stays as it is.
     *
     * @param at for each curve the places along it, rising, each inside 0 to 1
     */
    CurveRow cut(List<double[]> at) {
        List<Point> out = new ArrayList<>();
        out.add(points.get(0));
        for (int i = 0; i < curves(); i++) {
            Point from = point(i, 0);
            Segment.Cubic left = new Segment.Cubic(point(i, 1), point(i, 2), point(i, 3));
            double done = 0;
            for (double t : at.get(i)) {
                List<Segment.Cubic> both = left.cut(from, (t - done) / (1 - done));
                add(out, both.get(0));
                from = both.get(0).to();
                left = both.get(1);
                done = t;
            }
            add(out, left);
        }
        return new CurveRow(out, closed);
    }

    /** A closed one that begins at another of its curves. */
    CurveRow from(int curve) {
        if (curve == 0) {
            return this;
        }
        List<Point> out = new ArrayList<>(points.subList(3 * curve, points.size()));
        out.addAll(points.subList(1, 3 * curve + 1));
        return new CurveRow(out, closed);
    }

    List<Segment> segments() {
        List<Segment> out = new ArrayList<>(curves() + 2);
        out.add(new Segment.Move(points.get(0)));
        for (int i = 0; i < curves(); i++) {
            out.add(new Segment.Cubic(point(i, 1), point(i, 2), point(i, 3)));
        }
        if (closed) {
            out.add(new Segment.Close());
        }
        return out;
    }
}
