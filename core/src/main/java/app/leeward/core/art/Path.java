package app.leeward.core.art;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** An outline: one or more sub-paths of straight and cubic segments. A path with segments begins with a move. */
public record Path(List<Segment> segments) {
    public Path {
        segments = List.copyOf(segments);
        if (!segments.isEmpty() && !(segments.get(0) instanceof Segment.Move)) {
            throw new IllegalArgumentException("a path begins with a move, not " + segments.get(0));
        }
    }

    /** A smooth open curve through points, two at least (Catmull and Rom 1974, evenly spaced). */
    public static Path through(List<Point> points) {
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(points.get(0)));
        for (int i = 1; i < points.size(); i++) {
            Point before = points.get(Math.max(0, i - 2));
            Point from = points.get(i - 1);
            Point to = points.get(i);
            Point after = points.get(Math.min(points.size() - 1, i + 1));
            out.add(new Segment.Cubic(
                    new Point(from.x() + (to.x() - before.x()) / 6, from.y() + (to.y() - before.y()) / 6),
                    new Point(to.x() - (after.x() - from.x()) / 6, to.y() - (after.y() - from.y()) / 6),
                    to));
        }
        return new Path(out);
    }

    public static Path of(Segment... segments) {
        return new Path(List.of(segments));
    }

    /** Whether one of its sub-paths is closed. */
    public boolean closes() {
        return segments.stream().anyMatch(Segment.Close.class::isInstance);
    }

    /** How wide its box is; 0 for one that is empty. */
    public double width() {
        return bounds().map(Box::width).orElse(0.0);
    }

    public boolean isEmpty() {
        return segments.isEmpty();
    }

    public Path transform(Matrix m) {
        return m.changesNothing() ? this : map(m::apply);
    }

    /** Every point and handle taken elsewhere; the commands stay. */
    public Path map(UnaryOperator<Point> f) {
        List<Segment> out = new ArrayList<>(segments.size());
        for (Segment s : segments) {
            if (s instanceof Segment.Move move) {
                out.add(new Segment.Move(f.apply(move.to())));
            } else if (s instanceof Segment.Line line) {
                out.add(new Segment.Line(f.apply(line.to())));
            } else if (s instanceof Segment.Cubic c) {
                out.add(new Segment.Cubic(f.apply(c.c1()), f.apply(c.c2()), f.apply(c.to())));
            } else {
                out.add(s);
            }
        }
        return new Path(out);
    }

    /** The same outline with steps longer than {@code least} written as curves, so that they can be bent. */
    public Path curved(double least) {
        List<Segment> out = new ArrayList<>(segments.size());
        Point pen = new Point(0, 0);
        Point start = pen;
        for (Segment s : segments) {
            Segment now = s;
            if (s instanceof Segment.Move move) {
                pen = move.to();
                start = pen;
            } else if (s instanceof Segment.Line line) {
                Point step = line.to().minus(pen);
                if (Math.hypot(step.x(), step.y()) > least) {
                    now = new Segment.Cubic(
                            pen.plus(new Point(step.x() / 3, step.y() / 3)),
                            pen.plus(new Point(2 * step.x() / 3, 2 * step.y() / 3)),
                            line.to());
                }
                pen = line.to();
            } else {
                pen = s instanceof Segment.Cubic c ? c.to() : start;
            }
            out.add(now);
        }
        return new Path(out);
    }

    /** Every point and handle, in the order of the path's numbers. */
    public List<Point> points() {
        List<Point> all = new ArrayList<>(3 * segments.size());
        for (Segment s : segments) {
            if (s instanceof Segment.Cubic c) {
                all.add(c.c1());
                all.add(c.c2());
                all.add(c.to());
            } else if (s instanceof Segment.Line l) {
                all.add(l.to());
            } else if (s instanceof Segment.Move m) {
                all.add(m.to());
            }
        }
        return all;
    }

    /**
     * With every point and handle shifted by its own pair of numbers, x and y in turns. Written out, because the outlines of a
     * face in motion are most of the work of a frame.
     */
    public Path shifted(double[] shifts) {
        Segment[] out = new Segment[segments.size()];
        int k = 0;
        for (int i = 0; i < out.length; i++) {
            Segment s = segments.get(i);
            if (s instanceof Segment.Cubic c) {
                out[i] = new Segment.Cubic(
                        shifted(c.c1(), shifts, k), shifted(c.c2(), shifts, k + 2), shifted(c.to(), shifts, k + 4));
                k += 6;
            } else if (s instanceof Segment.Line l) {
                out[i] = new Segment.Line(shifted(l.to(), shifts, k));
                k += 2;
            } else if (s instanceof Segment.Move m) {
                out[i] = new Segment.Move(shifted(m.to(), shifts, k));
                k += 2;
            } else {
                out[i] = s;
            }
        }
        return new Path(List.of(out));
    }

    /** Whether both take the same steps, lines and curves in the same order, so that each point of one has its point in the other. */
    public boolean steppedLike(Path other) {
        boolean same = segments.size() == other.segments.size();
        for (int i = 0; same && i < segments.size(); i++) {
            same = segments.get(i).getClass() == other.segments.get(i).getClass();
        }
        return same;
    }

    /**
     * The outline between this one and another that is {@link #steppedLike stepped like} it.
     *
     * @param share 0 for this one, 1 for the other
     */
    public Path towards(Path other, double share) {
        List<Point> here = points();
        List<Point> there = other.points();
        double[] shifts = new double[2 * here.size()];
        for (int k = 0; k < here.size(); k++) {
            shifts[2 * k] = share * (there.get(k).x() - here.get(k).x());
            shifts[2 * k + 1] = share * (there.get(k).y() - here.get(k).y());
        }
        return shifted(shifts);
    }

    private static Point shifted(Point p, double[] shifts, int k) {
        return new Point(p.x() + shifts[k], p.y() + shifts[k + 1]);
    }

    /** The tight bounds of the outline (curve extremes, not control points); empty for a path without segments. */
    public Optional<Box> bounds() {
        Bounds b = new Bounds();
        walk(b);
        return b.box();
    }

    /** Length along all sub-paths, closing lines included, to about one part in ten thousand. */
    public double length() {
        Length l = new Length();
        walk(l);
        return l.total;
    }

    /** Points along every sub-path, so many on each step of it. */
    public List<Point> sampled(int each) {
        List<Point> out = new ArrayList<>();
        walk(new Walker() {
            @Override
            public void line(Point from, Point to) {
                for (int i = 0; i < each; i++) {
                    out.add(from.towards(to, i / (double) each));
                }
            }

            @Override
            public void cubic(Point from, Point c1, Point c2, Point to) {
                for (int i = 0; i < each; i++) {
                    out.add(Cubics.at(from, c1, c2, to, i / (double) each));
                }
            }
        });
        return out;
    }

    /** Every sub-path as a path of its own. */
    public List<Path> subPaths() {
        List<Path> out = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= segments.size(); i++) {
            if (i == segments.size() || segments.get(i) instanceof Segment.Move) {
                out.add(new Path(segments.subList(from, i)));
                from = i;
            }
        }
        return out;
    }

    /** SVG path data with absolute commands. */
    public String toSvg() {
        PathText out = new PathText();
        for (Segment s : segments) {
            if (s instanceof Segment.Move m) {
                out.letter('M');
                out.pair(m.to());
            } else if (s instanceof Segment.Line l) {
                out.letter('L');
                out.pair(l.to());
            } else if (s instanceof Segment.Cubic c) {
                out.letter('C');
                out.pair(c.c1());
                out.letter(' ');
                out.pair(c.c2());
                out.letter(' ');
                out.pair(c.to());
            } else {
                out.letter('Z');
            }
        }
        return out.toString();
    }

    /** Told of every drawn step in order, with where the pen stands. */
    interface Walker {
        void line(Point from, Point to);

        void cubic(Point from, Point c1, Point c2, Point to);

        default void start(Point at) {}

        default void close(Point at) {}
    }

    void walk(Walker walker) {
        Point pen = null;
        Point start = null;
        for (Segment s : segments) {
            if (s instanceof Segment.Move m) {
                pen = start = m.to();
                walker.start(pen);
            } else if (s instanceof Segment.Line l) {
                walker.line(pen, l.to());
                pen = l.to();
            } else if (s instanceof Segment.Cubic c) {
                walker.cubic(pen, c.c1(), c.c2(), c.to());
                pen = c.to();
            } else {
                if (!pen.equals(start)) {
                    walker.line(pen, start);
                }
                walker.close(start);
                pen = start;
            }
        }
    }

    private static final class Bounds implements Walker {
        private double minX = Double.POSITIVE_INFINITY;
        private double minY = Double.POSITIVE_INFINITY;
        private double maxX = Double.NEGATIVE_INFINITY;
        private double maxY = Double.NEGATIVE_INFINITY;

        @Override
        public void start(Point at) {
            include(at);
        }

        @Override
        public void line(Point from, Point to) {
            include(to);
        }

        @Override
        public void cubic(Point from, Point c1, Point c2, Point to) {
            include(to);
            if (inside(c1) && inside(c2)) {
                // a curve stays within its four points
                return;
            }
            for (double t : Cubics.extremes(from.x(), c1.x(), c2.x(), to.x())) {
                include(Cubics.at(from, c1, c2, to, t));
            }
            for (double t : Cubics.extremes(from.y(), c1.y(), c2.y(), to.y())) {
                include(Cubics.at(from, c1, c2, to, t));
            }
        }

        private boolean inside(Point p) {
            return p.x() >= minX && p.x() <= maxX && p.y() >= minY && p.y() <= maxY;
        }

        private void include(Point p) {
            minX = Math.min(minX, p.x());
            minY = Math.min(minY, p.y());
            maxX = Math.max(maxX, p.x());
            maxY = Math.max(maxY, p.y());
        }

        Optional<Box> box() {
            return minX > maxX ? Optional.empty() : Optional.of(new Box(minX, minY, maxX, maxY));
        }
    }

    private static final class Length implements Walker {
        private double total;

        @Override
        public void line(Point from, Point to) {
            total += from.distance(to);
        }

        @Override
        public void cubic(Point from, Point c1, Point c2, Point to) {
            total += Cubics.length(from, c1, c2, to);
        }
    }
}
