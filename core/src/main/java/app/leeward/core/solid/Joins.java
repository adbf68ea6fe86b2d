package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/** Keeps curves that met without a corner meeting without one: their handles at the join are turned onto one line. */
final class Joins {
    private Joins() {}

    /** @param straight the sine of the angle up to which two handles at rest lead straight on */
    static Path kept(Path rest, Path turned, double straight) {
        List<Segment> out = new ArrayList<>(turned.segments());
        int first = -1;
        for (int i = 0; i < out.size(); i++) {
            Segment s = out.get(i);
            if (s instanceof Segment.Move) {
                first = i + 1;
            } else if (s instanceof Segment.Close) {
                // the last curve of a closed outline meets its first
                join(rest, out, i - 1, first, straight);
            } else if (i > first) {
                join(rest, out, i - 1, i, straight);
            }
        }
        return new Path(out);
    }

    private static void join(Path rest, List<Segment> out, int before, int after, double straight) {
        if (before <= 0
                || after >= out.size()
                || before == after
                || !(out.get(before) instanceof Segment.Cubic a)
                || !(out.get(after) instanceof Segment.Cubic b)
                || !(rest.segments().get(before) instanceof Segment.Cubic ra)
                || !(rest.segments().get(after) instanceof Segment.Cubic rb)) {
            return;
        }
        Point restEnd = ra.to();
        Point end = a.to();
        if (!leadsOn(ra.c2(), restEnd, rb.c1(), straight) || !start(rest, after).equals(restEnd)) {
            return;
        }
        Point in = end.minus(a.c2());
        Point on = b.c1().minus(end);
        double inLong = Math.hypot(in.x(), in.y());
        double onLong = Math.hypot(on.x(), on.y());
        if (inLong < 1e-9 || onLong < 1e-9) {
            return;
        }
        // the longer handle knows the way better
        double x = in.x() + on.x();
        double y = in.y() + on.y();
        double far = Math.hypot(x, y);
        if (far < 0.2 * (inLong + onLong)) {
            return;
        }
        out.set(
                before,
                new Segment.Cubic(a.c1(), new Point(end.x() - x / far * inLong, end.y() - y / far * inLong), end));
        out.set(
                after,
                new Segment.Cubic(new Point(end.x() + x / far * onLong, end.y() + y / far * onLong), b.c2(), b.to()));
    }

    private static Point start(Path path, int segment) {
        Segment s = path.segments().get(segment - 1);
        if (s instanceof Segment.Move m) {
            return m.to();
        }
        if (s instanceof Segment.Line l) {
            return l.to();
        }
        return s instanceof Segment.Cubic c ? c.to() : new Point(Double.MAX_VALUE, 0);
    }

    private static boolean leadsOn(Point before, Point at, Point after, double straight) {
        Point in = at.minus(before);
        Point on = after.minus(at);
        double cross = in.x() * on.y() - in.y() * on.x();
        double dot = in.x() * on.x() + in.y() * on.y();
        return dot > 0 && Math.abs(cross) <= straight * Math.hypot(in.x(), in.y()) * Math.hypot(on.x(), on.y());
    }
}
