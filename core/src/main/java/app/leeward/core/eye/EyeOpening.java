package app.leeward.core.eye;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * What an eye opens between: the upper and the lower contour of its white, over x. Shutting takes both contours to one line. A line drawn
 * round the white has contours of its own that come together likewise, and what else is drawn about it keeps its distance: a line round the
 * eye becomes the line of the shut eye, with lashes still on it.
 *
 * <p>Coordinates are those of the eye; y points down.
 */
final class EyeOpening {
    /** Width to which an eye is drawn before it is measured, so that a small one is followed as closely as a large one. */
    private static final double MEASURED = 400;
    /** Where an eye is less than this of its height its contours end: a blunt or slanting side is no corner to run up to. */
    private static final double SIDE = 0.35;
    /** The least share of the width that is left to either side for that. */
    private static final double INSET = 0.08;

    private static final int SIDE_STEPS = 60;
    /** A line encloses the white when it leaves out no more of it. */
    private static final double LEFT_OUT = 0.1;

    /** Heights of the contours at one x: as drawn, and where they have come to. */
    record Heights(double top, double bottom, double upper, double lower) {
        /**
         * Where a point at that x comes to: what lies beyond a contour goes with it, what lies between is pushed along by it.
         *
         * @param away how far it lies from the white; beside a steep contour that is less than how far it lies above it
         */
        double moved(double y, double away) {
            if (y <= top) {
                return upper - Math.min(top - y, away);
            }
            return y >= bottom ? lower + Math.min(y - bottom, away) : Math.min(lower, Math.max(upper, y));
        }
    }

    /** How far the contours have come at some moment. */
    interface Moment {
        Heights at(double x, double top, double bottom);
    }

    private final Geometry white;
    /** Without hollows, in which a contour would jump. */
    private final Geometry hull;

    private final double scale;
    private final Envelope box;
    private final double left;
    private final double right;

    private EyeOpening(List<Shape> shapes, Matrix toEye) {
        double width = new Artwork(shapes)
                .transform(toEye)
                .bounds()
                .map(Box::width)
                .filter(w -> w > 0)
                .orElse(1.0);
        scale = MEASURED / width;
        Matrix large = Matrix.scale(scale, scale).times(toEye);
        white = Regions.ofFills(shapes.stream().map(s -> s.transform(large)).toList());
        box = white.getEnvelopeInternal();
        hull = white.convexHull();
        left = isEmpty() ? 0 : side(box.getMinX(), 1);
        right = isEmpty() ? 0 : side(box.getMaxX(), -1);
    }

    private double side(double from, int step) {
        for (int i = 0; i < SIDE_STEPS; i++) {
            double x = from + step * (INSET + (0.5 - INSET) * i / SIDE_STEPS) * box.getWidth();
            double[] e = VerticalHit.vertical(hull, x).orElse(new double[2]);
            if (e[1] - e[0] >= SIDE * box.getHeight()) {
                return x / scale;
            }
        }
        return from / scale;
    }

    static EyeOpening of(Part white) {
        return new EyeOpening(
                white.drawing(white.shown())
                        .orElse(white.drawings().get(0))
                        .art()
                        .windowShapes(),
                white.restMatrix());
    }

    /** The contours of the white at one x; beside it those of its side. */
    private Optional<double[]> at(double x) {
        return VerticalHit.vertical(hull, Math.max(left, Math.min(right, x)) * scale)
                .map(e -> new double[] {e[0] / scale, e[1] / scale});
    }

    boolean isEmpty() {
        return white.isEmpty() || !(box.getWidth() > 0) || !(box.getHeight() > 0);
    }

    /** Both contours on the line where lids meet. */
    static Moment shut(double meeting) {
        return (x, top, bottom) -> {
            double line = top + meeting * (bottom - top);
            return new Heights(top, bottom, line, line);
        };
    }

    /** One contour on that line, the other where it was drawn. */
    static Moment half(double meeting, boolean upper) {
        return (x, top, bottom) -> {
            double line = top + meeting * (bottom - top);
            return upper ? new Heights(top, bottom, line, bottom) : new Heights(top, bottom, top, line);
        };
    }

    /** Both contours pushed on by lids that travel: the upper one by the edge of one that came down, the lower by one that came up. */
    static Moment under(Geometry upper, double down, Geometry lower, double up) {
        return (x, top, bottom) -> {
            double above = VerticalHit.vertical(upper, x).map(e -> e[1] + down).orElse(top);
            double below = VerticalHit.vertical(lower, x).map(e -> e[0] - up).orElse(bottom);
            double from = Math.max(top, Math.min(bottom, above));
            double to = Math.min(bottom, Math.max(top, below));
            double middle = (from + to) / 2;
            return from <= to ? new Heights(top, bottom, from, to) : new Heights(top, bottom, middle, middle);
        };
    }

