package app.leeward.core.eye;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** A lid as a curtain: one edge, drawn by hand, that meets the other lid, and straight sides away from it. */
final class LidShape {
    private LidShape() {}

    /** A step from one point to the next; handles are null for a straight one. */
    private record Step(Point from, Point c1, Point c2, Point to) {
        Step turned() {
            return new Step(to, c2, c1, from);
        }

        double meanY() {
            return (from.y() + to.y()) / 2;
        }
    }

    /**
     * The edge of an outline that faces the other lid, from its leftmost to its rightmost point, kept point for point.
     *
     * @param lower whether it is the lower edge (of an upper lid)
     */
    static List<Segment> edge(Path outline, boolean lower) {
        List<Step> ring = ring(outline);
        if (ring.isEmpty()) {
            return List.of();
        }
        int left = extreme(ring, -1, lower);
        int right = extreme(ring, 1, lower);
        List<Step> there = chain(ring, left, right);
        List<Step> back = new ArrayList<>();
        for (Step s : chain(ring, right, left)) {
            back.add(s.turned());
        }
        Collections.reverse(back);
        boolean first = mean(there) > mean(back) == lower;
        List<Step> edge = there.isEmpty() || !first && !back.isEmpty() ? back : there;
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(edge.get(0).from));
        for (Step s : edge) {
            out.add(s.c1 == null ? new Segment.Line(s.to) : new Segment.Cubic(s.c1, s.c2, s.to));
        }
        return out;
    }

    private static List<Step> ring(Path outline) {
        List<Step> ring = new ArrayList<>();
        Point begin = null;
        Point pen = null;
        for (Segment s : outline.segments()) {
            if (s instanceof Segment.Move m) {
                if (begin != null) {
                    // the first sub-path is the lid; others are holes or folds in it
                    break;
                }
                begin = pen = m.to();
            } else if (s instanceof Segment.Line l) {
                ring.add(new Step(pen, null, null, l.to()));
                pen = l.to();
            } else if (s instanceof Segment.Cubic c) {
                ring.add(new Step(pen, c.c1(), c.c2(), c.to()));
                pen = c.to();
            }
        }
        if (pen != null && pen.distance(begin) > 1e-9) {
            ring.add(new Step(pen, null, null, begin));
        }
        return ring;
    }

    /** Which step begins furthest to a side; of points about as far, the one nearest to the wanted edge. */
    private static int extreme(List<Step> ring, int side, boolean lower) {
        double least = ring.stream().mapToDouble(s -> s.from.x()).min().orElseThrow();
        double most = ring.stream().mapToDouble(s -> s.from.x()).max().orElseThrow();
        double edge = side < 0 ? least : most;
        double near = 0.02 * (most - least);
        int best = -1;
        for (int i = 0; i < ring.size(); i++) {
            Point p = ring.get(i).from;
            if (Math.abs(p.x() - edge) <= near
                    && (best < 0
                            || (lower
                                    ? p.y() > ring.get(best).from.y()
                                    : p.y() < ring.get(best).from.y()))) {
                best = i;
            }
        }
        return best;
    }

    private static List<Step> chain(List<Step> ring, int from, int to) {
        List<Step> out = new ArrayList<>();
        for (int i = from; i != to; i = (i + 1) % ring.size()) {
            out.add(ring.get(i));
        }
        return out;
    }

    private static double mean(List<Step> chain) {
        return chain.stream().mapToDouble(Step::meanY).average().orElse(0);
    }

    /** A closed lid below or above its edge: straight sides from the ends of the edge to {@code away}. */
    static Path hung(List<Segment> edge, double away) {
        List<Segment> all = new ArrayList<>(edge);
        Point begin = ((Segment.Move) edge.get(0)).to();
        Point end = end(edge.get(edge.size() - 1));
        all.add(new Segment.Line(new Point(end.x(), away)));
        all.add(new Segment.Line(new Point(begin.x(), away)));
        all.add(new Segment.Close());
        return new Path(all);
    }

    static Point end(Segment s) {
        return s.end().orElseThrow();
    }
}
