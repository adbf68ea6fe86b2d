package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the shapes of a mouth are where no name says it: hardly anybody names the paths within a mouth. A dark patch is the
 * opening, light ones in it are teeth, reddish ones low in it the tongue, a lighter patch that shows round it all the lips.
 * Colours are CIE L*a*b*; the limits are by eye, over the mouths of some thirty faces.
 */
final class MouthShapes {
    /** Up to this lightness a patch may be the inside of a mouth. */
    private static final double DARK = 45;
    /** A lighter one is it where it has a line round it and something lies in it. */
    private static final double REDDISH = 60;
    /** From so much red on, between these two lightnesses, it may be a tongue. */
    private static final double RED = 15;

    private static final double DULL = 25;
    private static final double BRIGHT = 78;

    /** The opening is at least so wide beside the widest shape. */
    private static final double OPENING = 0.4;
    /** How far teeth and tongue may reach over the opening's edge, as a share of its width. */
    private static final double OVER = 0.08;
    /** What is narrower than this share of the opening is a shine, unless it stands on the opening's edge: then it is a lone tooth. */
    private static final double NARROW = 0.3;

    private static final double LONE_TOOTH = 0.1;
    /** How much of a dark patch another one fills that leaves a line of it to be seen, as a share of its width and height. */
    private static final double FILLS = 0.65;
    /** A line no further from the opening's edge than this share of its width is the line round the mouth. */
    private static final double LINE = 0.04;

    private MouthShapes() {}

    /** The shapes in the order they are painted, those that had no role with the one they look like, where they look like any. */
    static List<Shape> guessed(List<Shape> shapes) {
        Optional<Shape> opening = opening(shapes);
        if (opening.isEmpty()) {
            return shapes;
        }
        Box hole = opening.get().path().bounds().orElseThrow();
        boolean named = opening.get().role() != ShapeRole.OTHER;
        int at = shapes.indexOf(opening.get());
        List<Shape> out = new ArrayList<>();
        boolean found = false;
        for (int i = 0; i < shapes.size(); i++) {
            Shape s = shapes.get(i);
            ShapeRole role = s.role() != ShapeRole.OTHER || i == at
                    ? s.role()
                    : i < at ? behind(s, opening.get()) : within(s, opening.get(), hole);
            found |= role != s.role();
            out.add(role == s.role() && !role.behindWindow() ? s : masked(s.withRole(role, s.masked()), opening.get()));
        }
        if (found && !named) {
            out.set(at, opening.get().withRole(ShapeRole.WINDOW, opening.get().masked()));
        }
        return found ? out : shapes;
    }

    /** What the file clips to the opening shows through it. */
    private static Shape masked(Shape s, Shape opening) {
        List<Clip> others = s.clips().stream()
                .filter(c -> !ClippedShapes.outlines(c, opening))
                .toList();
        return s.role().behindWindow() && others.size() < s.clips().size()
                ? s.withRole(s.role(), true).withClips(others)
                : s;
    }

    /** With what a picture shows told apart as well. */
    static Shape within(Shape s) {
        return s.fill() instanceof Paint.Picture p && p.traced().size() > 1
                ? s.withFill(p.withTraced(guessed(p.traced())))
                : s;
    }

    /** The patch that a name calls so, or else the widest dark one that nothing is known about. */
    private static Optional<Shape> opening(List<Shape> shapes) {
        double widest = shapes.stream().mapToDouble(s -> s.path().width()).max().orElse(0);
        Optional<Shape> named = shapes.stream()
                .filter(s -> s.role() == ShapeRole.WINDOW || s.role() == ShapeRole.INSIDE)
                .filter(s -> s.path().width() > 0)
                .findFirst();
        return named.or(() -> widest(shapes, widest, DARK).map(o -> inner(shapes, o)))
                .or(() -> widest(shapes, widest, REDDISH)
                        .filter(s -> s.stroke().visible())
                        .filter(s -> shapes.stream().anyMatch(o -> o != s && inside(o, s))));
    }

