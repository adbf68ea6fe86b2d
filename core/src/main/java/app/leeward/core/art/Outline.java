package app.leeward.core.art;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A path as a row of points, for measuring. */
public final class Outline {
    private Outline() {}

    /**
     * {@code n} points at even distances along all sub-paths, closing lines included; curves are followed to within
     * {@link Regions#TOLERANCE}. A path without length gives its first point only.
     */
    public static List<Point> points(Path path, int n) {
        return points(path, n, Regions.TOLERANCE);
    }

    /** @param tolerance how far a followed curve may stray from the true one, units */
    public static List<Point> points(Path path, int n, double tolerance) {
        Chords chords = new Chords(tolerance);
        path.walk(chords);
        if (chords.length == 0) {
            return path.segments().isEmpty()
                    ? List.of()
                    : List.of(((Segment.Move) path.segments().get(0)).to());
        }
        List<Point> out = new ArrayList<>(n);
        double walked = 0;
        int at = 0;
        for (int i = 0; i < n; i++) {
            double wanted = chords.length * (i + 0.5) / n;
            while (at < chords.count - 1 && walked + chords.size(at) < wanted) {
                walked += chords.size(at++);
            }
            double size = chords.size(at);
            out.add(chords.along(at, size == 0 ? 0 : Math.min(1, (wanted - walked) / size)));
        }
        return out;
    }

    /** From, to and length of each chord in one row of numbers: there can be a million of them. */
    private static final class Chords implements Path.Walker {
        private static final int WIDTH = 5;
        private final double tolerance;
        private double[] row = new double[64 * WIDTH];
        private int count;
        private double length;

        Chords(double tolerance) {
            this.tolerance = tolerance;
        }

        @Override
        public void line(Point a, Point b) {
            add(a.x(), a.y(), b.x(), b.y());
        }

        @Override
        public void cubic(Point a, Point c1, Point c2, Point b) {
            int n = Cubics.steps(a, c1, c2, b, tolerance);
            double x = a.x();
            double y = a.y();
            for (int i = 1; i <= n; i++) {
                double t = (double) i / n;
                double nextX = Cubics.at(a.x(), c1.x(), c2.x(), b.x(), t);
                double nextY = Cubics.at(a.y(), c1.y(), c2.y(), b.y(), t);
                add(x, y, nextX, nextY);
                x = nextX;
                y = nextY;
            }
        }

        private void add(double ax, double ay, double bx, double by) {
            if (row.length < (count + 1) * WIDTH) {
                row = Arrays.copyOf(row, 2 * row.length);
            }
            double size = Math.sqrt((bx - ax) * (bx - ax) + (by - ay) * (by - ay));
            int i = count++ * WIDTH;
            row[i] = ax;
            row[i + 1] = ay;
            row[i + 2] = bx;
            row[i + 3] = by;
            row[i + 4] = size;
            length += size;
        }

        private double size(int i) {
            return row[i * WIDTH + 4];
        }

        private Point along(int chord, double t) {
            int i = chord * WIDTH;
            return new Point(row[i] + t * (row[i + 2] - row[i]), row[i + 1] + t * (row[i + 3] - row[i + 1]));
        }
    }
}
