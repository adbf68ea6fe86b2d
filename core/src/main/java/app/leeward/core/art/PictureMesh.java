package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    private static final int SQUARES = 8;
    /** How far beyond what is seen they reach, for the soft edge of the pixels; in pixels. */
    private static final double BEYOND = 1.5;
    /** How far each reaches over its neighbours, so that no seam shows between soft edges; in pixels. */
    private static final double OVERLAP = 0.75;
    /** Detail of the outline that is let go, in pixels. */
    private static final double COARSE = 1.0;
    /** Smaller ones are not seen; square pixels. */
    private static final double LEAST = 0.2;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private PictureMesh() {}

    /** Whether there is a picture in it that could be cut. */
    public static boolean cuts(Artwork art) {
        return art.shapes().stream().anyMatch(s -> s.fill() instanceof Paint.Picture);
    }

    /** The drawing with its pictures cut into triangles. */
    public static Artwork of(Artwork art) {
        List<Shape> out = new ArrayList<>();
        for (Shape s : art.shapes()) {
            if (s.fill() instanceof Paint.Picture picture) {
                out.addAll(cut(s, picture));
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
        List<Shape> out = new ArrayList<>();
        if (!(side > 0)) {
            return List.of(s);
        }
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
        return out.isEmpty() ? List.of(s) : out;
    }

    private static void triangles(Shape s, Paint.Picture picture, Polygon polygon, double pixel, List<Shape> out) {
        Geometry all = ConstrainedDelaunayTriangulator.triangulate(polygon);
        for (int i = 0; i < all.getNumGeometries(); i++) {
            Coordinate[] c = all.getGeometryN(i).getCoordinates();
            if (c.length < 4 || all.getGeometryN(i).getArea() < LEAST * pixel * pixel) {
                continue;
            }
            List<Point> corners = new ArrayList<>();
            double mx = (c[0].x + c[1].x + c[2].x) / 3;
            double my = (c[0].y + c[1].y + c[2].y) / 3;
            for (int k = 0; k < 3; k++) {
                double far = Math.hypot(c[k].x - mx, c[k].y - my);
                double grow = 1 + OVERLAP * pixel / far;
                corners.add(new Point(mx + (c[k].x - mx) * grow, my + (c[k].y - my) * grow));
            }
            Path path = new Path(List.of(
                    new Segment.Move(corners.get(0)),
                    new Segment.Line(corners.get(1)),
                    new Segment.Line(corners.get(2)),
                    new Segment.Close()));
            out.add(new Shape(
                    s.name(),
                    s.role(),
                    path,
                    new Paint.Patch(picture, corners),
                    FillRule.NONZERO,
                    s.stroke(),
                    s.opacity(),
                    s.masked(),
                    s.clips()));
        }
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
