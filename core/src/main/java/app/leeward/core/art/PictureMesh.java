package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.densify.Densifier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;
import org.locationtech.jts.triangulate.polygon.ConstrainedDelaunayTriangulator;

/**
 * Cuts a picture made of pixels into triangles that can be moved point by point: what is seen of it, by a grid of squares, each part of
 * which is triangulated (JTS, constrained Delaunay). Together they show what the picture showed.
 */
public final class PictureMesh {
    /** Squares along the longer side. */
    private static final int SQUARES = 6;
    /** The longest step along the edge, as a share of a square. */
    private static final double ALONG_EDGE = 0.35;
    /** How far beyond what is seen they reach, for the soft edge of the pixels; in pixels. */
    private static final double BEYOND = 1.5;
    /** How far each reaches over its neighbours, so that no seam shows between soft edges; in pixels. */
    private static final double OVERLAP = 1.0;
    /** How much further than its sides a corner may go. */
    private static final double FURTHEST = 6;
    /** How far in from the edge a line is taken to reach, in times of its width. */
    private static final double AROUND_LINE = 1.3;
    /** Detail of the outline that is let go, in pixels. */
    private static final double COARSE = 1.0;
    /** Smaller ones are not seen; square pixels. */
    private static final double LEAST = 0.2;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private PictureMesh() {}

    /** Whether it could be cut: pictures alone, since what was shaped of other shapes is kept by their place among them. */
    public static boolean cuts(Artwork art) {
        return art.shapes().stream().allMatch(s -> s.fill() instanceof Paint.Picture)
                && art.shapes().stream().anyMatch(PictureMesh::cuts);
    }

    /** What is seen through would be seen twice where triangles lie over one another. */
    private static boolean cuts(Shape s) {
        return s.fill() instanceof Paint.Picture p
                && s.opacity() == 1
                && p.traced().stream().allMatch(t -> t.opacity() == 1);
    }

    /** The drawing with its pictures cut into triangles; those that are seen through stay whole. */
    public static Artwork of(Artwork art) {
        if (!cuts(art)) {
            return art;
        }
        List<Shape> out = new ArrayList<>();
        for (Shape s : art.shapes()) {
            if (cuts(s)) {
                out.addAll(cut(s, (Paint.Picture) s.fill()));
            } else {
                out.add(s);
            }
        }
        return new Artwork(out);
    }

    private static List<Shape> cut(Shape s, Paint.Picture picture) {
        double pixel = picture.place().strokeScale();
        Geometry seen =
                TopologyPreservingSimplifier.simplify(Regions.of(s.path()).buffer(BEYOND * pixel, 2), COARSE * pixel);
        Envelope box = seen.getEnvelopeInternal();
        double side = Math.max(box.getWidth(), box.getHeight()) / SQUARES;
        if (!(side > 0)) {
            return List.of(s);
        }
        // what lies along its edge goes in curves, which long straight sides would cut short
        double step = side * ALONG_EDGE;
        Geometry whole = Densifier.densify(seen, step);
        Geometry within = line(picture) > 0
                ? Densifier.densify(
                        TopologyPreservingSimplifier.simplify(
                                seen.buffer(-(BEYOND + AROUND_LINE * line(picture)) * pixel, 2), COARSE * pixel),
                        step)
                : FACTORY.createPolygon();
        List<Shape> out = new ArrayList<>();
        // a line round it keeps its width: it has corners on both sides
        for (Geometry part : List.of(Regions.without(whole, within), within)) {
            squares(s, picture, part, box, side, pixel, out);
        }
        return out.isEmpty() ? List.of(s) : out;
    }

    private static void squares(
            Shape s, Paint.Picture picture, Geometry seen, Envelope box, double side, double pixel, List<Shape> out) {
        for (double x = box.getMinX(); x < box.getMaxX(); x += side) {
            for (double y = box.getMinY(); y < box.getMaxY(); y += side) {
                Geometry square = FACTORY.toGeometry(new Envelope(x, x + side, y, y + side));
                Geometry part = Regions.both(seen, square);
                for (int g = 0; g < part.getNumGeometries(); g++) {
                    if (part.getGeometryN(g) instanceof Polygon polygon && polygon.getArea() > LEAST * pixel * pixel) {
                        triangles(s, picture, polygon, pixel, out);
                    }
                }
            }
        }
    }

