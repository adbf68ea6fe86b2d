package app.leeward.core.solid;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Solid;
import app.leeward.core.rig.Weld;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;

/** A part of the head with what it shows at rest, in canvas coordinates. Areas are worked out once. */
final class HeadPiece {
    /** How broad a crack between pieces of a mesh may be, canvas units. */
    private static final double CRACK = 0.05;

    private static final BufferParameters SHARP =
            new BufferParameters(1, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, 5);

    /** Half of how thick a line without thickness is taken for, canvas units. */
    private static final double THIN = 0.25;

    private final Part part;
    private final Matrix rest;
    private final int order;
    /** Whether it has too many points to go with the head one by one. */
    private final boolean crowded;
    /** From where its points were drawn to where they would be from the front; null where that is the same. */
    private final UnaryOperator<Point> front;

    private Geometry fills;
    private Geometry area;

    HeadPiece(Part part, Matrix rest, int order, boolean crowded) {
        this(part, rest, order, crowded, null);
    }

    private HeadPiece(Part part, Matrix rest, int order, boolean crowded, UnaryOperator<Point> front) {
        this.part = part;
        this.rest = rest;
        this.order = order;
        this.crowded = crowded;
        this.front = front;
    }

    /** The piece as it would be seen from the front. */
    HeadPiece seen(UnaryOperator<Point> fromFront) {
        return new HeadPiece(part, rest, order, crowded, fromFront);
    }

    private Path placed(Shape s) {
        Path drawn = s.path().transform(rest);
        return front == null ? drawn : drawn.map(front);
    }

    /** Where a point of it that was drawn would be from the front, canvas coordinates. */
    Point front(Point drawn) {
        return front == null ? drawn : front.apply(drawn);
    }

    Part part() {
        return part;
    }

    /** Whether it is a piece of a hat by its role. */
    boolean ofHat() {
        return part.role() == PartRole.CAP || part.role() == PartRole.CAP_BAND || part.role() == PartRole.CAP_PEAK;
    }

    /** From its drawings' coordinates to the canvas. */
    Matrix rest() {
        return rest;
    }

    /** Its place in the stacking order, 0 for the back. */
    int order() {
        return order;
    }

    /** What it shows at rest; its first drawing where that is nothing, as with a profile that comes out later. */
    Optional<Drawing> drawing() {
        return part.drawing(part.shown()).or(() -> part.drawings().stream().findFirst());
    }

    /** How much further towards the viewer it was set, in half widths of the head. */
    double forward() {
        return part.solid().map(Solid::forward).orElse(0.0);
    }

    /** Where it was said to grow out of the head, canvas coordinates. */
    Optional<Point> root() {
        return part.solid().flatMap(Solid::root).map(rest::apply).map(this::front);
    }

    /** What it was said to be welded to. */
    Optional<Weld> weld() {
        return part.solid().flatMap(Solid::weld);
    }

    /** All outlines of what it shows, canvas coordinates. */
    List<Path> paths() {
        return patches()
                ? List.of(outline())
                : shapes().stream().map(this::placed).toList();
    }

    /** Whether it is a picture cut into a mesh. */
    boolean patches() {
        return shapes().stream().anyMatch(s -> s.fill() instanceof Paint.Patch);
    }

    /** The lines that are known in it where it is such a picture, as shapes, in canvas coordinates. */
    List<Shape> drawnLines() {
        return drawing().stream()
                .filter(d -> patches())
                .flatMap(d -> d.art().inShapes().shapes().stream())
                .filter(s -> s.stroke().visible())
                .map(s -> s.transform(rest).withPath(placed(s)))
                .toList();
    }

    /** Round all its fills together. */
    private Path outline() {
        Geometry all = fills();
        Geometry largest = all;
        for (int i = 0; i < all.getNumGeometries(); i++) {
            largest = i == 0 || all.getGeometryN(i).getArea() > largest.getArea() ? all.getGeometryN(i) : largest;
        }
        if (!(largest instanceof Polygon polygon) || polygon.isEmpty()) {
            return Path.of();
        }
        List<Segment> round = new ArrayList<>();
        for (Coordinate c : polygon.getExteriorRing().getCoordinates()) {
            Point p = new Point(c.x, c.y);
            round.add(round.isEmpty() ? new Segment.Move(p) : new Segment.Line(p));
        }
        round.set(round.size() - 1, new Segment.Close());
        return new Path(round);
    }

