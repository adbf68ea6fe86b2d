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

/** A mouth drawn as two patches, an upper lip and a lower one: what opens lies between the lower edge of the one and the upper edge of the other. */
final class LipPair {
    /** Both reach over so much of their common width. */
    private static final double ACROSS = 0.6;
    /** Patches that lie over each other by more than this share of the width in the middle are lips that are shut. */
    private static final double SHUT = 0.02;

    private LipPair() {}

    /**
     * The opening as a shape with the line that the lips have, if they have one, and the fill of what lies inside.
     *
     * @return empty where there are no two patches of lips, or where a line or a window says what opens
     */
    static Optional<Shape> opening(Artwork art) {
        List<Shape> lips =
                art.shapes().stream().filter(s -> s.role() == ShapeRole.LIPS).toList();
        boolean said =
                art.shapes().stream().anyMatch(s -> s.role() == ShapeRole.WINDOW || s.role() == ShapeRole.OUTLINE);
        if (lips.size() < 2 || said) {
            return Optional.empty();
        }
        Box all = new Artwork(lips).bounds().orElseThrow();
        List<Shape> wide = lips.stream()
                .filter(s -> box(s).width() >= ACROSS * all.width())
                .sorted(Comparator.comparingDouble(s -> box(s).centre().y()))
                .toList();
        if (wide.size() < 2) {
            return Optional.empty();
        }
        Shape upper = wide.get(0);
        Shape lower = wide.get(wide.size() - 1);
        Arc over = Lips.of(upper.path()).lower().reversed();
        Arc under = Lips.of(lower.path()).upper();
        Path path = between(
                over,
                under,
                all.width(),
                art.shapes().indexOf(upper) > art.shapes().indexOf(lower));
        Stroke line = upper.stroke().visible() ? upper.stroke() : lower.stroke();
        Paint fill = art.shapes().stream()
                .filter(s -> s.role() == ShapeRole.INSIDE)
                .map(Shape::fill)
                .findFirst()
                .orElse(Paint.NONE);
        return Optional.of(new Shape("opening", ShapeRole.OUTLINE, path, fill, FillRule.NONZERO, line, 1, false));
    }

    private static Box box(Shape s) {
        return s.path().bounds().orElse(new Box(0, 0, 0, 0));
    }

    /** Once round the opening; where the lips lie on each other, along the edge of the one in front and back again. */
    private static Path between(Arc over, Arc under, double width, boolean upperInFront) {
        Point left = outer(over.start(), under.start(), -1);
        Point right = outer(over.end(), under.end(), 1);
        double gap = under.atShare(0.5).y() - over.atShare(0.5).y();
        boolean shut = gap < -SHUT * width;
        Arc top = ending(shut && !upperInFront ? under : over, left, right);
        Arc bottom = ending(shut && upperInFront ? over : under, left, right);
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(left));
        top.addTo(out);
        bottom.reversed().addTo(out);
        out.add(new Segment.Close());
        return new Path(out);
    }

    /** Of two points the one further to a side. */
    private static Point outer(Point a, Point b, int side) {
        return side * a.x() >= side * b.x() ? a : b;
    }

    private static Arc ending(Arc arc, Point left, Point right) {
        List<Point> points = new ArrayList<>(arc.points());
        points.set(0, left);
        points.set(points.size() - 1, right);
        return new Arc(points);
    }
}
