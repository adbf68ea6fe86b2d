package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/** Where curves of an outline meet without a corner: pairs of segments, the one that arrives and the one that goes on. */
final class Joins {
    /** The sine of the angle up to which two handles lead straight on. */
    private static final double STRAIGHT = 0.03;

    private Joins() {}

    /** @param arrives place of the segment that ends at the join, {@code goesOn} of the one that begins there */
    record Join(int arrives, int goesOn) {}

    static List<Join> smooth(Path rest) {
        List<Join> all = new ArrayList<>();
        List<Segment> segments = rest.segments();
        int first = -1;
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            if (s instanceof Segment.Move) {
                first = i + 1;
            } else if (s instanceof Segment.Close) {
                // the last curve of a closed outline meets its first
                add(rest, all, i - 1, first);
            } else if (i > first) {
                add(rest, all, i - 1, i);
            }
        }
        return all;
    }

    private static void add(Path rest, List<Join> all, int arrives, int goesOn) {
        if (arrives > 0
                && goesOn < rest.segments().size()
                && arrives != goesOn
                && rest.segments().get(arrives) instanceof Segment.Cubic a
                && rest.segments().get(goesOn) instanceof Segment.Cubic b
                && begins(rest, goesOn).equals(a.to())
                && leadsOn(a.c2(), a.to(), b.c1())) {
            all.add(new Join(arrives, goesOn));
        }
    }

    private static Point begins(Path path, int segment) {
        Segment s = path.segments().get(segment - 1);
        if (s instanceof Segment.Move m) {
            return m.to();
        }
        if (s instanceof Segment.Line l) {
            return l.to();
        }
        return s instanceof Segment.Cubic c ? c.to() : new Point(Double.MAX_VALUE, 0);
    }

    private static boolean leadsOn(Point before, Point at, Point after) {
        Point in = at.minus(before);
        Point on = after.minus(at);
        double cross = in.x() * on.y() - in.y() * on.x();
        double dot = in.x() * on.x() + in.y() * on.y();
        return dot > 0 && Math.abs(cross) <= STRAIGHT * Math.hypot(in.x(), in.y()) * Math.hypot(on.x(), on.y());
    }
}
