package app.leeward.core.lips;

import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The edge of a mouth's opening as its two lips.
 *
 * @param upper from the left corner of the screen to the right one
 * @param lower from the right corner back to the left one
 */
record Lips(Arc upper, Arc lower) {
    /** More points than this are a traced outline and not a drawn one; every made mouth would carry them along. */
    static final int MOST_POINTS = 200;

    /** An open outline whose ends are further apart than this share of its width is a line, and not a mouth with a gap. */
    private static final double GAP = 0.25;

    private static final int COLUMNS = 48;
    /** How far the lips may cross, as a share of the width: closed lips are drawn one on the other. */
    private static final double CROSSING = 0.05;

    /**
     * The lips of a drawn outline. Neither corner points nor points are moved; where a corner of the mouth or the middle of
     * a lip has no point, the curve is cut there. An outline that is nearly closed is closed; any other open line is a shut mouth of one
     * stroke, in which either lip is the whole line.
     *
     * @throws MouthProblem when it crosses itself, has no width or too many points
     */
    static Lips of(Path outline) {
        List<Point> round = closedRound(outline);
        int left = extreme(round, -1);
        Collections.rotate(round.subList(0, round.size() - 1), -left);
        round.set(round.size() - 1, round.get(0));
        int right = extreme(round, 1);
        Arc one = new Arc(round.subList(0, right + 1));
        Arc other = new Arc(round.subList(right, round.size()));
        boolean turned = height(one) > height(other);
        Lips lips = turned ? new Lips(other.reversed(), one.reversed()) : new Lips(one, other);
        if (lips.width() < 1e-6) {
            throw new MouthProblem(RefusalCode.MOUTH_THIN, "The outline of the starting mouth has no width.");
        }
        lips = new Lips(halved(lips.upper), halved(lips.lower));
        if (!lips.line() && lips.crossing() > CROSSING * lips.width()) {
            throw new MouthProblem(
                    RefusalCode.MOUTH_CROSSED,
                    "The outline of the starting mouth crosses itself; draw it once round without a loop.");
        }
        return lips;
    }

    /** The first closed sub-path as curves, its first point again at the end. */
    private static List<Point> closedRound(Path outline) {
        List<Point> out = new ArrayList<>();
        boolean closed = false;
        for (Segment s : outline.segments()) {
            if (s instanceof Segment.Move m) {
                if (!out.isEmpty()) {
                    break;
                }
                out.add(m.to());
            } else if (s instanceof Segment.Line l) {
                line(out, l.to());
            } else if (s instanceof Segment.Cubic c) {
                out.addAll(List.of(c.c1(), c.c2(), c.to()));
            } else {
                closed = true;
                break;
            }
            if (out.size() > 3 * MOST_POINTS + 1) {
                throw new MouthProblem(
                        RefusalCode.MOUTH_MANY_POINTS,
                        "The outline of the starting mouth has more than " + MOST_POINTS
                                + " points; smooth it to a few and try again.");
            }
        }
        if (out.size() < 4) {
            throw new MouthProblem(
                    RefusalCode.MOUTH_NO_OUTLINE, "The starting mouth has no outline to make mouths from.");
        }
        Point first = out.get(0);
        boolean meets = first.distance(out.get(out.size() - 1)) < 1e-6;
        if (!closed && !meets && first.distance(out.get(out.size() - 1)) > GAP * spread(out)) {
            List<Point> back = new ArrayList<>(out);
            Collections.reverse(back);
            out.addAll(back.subList(1, back.size()));
        } else if (!meets) {
            line(out, first);
        }
        out.set(out.size() - 1, first);
        return out;
    }

    private static void line(List<Point> out, Point to) {
        Point from = out.get(out.size() - 1);
        out.addAll(List.of(from.towards(to, 1 / 3.0), from.towards(to, 2 / 3.0), to));
    }

