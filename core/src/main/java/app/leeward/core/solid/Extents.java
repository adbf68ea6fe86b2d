package app.leeward.core.solid;

import java.util.Arrays;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

/**
 * How far an area reaches to the left and to the right at each of many heights, closer together at top and bottom, where an
 * outline turns fastest.
 *
 * @param heights rising
 */
record Extents(double[] heights, double[] left, double[] right) {
    static final int ROWS = 96;

    static Extents of(Geometry area) {
        Envelope box = area.getEnvelopeInternal();
        double[] heights = new double[ROWS];
        for (int i = 0; i < ROWS; i++) {
            heights[i] = (box.getMinY() + box.getMaxY()) / 2 - box.getHeight() / 2 * Math.cos(Math.PI * i / (ROWS - 1));
        }
        heights[0] = box.getMinY();
        heights[ROWS - 1] = box.getMaxY();
        return of(area, heights);
    }

    /** Rows that the area does not reach have a left of infinity. */
    static Extents of(Geometry area, double[] heights) {
        double[] left = new double[heights.length];
        double[] right = new double[heights.length];
        Arrays.fill(left, Double.POSITIVE_INFINITY);
        Arrays.fill(right, Double.NEGATIVE_INFINITY);
        for (int g = 0; g < area.getNumGeometries(); g++) {
            Geometry part = area.getGeometryN(g);
            // holes lie within
            Coordinate[] ring =
                    part instanceof Polygon p ? p.getExteriorRing().getCoordinates() : part.getCoordinates();
            for (int k = 0; k + 1 < ring.length; k++) {
                along(ring[k], ring[k + 1], heights, left, right);
            }
        }
        return new Extents(heights, left, right);
    }

    private static void along(Coordinate a, Coordinate b, double[] heights, double[] left, double[] right) {
        double low = Math.min(a.y, b.y);
        double high = Math.max(a.y, b.y);
        int i = Arrays.binarySearch(heights, low);
        for (int row = i < 0 ? -i - 1 : i; row < heights.length && heights[row] <= high; row++) {
            double t = high == low ? 0 : (heights[row] - a.y) / (b.y - a.y);
            double x = a.x + (b.x - a.x) * t;
            left[row] = Math.min(left[row], x);
            right[row] = Math.max(right[row], x);
            if (high == low) {
                left[row] = Math.min(left[row], b.x);
                right[row] = Math.max(right[row], b.x);
            }
        }
    }

    boolean reaches(int row) {
        return left[row] <= right[row];
    }
}
