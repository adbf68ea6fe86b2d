package app.leeward.core.hand;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * How the outline of a hand goes on from both ends of a chord: {@link #STEPS} points each, about the chord's middle, x along it from the
 * left end to the right one, y towards the fingers, in widths.
 */
record Flanks(List<Point> left, List<Point> right) {
    static final int STEPS = 11;
    /** Widths along the outline from one point to the next. */
    static final double STEP = 0.1;

    /** What the flank that is less alike counts, and up to how much of it: a thumb spoils one of them only. */
    private static final double OTHER = 0.25;

    private static final double MOST = 0.6;

    Flanks {
        left = List.copyOf(left);
        right = List.copyOf(right);
    }

    /** The same with x the other way. */
    Flanks turned() {
        return new Flanks(back(left), back(right));
    }

    private static List<Point> back(List<Point> all) {
        return all.stream().map(p -> new Point(-p.x(), p.y())).toList();
    }

    /** How far two are apart, as they are or as mirror images, widths. */
    double apart(Flanks o) {
        return Math.min(
                apart(rms(left, o.left), rms(right, o.right)),
                apart(rms(left, back(o.right)), rms(right, back(o.left))));
    }

    private static double apart(double one, double two) {
        return Math.min(one, two) + OTHER * Math.min(Math.max(one, two), MOST);
    }

    private static double rms(List<Point> a, List<Point> b) {
        double sum = 0;
        for (int i = 0; i < a.size(); i++) {
            double far = a.get(i).distance(b.get(i));
            sum += far * far;
        }
        return Math.sqrt(sum / a.size());
    }
}
