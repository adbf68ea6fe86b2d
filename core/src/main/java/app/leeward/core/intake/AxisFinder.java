package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Outline;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds the vertical axis about which a front view is drawn alike on both sides, from the art alone. Shapes of one colour
 * and size that reflect onto each other, and shapes that reflect onto themselves, each vote for an axis; the axis on which
 * most of the drawing agrees wins, and its place is the least-squares one over the agreeing pairs: for outlines whose
 * points correspond, the sum of squared distances between one and the reflection of the other is least where the axis is
 * the mean of their middles.
 */
public final class AxisFinder {
    /** Points an outline is followed by; every fifth of them is measured. */
    private static final int POINTS = 240;

    private static final int STEP = 5;
    /** Pairs tried within one colour, so that a thousand equal freckles take no longer than a face. */
    private static final int MOST_PAIRS = 6000;
    /** How unlike two twins may be, as a share of their size. */
    private static final double ALIKE = 0.04;
    /** How far votes for one axis may lie apart, as a share of the drawing's width. */
    private static final double TOGETHER = 0.012;

    /** Pairs that differ by less than this share of the drawing's width are as good as exact. */
    private static final double EXACT = 4e-4;

    private AxisFinder() {}

    private record Sample(List<Point> points, Point middle, double width, double height, String paint) {
        double size() {
            return Math.max(width, height);
        }
    }

    private record Vote(double x, double weight, Sample a, Sample b) {}

    /** Empty when no two shapes agree. */
    public static Optional<Axis> find(Character c) {
        List<Sample> samples = samples(c);
        Optional<Box> all = samples.stream()
                .flatMap(s -> s.points.stream())
                .map(p -> new Box(p.x(), p.y(), p.x(), p.y()))
                .reduce(Box::union);
        if (all.isEmpty()) {
            return Optional.empty();
        }
        List<Vote> votes = votes(samples);
        votes.sort(Comparator.comparingDouble(Vote::x));
        List<Vote> best = exact(
                largestCluster(votes, TOGETHER * all.get().width()),
                EXACT * all.get().width());
        if (best.size() < 2) {
            return Optional.empty();
        }
        double weight = best.stream().mapToDouble(Vote::weight).sum();
        double x = best.stream().mapToDouble(v -> v.x * v.weight).sum() / weight;
        double squares =
                best.stream().mapToDouble(v -> v.weight * squared(v.a, v.b, x)).sum();
        return Optional.of(new Axis(x, Math.sqrt(squares / weight), best.size()));
    }

    private static List<Sample> samples(Character c) {
        List<Sample> out = new ArrayList<>();
        Frame frame = new Evaluator(c).frame(Pose.REST);
        for (Frame.Placed p : frame.placed()) {
            for (Shape s : c.part(p.part())
                    .orElseThrow()
                    .drawing(p.drawing())
                    .orElseThrow()
                    .art()
                    .shapes()) {
                sample(s, p.matrix()).ifPresent(out::add);
            }
        }
        return out;
    }

    private static Optional<Sample> sample(Shape s, Matrix m) {
        Path path = s.path().transform(m);
        Optional<Box> box = path.bounds();
        if (box.isEmpty() || Math.max(box.get().width(), box.get().height()) < 1e-6) {
            return Optional.empty();
        }
        List<Point> points = Outline.points(path, POINTS);
        double x = points.stream().mapToDouble(Point::x).average().orElseThrow();
        double y = points.stream().mapToDouble(Point::y).average().orElseThrow();
        String paint = paint(s.fill()) + "/" + paint(s.stroke().paint());
        return Optional.of(
                new Sample(points, new Point(x, y), box.get().width(), box.get().height(), paint));
    }

    private static String paint(Paint p) {
        return p instanceof Paint.Flat f ? f.colour() : p.toString();
    }