    /** The point that lies furthest to one side; where a curve bulges out further, it is cut there. */
    private static int extreme(List<Point> round, int sign) {
        int best = 0;
        for (int i = 0; i + 1 < round.size(); i += 3) {
            if (sign * round.get(i).x() > sign * round.get(best).x()) {
                best = i;
            }
        }
        double width = spread(round);
        int bulge = -1;
        double where = 0;
        double furthest = sign * round.get(best).x() + 1e-3 * width;
        Arc arc = new Arc(round);
        for (int c = 0; c < arc.curves(); c++) {
            for (int k = 1; k < COLUMNS; k++) {
                double t = k / (double) COLUMNS;
                double x = sign * arc.at(c, t).x();
                if (x > furthest) {
                    furthest = x;
                    bulge = c;
                    where = t;
                }
            }
        }
        if (bulge < 0) {
            return best;
        }
        List<Point> cut = arc.cut(bulge, where).points();
        round.clear();
        round.addAll(cut);
        return 3 * (bulge + 1);
    }

    private static double spread(List<Point> round) {
        double least = round.stream().mapToDouble(Point::x).min().orElse(0);
        double most = round.stream().mapToDouble(Point::x).max().orElse(0);
        return most - least;
    }

    private static double height(Arc arc) {
        double sum = 0;
        int n = 0;
        for (int c = 0; c < arc.curves(); c++) {
            for (int k = 0; k < 8; k++) {
                sum += arc.at(c, k / 8.0).y();
                n++;
            }
        }
        return sum / n;
    }

    /** With a point near the middle. */
    private static Arc halved(Arc arc) {
        double wanted = (arc.start().x() + arc.end().x()) / 2;
        double width = Math.abs(arc.end().x() - arc.start().x());
        if (arc.curves() > 1 && Math.abs(arc.middlePoint().x() - wanted) < 0.15 * width) {
            return arc;
        }
        int curve = 0;
        double t = 0.5;
        double nearest = Double.POSITIVE_INFINITY;
        for (int c = 0; c < arc.curves(); c++) {
            for (int k = 1; k < COLUMNS; k++) {
                double off = Math.abs(arc.at(c, k / (double) COLUMNS).x() - wanted);
                if (off < nearest) {
                    nearest = off;
                    curve = c;
                    t = k / (double) COLUMNS;
                }
            }
        }
        return arc.cut(curve, t);
    }

    /** How far the upper lip lies below the lower one at the worst place. */
    private double crossing() {
        double[] top = column(upper, true);
        double[] bottom = column(lower, false);
        double worst = 0;
        for (int i = 1; i + 1 < COLUMNS; i++) {
            if (Double.isFinite(top[i]) && Double.isFinite(bottom[i])) {
                worst = Math.max(worst, top[i] - bottom[i]);
            }
        }
        return worst;
    }

    /** The heights of an arc over the width: the lowest of an upper lip, the highest of a lower one. */
    private double[] column(Arc arc, boolean lowest) {
        double[] y = new double[COLUMNS];
        java.util.Arrays.fill(y, lowest ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY);
        double left = Math.min(arc.start().x(), arc.end().x());
        double width = width();
        for (int c = 0; c < arc.curves(); c++) {
            for (int k = 0; k <= 4 * COLUMNS; k++) {
                Point p = arc.at(c, k / (4.0 * COLUMNS));
                int i = (int) Math.floor((p.x() - left) / width * COLUMNS);
                if (i >= 0 && i < COLUMNS) {
                    y[i] = lowest ? Math.max(y[i], p.y()) : Math.min(y[i], p.y());
                }
            }
        }
        return y;
    }

    /** Whether both lips are one and the same line. */
    boolean line() {
        double near = 1e-6 * width();
        Arc back = lower.reversed();
        if (back.curves() != upper.curves()) {
            return false;
        }
        for (int i = 0; i < upper.points().size(); i++) {
            if (upper.points().get(i).distance(back.points().get(i)) > near) {
                return false;
            }
        }
        return true;
    }

    double width() {
        return upper.end().x() - upper.start().x();
    }

    double length() {
        return upper.length() + lower.length();
    }

    Path path() {
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(upper.start()));
        upper.addTo(out);
        lower.addTo(out);
        out.add(new Segment.Close());
        return new Path(out);
    }
}