    /** Where a second dark patch nearly fills the widest one, that is the opening, and the widest the line round it, drawn as an area. */
    private static Shape inner(List<Shape> shapes, Shape outer) {
        Box round = outer.path().bounds().orElseThrow();
        return shapes.subList(shapes.indexOf(outer) + 1, shapes.size()).stream()
                .filter(s -> s.role() == ShapeRole.OTHER && s.path().closes())
                .filter(s -> flat(s).filter(c -> c.l() < DARK).isPresent())
                .filter(s -> s.path()
                        .bounds()
                        .filter(b -> holds(round, b)
                                && b.width() > FILLS * round.width()
                                && b.height() > FILLS * round.height())
                        .isPresent())
                .findFirst()
                .orElse(outer);
    }

    private static boolean holds(Box round, Box b) {
        return round.minX() <= b.minX()
                && round.minY() <= b.minY()
                && round.maxX() >= b.maxX()
                && round.maxY() >= b.maxY();
    }

    private static Optional<Shape> widest(List<Shape> shapes, double widest, double darkerThan) {
        return shapes.stream()
                .filter(s -> s.role() == ShapeRole.OTHER
                        && s.path().closes()
                        && s.path().width() >= OPENING * widest)
                .filter(s -> flat(s).filter(c -> c.l() < darkerThan).isPresent())
                .max(Comparator.comparingDouble(s -> s.path().width()));
    }

    private static boolean inside(Shape piece, Shape opening) {
        Optional<Box> own = piece.path().bounds();
        return piece.path().closes()
                && flat(piece).isPresent()
                && own.isPresent()
                && piece.path().width() < opening.path().width()
                && opening.path()
                        .bounds()
                        .filter(hole -> hole.contains(own.get().centre()))
                        .isPresent();
    }

    /** A patch of another colour that shows round the opening. */
    private static ShapeRole behind(Shape s, Shape opening) {
        Box lips = s.path().bounds().orElse(null);
        Box hole = opening.path().bounds().orElseThrow();
        boolean round = lips != null
                && s.path().closes()
                && flat(s).filter(c -> c.l() >= DARK || holds(lips, hole)).isPresent()
                && lips.minX() <= hole.minX() + OVER * hole.width()
                && lips.maxX() >= hole.maxX() - OVER * hole.width()
                && lips.height() > hole.height();
        return round ? ShapeRole.LIPS : ShapeRole.OTHER;
    }

    private static ShapeRole within(Shape s, Shape opening, Box hole) {
        Box own = s.bounds().orElse(null);
        double over = OVER * hole.width();
        if (own != null && line(s) && s.path().closes() && like(own, hole, LINE * hole.width())) {
            return ShapeRole.OUTLINE;
        }
        boolean inside = own != null
                && own.minX() >= hole.minX() - over
                && own.maxX() <= hole.maxX() + over
                && own.minY() >= hole.minY() - over
                && own.maxY() <= hole.maxY() + over;
        Optional<Lab> colour = inside ? flat(s) : Optional.empty();
        if (colour.isEmpty()) {
            return ShapeRole.OTHER;
        }
        boolean wide = own.width() > NARROW * hole.width();
        boolean high = own.centre().y() <= hole.centre().y();
        Lab c = colour.get();
        if (c.white()) {
            boolean stands = own.width() > LONE_TOOTH * hole.width()
                    && (high ? own.minY() <= hole.minY() + over : own.maxY() >= hole.maxY() - over);
            ShapeRole teeth = high ? ShapeRole.UPPER_TEETH : ShapeRole.LOWER_TEETH;
            return wide || stands ? teeth : ShapeRole.OTHER;
        }
        boolean tongue = wide && c.a() >= RED && c.l() > DULL && c.l() < BRIGHT && !high;
        return tongue && flat(opening).filter(o -> o.difference(c) > 5).isPresent()
                ? ShapeRole.TONGUE
                : ShapeRole.OTHER;
    }

    private static boolean line(Shape s) {
        return s.fill() instanceof Paint.None && s.stroke().visible();
    }

    private static boolean like(Box a, Box b, double near) {
        return Math.abs(a.minX() - b.minX()) < near
                && Math.abs(a.maxX() - b.maxX()) < near
                && Math.abs(a.minY() - b.minY()) < near
                && Math.abs(a.maxY() - b.maxY()) < near;
    }

    private static Optional<Lab> flat(Shape s) {
        return s.fill().mainColour().map(Lab::of);
    }
}
