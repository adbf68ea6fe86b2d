package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.LinearComponentExtracter;

/**
 * Finds the end of a drawing that lies towards a point: the two ends of an outline left open there, or else the chord across it
 * a little inside its end.
 */
final class WristFinder {
    /** How far inside the end the chord lies, as a share of its width: fingers of any length leave it where it is. */
    private static final double INSIDE = 0.15;
    /** Where the width is read, and further in where the outline's way is, as shares of the drawing's length. */
    private static final double NEAR = 0.1;

    private static final double FURTHER = 0.18;

    private WristFinder() {}

    /**
     * Where a drawing ends.
     *
     * @param firstGoes unit vector along the outline from the wrist's first point into the drawing
     * @param secondGoes the same from its second
     */
    record End(Wrist wrist, Point firstGoes, Point secondGoes) {}

    /** The largest shape of a drawing, and its area: the one a piece is told by. */
    record Outline(Path path, Geometry area) {}

    /** Empty for a drawing without an area. */
    static Optional<Outline> outline(Artwork art) {
        // a box bounds its shape's area: with the largest box first, most areas need not be worked out
        List<Shape> largestFirst = art.inShapes().shapes().stream()
                .filter(s -> s.path().bounds().isPresent())
                .sorted(Comparator.comparingDouble(WristFinder::box).reversed())
                .toList();
        Outline best = null;
        for (Shape s : largestFirst) {
            if (best != null && box(s) <= best.area.getArea()) {
                break;
            }
            Geometry area = Regions.of(s.path());
            best = best == null || area.getArea() > best.area.getArea() ? new Outline(s.path(), area) : best;
        }
        return Optional.ofNullable(best).filter(o -> o.area.getArea() >= 1e-6);
    }

    private static double box(Shape s) {
        return s.path().bounds().map(b -> b.width() * b.height()).orElse(0.0);
    }

    static Optional<End> of(Artwork art, Point towards, boolean fingers) {
        return outline(art).flatMap(o -> of(o, towards, fingers));
    }

    /**
     * @param towards where the other piece lies
     * @param fingers whether the drawing is the hand, and the other piece its arm; else the other way round
     */
    static Optional<End> of(Outline outline, Point towards, boolean fingers) {
        Geometry area = outline.area;
        Coordinate middle = area.getCentroid().getCoordinate();
        double dx = towards.x() - middle.x;
        double dy = towards.y() - middle.y;
        double far = Math.hypot(dx, dy);
        if (far < 1e-9) {
            return Optional.empty();
        }
        Point way = new Point(dx / far, dy / far);
        double most = most(area, way);
        double length = length(area, way);
        Optional<Point[]> inner = chord(area, way, most - FURTHER * length);
        Optional<Point[]> ends = openEnds(outline.path, way, most - length / 2).or(() -> nearEnd(area, way));
        if (ends.isEmpty() || inner.isEmpty()) {
            return Optional.empty();
        }
        // seen from the arm the fingers lie ahead: the first point is the left one
        Point ahead = fingers ? new Point(-way.x(), -way.y()) : way;
        Point[] e = ordered(ends.get(), ahead);
        Point[] i = ordered(inner.get(), ahead);
        if (e[0].distance(e[1]) < 1e-6) {
            return Optional.empty();
        }
        return Optional.of(new End(new Wrist(e[0], e[1]), unit(e[0], i[0], way), unit(e[1], i[1], way)));
    }

    private static Optional<Point[]> nearEnd(Geometry area, Point way) {
        double end = most(area, way);
        return chord(area, way, end - NEAR * length(area, way))
                .map(two -> two[0].distance(two[1]))
                .flatMap(width -> chord(area, way, end - INSIDE * width));
    }

    private static double most(Geometry area, Point way) {
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : area.getCoordinates()) {
            most = Math.max(most, c.x * way.x() + c.y * way.y());
        }
        return most;
    }

    private static double length(Geometry area, Point way) {
        return most(area, way) + most(area, new Point(-way.x(), -way.y()));
    }

    private static Point unit(Point from, Point to, Point way) {
        Point by = to.minus(from);
        double far = Math.hypot(by.x(), by.y());
        return far < 1e-9 ? new Point(-way.x(), -way.y()) : new Point(by.x() / far, by.y() / far);
    }

    /** So that going ahead the first lies to the left, where down is positive. */
    private static Point[] ordered(Point[] two, Point ahead) {
        Point across = two[1].minus(two[0]);
        boolean right = ahead.x() * across.y() - ahead.y() * across.x() > 0;
        return right ? two : new Point[] {two[1], two[0]};
    }

    /** The ends of an outline that is not closed, when it is open on that side. */
    private static Optional<Point[]> openEnds(Path path, Point way, double half) {
        List<Segment> s = path.segments();
        boolean closed = s.stream().anyMatch(Segment.Close.class::isInstance);
        long moves = s.stream().filter(Segment.Move.class::isInstance).count();
        if (closed || moves != 1 || s.size() < 3) {
            return Optional.empty();
        }
        Segment last = s.get(s.size() - 1);
        Point from = ((Segment.Move) s.get(0)).to();
        Point to = last instanceof Segment.Cubic c ? c.to() : ((Segment.Line) last).to();
        boolean there = at(from, way) > half && at(to, way) > half && from.distance(to) > 1e-3;
        return there ? Optional.of(new Point[] {from, to}) : Optional.empty();
    }

    private static double at(Point p, Point way) {
        return p.x() * way.x() + p.y() * way.y();
    }

    /** The outermost points of an area on the line across a way, at a place along it. */
    private static Optional<Point[]> chord(Geometry area, Point way, double at) {
        Point first = null;
        Point last = null;
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (Coordinate[] ring : rings(area)) {
            for (int i = 0; i + 1 < ring.length; i++) {
                double a = ring[i].x * way.x() + ring[i].y * way.y() - at;
                double b = ring[i + 1].x * way.x() + ring[i + 1].y * way.y() - at;
                if (a < 0 == b < 0 && a != 0) {
                    continue;
                }
                double t = a == b ? 0 : a / (a - b);
                double x = ring[i].x + t * (ring[i + 1].x - ring[i].x);
                double y = ring[i].y + t * (ring[i + 1].y - ring[i].y);
                double across = y * way.x() - x * way.y();
                if (across < low) {
                    low = across;
                    first = new Point(x, y);
                }
                if (across > high) {
                    high = across;
                    last = new Point(x, y);
                }
            }
        }
        return first == null || high - low < 1e-9 ? Optional.empty() : Optional.of(new Point[] {first, last});
    }

    private static List<Coordinate[]> rings(Geometry area) {
        List<Coordinate[]> rings = new ArrayList<>();
        for (Object line : LinearComponentExtracter.getLines(area)) {
            rings.add(((LineString) line).getCoordinates());
        }
        return rings;
    }
}
