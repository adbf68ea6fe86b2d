package app.leeward.core.lips;

import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * A mouth drawn with several strokes that meet, such as the two arcs under an animal's nose: the shortest way along them from
 * the leftmost end to the rightmost one is the line of the mouth, whatever branches off it a fold.
 *
 * @param line of the mouth, from left to right
 * @param strokes the shapes all of it was drawn with
 * @param folds what of them is not on the line
 */
record MouthStroke(Path line, Set<Shape> strokes, List<Shape> folds) {
    /** How near ends meet, as a share of the width of one stroke. By eye. */
    private static final double MEET = 0.04;
    /** A stroke that spans so much of all that hangs together with it is the mouth by itself; the others are dimples. By eye. */
    private static final double ALONE = 0.8;

    private record Edge(Shape shape, int from, int to, Segment.Cubic on, double length) {}

    /** @return empty where the drawn shape is the whole line, or closed */
    static Optional<MouthStroke> of(Shape drawn, List<Shape> all) {
        if (!open(drawn)) {
            return Optional.empty();
        }
        Net net = new Net(MEET * width(drawn.path()));
        all.stream().filter(MouthStroke::open).forEach(net::add);
        return net.across(drawn);
    }

    /** A line without a fill whose sub-paths do not close. */
    private static boolean open(Shape s) {
        return s.stroke().visible()
                && s.fill() instanceof Paint.None
                && !s.role().behindWindow()
                && !s.path().closes();
    }

    private static double width(Path path) {
        return path.bounds().map(Box::width).orElse(0.0);
    }

    /** The strokes as a net of curves between the points where they end or meet. */
    private static final class Net {
        private final double near;
        private final List<Point> nodes = new ArrayList<>();
        private final List<Edge> edges = new ArrayList<>();

        Net(double near) {
            this.near = near;
        }

        private int node(Point p) {
            for (int i = 0; i < nodes.size(); i++) {
                if (nodes.get(i).distance(p) <= near) {
                    return i;
                }
            }
            nodes.add(p);
            return nodes.size() - 1;
        }

        void add(Shape s) {
            Point pen = null;
            for (Segment step : s.path().segments()) {
                if (step instanceof Segment.Move m) {
                    pen = m.to();
                    continue;
                }
                Point from = pen;
                Segment.Cubic on = step instanceof Segment.Cubic c ? c : straight(from, ((Segment.Line) step).to());
                double length = new Path(List.of(new Segment.Move(from), on)).length();
                edges.add(new Edge(s, node(from), node(on.to()), on, length));
                pen = on.to();
            }
        }

        private static Segment.Cubic straight(Point from, Point to) {
            return new Segment.Cubic(from.towards(to, 1 / 3.0), from.towards(to, 2 / 3.0), to);
        }

        Optional<MouthStroke> across(Shape drawn) {
            Set<Integer> together = together(drawn);
            Comparator<Integer> byX =
                    Comparator.comparingDouble(i -> nodes.get(i).x());
            int left = together.stream().min(byX).orElseThrow();
            int right = together.stream().max(byX).orElseThrow();
            long parts = drawn.path().segments().stream()
                    .filter(Segment.Move.class::isInstance)
                    .count();
            boolean whole = width(drawn.path())
                    > ALONE * (nodes.get(right).x() - nodes.get(left).x());
            if (left == right || parts == 1 && whole) {
                return Optional.empty();
            }
            List<Edge> route = route(left, right);
            Set<Shape> strokes = new HashSet<>();
            Map<Shape, List<Segment>> folds = new LinkedHashMap<>();
            for (Edge e : edges) {
                if (together.contains(e.from)) {
                    strokes.add(e.shape);
                    if (!route.contains(e)) {
                        List<Segment> fold = folds.computeIfAbsent(e.shape, s -> new ArrayList<>());
                        fold.add(new Segment.Move(nodes.get(e.from)));
                        fold.add(e.on);
                    }
                }
            }
            return Optional.of(new MouthStroke(
                    path(left, route),
                    strokes,
                    folds.entrySet().stream()
                            .map(e -> e.getKey().withPath(new Path(e.getValue())))
                            .toList()));
        }

        /** All nodes that hang together with a stroke. */
        private Set<Integer> together(Shape drawn) {
            Set<Integer> found = new HashSet<>();
            edges.stream().filter(e -> e.shape == drawn).forEach(e -> found.add(e.from));
            boolean more = true;
            while (more) {
                more = false;
                for (Edge e : edges) {
                    if (found.contains(e.from) || found.contains(e.to)) {
                        more |= found.add(e.from) | found.add(e.to);
                    }
                }
            }
            return found;
        }

        /** The shortest way (Dijkstra 1959); both ends hang together. */
        private List<Edge> route(int from, int to) {
            record Reached(int node, double far) {}
            Map<Integer, Double> far = new HashMap<>();
            Map<Integer, Edge> by = new HashMap<>();
            PriorityQueue<Reached> next = new PriorityQueue<>(Comparator.comparingDouble(Reached::far));
            next.add(new Reached(from, 0));
            far.put(from, 0.0);
            while (!next.isEmpty()) {
                Reached at = next.remove();
                for (Edge e : edges) {
                    if (e.from != at.node && e.to != at.node) {
                        continue;
                    }
                    int other = e.from == at.node ? e.to : e.from;
                    double way = at.far + e.length;
                    if (way < far.getOrDefault(other, Double.POSITIVE_INFINITY)) {
                        far.put(other, way);
                        by.put(other, e);
                        next.add(new Reached(other, way));
                    }
                }
            }
            List<Edge> route = new ArrayList<>();
            for (int at = to; at != from; ) {
                Edge e = by.get(at);
                route.add(0, e);
                at = e.from == at ? e.to : e.from;
            }
            return route;
        }

        private Path path(int from, List<Edge> route) {
            List<Segment> out = new ArrayList<>();
            out.add(new Segment.Move(nodes.get(from)));
            int at = from;
            for (Edge e : route) {
                boolean along = e.from == at;
                at = along ? e.to : e.from;
                Segment.Cubic c = e.on;
                out.add(
                        along
                                ? new Segment.Cubic(c.c1(), c.c2(), nodes.get(at))
                                : new Segment.Cubic(c.c2(), c.c1(), nodes.get(at)));
            }
            return new Path(out);
        }
    }
}
