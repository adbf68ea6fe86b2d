package app.leeward.core.art;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.List;

/**
 * Changes an outline point by point. A point is named by the segment that ends in it; a sub-path's first point by its
 * move. Where a closed sub-path ends on its own beginning, the two are one point.
 */
public final class PathPoints {
    /** What of a segment is taken hold of: the point it ends in, or one of a curve's two handles. */
    public enum Hold {
        POINT,
        FIRST_HANDLE,
        SECOND_HANDLE
    }

    private PathPoints() {}

    /** @throws Refusal when there is no such point or handle */
    public static Path moved(Path path, int at, Hold hold, Point to) {
        List<Segment> s = new ArrayList<>(path.segments());
        Segment held = segment(s, at);
        if (hold != Hold.POINT) {
            if (!(held instanceof Segment.Cubic c)) {
                throw new Refusal(RefusalCode.NO_SUCH_POINT, "Segment " + at + " is no curve and has no handles.");
            }
            s.set(
                    at,
                    hold == Hold.FIRST_HANDLE
                            ? new Segment.Cubic(to, c.c2(), c.to())
                            : new Segment.Cubic(c.c1(), to, c.to()));
            return new Path(s);
        }
        Point by = to.minus(end(held));
        for (int same : sameAs(s, at)) {
            s.set(same, endMoved(s.get(same), by));
            int next = same + 1;
            if (next < s.size() && s.get(next) instanceof Segment.Cubic c) {
                s.set(next, new Segment.Cubic(c.c1().plus(by), c.c2(), c.to()));
            }
        }
        return new Path(s);
    }

    /**
     * Where a point or handle is.
     *
     * @throws Refusal when there is none
     */
    public static Point place(Path path, int at, Hold hold) {
        Segment held = segment(path.segments(), at);
        if (hold == Hold.POINT) {
            return end(held);
        }
        if (held instanceof Segment.Cubic c) {
            return hold == Hold.FIRST_HANDLE ? c.c1() : c.c2();
        }
        throw new Refusal(RefusalCode.NO_SUCH_POINT, "Segment " + at + " is no curve and has no handles.");
    }

    /** One more point on a segment, {@code t} of the way along it; the outline does not change (de Casteljau). */
    public static Path added(Path path, int at, double t) {
        if (!(t > 0 && t < 1)) {
            throw new Refusal(RefusalCode.NO_SUCH_POINT, "A new point lies inside its segment, not at " + t + ".");
        }
        List<Segment> s = new ArrayList<>(path.segments());
        Segment held = segment(s, at);
        if (held instanceof Segment.Move) {
            throw new Refusal(
                    RefusalCode.NO_SUCH_POINT,
                    "Segment " + at + " begins an outline and has nothing to add a point on.");
        }
        Point from = start(s, at);
        if (held instanceof Segment.Line l) {
            s.add(at, new Segment.Line(from.towards(l.to(), t)));
        } else if (held instanceof Segment.Cubic c) {
            List<Segment.Cubic> both = c.cut(from, t);
            s.set(at, both.get(1));
            s.add(at, both.get(0));
        } else if (held instanceof Segment.Close) {
            Point to = end(s.get(beginning(s, at)));
            s.add(at, new Segment.Line(from.towards(to, t)));
        } else {
            throw new Refusal(RefusalCode.NO_SUCH_POINT, "A move has no inside to put a point on.");
        }
        return new Path(s);
    }

    /** Without one point; its neighbours are joined by what is left of their handles. */
    public static Path removed(Path path, int at) {
        List<Segment> s = new ArrayList<>(path.segments());
        Segment gone = segment(s, at);
        List<Integer> same = sameAs(s, at);
        int first = beginning(s, at);
        long points = s.subList(first, last(s, first)).stream()
                .filter(x -> !(x instanceof Segment.Close))
                .count();
        if (points - same.size() < 2) {
            throw new Refusal(RefusalCode.NO_SUCH_POINT, "An outline keeps at least two points.");
        }
        if (same.size() == 2 || gone instanceof Segment.Move) {
            return withoutBeginning(s, first, same);
        }
        if (at + 1 < s.size() && s.get(at + 1) instanceof Segment.Cubic next) {
            Point c1 = gone instanceof Segment.Cubic c ? c.c1() : start(s, at);
            s.set(at + 1, new Segment.Cubic(c1, next.c2(), next.to()));
        }
        s.remove(at);
        return new Path(s);
    }

