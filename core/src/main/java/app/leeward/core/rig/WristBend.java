package app.leeward.core.rig;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import java.util.ArrayList;
import java.util.List;

/**
 * A hand whose wrist bends: the points of its outlines near the wrist stay with the forearm while the others turn with the hand,
 * so that the joint stays closed. Every point has a weight, 1 to stay with the arm and 0 to go with the hand; in between it lies
 * between the two places (linear blend skinning).
 *
 * @param reach how far past the wrist's line the bend goes, in widths of the wrist; more than 0, at most {@link #FURTHEST}
 * @param weights what was said of single points; all others weigh by how far past the wrist's line they lie
 */
public record WristBend(double reach, List<PointWeight> weights) {
    /** A bend over more than the back of the hand moves fingers. */
    public static final double FURTHEST = 2;

    /**
     * @param drawing of the hand
     * @param shape which shape of the drawing, from 0
     * @param at which point of its outline, named by the segment that ends in it, from 0
     * @param weight 0 to 1
     */
    public record PointWeight(String drawing, int shape, int at, double weight) {
        public PointWeight {
            if (!(weight >= 0 && weight <= 1)) {
                throw new IllegalArgumentException("A point follows the arm by 0 to 100 %, not " + 100 * weight + ".");
            }
        }
    }

    public WristBend {
        Numbers.finite("reach", reach);
        weights = weights == null ? List.of() : List.copyOf(weights);
        if (!(reach > 0 && reach <= FURTHEST)) {
            throw new IllegalArgumentException(
                    "A wrist bends over more than 0 and at most " + FURTHEST + " times its width, not " + reach + ".");
        }
    }

    /** With the weight of one point said, or said anew. */
    public WristBend with(PointWeight one) {
        List<PointWeight> all = new ArrayList<>(weights);
        all.removeIf(w -> w.drawing().equals(one.drawing()) && w.shape() == one.shape() && w.at() == one.at());
        all.add(one);
        return new WristBend(reach, all);
    }

    /** What a point weighs by where it lies: 1 up to the wrist's line, and falling smoothly to 0 as far past it as the bend goes. */
    public double weight(Wrist wrist, Point p) {
        double t = wrist.past(p) / reach;
        return t <= 0 ? 1 : t >= 1 ? 0 : 1 - t * t * (3 - 2 * t);
    }

    /** The weights of the points a shape's outline ends its segments in; those of a segment that closes are 0. */
    public double[] ofPoints(Wrist wrist, String drawing, int shape, Path path) {
        List<Segment> segments = path.segments();
        double[] out = new double[segments.size()];
        for (int i = 0; i < out.length; i++) {
            out[i] = segments.get(i).end().map(p -> weight(wrist, p)).orElse(0.0);
        }
        for (PointWeight w : weights) {
            if (w.drawing().equals(drawing) && w.shape() == shape && w.at() >= 0 && w.at() < out.length) {
                out[w.at()] = w.weight();
            }
        }
        return out;
    }

    /**
     * The outlines of a drawing of a hand that has moved.
     *
     * @param still where the hand is at rest, in its own coordinates as it has moved: its placement undone, then the one at rest
     */
    public Artwork bent(Artwork art, Wrist wrist, String drawing, Matrix still) {
        List<Shape> shapes = new ArrayList<>(art.shapes().size());
        for (Shape s : art.shapes()) {
            shapes.add(s.withPath(bent(s.path(), ofPoints(wrist, drawing, shapes.size(), s.path()), still)));
        }
        return new Artwork(shapes);
    }

    /** Handles go with the point they belong to, so that what is smooth stays smooth. */
    private static Path bent(Path path, double[] weights, Matrix still) {
        List<Segment> out = new ArrayList<>(weights.length);
        double from = 0;
        for (int i = 0; i < weights.length; i++) {
            Segment s = path.segments().get(i);
            double to = weights[i];
            if (s instanceof Segment.Cubic c) {
                out.add(new Segment.Cubic(
                        between(c.c1(), from, still), between(c.c2(), to, still), between(c.to(), to, still)));
            } else if (s instanceof Segment.Line l) {
                out.add(new Segment.Line(between(l.to(), to, still)));
            } else if (s instanceof Segment.Move m) {
                out.add(new Segment.Move(between(m.to(), to, still)));
            } else {
                out.add(s);
            }
            from = to;
        }
        return new Path(out);
    }

    private static Point between(Point p, double weight, Matrix still) {
        return weight == 0 ? p : p.towards(still.apply(p), weight);
    }
}