    private List<Shape> shapes() {
        return drawing().map(d -> d.art().shapes()).orElse(List.of());
    }

    /** The shape whose outline takes in most; empty when it shows none. */
    Optional<Shape> largest() {
        return shapes().stream()
                .max(Comparator.comparingDouble(s -> Regions.of(s.path()).getArea()));
    }

    /** The outline that takes in most, canvas coordinates; an empty one when it shows none. */
    Path silhouette() {
        return patches() ? outline() : largest().map(this::placed).orElse(Path.of());
    }

    /** The area its fills cover. */
    Geometry fills() {
        if (fills == null) {
            fills = Regions.ofFills(shapes().stream()
                    .filter(s -> !(s.fill() instanceof Paint.None))
                    .map(s -> s.withPath(placed(s)))
                    .toList());
            if (patches()) {
                // squares that were cut apart meet but for their last digits: the cracks between them are no edges
                fills = BufferOp.bufferOp(BufferOp.bufferOp(fills, CRACK, SHARP), -CRACK, SHARP);
            }
        }
        return fills;
    }

    /** Points along all its outlines; lines without a fill take part. */
    List<Point> outlines() {
        return outlines(path -> true);
    }

    /** Points along those of its outlines, canvas coordinates, that are asked for. */
    List<Point> outlines(Predicate<Path> which) {
        List<Point> all = new ArrayList<>();
        for (Path path : shapes().stream().map(this::placed).filter(which).toList()) {
            all.addAll(path.sampled(4));
            if (all.isEmpty()) {
                all.addAll(path.points());
            }
        }
        return all;
    }

    /** What it covers, or where it has no fill, or too many points for that to be worked out, the hull round its lines. */
    Geometry area() {
        if (area == null) {
            area = !crowded && fills().getArea() > 0 ? fills() : hull();
        }
        return area;
    }

    private Geometry hull() {
        Coordinate[] along =
                outlines().stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        Geometry hull = new GeometryFactory().createMultiPointFromCoords(along).convexHull();
        // a straight stroke takes in nothing, but it covers as much as it is thick
        return along.length == 0 || hull.getArea() > 0 ? hull : hull.buffer(Math.max(THIN, thickness() / 2));
    }

    /** Of the thickest line it shows, canvas units. */
    private double thickness() {
        return part.drawings().stream()
                .flatMap(d -> d.art().shapes().stream())
                .filter(s -> s.stroke().visible())
                .mapToDouble(s -> s.stroke().width() * rest.strokeScale())
                .max()
                .orElse(0);
    }

    /** Whether an area covers all it can show, lines included. */
    boolean liesWithin(Geometry area) {
        return part.drawings().stream().flatMap(d -> d.art().shapes().stream()).allMatch(s -> {
            double line = s.stroke().visible() ? s.stroke().width() * rest.strokeScale() / 2 : 0;
            Geometry inner = line > 0 ? area.buffer(-line) : area;
            IndexedPointInAreaLocator within = new IndexedPointInAreaLocator(inner);
            return placed(s).sampled(4).stream()
                    .allMatch(p -> within.locate(new Coordinate(p.x(), p.y())) != Location.EXTERIOR);
        });
    }

    /** Whether its outlines stay as they are: they have too many points, or show pixels that would not go along. */
    boolean keepsOutlines() {
        return crowded || pixels();
    }

    /** Whether it has too many points to go with the head one by one. */
    boolean crowded() {
        return crowded;
    }

    /** Whether it has a picture made of pixels, whose outline cannot be reshaped. */
    boolean pixels() {
        return part.drawings().stream()
                .flatMap(d -> d.art().shapes().stream())
                .anyMatch(s -> s.fill() instanceof Paint.Picture);
    }
}
