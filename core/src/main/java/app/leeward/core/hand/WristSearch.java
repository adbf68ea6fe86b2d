package app.leeward.core.hand;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Wrist;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;

/**
 * Every chord of a drawing that could be where a hand was cut from its arm, scored, wherever it lies and whichever way the hand points. For
 * hands laid out on a sheet, where the arm's direction says nothing.
 *
 * <p>The terms and their weights were set on sheets of hands and of wings, no source. All lengths are shares of the chord's width or of the
 * radius of the palm, the largest circle within the drawing.
 */
final class WristSearch {
    /** Rings smaller than this share of the largest are nails and buttons. */
    private static final double LEAST_RING = 0.06;
    /** More points than this were not set by hand, and say nothing about corners. */
    private static final int MOST_JOINTS = 60;

    /** Chords whose ends lie nearer, in widths, are one and the same. */
    private static final double SAME = 0.25;
    /** Less sure than this, the rigger is asked. */
    private static final double DECIDES = 0.5;

    private static final int SAMPLES = 400;
    private static final int KEPT = 14;

    private final Geometry area;
    private final IndexedPointInAreaLocator inside;
    private final double palm;
    private final Point palmAt;
    private final Point centroid;
    private final List<Candidate> found = new ArrayList<>();

    /**
     * A chord.
     *
     * @param wrist ordered so that the hand lies ahead
     * @param score the higher the likelier
     * @param flanks how the outline goes on from both ends
     */
    record Candidate(Wrist wrist, double score, Flanks flanks) {}

    /** @param points evenly along, closed; joints tells where a segment of the outline ends */
    private record Ring(List<Point> points, List<Integer> joints, double length, boolean closed, double signedArea) {
        Point at(int i) {
            return points.get(Math.floorMod(i, points.size()));
        }

        double step() {
            return length / points.size();
        }
    }

    private WristSearch(Geometry area) {
        this.area = area;
        inside = new IndexedPointInAreaLocator(area);
        Envelope box = area.getEnvelopeInternal();
        MaximumInscribedCircle circle =
                new MaximumInscribedCircle(area, Math.max(box.getWidth(), box.getHeight()) / 200);
        palm = circle.getRadiusLine().getLength();
        palmAt = point(circle.getCenter().getCoordinate());
        centroid = point(area.getCentroid().getCoordinate());
    }

    private static Point point(Coordinate c) {
        return new Point(c.x, c.y);
    }

    /** The likeliest chords of a drawing, best first; none for one without an area. */
    static List<Candidate> of(Artwork drawn) {
        Artwork art = drawn.inShapes();
        Geometry area = Regions.ofFills(art.shapes());
        if (area.isEmpty() || !(area.getArea() > 1e-6)) {
            return List.of();
        }
        WristSearch search = new WristSearch(area);
        List<Ring> rings = rings(art);
        double largest =
                rings.stream().mapToDouble(r -> Math.abs(r.signedArea)).max().orElse(0);
        rings.stream()
                .filter(r -> Math.abs(r.signedArea) >= LEAST_RING * largest)
                .forEach(search::look);
        search.found.sort(Comparator.comparingDouble(Candidate::score).reversed());
        return List.copyOf(search.found.subList(0, Math.min(KEPT, search.found.size())));
    }

    /** The cut end of a drawing; empty where another chord is nearly as likely, or none is likely. */
    static Optional<Wrist> sure(Artwork art) {
        return sure(of(art));
    }

    /** @param all the likeliest first */
    static Optional<Wrist> sure(List<Candidate> all) {
        if (all.isEmpty()) {
            return Optional.empty();
        }
        Candidate best = all.get(0);
        double width = best.wrist.width();
        double margin = all.stream()
                .filter(c -> Math.max(
                                c.wrist.first().distance(best.wrist.first()),
                                c.wrist.second().distance(best.wrist.second()))
                        > SAME * width)
                .mapToDouble(c -> best.score - c.score)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        double sure = sigmoid((margin - 1.2) / 0.6) * sigmoid((best.score + 4.5) / 1.2);
        return sure >= DECIDES ? Optional.of(best.wrist) : Optional.empty();
    }

    private static double sigmoid(double x) {
        return 1 / (1 + Math.exp(-x));
    }

    private static List<Ring> rings(Artwork art) {
        List<Ring> out = new ArrayList<>();
        for (Shape s : art.shapes()) {
            if (s.fill() instanceof Paint.None) {
                continue;
            }
            List<Segment> sub = new ArrayList<>();
            for (Segment g : s.path().segments()) {
                if (g instanceof Segment.Move && !sub.isEmpty()) {
                    ring(sub, out);
                    sub.clear();
                }
                sub.add(g);
            }
            ring(sub, out);
        }
        return out;
    }