    private static List<Vote> votes(List<Sample> samples) {
        Map<String, List<Sample>> byPaint = new HashMap<>();
        samples.forEach(
                s -> byPaint.computeIfAbsent(s.paint, k -> new ArrayList<>()).add(s));
        List<Vote> votes = new ArrayList<>();
        for (List<Sample> alike : byPaint.values()) {
            alike.sort(Comparator.comparingDouble(Sample::height));
            int left = MOST_PAIRS;
            for (int i = 0; i < alike.size(); i++) {
                vote(alike.get(i), alike.get(i), votes);
                for (int k = i + 1; k < alike.size() && sameHeight(alike.get(i), alike.get(k)); k++) {
                    if (left-- > 0) {
                        vote(alike.get(i), alike.get(k), votes);
                    }
                }
            }
        }
        return votes;
    }

    private static boolean sameHeight(Sample a, Sample b) {
        return Math.abs(a.height - b.height) <= ALIKE * Math.max(a.size(), b.size());
    }

    private static void vote(Sample a, Sample b, List<Vote> votes) {
        double size = Math.max(a.size(), b.size());
        boolean twins = sameHeight(a, b)
                && Math.abs(a.width - b.width) <= ALIKE * size
                && Math.abs(a.middle.y() - b.middle.y()) <= ALIKE * size;
        if (twins) {
            double x = (a.middle.x() + b.middle.x()) / 2;
            if (Math.sqrt(squared(a, b, x)) <= ALIKE * size) {
                votes.add(new Vote(x, (a == b ? 1 : 2) * size, a, b));
            }
        }
    }

    /** Mean squared distance from the reflection of one outline to the nearest point of the other. */
    private static double squared(Sample a, Sample b, double axis) {
        double sum = 0;
        int measured = 0;
        for (int k = 0; k < a.points.size(); k += STEP) {
            Point p = a.points.get(k);
            double x = 2 * axis - p.x();
            double nearest = Double.POSITIVE_INFINITY;
            for (int i = 0; i < b.points.size(); i++) {
                nearest =
                        Math.min(nearest, toChord(x, p.y(), b.points.get(i), b.points.get((i + 1) % b.points.size())));
            }
            sum += nearest;
            measured++;
        }
        return sum / measured;
    }

    /** Squared distance from a place to the chord between two points. */
    private static double toChord(double x, double y, Point a, Point b) {
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double length = dx * dx + dy * dy;
        double t = length == 0 ? 0 : Math.max(0, Math.min(1, ((x - a.x()) * dx + (y - a.y()) * dy) / length));
        double ex = a.x() + t * dx - x;
        double ey = a.y() + t * dy - y;
        return ex * ex + ey * ey;
    }

    /** Without the pairs that only roughly mirror each other: those more than thrice as unlike as the middle one. */
    private static List<Vote> exact(List<Vote> votes, double floor) {
        if (votes.size() < 4) {
            return votes;
        }
        double[] off = votes.stream().mapToDouble(v -> squared(v.a, v.b, v.x)).toArray();
        double[] sorted = off.clone();
        Arrays.sort(sorted);
        double most = Math.max(9 * sorted[sorted.length / 2], floor * floor);
        List<Vote> kept = new ArrayList<>();
        for (int i = 0; i < off.length; i++) {
            if (off[i] <= most) {
                kept.add(votes.get(i));
            }
        }
        return kept;
    }

    /** The votes within {@code width} of each other that weigh most; {@code votes} in rising order. */
    private static List<Vote> largestCluster(List<Vote> votes, double width) {
        int bestFrom = 0;
        int bestTo = 0;
        double best = 0;
        double weight = 0;
        int from = 0;
        for (int to = 0; to < votes.size(); to++) {
            weight += votes.get(to).weight;
            while (votes.get(to).x - votes.get(from).x > width) {
                weight -= votes.get(from++).weight;
            }
            if (weight > best) {
                best = weight;
                bestFrom = from;
                bestTo = to + 1;
            }
        }
        return votes.subList(bestFrom, bestTo);
    }
}