    /** Where the contours meet, from the left corner to the right one, in so many steps. */
    List<Point> line(double meeting, int steps) {
        List<Point> out = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            double x = (box.getMinX() + box.getWidth() * i / steps) / scale;
            at(x).ifPresent(e -> out.add(new Point(x, e[0] + meeting * (e[1] - e[0]))));
        }
        return out;
    }

    private Point moved(Point p, Moment moment) {
        Optional<double[]> contours = at(p.x());
        if (contours.isEmpty()) {
            return p;
        }
        double top = contours.get()[0];
        double bottom = contours.get()[1];
        Heights now = moment.at(Math.max(left, Math.min(right, p.x())), top, bottom);
        if (p.x() * scale < box.getMinX() || p.x() * scale > box.getMaxX()) {
            // what is drawn past a corner goes with the corner
            double corner = (top + bottom) / 2;
            return new Point(p.x(), p.y() + now.moved(corner, 0) - corner);
        }
        Geometry there = white.getFactory().createPoint(new Coordinate(p.x() * scale, p.y() * scale));
        return new Point(p.x(), now.moved(p.y(), white.distance(there) / scale));
    }

    /** How far the outlines of a part's drawings are taken along. */
    List<PointDeltas> moved(Part part, Moment moment) {
        List<PointDeltas> out = new ArrayList<>();
        for (Drawing d : part.drawings()) {
            for (int i = 0; i < d.art().shapes().size(); i++) {
                Shape shape = d.art().shapes().get(i);
                EyeOpening about = round(shape, part.restMatrix()).orElse(this);
                Path moved = about.moved(shape.path(), part.restMatrix(), moment);
                out.add(PointDeltas.between(d.id(), i, shape.path(), moved));
            }
        }
        return out;
    }

    /** The contours of a line that is drawn all round the white. */
    private Optional<EyeOpening> round(Shape line, Matrix toEye) {
        if (!line.stroke().visible() || !line.path().segments().contains(new Segment.Close())) {
            return Optional.empty();
        }
        EyeOpening own = new EyeOpening(List.of(line.withFill(Paint.flat("#000000"))), toEye);
        Geometry here = AffineTransformation.scaleInstance(scale / own.scale, scale / own.scale)
                .transform(own.white);
        boolean round = Regions.without(white, here).getArea() < LEFT_OUT * white.getArea();
        return round && !own.isEmpty() ? Optional.of(own) : Optional.empty();
    }

    /**
     * An outline taken along. A curve is made to go through where four of its places came to, so that its handles lead where it now runs.
     *
     * @param toEye from the outline's coordinates to the eye's
     */
    private Path moved(Path outline, Matrix toEye, Moment moment) {
        Matrix back = toEye.inverse();
        List<Segment> out = new ArrayList<>();
        Point pen = new Point(0, 0);
        for (Segment s : outline.transform(toEye).segments()) {
            if (s instanceof Segment.Move m) {
                out.add(new Segment.Move(moved(m.to(), moment)));
                pen = m.to();
            } else if (s instanceof Segment.Line l) {
                out.add(new Segment.Line(moved(l.to(), moment)));
                pen = l.to();
            } else if (s instanceof Segment.Cubic c) {
                out.add(through(
                        moved(pen, moment),
                        moved(c.at(pen, 1 / 3.0), moment),
                        moved(c.at(pen, 2 / 3.0), moment),
                        moved(c.to(), moment)));
                pen = c.to();
            } else {
                out.add(s);
            }
        }
        return new Path(out).transform(back);
    }

    /** The cubic from a to d that is at b after a third and at c after two thirds: Bernstein's polynomials solved for both handles. */
    private static Segment.Cubic through(Point a, Point b, Point c, Point d) {
        return new Segment.Cubic(
                new Point(
                        (-5 * a.x() + 18 * b.x() - 9 * c.x() + 2 * d.x()) / 6,
                        (-5 * a.y() + 18 * b.y() - 9 * c.y() + 2 * d.y()) / 6),
                new Point(
                        (2 * a.x() - 9 * b.x() + 18 * c.x() - 5 * d.x()) / 6,
                        (2 * a.y() - 9 * b.y() + 18 * c.y() - 5 * d.y()) / 6),
                d);
    }
}
