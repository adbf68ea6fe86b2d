package app.leeward.core.solid;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * A solid as level slices from top to bottom. A yaw never changes a height, so each slice is turned by itself; what lies above or
 * below goes with the first or last one.
 *
 * @param axis x of the upright axis it turns about, canvas units
 * @param heights of the slices, rising; canvas units
 * @param bow how far a level ring hangs lower in the middle than at its ends, as a share of half its width: what was drawn from above;
 *     less than 0 from below
 */
record Stack(double axis, double[] heights, List<Slice> slices, double bow) {
    /** From which share of its height on a ring is drawn as one. By eye. */
    private static final double LOW = 0.7;

    Stack(double axis, double[] heights, List<Slice> slices) {
        this(axis, heights, slices, 0);
    }

    Stack bowed(double other) {
        return new Stack(axis, heights, slices, other);
    }

    Slice at(double y) {
        int last = heights.length - 1;
        if (y <= heights[0]) {
            return slices.get(0);
        }
        if (y >= heights[last]) {
            return slices.get(last);
        }
        int low = 0;
        int high = last;
        while (high - low > 1) {
            int mid = (low + high) / 2;
            if (heights[mid] <= y) {
                low = mid;
            } else {
                high = mid;
            }
        }
        double k = (y - heights[low]) / (heights[high] - heights[low]);
        Slice a = slices.get(low);
        Slice b = slices.get(high);
        return new Slice(
                mix(a.left(), b.left(), k),
                mix(a.right(), b.right(), k),
                mix(a.depth(), b.depth(), k),
                mix(a.middle(), b.middle(), k),
                a.profile(),
                mix(a.seam(), b.seam(), k),
                mix(a.sweep(), b.sweep(), k));
    }

    private static double mix(double a, double b, double k) {
        return a + (b - a) * k;
    }

    double top() {
        return heights[0];
    }

    double bottom() {
        return heights[heights.length - 1];
    }

    Spot surface(Point p, View view) {
        return at(p.y()).surface(p.x() - axis, view);
    }

    Spot outline(Point p, View view) {
        return at(p.y()).outline(p.x() - axis, view);
    }

    /** How far down along its ring a point of it goes that has gone round to a spot, canvas units. */
    double along(Point rest, Spot now, Slice level, View view) {
        if (bow == 0 || view.yaw() == 0) {
            return 0;
        }
        double x = rest.x() - axis;
        double a = x < 0 ? level.left() : level.right();
        if (a <= 0) {
            return 0;
        }
        double out = now.x() - view.way() * level.middle() * view.sin();
        // towards the top of a dome its outline is what is seen of it
        double low = Skull.smooth((rest.y() - top()) / (LOW * (bottom() - top())));
        return low * bow * a * (rise(out / level.limb(out, view)) - rise(x / a));
    }

    private static double rise(double share) {
        return Math.sqrt(Math.max(0, 1 - share * share));
    }
}
