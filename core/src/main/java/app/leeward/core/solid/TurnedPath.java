package app.leeward.core.solid;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * An outline whose curves go with a motion: their ends exactly, their handles by least squares to points between, so that the
 * turned curve lies where the points of the drawn one come to lie. Curves that met without a corner go on doing so. Commands and
 * their number stay.
 */
public final class TurnedPath {
    /** How many points of a curve are followed besides its ends: as many as fix its handles, more on longer ones. */
    private static final int FEWEST = 2;

    private static final int MOST = 7;

    private final Path rest;
    private final List<Joins.Join> joins;
    /** For each segment what it takes: none for a close, one for a line's end, else the curve's points and its end last. */
    private final List<Motion.Follow[]> follows = new ArrayList<>();

    /** @param fine how far apart points of a curve may lie that are followed, canvas units */
    TurnedPath(Path rest, Motion motion, double fine) {
        this.rest = rest;
        joins = Joins.smooth(rest);
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
                double far = pen.distance(c.c1()) + c.c1().distance(c.c2()) + c.c2().distance(c.to());
                int between = (int) Math.max(FEWEST, Math.min(MOST, Math.ceil(far / fine)));
                Motion.Follow[] along = new Motion.Follow[between + 1];
                for (int i = 0; i < between; i++) {
                    along[i] = motion.of(c.at(pen, (i + 1) / (between + 1.0)));
                }
                along[between] = motion.of(c.to());
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

    /** How many of its points are followed. */
    public int followed() {
        return follows.stream().mapToInt(f -> f.length).sum();
    }

    /** Every so many of the points that are followed, from this view: what it would be fitted to. */
    public List<Point> points(View view, int every) {
        List<Point> all = new ArrayList<>();
        int n = 0;
        for (Motion.Follow[] along : follows) {
            for (Motion.Follow f : along) {
                if (n++ % every == 0) {
                    all.add(f.at(view));
                }
            }
        }
        return all;
    }

    /** The outline from this view. */
    public Path at(View view) {
        int n = follows.size();
        Segment[] out = new Segment[n];
        Point[] from = new Point[n];
        Point[][] through = new Point[n][];
        Point pen = null;
        Point start = null;
        for (int i = 0; i < n; i++) {
            Segment s = rest.segments().get(i);
            Motion.Follow[] f = follows.get(i);
            from[i] = pen;
            if (s instanceof Segment.Move) {
                pen = start = f[0].at(view);
                out[i] = new Segment.Move(pen);
            } else if (s instanceof Segment.Line) {
                pen = f[0].at(view);
                out[i] = new Segment.Line(pen);
            } else if (s instanceof Segment.Cubic) {
                int between = f.length - 1;
                through[i] = new Point[between];
                for (int k = 0; k < between; k++) {
                    through[i][k] = f[k].at(view);
                }
                Point to = f[between].at(view);
                out[i] = CurveFit.free(pen, through[i], to);
                pen = to;
            } else {
                out[i] = s;
                pen = start;
            }
        }
        straightened(out, from, through);
        return new Path(List.of(out));
    }

    /** Gives both curves of each smooth join one direction there, and fits them again. */
    private void straightened(Segment[] out, Point[] from, Point[][] through) {
        Point[] sets = new Point[out.length];
        Point[] arrives = new Point[out.length];
        for (Joins.Join j : joins) {
            Segment.Cubic a = (Segment.Cubic) out[j.arrives()];
            Segment.Cubic b = (Segment.Cubic) out[j.goesOn()];
            // the longer handle knows the way better
            Point way = unit(a.to().minus(a.c2()).plus(b.c1().minus(from[j.goesOn()])));
            sets[j.goesOn()] = way;
            arrives[j.arrives()] = way;
        }
        for (int i = 0; i < out.length; i++) {
            if (sets[i] == null && arrives[i] == null) {
                continue;
            }
            Segment.Cubic c = (Segment.Cubic) out[i];
            Point set = sets[i] != null ? sets[i] : unit(c.c1().minus(from[i]));
            Point arrive = arrives[i] != null ? arrives[i] : unit(c.to().minus(c.c2()));
            if (set != null && arrive != null) {
                out[i] = CurveFit.along(from[i], through[i], c.to(), set, arrive, c);
            }
        }
    }

    /** Null for a direction that cannot be told. */
    private static Point unit(Point p) {
        double far = Math.hypot(p.x(), p.y());
        return far < 1e-9 ? null : new Point(p.x() / far, p.y() / far);
    }
}
