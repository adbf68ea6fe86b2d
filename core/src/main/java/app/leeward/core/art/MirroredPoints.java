package app.leeward.core.art;

import java.util.List;

/** Changes an outline on both sides of an axis at once. */
public final class MirroredPoints {
    /** How far from its mirror image what lies opposite may be, as a share of the outline's width. */
    private static final double NEAR = 0.06;

    private MirroredPoints() {}

    /** Something that can be taken hold of, and where it is. */
    private record Grip(int at, PathPoints.Hold hold, Point place) {}

    /**
     * A point or handle moved, and with it what lies opposite; something on the axis itself stays on it. Where nothing lies
     * opposite, only the one is moved.
     *
     * @param axis x of the axis
     * @throws Refusal when there is no such point or handle
     */
    public static Path moved(Path path, int at, PathPoints.Hold hold, Point to, double axis) {
        Grip held = grip(path, at, hold);
        if (held == null) {
            return PathPoints.moved(path, at, hold, to);
        }
        double width = path.bounds().map(Box::width).orElse(0.0);
        Point image = opposite(held.place, axis);
        Grip best = held;
        double nearest = NEAR * width;
        List<Segment> segments = path.segments();
        for (int i = 0; i < segments.size(); i++) {
            for (PathPoints.Hold h : PathPoints.Hold.values()) {
                Grip g = grip(path, i, h);
                boolean alike = g != null && (h == PathPoints.Hold.POINT) == (hold == PathPoints.Hold.POINT);
                if (alike && g.place.distance(image) < nearest) {
                    nearest = g.place.distance(image);
                    best = g;
                }
            }
        }
        if (best.place.equals(held.place)) {
            boolean middle = Math.abs(held.place.x() - axis) < NEAR * width / 2;
            return PathPoints.moved(path, at, hold, middle ? new Point(held.place.x(), to.y()) : to);
        }
        Path one = PathPoints.moved(path, at, hold, to);
        return PathPoints.moved(one, best.at, best.hold, opposite(to, axis));
    }

    private static Point opposite(Point p, double axis) {
        return new Point(2 * axis - p.x(), p.y());
    }

    private static Grip grip(Path path, int at, PathPoints.Hold hold) {
        if (at < 0 || at >= path.segments().size()) {
            return null;
        }
        Segment s = path.segments().get(at);
        if (s instanceof Segment.Cubic c) {
            return new Grip(
                    at,
                    hold,
                    switch (hold) {
                        case POINT -> c.to();
                        case FIRST_HANDLE -> c.c1();
                        case SECOND_HANDLE -> c.c2();
                    });
        }
        if (hold != PathPoints.Hold.POINT) {
            return null;
        }
        if (s instanceof Segment.Line l) {
            return new Grip(at, hold, l.to());
        }
        return s instanceof Segment.Move m ? new Grip(at, hold, m.to()) : null;
    }
}
