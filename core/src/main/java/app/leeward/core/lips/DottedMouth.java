package app.leeward.core.lips;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A mouth drawn as a row of dots, a snowman's: the line through their middles, as thick as they are. */
final class DottedMouth {
    private static final int LEAST = 3;
    /** A dot is no wider than this share of the row. */
    private static final double SMALL = 0.3;

    private DottedMouth() {}

    /** @return empty where it is not all dots of one colour */
    static Optional<Shape> line(Artwork art) {
        List<Shape> dots = art.shapes().stream()
                .filter(s -> isDot(s, art))
                .sorted(Comparator.comparingDouble(s -> middle(s).x()))
                .toList();
        if (dots.size() < LEAST || dots.size() < art.shapes().size()) {
            return Optional.empty();
        }
        List<Point> through = dots.stream().map(DottedMouth::middle).toList();
        double thick = dots.stream().mapToDouble(s -> box(s).height()).average().orElseThrow();
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(through.get(0)));
        for (int i = 0; i + 1 < through.size(); i++) {
            // Catmull and Rom 1974: the way at a point is that between its neighbours
            Point before = through.get(Math.max(0, i - 1));
            Point a = through.get(i);
            Point b = through.get(i + 1);
            Point after = through.get(Math.min(through.size() - 1, i + 2));
            out.add(new Segment.Cubic(
                    new Point(a.x() + (b.x() - before.x()) / 6, a.y() + (b.y() - before.y()) / 6),
                    new Point(b.x() - (after.x() - a.x()) / 6, b.y() - (after.y() - a.y()) / 6),
                    b));
        }
        Stroke stroke = new Stroke(dots.get(0).fill(), thick, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        return Optional.of(new Shape(
                "mouth line", ShapeRole.OUTLINE, new Path(out), Paint.NONE, FillRule.NONZERO, stroke, 1, false));
    }

    static boolean isDot(Shape s, Artwork art) {
        double all = art.bounds().map(Box::width).orElse(0.0);
        return s.role() == ShapeRole.OTHER
                && s.fill() instanceof Paint.Flat
                && s.path().bounds().isPresent()
                && box(s).width() < SMALL * all
                && box(s).height() < SMALL * all;
    }

    private static Box box(Shape s) {
        return s.path().bounds().orElseThrow();
    }

    private static Point middle(Shape s) {
        return box(s).centre();
    }
}
