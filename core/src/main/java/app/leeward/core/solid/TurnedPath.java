package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * An outline whose curves go with a motion: their ends exactly, their handles by least squares to points between, so that the
 * turned curve lies where the points of the drawn one come to lie. Commands and their number stay.
 */
public final class TurnedPath {
    /** How many points of each curve are followed besides its ends. */
    private static final int BETWEEN = 7;
    /** Handles that led straight on at rest do so turned: the sine of what counts as straight. */
    private static final double STRAIGHT = 0.03;

    private final Path rest;
    /** For each segment what it takes: none for a close, one for a line's end, else the curve's points and its end last. */
    private final List<Motion.Follow[]> follows = new ArrayList<>();

    TurnedPath(Path rest, Motion motion) {
        this.rest = rest;
        Point pen = null;
        Point start = null;
        for (Segment s : rest.segments()) {
            if (s instanceof Segment.Move m) {
                pen = start = m.to();
                follows.add(new Motion.Follow[] {motion.of(pen)});
            } else if (s instanceof Segment.Line l) {
                pen = l.to();
                follows.add(new Motion.Follow[] {motion.of(pen)});
            } else if (s instanceof Segment.Cubic c) {
                Motion.Follow[] along = new Motion.Follow[BETWEEN + 1];
                for (int i = 0; i < BETWEEN; i++) {
                    along[i] = motion.of(c.at(pen, (i + 1) / (BETWEEN + 1.0)));
                }
                along[BETWEEN] = motion.of(c.to());
                follows.add(along);
                pen = c.to();
            } else {
                follows.add(new Motion.Follow[0]);
                pen = start;
            }
        }
    }

    Path rest() {
        return rest;
    }

    public Path at(View view) {
        List<Segment> out = new ArrayList<>();
        Point pen = null;
        Point start = null;
        for (int i = 0; i < follows.size(); i++) {
            Segment s = rest.segments().get(i);
            Motion.Follow[] f = follows.get(i);
            if (s instanceof Segment.Move) {
                pen = start = f[0].at(view);
                out.add(new Segment.Move(pen));
            } else if (s instanceof Segment.Line) {
                pen = f[0].at(view);
                out.add(new Segment.Line(pen));
            } else if (s instanceof Segment.Cubic c) {
                Point[] through = new Point[BETWEEN];
                for (int k = 0; k < BETWEEN; k++) {
                    through[k] = f[k].at(view);
                }
                Point to = f[BETWEEN].at(view);
                out.add(fitted(pen, through, to));
                pen = to;
            } else {
                out.add(s);
                pen = start;
            }
        }
        return Joins.kept(rest, new Path(out), STRAIGHT);
    }

    /** Both handles, free, to points at even steps of the parameter: two unknowns for x, two for y. */
    private static Segment.Cubic fitted(Point from, Point[] through, Point to) {
        double aa = 0;
        double ab = 0;
        double bb = 0;
        double ax = 0;
        double ay = 0;
        double bx = 0;
        double by = 0;
        for (int k = 0; k < through.length; k++) {
            double t = (k + 1) / (through.length + 1.0);
            double s = 1 - t;
            double a = 3 * s * s * t;
            double b = 3 * s * t * t;
            double x = through[k].x() - s * s * s * from.x() - t * t * t * to.x();
            double y = through[k].y() - s * s * s * from.y() - t * t * t * to.y();
            aa += a * a;
            ab += a * b;
            bb += b * b;
            ax += a * x;
            ay += a * y;
            bx += b * x;
            by += b * y;
        }
        double det = aa * bb - ab * ab;
        return new Segment.Cubic(
                new Point((ax * bb - bx * ab) / det, (ay * bb - by * ab) / det),
                new Point((bx * aa - ax * ab) / det, (by * aa - ay * ab) / det),
                to);
    }
}