    private static void ring(List<Segment> sub, List<Ring> out) {
        List<Point> dense = new ArrayList<>();
        List<Double> joints = new ArrayList<>();
        Point pen = null;
        Point first = null;
        boolean closed = false;
        double length = 0;
        List<Double> along = new ArrayList<>();
        for (Segment s : sub) {
            int steps = s instanceof Segment.Cubic ? 24 : 1;
            Point to = s instanceof Segment.Move m
                    ? m.to()
                    : s instanceof Segment.Line l ? l.to() : s instanceof Segment.Cubic c ? c.to() : first;
            closed |= s instanceof Segment.Close;
            for (int i = 1; i <= steps; i++) {
                Point p = s instanceof Segment.Cubic c ? c.at(pen, i / (double) steps) : to;
                if (!dense.isEmpty()) {
                    length += dense.get(dense.size() - 1).distance(p);
                }
                dense.add(p);
                along.add(length);
            }
            joints.add(length);
            first = first == null ? to : first;
            pen = to;
        }
        if (dense.size() < 4 || length < 1e-9) {
            return;
        }
        closed |= dense.get(0).distance(dense.get(dense.size() - 1)) < 1e-3 * length;
        if (!closed) {
            length += dense.get(dense.size() - 1).distance(dense.get(0));
            dense.add(dense.get(0));
            along.add(length);
        }
        List<Point> even = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < SAMPLES; i++) {
            double wanted = length * i / SAMPLES;
            while (at + 2 < along.size() && along.get(at + 1) < wanted) {
                at++;
            }
            double span = along.get(at + 1) - along.get(at);
            even.add(dense.get(at).towards(dense.get(at + 1), span < 1e-12 ? 0 : (wanted - along.get(at)) / span));
        }
        double signed = 0;
        for (int i = 0; i < even.size(); i++) {
            Point a = even.get(i);
            Point b = even.get((i + 1) % even.size());
            signed += (a.x() * b.y() - b.x() * a.y()) / 2;
        }
        List<Integer> places = new ArrayList<>();
        double whole = length;
        joints.stream()
                .map(j -> Math.floorMod((int) Math.round(j / whole * SAMPLES), SAMPLES))
                .distinct()
                .forEach(places::add);
        // a joint is exact: the sample beside it becomes the point itself
        for (double j : joints) {
            int place = Math.floorMod((int) Math.round(j / whole * SAMPLES), SAMPLES);
            int nearest = nearest(along, j);
            even.set(place, dense.get(nearest));
        }
        out.add(new Ring(even, places, length, closed, signed));
    }

    private static int nearest(List<Double> along, double wanted) {
        int best = 0;
        for (int i = 0; i < along.size(); i++) {
            best = Math.abs(along.get(i) - wanted) < Math.abs(along.get(best) - wanted) ? i : best;
        }
        return best;
    }

    private void look(Ring ring) {
        if (!ring.closed) {
            // the outline was left open where the arm goes on
            int last = ring.joints.stream().max(Comparator.naturalOrder()).orElse(SAMPLES - 1);
            score(ring, last, SAMPLES, 4);
        }
        List<Integer> ends = new ArrayList<>(corners(ring));
        if (ring.joints.size() <= MOST_JOINTS) {
            ring.joints.stream().filter(j -> !ends.contains(j)).forEach(ends::add);
        }
        for (int a : ends) {
            for (int b : ends) {
                int arc = Math.floorMod(b - a, SAMPLES);
                double length = arc * ring.step();
                if (length >= 0.45 * palm && length <= 2.6 * palm && length <= 0.45 * ring.length) {
                    score(ring, a, a + arc, 0);
                }
            }
        }
    }

    /** Where the outline turns sharply. */
    private static List<Integer> corners(Ring ring) {
        List<Integer> out = new ArrayList<>();
        int window = Math.max(1, (int) Math.round(0.018 * SAMPLES));
        double[] turning = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            turning[i] = Math.abs(turn(ring, i, window));
        }
        for (int i = 0; i < SAMPLES; i++) {
            boolean most = turning[i] > 22;
            for (int k = -window; k <= window && most; k++) {
                double other = turning[Math.floorMod(i + k, SAMPLES)];
                most = k == 0 || (k < 0 ? turning[i] > other : turning[i] >= other);
            }
            if (most) {
                out.add(i);
            }
        }
        return out;
    }

    private static double turn(Ring ring, int i, int window) {
        return degrees(
                ring.at(i).minus(ring.at(i - window)), ring.at(i + window).minus(ring.at(i)));
    }

    private static double degrees(Point from, Point to) {
        return Math.toDegrees(Math.atan2(from.x() * to.y() - from.y() * to.x(), from.x() * to.x() + from.y() * to.y()));
    }

    private static double bell(double x, double s) {
        return -Math.min(x * x / (2 * s * s), 6);
    }

    /** Scores the stretch of the outline from one place to another as the cut end, and keeps it where it can be one. */
    private void score(Ring ring, int from, int to, double kind) {
        Point a = ring.at(from);
        Point b = ring.at(to);
        double w = a.distance(b);
        if (w < 0.4 * palm || w > 2.4 * palm) {
            return;
        }
        Point x = new Point((b.x() - a.x()) / w, (b.y() - a.y()) / w);
        // inwards: to the left of the way where the ring runs that way round
        double side = ring.signedArea > 0 ? 1 : -1;
        Point y = new Point(-side * x.y(), side * x.x());
        Point middle = a.towards(b, 0.5);
        double bow = 0;
        for (int i = from; i <= to && kind == 0; i++) {
            bow = Math.max(bow, Math.abs(dot(ring.at(i).minus(middle), y)) / w);
        }
        if (bow > 0.3) {
            return;
        }
        int ahead = Math.max(1, (int) Math.round(0.3 * w / ring.step()));
        double one = Math.abs(degrees(x, ring.at(from - ahead).minus(a)));
        double two =
                Math.abs(degrees(new Point(-x.x(), -x.y()), ring.at(to + ahead).minus(b)));
        int window = Math.max(1, (int) Math.round(0.06 * w / ring.step()));
        double score = kind + bell(bow, 0.2);
        score += bell(Math.max(0, Math.abs(one - 80) - 25), 22) + bell(Math.max(0, Math.abs(two - 80) - 25), 22);
        score += bell(Math.max(0, Math.abs(one - two) - 25), 25);
        score += bell(Math.max(0, 45 - Math.abs(turn(ring, from, window))), 22)
                + bell(Math.max(0, 45 - Math.abs(turn(ring, to, window))), 22);
        score += bell(Math.log(w / (1.15 * palm)), 0.28);
        score += around(middle, x, y, w) + body(ring, middle, x, y, w);
        Point g = centroid.minus(middle);
        score += Math.max(bell(Math.toDegrees(Math.atan2(dot(g, x), dot(g, y))), 22), -2.5);
        Point p = palmAt.minus(middle);
        score += Math.max(
                bell(Math.toDegrees(Math.atan2(dot(p, x), dot(p, y))), 25)
                        + bell(Math.max(0, Math.abs(dot(p, y) / w - 1.1) - 0.5), 0.35),
                -1.2);
        // seen from the arm towards the fingers the first point is the left one
        boolean leftFirst = y.x() * x.y() - y.y() * x.x() > 0;
        List<Point> before = flank(ring, from, -1, middle, x, y, w);
        List<Point> after = flank(ring, to, 1, middle, x, y, w);
        found.add(
                leftFirst
                        ? new Candidate(new Wrist(a, b), score, new Flanks(before, after))
                        : new Candidate(new Wrist(b, a), score, new Flanks(after, before).turned()));
    }

    /** Where the outline is 0.1 to 1.1 widths on from an end, in widths, about the middle of the chord. */
    private static List<Point> flank(Ring ring, int end, int way, Point middle, Point x, Point y, double w) {
        List<Point> out = new ArrayList<>();
        for (int i = 1; i <= Flanks.STEPS; i++) {
            Point p = ring.at(end + way * (int) Math.round(Flanks.STEP * i * w / ring.step()))
                    .minus(middle);
            out.add(new Point(dot(p, x) / w, dot(p, y) / w));
        }
        return out;
    }

    /** What lies behind the end, and whether it is empty outside and filled inside. */
    private double around(Point middle, Point x, Point y, double w) {
        double score = 0;
        int outside = 0;
        int within = 0;
        for (double u = -0.4; u <= 0.41; u += 0.2) {
            for (double v : new double[] {0.15, 0.3, 0.6}) {
                outside += filled(middle, x, y, u * w, -v * w) ? 1 : 0;
            }
            for (double v : new double[] {0.1, 0.3, 0.6}) {
                within += filled(middle, x, y, u * w, v * w) ? 0 : 1;
            }
        }
        score -= 4 * outside / 15.0 + 3 * within / 15.0;
        int behind = 0;
        int all = 0;
        Envelope box = area.getEnvelopeInternal();
        List<Double> deep = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            for (int k = 0; k < 24; k++) {
                Point p = new Point(
                        box.getMinX() + box.getWidth() * (i + 0.5) / 24,
                        box.getMinY() + box.getHeight() * (k + 0.5) / 24);
                if (inside.locate(new Coordinate(p.x(), p.y())) != Location.EXTERIOR) {
                    double depth = dot(p.minus(middle), y) / w;
                    all++;
                    behind += depth < -0.08 ? 1 : 0;
                    deep.add(depth);
                }
            }
        }
        deep.sort(Comparator.naturalOrder());
        double furthest = deep.isEmpty() ? 0 : deep.get((int) (0.99 * (deep.size() - 1)));
        return score - Math.min(10.0 * behind / Math.max(1, all), 6) - 2.5 * Math.max(0, 1.6 - furthest);
    }

    /** The end of a hand has a hand's depth behind it in its own outline; the side of a folded finger has not. */
    private static double body(Ring ring, Point middle, Point x, Point y, double w) {
        double deepest = 0;
        for (Point p : ring.points) {
            deepest = Math.max(deepest, dot(p.minus(middle), y) / w);
        }
        return -1.5 * Math.max(0, 1.1 - deepest);
    }

    private boolean filled(Point middle, Point x, Point y, double u, double v) {
        Coordinate c = new Coordinate(middle.x() + u * x.x() + v * y.x(), middle.y() + u * x.y() + v * y.y());
        return inside.locate(c) != Location.EXTERIOR;
    }

    private static double dot(Point a, Point b) {
        return a.x() * b.x() + a.y() * b.y();
    }
}