    /** How wide the line round a picture is, in its pixels; 0 where there is none. */
    private static double line(Paint.Picture picture) {
        return picture.traced().stream()
                .limit(1)
                .filter(t -> t.stroke().visible() && !(t.fill() instanceof Paint.None))
                .mapToDouble(t -> t.stroke().width())
                .findFirst()
                .orElse(0);
    }

    private static void triangles(Shape s, Paint.Picture picture, Polygon polygon, double pixel, List<Shape> out) {
        Geometry all = ConstrainedDelaunayTriangulator.triangulate(polygon);
        for (int i = 0; i < all.getNumGeometries(); i++) {
            Coordinate[] c = all.getGeometryN(i).getCoordinates();
            if (c.length < 4 || all.getGeometryN(i).getArea() < LEAST * pixel * pixel) {
                continue;
            }
            List<Point> corners =
                    List.of(new Point(c[0].x, c[0].y), new Point(c[1].x, c[1].y), new Point(c[2].x, c[2].y));
            Path path = new Path(List.of(
                    new Segment.Move(corners.get(0)),
                    new Segment.Line(corners.get(1)),
                    new Segment.Line(corners.get(2)),
                    new Segment.Close()));
            out.add(new Shape(
                    s.name(),
                    s.role(),
                    path,
                    // what it shows is told once
                    new Paint.Patch(out.isEmpty() ? picture : picture.withTraced(List.of()), corners),
                    FillRule.NONZERO,
                    s.stroke(),
                    s.opacity(),
                    s.masked(),
                    // the triangles end where it does
                    s.clips().stream()
                            .filter(clip -> !clip.path().equals(s.path()))
                            .toList()));
        }
    }

    /** A triangle as it is painted: a little over its neighbours. */
    static Path covered(List<Point> corners, double pixel) {
        Coordinate[] c = corners.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        List<Point> out = grown(c, OVERLAP * pixel);
        return new Path(List.of(
                new Segment.Move(out.get(0)),
                new Segment.Line(out.get(1)),
                new Segment.Line(out.get(2)),
                new Segment.Close()));
    }

    /** With every side further out by so much: grown about the middle of the circle within it; points of thin ones go less far. */
    private static List<Point> grown(Coordinate[] c, double by) {
        double[] sides = {c[1].distance(c[2]), c[2].distance(c[0]), c[0].distance(c[1])};
        double round = sides[0] + sides[1] + sides[2];
        double x = (sides[0] * c[0].x + sides[1] * c[1].x + sides[2] * c[2].x) / round;
        double y = (sides[0] * c[0].y + sides[1] * c[1].y + sides[2] * c[2].y) / round;
        double area = Math.abs((c[1].x - c[0].x) * (c[2].y - c[0].y) - (c[2].x - c[0].x) * (c[1].y - c[0].y)) / 2;
        double within = Math.max(1e-9, 2 * area / round);
        List<Point> out = new ArrayList<>();
        for (int k = 0; k < 3; k++) {
            double far = Math.hypot(c[k].x - x, c[k].y - y);
            double grow = far < 1e-9 ? 1 : 1 + Math.min(by / within, FURTHEST * by / far);
            out.add(new Point(x + (c[k].x - x) * grow, y + (c[k].y - y) * grow));
        }
        return out;
    }

    /** The affine map that takes three points to three others; empty where the first lie in a line. */
    static Optional<Matrix> between(List<Point> from, List<Point> to) {
        Matrix a = frame(from);
        return Math.abs(a.determinant()) < 1e-12
                ? Optional.empty()
                : Optional.of(frame(to).times(a.inverse()));
    }

    private static Matrix frame(List<Point> p) {
        Point o = p.get(0);
        return new Matrix(
                p.get(1).x() - o.x(),
                p.get(1).y() - o.y(),
                p.get(2).x() - o.x(),
                p.get(2).y() - o.y(),
                o.x(),
                o.y());
    }
}
