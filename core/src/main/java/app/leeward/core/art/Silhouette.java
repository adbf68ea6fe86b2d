package app.leeward.core.art;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/** The outline of what can be seen of a picture made of pixels: its edges followed between seen and clear pixels. */
public final class Silhouette {
    /** A pixel is seen from this alpha on, of 255. */
    private static final int SEEN = 96;
    /** How far the outline may be straightened, pixels. */
    private static final double STRAIGHT = 0.75;

    private Silhouette() {}

    /**
     * @param alpha a value of 0 to 255 for each pixel, row by row
     * @return closed rings in pixels, holes running the other way round; empty when nothing is seen
     */
    public static Path of(byte[] alpha, int width, int height) {
        return of(alpha, width, height, STRAIGHT);
    }

    /** @param straight how far the outline may be straightened, pixels */
    public static Path of(byte[] alpha, int width, int height, double straight) {
        if (alpha.length != width * height) {
            throw new IllegalArgumentException(
                    width + " × " + height + " pixels have " + width * height + " alphas, not " + alpha.length);
        }
        // one step along each pixel edge that parts seen from clear, the seen pixel always on the right
        Map<Long, List<int[]>> steps = new HashMap<>();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (seen(alpha, width, height, x, y)) {
                    edge(steps, !seen(alpha, width, height, x, y - 1), x, y, x + 1, y);
                    edge(steps, !seen(alpha, width, height, x + 1, y), x + 1, y, x + 1, y + 1);
                    edge(steps, !seen(alpha, width, height, x, y + 1), x + 1, y + 1, x, y + 1);
                    edge(steps, !seen(alpha, width, height, x - 1, y), x, y + 1, x, y);
                }
            }
        }
        List<Segment> out = new ArrayList<>();
        while (!steps.isEmpty()) {
            ring(steps, straight, out);
        }
        return new Path(out);
    }

    private static boolean seen(byte[] alpha, int width, int height, int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height && (alpha[y * width + x] & 255) >= SEEN;
    }

    private static long key(int x, int y) {
        return (long) x << 32 | y;
    }

    private static void edge(Map<Long, List<int[]>> steps, boolean there, int x, int y, int toX, int toY) {
        if (there) {
            steps.computeIfAbsent(key(x, y), k -> new ArrayList<>(1)).add(new int[] {toX, toY});
        }
    }

    private static void ring(Map<Long, List<int[]>> steps, double straight, List<Segment> out) {
        long first = steps.keySet().iterator().next();
        List<Coordinate> ring = new ArrayList<>();
        long at = first;
        do {
            ring.add(new Coordinate((int) (at >> 32), (int) at));
            List<int[]> next = steps.get(at);
            int[] to = next.remove(next.size() - 1);
            if (next.isEmpty()) {
                steps.remove(at);
            }
            at = key(to[0], to[1]);
        } while (at != first);
        ring.add(ring.get(0));
        Coordinate[] points = DouglasPeuckerSimplifier.simplify(
                        new GeometryFactory().createLineString(ring.toArray(new Coordinate[0])), straight)
                .getCoordinates();
        if (points.length < 4) {
            return;
        }
        out.add(new Segment.Move(new Point(points[0].x, points[0].y)));
        for (int i = 1; i < points.length - 1; i++) {
            out.add(new Segment.Line(new Point(points[i].x, points[i].y)));
        }
        out.add(new Segment.Close());
    }
}
