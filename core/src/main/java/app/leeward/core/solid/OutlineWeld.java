package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Welds what lies along the outline of the skin to it: a line over a fill's edge, a patch that ends at the silhouette. A point
 * close by goes with the nearest point of the outline as it is drawn from each view, keeping how it stood to it; further away
 * less and less.
 */
final class OutlineWeld {
    /** How near it holds fully without being asked for, as a share of the head's width. */
    static final double FOUND = 0.012;
    /** The same where a rigger asked for it. */
    static final double ASKED = 0.03;
    /** From where not at all, in times of that. */
    private static final double NONE = 2;

    private final List<TurnedPath> outlines;
    private final double cell;
    private final double full;
    private final double none;
    private final Map<Long, List<Place>> samples = new HashMap<>();
    /** The outlines from the views asked for so far. */
    private final Map<View, List<Curve>> seen = new HashMap<>();

    /** A point of the outlines: so far along one of their steps. */
    private record Place(int curve, double t, Point at) {}

    /** One step of an outline; a line has its handles on itself. */
    private record Curve(Point from, Segment.Cubic on) {
        Point at(double t) {
            return on.at(from, t);
        }
    }

    /**
     * @param outlines of the skin or another piece, with how they go with the head
     * @param reach how near it holds fully, canvas units
     */
    OutlineWeld(List<TurnedPath> outlines, double reach) {
        this.outlines = List.copyOf(outlines);
        full = reach;
        none = NONE * reach;
        cell = none;
        List<Curve> rest = curves(outlines.stream().map(TurnedPath::rest).toList());
        for (int i = 0; i < rest.size(); i++) {
            Curve c = rest.get(i);
            double far = c.from().distance(c.on().c1())
                    + c.on().c1().distance(c.on().c2())
                    + c.on().c2().distance(c.on().to());
            int n = (int) Math.max(1, Math.min(400, Math.ceil(4 * far / full)));
            for (int k = 0; k <= n; k++) {
                double t = k / (double) n;
                add(new Place(i, t, c.at(t)));
            }
        }
    }

    private static List<Curve> curves(List<Path> paths) {
        List<Curve> all = new ArrayList<>();
        for (Path path : paths) {
            Point pen = null;
            Point start = null;
            for (Segment s : path.segments()) {
                if (s instanceof Segment.Move m) {
                    pen = start = m.to();
                } else {
                    Point to = s instanceof Segment.Line l ? l.to() : s instanceof Segment.Cubic c ? c.to() : start;
                    all.add(new Curve(
                            pen,
                            s instanceof Segment.Cubic c
                                    ? c
                                    : new Segment.Cubic(pen.towards(to, 1 / 3.0), pen.towards(to, 2 / 3.0), to)));
                    pen = to;
                }
            }
        }
        return all;
    }

    /** Whether a path is one of the outlines, drawn a second time. */
    boolean same(Path path) {
        List<Point> points = path.points();
        return outlines.stream().anyMatch(o -> {
            List<Point> of = o.rest().points();
            if (of.size() != points.size()) {
                return false;
            }
            for (int i = 0; i < of.size(); i++) {
                if (of.get(i).distance(points.get(i)) > 1e-6 * full) {
                    return false;
                }
            }
            return true;
        });
    }

    /** Whether a point lies so close to the outlines that it goes with them alone. */
    boolean holds(Point p) {
        Place near = nearest(p);
        return near != null && near.at().distance(p) <= full;
    }

    /** A motion that goes with the outline where it is close to it. */
    Motion over(Motion inner) {
        return rest -> {
            Place near = nearest(rest);
            double away = near == null ? none : near.at().distance(rest);
            double weight = away <= full ? 1 : away >= none ? 0 : Skull.smooth((none - away) / (none - full));
            if (weight == 0) {
                return inner.of(rest);
            }
            Point beside = rest.minus(near.at());
            Motion.Follow edge =
                    view -> from(view).get(near.curve()).at(near.t()).plus(beside);
            if (weight == 1) {
                return edge;
            }
            Motion.Follow own = inner.of(rest);
            return view -> own.at(view).towards(edge.at(view), weight);
        };
    }

    private List<Curve> from(View view) {
        return seen.computeIfAbsent(
                view, v -> curves(outlines.stream().map(o -> o.at(v)).toList()));
    }

    private void add(Place p) {
        samples.computeIfAbsent(
                        key(Math.floor(p.at().x() / cell), Math.floor(p.at().y() / cell)), k -> new ArrayList<>())
                .add(p);
    }

    private static long key(double column, double row) {
        return (long) column << 32 ^ (long) row & 0xffffffffL;
    }

    /** Null where nothing is near. */
    private Place nearest(Point p) {
        Place best = null;
        double column = Math.floor(p.x() / cell);
        double row = Math.floor(p.y() / cell);
        for (int i = -1; i <= 1; i++) {
            for (int k = -1; k <= 1; k++) {
                for (Place s : samples.getOrDefault(key(column + i, row + k), List.of())) {
                    best = best == null || s.at().distance(p) < best.at().distance(p) ? s : best;
                }
            }
        }
        return best == null ? null : refined(p, best);
    }

    /** The nearest point of the same step, by halving. */
    private Place refined(Point p, Place near) {
        Curve c = from(View.yaw(0)).get(near.curve());
        double low = Math.max(0, near.t() - 0.02);
        double high = Math.min(1, near.t() + 0.02);
        for (int i = 0; i < 24; i++) {
            double a = low + (high - low) / 3;
            double b = high - (high - low) / 3;
            if (c.at(a).distance(p) <= c.at(b).distance(p)) {
                high = b;
            } else {
                low = a;
            }
        }
        double t = (low + high) / 2;
        Point at = c.at(t);
        return at.distance(p) < near.at().distance(p) ? new Place(near.curve(), t, at) : near;
    }
}
