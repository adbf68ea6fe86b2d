package app.leeward.core.lips;

import app.leeward.core.art.Outline;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/** Bends the colour of lips with the edge of the opening: every point goes as the place of the edge nearest to it goes. */
final class LipColour {
    private static final int STEPS = 24;
    /** Enough to see how high a colour reaches over the middle of the mouth. */
    private static final int POINTS = 240;

    private final Lips from;
    private final Lips to;

    /** @param to with the points of {@code from} */
    LipColour(Lips from, Lips to) {
        this.from = from;
        this.to = to;
    }

    Path bent(Path colour) {
        double up = from.upper().middlePoint().y();
        double low = from.lower().middlePoint().y();
        double centre = from.upper().middlePoint().x();
        double[] heights = Outline.points(colour, POINTS).stream()
                .filter(p -> Math.abs(p.x() - centre) < 0.1 * from.width())
                .mapToDouble(Point::y)
                .sorted()
                .toArray();
        double above = heights.length == 0 ? 0 : Math.max(0, up - heights[0]);
        double below = heights.length == 0 ? 0 : Math.max(0, heights[heights.length - 1] - low);
        // a ring round both lips goes with either, a lip of its own with its own edge only
        boolean both = Math.min(above, below) > 0.2 * Math.max(above, below);
        return cut(colour).map(p -> both ? either(p) : moved(p, above > below));
    }

    /** With every curve in quarters: two points cannot follow an edge that opens in its middle. */
    private static Path cut(Path path) {
        List<Segment> out = new ArrayList<>();
        Point at = new Point(0, 0);
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Cubic c) {
                Arc arc = new Arc(List.of(at, c.c1(), c.c2(), c.to()));
                arc = arc.cut(0, 0.5).cut(1, 0.5).cut(0, 0.5);
                for (int i = 0; i < arc.curves(); i++) {
                    List<Point> p = arc.points().subList(3 * i + 1, 3 * i + 4);
                    out.add(new Segment.Cubic(p.get(0), p.get(1), p.get(2)));
                }
                at = c.to();
            } else {
                out.add(s);
                at = s instanceof Segment.Move m ? m.to() : s instanceof Segment.Line l ? l.to() : at;
            }
        }
        return new Path(out);
    }

    private Point either(Point p) {
        Near up = near(p, from.upper());
        Near low = near(p, from.lower());
        boolean same = Math.abs(up.distance - low.distance) < 1e-3 * from.width();
        boolean upper = same ? p.y() < up.here.y() : up.distance < low.distance;
        return moved(p, upper);
    }

    private Point moved(Point p, boolean upper) {
        Arc was = upper ? from.upper() : from.lower();
        Arc is = upper ? to.upper() : to.lower();
        Near near = near(p, was);
        Point by = is.at(near.curve, near.t).minus(near.here);
        return new Point(p.x() + by.x(), p.y() + by.y());
    }

    private record Near(int curve, double t, Point here, double distance) {}

    private static Near near(Point p, Arc arc) {
        Near best = null;
        for (int c = 0; c < arc.curves(); c++) {
            for (int k = 0; k <= STEPS; k++) {
                double t = k / (double) STEPS;
                Point here = arc.at(c, t);
                double d = here.distance(p);
                if (best == null || d < best.distance) {
                    best = new Near(c, t, here, d);
                }
            }
        }
        return best;
    }
}
