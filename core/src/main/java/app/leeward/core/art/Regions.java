package app.leeward.core.art;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.Polygonal;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.geom.util.PolygonExtracter;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** Fills as JTS areas, for measuring. Curves are flattened to within {@link #TOLERANCE}. */
public final class Regions {
    /** How far a flattened curve may stray from the true one, user units. */
    public static final double TOLERANCE = 0.05;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Regions() {}

    /** The area covered by the fills of these shapes; strokes take no part. */
    public static Geometry ofFills(List<Shape> shapes) {
        List<Geometry> fills = new ArrayList<>();
        for (Shape s : shapes) {
            fills.add(of(s.path()));
        }
        return all(fills);
    }

    /** The area a shape's fill covers, as far as its clips let it be seen; its stroke takes no part. */
    public static Geometry seen(Shape shape) {
        Geometry area = of(shape.path());
        for (Clip c : shape.clips()) {
            area = both(area, of(c.path()));
        }
        return area;
    }

    /** An area somewhere else. */
    public static Geometry transformed(Geometry area, Matrix m) {
        return new AffineTransformation(m.a(), m.c(), m.e(), m.b(), m.d(), m.f()).transform(area);
    }

    /** What a line as thick as that covers, its ends round. */
    public static Geometry along(Path path, double width) {
        Coordinate[] at =
                path.sampled(8).stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        return at.length < 2
                ? FACTORY.createPolygon()
                : FACTORY.createLineString(at).buffer(width / 2, 2);
    }

    /** Whether a point lies in the area inside a path. */
    public static boolean holds(Path path, Point at) {
        return of(path).contains(FACTORY.createPoint(new Coordinate(at.x(), at.y())));
    }

    /** What lies in any of them. */
    public static Geometry all(Collection<Geometry> areas) {
        return areas.isEmpty()
                ? FACTORY.createPolygon()
                : polygons(OverlayNGRobust.union(
                        areas.stream().map(Regions::polygons).toList()));
    }

    /** What lies in both. */
    public static Geometry both(Geometry a, Geometry b) {
        return overlay(a, b, OverlayNG.INTERSECTION);
    }

    /** What lies in one and not in the other. */
    public static Geometry without(Geometry a, Geometry b) {
        return overlay(a, b, OverlayNG.DIFFERENCE);
    }

    /** What lies in either. */
    public static Geometry either(Geometry a, Geometry b) {
        return overlay(a, b, OverlayNG.UNION);
    }

    /** Round all of an area, holes running the other way about. */
    public static Path outline(Geometry area) {
        List<Segment> out = new ArrayList<>();
        for (Object p : PolygonExtracter.getPolygons(area)) {
            Polygon polygon = (Polygon) p;
            ring(polygon.getExteriorRing(), out);
            for (int i = 0; i < polygon.getNumInteriorRing(); i++) {
                ring(polygon.getInteriorRingN(i), out);
            }
        }
        return new Path(out);
    }

    private static void ring(LinearRing ring, List<Segment> out) {
        Coordinate[] c = ring.getCoordinates();
        for (int i = 0; i < c.length - 1; i++) {
            Point at = new Point(c[i].x, c[i].y);
            out.add(i == 0 ? new Segment.Move(at) : new Segment.Line(at));
        }
        out.add(new Segment.Close());
    }

    /**
     * The library's older overlay throws where edges nearly coincide, and refuses areas that come with stray lines; drawn art has
     * both. Its newer one goes over to snapping there.
     */
    private static Geometry overlay(Geometry a, Geometry b, int operation) {
        return polygons(OverlayNGRobust.overlay(polygons(a), polygons(b), operation));
    }

    /** Only the areas of a geometry: lines and points cover nothing. */
    private static Geometry polygons(Geometry g) {
        if (g instanceof Polygonal) {
            return g;
        }
        List<?> areas = PolygonExtracter.getPolygons(g);
        return areas.isEmpty() ? FACTORY.createPolygon() : FACTORY.createMultiPolygon(areas.toArray(Polygon[]::new));
    }

    /**
     * The area inside one path; rings that lie inside others are holes (even-odd), open sub-paths are closed. A ring that is one tangle
     * (see {@link Tangle}) counts as what its convex hull takes in.
     */
    public static Geometry of(Path path) {
        Rings rings = new Rings();
        path.walk(rings);
        Geometry area = FACTORY.createPolygon();
        for (Geometry ring : rings.finish()) {
            area = area.isEmpty() ? ring : overlay(area, ring, OverlayNG.SYMDIFFERENCE);
        }
        return area;
    }

    /** Whether some sub-path, closed, crosses or touches itself. */
    public static boolean crossesItself(Path path) {
        Rings rings = new Rings();
        path.walk(rings);
        rings.finish();
        return rings.crosses;
    }

    private static final class Rings implements Path.Walker {
        private final List<Geometry> done = new ArrayList<>();
        private boolean crosses;
        private List<Coordinate> ring = new ArrayList<>();

        @Override
        public void start(Point at) {
            seal();
            add(at);
        }

        @Override
        public void line(Point from, Point to) {
            if (ring.isEmpty()) {
                add(from);
            }
            add(to);
        }

        @Override
        public void cubic(Point from, Point c1, Point c2, Point to) {
            if (ring.isEmpty()) {
                add(from);
            }
            int n = Cubics.steps(from, c1, c2, to, TOLERANCE);
            for (int i = 1; i <= n; i++) {
                add(Cubics.at(from, c1, c2, to, (double) i / n));
            }
        }

        @Override
        public void close(Point at) {
            seal();
        }

        private void add(Point p) {
            Coordinate c = new Coordinate(p.x(), p.y());
            if (ring.isEmpty() || !ring.get(ring.size() - 1).equals2D(c)) {
                ring.add(c);
            }
        }

        private void seal() {
            if (ring.size() >= 3) {
                if (!ring.get(0).equals2D(ring.get(ring.size() - 1))) {
                    ring.add(ring.get(0));
                }
                if (ring.size() >= 4) {
                    Polygon area = FACTORY.createPolygon(ring.toArray(new Coordinate[0]));
                    boolean simple = area.getExteriorRing().isSimple();
                    crosses |= !simple;
                    done.add(simple ? area : mended(area));
                }
            }
            ring = new ArrayList<>();
        }

        /** Overlay operations refuse rings that cross themselves; {@code buffer(0)} mends them. */
        private static Geometry mended(Polygon area) {
            return Tangle.is(area.getExteriorRing().getCoordinates()) ? area.convexHull() : area.buffer(0);
        }

        List<Geometry> finish() {
            seal();
            return done;
        }
    }
}