    /** The sub-path begins, and where it closed on itself also ends, at the point after the one that goes. */
    private static Path withoutBeginning(List<Segment> s, int first, List<Integer> same) {
        Point begin = end(s.get(first + 1));
        if (same.size() == 2) {
            int end = same.get(1);
            Segment into = s.get(end);
            Segment out = s.get(first + 1);
            Point c1 = into instanceof Segment.Cubic c ? c.c1() : start(s, end);
            Point c2 = out instanceof Segment.Cubic c ? c.c2() : begin;
            s.set(
                    end,
                    into instanceof Segment.Cubic || out instanceof Segment.Cubic
                            ? new Segment.Cubic(c1, c2, begin)
                            : new Segment.Line(begin));
        }
        s.set(first, new Segment.Move(begin));
        s.remove(first + 1);
        return new Path(s);
    }

    /**
     * A point made smooth: its handles lie on one straight line through it, along the way from the point before to the
     * point after, a third of the way to each. Or made a corner: both handles drawn in.
     */
    public static Path rounded(Path path, int at, boolean smooth) {
        List<Segment> s = new ArrayList<>(path.segments());
        segment(s, at);
        List<Integer> same = sameAs(s, at);
        int into = same.get(same.size() - 1);
        int out = same.get(0) + 1;
        Point here = end(s.get(at));
        boolean hasBefore = !(s.get(into) instanceof Segment.Move);
        boolean hasAfter =
                out < s.size() && !(s.get(out) instanceof Segment.Move || s.get(out) instanceof Segment.Close);
        Point before = hasBefore ? start(s, into) : here;
        Point after = hasAfter ? end(s.get(out)) : here;
        Point way = after.minus(before);
        double length = Math.hypot(way.x(), way.y());
        boolean drawnIn = !smooth || length < 1e-9;
        if (hasBefore) {
            Point c2 = drawnIn ? here : along(here, way, -here.distance(before) / 3 / length);
            Point c1 = s.get(into) instanceof Segment.Cubic c ? c.c1() : before.towards(here, 1 / 3.0);
            s.set(into, new Segment.Cubic(c1, c2, here));
        }
        if (hasAfter) {
            Point c1 = drawnIn ? here : along(here, way, here.distance(after) / 3 / length);
            Point c2 = s.get(out) instanceof Segment.Cubic c ? c.c2() : after.towards(here, 1 / 3.0);
            s.set(out, new Segment.Cubic(c1, c2, after));
        }
        return new Path(s);
    }

    private static Point along(Point from, Point way, double share) {
        return new Point(from.x() + way.x() * share, from.y() + way.y() * share);
    }

    private static Segment segment(List<Segment> s, int at) {
        if (at < 0 || at >= s.size()) {
            throw new Refusal(
                    RefusalCode.NO_SUCH_POINT, "There is no point " + at + "; the outline has " + s.size() + ".");
        }
        return s.get(at);
    }

    private static Point end(Segment s) {
        return s.end()
                .orElseThrow(() ->
                        new Refusal(RefusalCode.NO_SUCH_POINT, "The closing of an outline is no point of its own."));
    }

    private static Segment endMoved(Segment s, Point by) {
        if (s instanceof Segment.Move m) {
            return new Segment.Move(m.to().plus(by));
        }
        if (s instanceof Segment.Cubic c) {
            return new Segment.Cubic(c.c1(), c.c2().plus(by), c.to().plus(by));
        }
        return new Segment.Line(end(s).plus(by));
    }

    private static Point start(List<Segment> s, int at) {
        Segment before = s.get(at - 1);
        return before instanceof Segment.Close ? end(s.get(beginning(s, at - 1))) : end(before);
    }

    /** The move that begins the sub-path a segment is in. */
    private static int beginning(List<Segment> s, int at) {
        int i = at;
        while (!(s.get(i) instanceof Segment.Move)) {
            i--;
        }
        return i;
    }

    /** One behind the last segment of the sub-path that begins at {@code first}. */
    private static int last(List<Segment> s, int first) {
        int i = first + 1;
        while (i < s.size() && !(s.get(i) instanceof Segment.Move)) {
            i++;
        }
        return i;
    }

    /** The segments that end in this point: one, or for the point where a closed sub-path meets itself its move and its end. */
    private static List<Integer> sameAs(List<Segment> s, int at) {
        int first = beginning(s, at);
        int end = last(s, first) - 1;
        boolean closed = s.get(end) instanceof Segment.Close;
        int lastPoint = closed ? end - 1 : end;
        boolean meets = closed && lastPoint > first && end(s.get(lastPoint)).equals(end(s.get(first)));
        return meets && (at == first || at == lastPoint) ? List.of(first, lastPoint) : List.of(at);
    }
}
