package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/**
 * Finds stray geometry: shapes without area or paint, outside the canvas and apart from the figure, or covered by others of their
 * drawing.
 */
public final class Strays {
    /** Square units under which a fill without a line cannot be seen. */
    private static final double SPECK = 0.01;
    /** A shape this far from the figure, as a share of the figure's larger side, is no part of it. */
    private static final double APART = 0.1;

    private final Character character;
    private final Evaluator rest;
    /** The figure: what lies on the canvas, and all that hangs together with it however far it reaches beyond. */
    private Optional<Box> figure;

    private Strays(Character c) {
        character = c;
        rest = new Evaluator(c);
    }

    public static List<Stray> in(Character c) {
        Strays strays = new Strays(c);
        List<Stray> found = new ArrayList<>();
        for (Part p : c.rig().parts()) {
            for (Drawing d : p.drawings()) {
                List<Shape> shapes = d.art().shapes();
                for (int i = 0; i < shapes.size(); i++) {
                    int at = i;
                    strays.why(p, shapes, i)
                            .ifPresent(w -> found.add(
                                    new Stray(p.id(), d.id(), at, shapes.get(at).name(), w)));
                }
            }
        }
        return found;
    }

    private Optional<String> why(Part p, List<Shape> shapes, int i) {
        Shape s = shapes.get(i);
        // the pieces of a mouth lie behind one another on purpose, also in a layer that is not known for a mouth yet
        if (s.role() != ShapeRole.OTHER || ShapeNames.read(s.name()).isPresent()) {
            return Optional.empty();
        }
        boolean line = s.stroke().visible();
        if (s.opacity() == 0 || !line && s.fill() instanceof Paint.None) {
            return Optional.of("it has neither fill nor line");
        }
        Optional<Box> box = s.path().transform(rest.atRest(Optional.of(p.id()))).bounds();
        if (box.isEmpty() || !line && Regions.of(s.path()).getArea() < SPECK) {
            return Optional.of("it has no area");
        }
        if (outside(box.get(), s.stroke().width())) {
            return Optional.of("it lies outside the canvas");
        }
        return covered(shapes, i)
                ? Optional.of("it is fully hidden behind another shape of its drawing")
                : Optional.empty();
    }

    /** Whether a shape lies off the canvas and apart from the figure, much of which may lie outside before it is fitted. */
    private boolean outside(Box b, double line) {
        if (touches(b, line, character.sheet().canvas())) {
            return false;
        }
        if (figure == null) {
            figure = figure();
        }
        return figure.map(f -> !near(f, b)).orElse(true);
    }

    private Optional<Box> figure() {
        List<Box> on = new ArrayList<>();
        List<Box> off = new ArrayList<>();
        for (Part p : character.rig().parts()) {
            Matrix at = rest.atRest(Optional.of(p.id()));
            for (Drawing d : p.drawings()) {
                for (Shape s : d.art().shapes()) {
                    boolean line = s.stroke().visible();
                    if (s.opacity() > 0 && (line || !(s.fill() instanceof Paint.None))) {
                        s.path().transform(at).bounds().ifPresent(b -> (touches(
                                                b,
                                                s.stroke().width(),
                                                character.sheet().canvas())
                                        ? on
                                        : off)
                                .add(b));
                    }
                }
            }
        }
        // nothing of it lies on the canvas: it is where its largest shape is
        Optional<Box> grown = on.stream().reduce(Box::union).or(() -> off.stream()
                .max(Comparator.comparingDouble(b -> b.width() * b.height())));
        boolean more = grown.isPresent();
        while (more) {
            Box now = grown.get();
            List<Box> reached = off.stream().filter(b -> near(now, b)).toList();
            more = off.removeAll(reached);
            grown = reached.stream().reduce(Box::union).map(now::union).or(() -> Optional.of(now));
        }
        return grown;
    }

    private static boolean near(Box figure, Box b) {
        double reach = APART * Math.max(figure.width(), figure.height());
        double across = Math.max(b.minX() - figure.maxX(), figure.minX() - b.maxX());
        double down = Math.max(b.minY() - figure.maxY(), figure.minY() - b.maxY());
        return Math.max(across, down) <= reach;
    }

    private static boolean touches(Box b, double line, Canvas canvas) {
        return b.maxX() + line >= 0
                && b.maxY() + line >= 0
                && b.minX() - line <= canvas.width()
                && b.minY() - line <= canvas.height();
    }

    private static boolean covered(List<Shape> shapes, int i) {
        Shape s = shapes.get(i);
        Box own = s.path().bounds().orElseThrow();
        Geometry area = null;
        for (int k = i + 1; k < shapes.size(); k++) {
            Shape over = shapes.get(k);
            boolean solid = over.opacity() == 1 && !over.masked() && opaque(over.fill());
            Optional<Box> box = over.path().bounds();
            if (solid && box.isPresent() && within(own, box.get())) {
                if (area == null) {
                    Geometry fill = Regions.of(s.path());
                    area = s.stroke().visible() ? fill.buffer(s.stroke().width() / 2) : fill;
                }
                if (!area.isEmpty() && Regions.of(over.path()).covers(area)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean opaque(Paint p) {
        return p instanceof Paint.Flat f && f.opacity() == 1
                || p instanceof Paint.Gradient g && g.stops().stream().allMatch(x -> x.opacity() == 1);
    }

    private static boolean within(Box inner, Box outer) {
        return inner.minX() >= outer.minX()
                && inner.minY() >= outer.minY()
                && inner.maxX() <= outer.maxX()
                && inner.maxY() <= outer.maxY();
    }
}
