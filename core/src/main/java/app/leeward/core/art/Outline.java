package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;

/** A path as a row of points, for measuring. */
public final class Outline {
    private Outline() {}

    /**
     * {@code n} points at even distances along all sub-paths, closing lines included; curves are followed to within
     * {@link Regions#TOLERANCE}. A path without length gives its first point only.
     */
    public static List<Point> points(Path path, int n) {
        Chords chords = new Chords();
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
            while (at < chords.from.size() - 1 && walked + chords.size(at) < wanted) {
                walked += chords.size(at++);
            }
            double size = chords.size(at);
            double t = size == 0 ? 0 : Math.min(1, (wanted - walked) / size);
            out.add(chords.from.get(at).towards(chords.to.get(at), t));
        }
        return out;
    }

    private static final class Chords implements Path.Walker {
        private final List<Point> from = new ArrayList<>();
        private final List<Point> to = new ArrayList<>();
        private double length;

        @Override
        public void line(Point a, Point b) {
            from.add(a);
            to.add(b);
            length += a.distance(b);
        }

        @Override
        public void cubic(Point a, Point c1, Point c2, Point b) {
            int n = Cubics.steps(a, c1, c2, b, Regions.TOLERANCE);
            Point last = a;
            for (int i = 1; i <= n; i++) {
                Point next = Cubics.at(a, c1, c2, b, (double) i / n);
                line(last, next);
                last = next;
            }
        }

        private double size(int i) {
            return from.get(i).distance(to.get(i));
        }
    }
}
