package app.leeward.core.intake;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;

/** Finds stray geometry: shapes without area or paint, outside the canvas, or covered by others of their drawing. */
public final class Strays {
    /** Square units under which a fill without a line cannot be seen. */
    private static final double SPECK = 0.01;

    private Strays() {}

    public static List<Stray> in(Character c) {
        List<Stray> found = new ArrayList<>();
        for (Part p : c.rig().parts()) {
            for (Drawing d : p.drawings()) {
                List<Shape> shapes = d.art().shapes();
                for (int i = 0; i < shapes.size(); i++) {
                    int at = i;
                    why(c, p, shapes, i)
                            .ifPresent(w -> found.add(
                                    new Stray(p.id(), d.id(), at, shapes.get(at).name(), w)));
                }
            }
        }
        return found;
    }

    private static Optional<String> why(Character c, Part p, List<Shape> shapes, int i) {
        Shape s = shapes.get(i);
        // the pieces of a mouth lie behind one another on purpose, also in a layer that is not known for a mouth yet
        if (s.role() != ShapeRole.OTHER || ShapeNames.read(s.name()).isPresent()) {
            return Optional.empty();
        }
        boolean line = s.stroke().visible();
        if (s.opacity() == 0 || !line && s.fill() instanceof Paint.None) {
            return Optional.of("it has neither fill nor line");
        }
        Optional<Box> box = s.path().transform(p.restMatrix()).bounds();
        if (box.isEmpty() || !line && Regions.of(s.path()).getArea() < SPECK) {
            return Optional.of("it has no area");
        }
        Box b = box.get();
        double w = s.stroke().width();
        if (b.maxX() + w < 0
                || b.maxY() + w < 0
                || b.minX() - w > c.sheet().canvas().width()
                || b.minY() - w > c.sheet().canvas().height()) {
            return Optional.of("it lies outside the canvas");
        }
        return covered(shapes, i)
                ? Optional.of("it is fully hidden behind another shape of its drawing")
                : Optional.empty();
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
