package app.leeward.core.solid;

import app.leeward.core.art.Point;
import java.util.List;

/**
 * A solid as level slices from top to bottom. A yaw never changes a height, so each slice is turned by itself; what lies above or
 * below goes with the first or last one.
 *
 * @param axis x of the upright axis it turns about, canvas units
 * @param heights of the slices, rising; canvas units
 */
record Stack(double axis, double[] heights, List<Slice> slices) {
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
}
