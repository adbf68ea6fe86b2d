package app.leeward.core.solid;

import app.leeward.core.art.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

/**
 * Welds what lies along the outline of the skin to it: a line over a fill's edge, a patch that ends at the silhouette. A point
 * close by goes with the nearest point of the outline, keeping how it stood to it; further away less and less.
 */
final class OutlineWeld {
    /** How near it holds fully, and from where not at all, as shares of the head's width. */
    private static final double FULL = 0.012;

    private static final double NONE = 0.024;

    private final double cell;
    private final double full;
    private final double none;
    private final Map<Long, List<Point>> samples = new HashMap<>();

    OutlineWeld(Geometry skin, double half) {
        full = FULL * 2 * half;
        none = NONE * 2 * half;
        cell = none;
        double step = full / 4;
        for (int g = 0; g < skin.getNumGeometries(); g++) {
            Coordinate[] ring =
                    ((Polygon) skin.getGeometryN(g)).getExteriorRing().getCoordinates();
            for (int i = 0; i + 1 < ring.length; i++) {
                int n = (int) Math.min(400, 1 + Math.floor(ring[i].distance(ring[i + 1]) / step));
                for (int k = 0; k < n; k++) {
                    double t = k / (double) n;
                    add(new Point(
                            ring[i].x + t * (ring[i + 1].x - ring[i].x), ring[i].y + t * (ring[i + 1].y - ring[i].y)));
                }
            }
        }
    }

    /** A motion that goes with the outline where it is close to it. */
    Motion over(Motion inner, Motion outline) {
        return rest -> {
            Point near = nearest(rest);
            double away = near == null ? none : near.distance(rest);
            double weight = away <= full ? 1 : away >= none ? 0 : Skull.smooth((none - away) / (none - full));
            if (weight == 0) {
                return inner.of(rest);
            }
            Motion.Follow edge = outline.of(near);
            Point beside = rest.minus(near);
            if (weight == 1) {
                return view -> edge.at(view).plus(beside);
            }
            Motion.Follow own = inner.of(rest);
            return view -> own.at(view).towards(edge.at(view).plus(beside), weight);
        };
    }

    private void add(Point p) {
        samples.computeIfAbsent(key(Math.floor(p.x() / cell), Math.floor(p.y() / cell)), k -> new ArrayList<>())
                .add(p);
    }

    private static long key(double column, double row) {
        return (long) column << 32 ^ (long) row & 0xffffffffL;
    }

    private Point nearest(Point p) {
        Point best = null;
        double column = Math.floor(p.x() / cell);
        double row = Math.floor(p.y() / cell);
        for (int i = -1; i <= 1; i++) {
            for (int k = -1; k <= 1; k++) {
                for (Point s : samples.getOrDefault(key(column + i, row + k), List.of())) {
                    best = best == null || s.distance(p) < best.distance(p) ? s : best;
                }
            }
        }
        return best;
    }
}
