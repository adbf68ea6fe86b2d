package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Outline;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

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
    /** How many chords along the nearest one can have moved when the axis moves by a hair. */
    private static final int NEARBY = 10;
    /** How many chords on either side of the last nearest one are looked at first. */
    private static final int AROUND = 22;
    /** How closely curves are followed, as a share of the shape. */
    private static final double FINE = 5e-4;

    /** Shapes looked at, the largest. */
    private static final int MOST_SHAPES = 320;
    /** Pairs compared point by point, so that a thousand equal freckles take no longer than a face. */
    private static final int MOST_PAIRS = 1500;
    /** The heaviest votes settle the axis; the many small ones after them would not move it. */
    private static final int MOST_DECIDING = 100;
    /** How unlike two twins may be, as a share of their size. */
    private static final double ALIKE = 0.04;
    /** How far votes for one axis may lie apart, as a share of the drawing's width. */
    private static final double TOGETHER = 0.012;

    /** Pairs that differ by less than this share of the drawing's width are as good as exact. */
    private static final double EXACT = 4e-4;

    private AxisFinder() {}

    /** @param lean how far its middle lies right of its box's, which reflects to the left for its twin */
    private record Sample(double[] x, double[] y, Point middle, double width, double height, double lean, Look paint) {
        double size() {
            return Math.max(width, height);
        }
    }

    /** Fill and line as the eye sees them; null for none. Colours that can hardly be told apart are the same. */
    private record Look(Lab fill, Lab line) {
        boolean near(Look o) {
            return near(fill, o.fill) && near(line, o.line);
        }

        private static boolean near(Lab a, Lab b) {
            return a == null || b == null ? a == b : a.difference(b) < NearColours.APART;
        }
    }

    private record Vote(double x, double weight, Sample a, Sample b) {}

    /** Empty when no two shapes agree. */
    public static Optional<Axis> find(Character c) {
        List<Sample> samples = samples(c);
        if (samples.isEmpty()) {
            return Optional.empty();
        }
        double left =
                samples.stream().mapToDouble(s -> s.middle.x() - s.width).min().orElseThrow();
        double right =
                samples.stream().mapToDouble(s -> s.middle.x() + s.width).max().orElseThrow();
        double reach = right - left;
        List<Vote> votes = votes(samples);
        votes.sort(Comparator.comparingDouble(Vote::x));
        List<Vote> best = largestCluster(votes, TOGETHER * reach);
        if (best.size() < 2) {
            return Optional.empty();
        }
        List<Vote> heaviest = new ArrayList<>(best);
        heaviest.sort(Comparator.comparingDouble(Vote::weight).reversed());
        List<Vote> deciding = new ArrayList<>(heaviest.subList(0, Math.min(MOST_DECIDING, heaviest.size())));
        deciding.sort(Comparator.comparingDouble(Vote::x));
        return Optional.of(settled(deciding, EXACT * reach));
    }

    /**
     * The least-squares axis of the votes, each weighed by how exactly its pair mirrors (iteratively reweighted least
     * squares): pairs drawn alike decide, pairs that only roughly mirror each other hardly pull.
     */
    private static Axis settled(List<Vote> votes, double floor) {
        double x = votes.get(votes.size() / 2).x;
        double residual = 0;
        int pairs = 0;
        int[][] feet = new int[votes.size()][(POINTS + STEP - 1) / STEP];
        for (int round = 0; round < 6; round++) {
            double weights = 0;
            double places = 0;
            double squares = 0;
            pairs = 0;
            double at = x;
            boolean first = round == 0;
            double[] off = IntStream.range(0, votes.size())
                    .parallel()
                    .mapToDouble(i -> first ? squared(votes.get(i), at, feet[i]) : near(votes.get(i), at, feet[i]))
                    .toArray();
            double usual = usual(off, floor);
            for (int i = 0; i < off.length; i++) {
                Vote v = votes.get(i);
                double squared = off[i];
                double w = v.weight / (usual + squared);
                weights += w;
                places += w * v.x;
                squares += w * squared;
                pairs += round > 0 && Math.sqrt(squared) <= Math.max(3 * residual, floor) ? 1 : 0;
            }
            x = places / weights;
            residual = Math.sqrt(squares / weights);
        }
        return new Axis(x, residual, pairs);
    }

    /** Twice the lower quartile, squared: how exactly a pair mirrors that was meant to, even where half the votes were not. */
    private static double usual(double[] off, double floor) {
        double[] rising = off.clone();
        Arrays.sort(rising);
        return Math.max(4 * rising[rising.length / 4], floor * floor);
    }

    /** The largest shapes of the picture at rest: the many small ones would not move the axis. */
    private static List<Sample> samples(Character c) {
        record Drawn(Shape shape, Matrix place) {}
        record Found(Shape shape, Path path, double size) {}
        List<Drawn> drawn = new ArrayList<>();
        Frame frame = new Evaluator(c).frame(Pose.REST);
        for (Frame.Placed p : frame.placed()) {
            for (Shape s : c.part(p.part())
                    .orElseThrow()
                    .drawing(p.drawing())
                    .orElseThrow()
                    .art()
                    .shapes()) {
                drawn.add(new Drawn(s, p.matrix()));
            }
        }
        List<Found> largest = drawn.parallelStream()
                .map(d -> {
                    Path path = d.place().equals(Matrix.IDENTITY)
                            ? d.shape().path()
                            : d.shape().path().transform(d.place());
                    return new Found(d.shape(), path, roughSize(path));
                })
                .sorted(Comparator.comparingDouble(Found::size).reversed())
                .limit(MOST_SHAPES)
                .filter(f -> f.size() > 1e-6)
                .toList();
        return largest.parallelStream()
                .map(f -> sample(f.shape, f.path, f.path.bounds().orElseThrow()))
                .toList();
    }

    /** The size of the box round points and handles: enough to tell large shapes from small ones, and much sooner told. */
    private static double roughSize(Path path) {
        double minX = Double.POSITIVE_INFINITY;
        double minY = Double.POSITIVE_INFINITY;
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        for (Point p : path.points()) {
            minX = Math.min(minX, p.x());
            minY = Math.min(minY, p.y());
            maxX = Math.max(maxX, p.x());
            maxY = Math.max(maxY, p.y());
        }
        return Math.max(0, Math.max(maxX - minX, maxY - minY));
    }

    private static Sample sample(Shape s, Path path, Box box) {
        // what is coarser than this share of a shape would not move the axis
        double tolerance = Math.max(Regions.TOLERANCE, FINE * Math.max(box.width(), box.height()));
        List<Point> points = Outline.points(path, POINTS, tolerance);
        double[] xs = points.stream().mapToDouble(Point::x).toArray();
        double[] ys = points.stream().mapToDouble(Point::y).toArray();
        double x = Arrays.stream(xs).average().orElseThrow();
        double y = Arrays.stream(ys).average().orElseThrow();
        Look paint = new Look(lab(s.fill()), lab(s.stroke().paint()));
        return new Sample(
                xs,
                ys,
                new Point(x, y),
                box.width(),
                box.height(),
                x - box.centre().x(),
                paint);
    }

    private static Lab lab(Paint p) {
        return p.colours().findFirst().map(Lab::of).orElse(null);
    }

    private static List<Vote> votes(List<Sample> samples) {
        List<Sample> rising = new ArrayList<>(samples);
        rising.sort(Comparator.comparingDouble(Sample::height));
        record Pair(Sample a, Sample b) {}
        List<Pair> pairs = new ArrayList<>();
        int left = MOST_PAIRS;
        for (int i = 0; i < rising.size(); i++) {
            Sample a = rising.get(i);
            if (twins(a, a)) {
                pairs.add(new Pair(a, a));
            }
            for (int k = i + 1; k < rising.size() && left > 0 && sameHeight(a, rising.get(k)); k++) {
                Sample b = rising.get(k);
                if (a.paint.near(b.paint) && twins(a, b)) {
                    left--;
                    pairs.add(new Pair(a, b));
                }
            }
        }
        return pairs.parallelStream()
                .flatMap(p -> vote(p.a(), p.b()).stream())
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private static boolean sameHeight(Sample a, Sample b) {
        return Math.abs(a.height - b.height) <= ALIKE * Math.max(a.size(), b.size());
    }

    private static boolean twins(Sample a, Sample b) {
        double size = Math.max(a.size(), b.size());
        return Math.abs(a.width - b.width) <= ALIKE * size
                && Math.abs(a.middle.y() - b.middle.y()) <= ALIKE * size
                && Math.abs(a.lean + b.lean) <= ALIKE * size;
    }

    private static Optional<Vote> vote(Sample a, Sample b) {
        double size = Math.max(a.size(), b.size());
        double x = (a.middle.x() + b.middle.x()) / 2;
        double most = ALIKE * size;
        return squared(a, b, x, most * most) <= most * most
                ? Optional.of(new Vote(x, (a == b ? 1 : 2) * size, a, b))
                : Optional.empty();
    }

    /**
     * Mean squared distance from the reflection of one outline to the nearest point of the other.
     *
     * @param most what is larger need not be told exactly: infinity comes back
     */
    private static double squared(Sample a, Sample b, double axis, double most) {
        int step = 2 * STEP;
        int measured = (a.x.length + step - 1) / step;
        double sum = 0;
        int foot = -1;
        for (int k = 0; k < a.x.length; k += step) {
            double x = 2 * axis - a.x[k];
            foot = nearest(b, foot, x, a.y[k]);
            sum += toChord(b, foot, x, a.y[k]);
            if (sum > most * measured) {
                return Double.POSITIVE_INFINITY;
            }
        }
        return sum / measured;
    }

    /**
     * The chord of an outline nearest to a place. Points of one outline follow each other, and so do the chords nearest to them:
     * those round the one before are looked at first, and all of them only when none between is nearest.
     *
     * @param before the chord nearest to the point before; -1 for none
     */
    private static int nearest(Sample s, int before, double x, double y) {
        int n = s.x.length;
        int reach = Math.min(AROUND, n / 2 - 1);
        if (before >= 0 && reach > 0) {
            int best = 0;
            double least = Double.POSITIVE_INFINITY;
            for (int i = -reach; i <= reach; i++) {
                double d = toChord(s, Math.floorMod(before + i, n), x, y);
                if (d < least) {
                    least = d;
                    best = i;
                }
            }
            if (Math.abs(best) < reach) {
                return Math.floorMod(before + best, n);
            }
        }
        int best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < n; i++) {
            double d = toChord(s, i, x, y);
            if (d < least) {
                least = d;
                best = i;
            }
        }
        return best;
    }

    /** The same for a vote, remembering which chord was nearest to each point measured. */
    private static double squared(Vote v, double axis, int[] feet) {
        double sum = 0;
        int measured = 0;
        int foot = -1;
        for (int k = 0; k < v.a.x.length; k += STEP) {
            double x = 2 * axis - v.a.x[k];
            foot = nearest(v.b, foot, x, v.a.y[k]);
            feet[measured++] = foot;
            sum += toChord(v.b, foot, x, v.a.y[k]);
        }
        return sum / measured;
    }

    /** The same for an axis close by: each point's nearest chord is then close by too. */
    private static double near(Vote v, double axis, int[] feet) {
        double sum = 0;
        int measured = 0;
        int n = v.b.x.length;
        int reach = Math.min(NEARBY, n / 2);
        for (int k = 0; k < v.a.x.length; k += STEP) {
            double x = 2 * axis - v.a.x[k];
            double best = Double.POSITIVE_INFINITY;
            for (int i = -reach; i <= reach; i++) {
                best = Math.min(best, toChord(v.b, Math.floorMod(feet[measured] + i, n), x, v.a.y[k]));
            }
            sum += best;
            measured++;
        }
        return sum / measured;
    }

    /** Squared distance from a place to the chord that ends in a point of an outline. */
    private static double toChord(Sample s, int i, double x, double y) {
        int before = i == 0 ? s.x.length - 1 : i - 1;
        return toChord(s.x[before], s.y[before], s.x[i], s.y[i], x, y);
    }

    private static double toChord(double ax, double ay, double bx, double by, double x, double y) {
        double dx = bx - ax;
        double dy = by - ay;
        double length = dx * dx + dy * dy;
        double along = (x - ax) * dx + (y - ay) * dy;
        double t = along <= 0 ? 0 : along >= length ? 1 : along / length;
        double ex = ax + t * dx - x;
        double ey = ay + t * dy - y;
        return ex * ex + ey * ey;
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
