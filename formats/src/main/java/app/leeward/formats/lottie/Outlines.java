package app.leeward.formats.lottie;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * An outline, as it is bent along a motion, as Lottie's bezier shapes: one for each sub-path, a vertex with the ways in and out of it.
 */
final class Outlines {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Vertices at one place, user units. */
    private static final double SAME = 1e-6;

    /** One sub-path: six numbers a vertex, where it is and its handles, all absolute. */
    private record Loop(List<double[]> vertices, boolean closed) {
        boolean endsWhereItBegan() {
            double[] first = vertices.get(0);
            double[] last = vertices.get(vertices.size() - 1);
            return closed
                    && vertices.size() > 1
                    && Math.abs(first[0] - last[0]) < SAME
                    && Math.abs(first[1] - last[1]) < SAME;
        }

        double[] flat(boolean joined) {
            int count = joined ? vertices.size() - 1 : vertices.size();
            double[] out = new double[6 * count];
            for (int i = 0; i < count; i++) {
                System.arraycopy(vertices.get(i), 0, out, 6 * i, 6);
            }
            if (joined) {
                // the way into the last vertex is the way into the first
                System.arraycopy(vertices.get(count), 2, out, 2, 2);
            }
            return out;
        }
    }

    private Outlines() {}

    /**
     * @param paths one for each exposure, with the same commands; null where it is not seen
     * @return {@code sh} items, one a sub-path
     */
    static List<ObjectNode> items(List<Path> paths, Keys keys, double near) {
        List<ObjectNode> items = new ArrayList<>();
        // what moves needs no more digits than it may be off by
        double grain = Math.pow(10, Math.max(0, Math.ceil(-Math.log10(near))));
        List<List<Loop>> loops =
                paths.stream().map(p -> p == null ? null : loops(p)).toList();
        List<Loop> first = loops.stream().filter(Objects::nonNull).findFirst().orElseThrow();
        for (int i = 0; i < first.size(); i++) {
            int n = i;
            boolean joined = loops.stream().filter(Objects::nonNull).allMatch(l -> l.get(n)
                    .endsWhereItBegan());
            boolean closed = first.get(n).closed();
            List<double[]> values = loops.stream()
                    .map(l -> l == null ? null : l.get(n).flat(joined))
                    .toList();
            ObjectNode shape = JSON.objectNode().put("ty", "sh");
            shape.set(
                    "ks",
                    keys.of(
                            values,
                            near,
                            v -> JSON.arrayNode().add(bezier(v, closed, grain)),
                            v -> bezier(v, closed, Math.max(100, grain))));
            items.add(shape);
        }
        return items;
    }

    /**
     * How an outline travels as a whole, from where it is first seen: a few numbers, where its points are many. What is left is how
     * it is bent.
     *
     * @return one for each exposure, null where it is not seen; empty for an outline that stays where it is
     */
    static List<double[]> drift(List<Path> paths) {
        Path first = paths.stream().filter(Objects::nonNull).findFirst().orElseThrow();
        if (first.isEmpty()
                || paths.stream().filter(Objects::nonNull).distinct().limit(2).count() < 2) {
            return List.of();
        }
        double[] from = middle(first);
        List<double[]> drift = new ArrayList<>();
        for (Path p : paths) {
            double[] at = p == null ? null : middle(p);
            drift.add(at == null ? null : new double[] {at[0] - from[0], at[1] - from[1]});
        }
        return drift;
    }

    /** The same outlines as if they had not travelled. */
    static List<Path> without(List<Path> paths, List<double[]> drift) {
        List<Path> out = new ArrayList<>();
        for (int e = 0; e < paths.size(); e++) {
            double[] by = drift.get(e);
            out.add(by == null ? null : paths.get(e).transform(Matrix.translate(-by[0], -by[1])));
        }
        return out;
    }

    private static double[] middle(Path p) {
        double x = 0;
        double y = 0;
        List<Point> points = p.points();
        for (Point q : points) {
            x += q.x() / points.size();
            y += q.y() / points.size();
        }
        return new double[] {x, y};
    }

    /** @param grain parts of a unit that it is written to */
    private static ObjectNode bezier(double[] v, boolean closed, double grain) {
        ArrayNode in = JSON.arrayNode();
        ArrayNode out = JSON.arrayNode();
        ArrayNode at = JSON.arrayNode();
        for (int i = 0; i < v.length; i += 6) {
            at.add(Keys.numbers(to(v[i], grain), to(v[i + 1], grain)));
            in.add(Keys.numbers(to(v[i + 2] - v[i], grain), to(v[i + 3] - v[i + 1], grain)));
            out.add(Keys.numbers(to(v[i + 4] - v[i], grain), to(v[i + 5] - v[i + 1], grain)));
        }
        ObjectNode bezier = JSON.objectNode().put("c", closed);
        bezier.set("v", at);
        bezier.set("i", in);
        bezier.set("o", out);
        return bezier;
    }

    private static double to(double v, double grain) {
        return Math.rint(v * grain) / grain;
    }

    private static List<Loop> loops(Path path) {
        List<Loop> loops = new ArrayList<>();
        List<double[]> vertices = new ArrayList<>();
        Point start = new Point(0, 0);
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Move m) {
                end(loops, vertices, false);
                vertices = new ArrayList<>();
                start = m.to();
                vertices.add(vertex(start));
            } else if (s instanceof Segment.Close) {
                end(loops, vertices, true);
                vertices = new ArrayList<>();
                // what follows without a move begins where this one did
                vertices.add(vertex(start));
            } else if (s instanceof Segment.Line l) {
                vertices.add(vertex(l.to()));
            } else if (s instanceof Segment.Cubic c) {
                double[] from = vertices.get(vertices.size() - 1);
                from[4] = c.c1().x();
                from[5] = c.c1().y();
                double[] to = vertex(c.to());
                to[2] = c.c2().x();
                to[3] = c.c2().y();
                vertices.add(to);
            }
        }
        end(loops, vertices, false);
        return loops;
    }

    private static void end(List<Loop> loops, List<double[]> vertices, boolean closed) {
        if (vertices.size() > 1) {
            loops.add(new Loop(vertices, closed));
        }
    }

    private static double[] vertex(Point p) {
        return new double[] {p.x(), p.y(), p.x(), p.y(), p.x(), p.y()};
    }
}
