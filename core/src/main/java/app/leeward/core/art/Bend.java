package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How far the outlines of a drawing are bent down at its left end, its middle and its right end, in the drawing's own
 * coordinates. Between those three the way is a raised cosine, so that neighbours are not disturbed where one of them
 * stands still, three equal numbers are a plain shift, and bends add up.
 *
 * @param left user units downwards
 * @param middle user units downwards
 * @param right user units downwards
 */
public record Bend(double left, double middle, double right) {
    public static final Bend NONE = new Bend(0, 0, 0);

    public Bend {
        Numbers.finite("bend", left + middle + right);
        left += 0.0;
        middle += 0.0;
        right += 0.0;
    }

    public boolean straight() {
        return left == 0 && middle == 0 && right == 0;
    }

    /** The same on the other side of a vertical axis. */
    public Bend mirrored() {
        return new Bend(right, middle, left);
    }

    public Bend times(double factor) {
        return new Bend(left * factor, middle * factor, right * factor);
    }

    /** How far down a place {@code share} of the way from the left end to the right one is bent; the ends hold. */
    public double at(double share) {
        double t = Math.max(0, Math.min(1, share));
        return t < 0.5 ? eased(left, middle, 2 * t) : eased(middle, right, 2 * t - 1);
    }

    private static double eased(double a, double b, double t) {
        return a + (b - a) * (1 - Math.cos(Math.PI * t)) / 2;
    }

    /** How steeply the bend falls at a place, user units downwards over the whole width: the derivative of {@link #at}. */
    private double slope(double share) {
        if (share <= 0 || share >= 1) {
            return 0;
        }
        double step = share < 0.5 ? middle - left : right - middle;
        return step * Math.PI * Math.sin(2 * Math.PI * (share < 0.5 ? share : share - 0.5));
    }

    /**
     * One outline bent within {@code box}, whose left and right edges are the ends. Points go where they are bent to, and handles
     * turn with the slope there: taken point by point, a long handle would be bent by another amount than the point it belongs
     * to, and a curve of few points would break there.
     */
    public Path of(Path path, Box box) {
        double width = Math.max(1e-9, box.width());
        List<Segment> out = new ArrayList<>(path.segments().size());
        Point pen = null;
        Point start = null;
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Move m) {
                pen = start = m.to();
                out.add(new Segment.Move(bent(pen, pen, box.minX(), width)));
            } else if (s instanceof Segment.Line l) {
                pen = l.to();
                out.add(new Segment.Line(bent(pen, pen, box.minX(), width)));
            } else if (s instanceof Segment.Cubic c) {
                Point one = bent(c.c1(), pen, box.minX(), width);
                pen = c.to();
                out.add(new Segment.Cubic(
                        one, bent(c.c2(), pen, box.minX(), width), bent(pen, pen, box.minX(), width)));
            } else {
                out.add(s);
                pen = start;
            }
        }
        return new Path(out);
    }

    /** A handle, or the point itself, that goes with a point. */
    private Point bent(Point handle, Point with, double from, double width) {
        double share = (with.x() - from) / width;
        double by = at(share) + slope(share) * (handle.x() - with.x()) / width;
        return new Point(handle.x(), handle.y() + by);
    }

    /** The outlines of all shapes of a drawing, bent together; pictures made of pixels stay as they are. */
    public List<Path> of(Artwork art) {
        Optional<Box> box = art.bounds();
        List<Path> bent = new ArrayList<>();
        for (Shape s : art.shapes()) {
            boolean still = straight() || box.isEmpty() || s.fill() instanceof Paint.Picture;
            bent.add(still ? s.path() : of(s.path(), box.get()));
        }
        return bent;
    }
}
