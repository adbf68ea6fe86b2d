package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What the edits of the shape editor have in common: they change one shape, or the list of shapes, of one drawing. */
final class Redrawing {
    private Redrawing() {}

    static Outcome shapes(Character c, String part, String drawing, UnaryOperator<List<Shape>> change) {
        Optional<Part> p = c.part(part);
        if (p.isEmpty()) {
            return Edits.noPart(part);
        }
        if (p.get().drawing(drawing).isEmpty()) {
            return new Outcome.Refused("no-drawing", p.get().name() + " has no drawing '" + drawing + "' any more.");
        }
        List<Drawing> drawings = p.get().drawings().stream()
                .map(d -> d.id().equals(drawing)
                        ? new Drawing(
                                d.id(),
                                d.name(),
                                new Artwork(change.apply(d.art().shapes())))
                        : d)
                .toList();
        return new Outcome.Done(c.withPart(part, q -> q.withDrawings(drawings, q.shown())));
    }

    static Outcome shape(Character c, String part, String drawing, int shape, UnaryOperator<Shape> change) {
        try {
            return shapes(c, part, drawing, all -> {
                List<Shape> out = new ArrayList<>(all);
                if (shape < 0 || shape >= out.size()) {
                    throw new IllegalArgumentException("There is no such shape in the drawing any more.");
                }
                Shape before = out.get(shape);
                Shape after = change.apply(before);
                out.set(shape, after);
                if (edge(before)) {
                    // a window and its outline that are one curve stay one curve
                    out.replaceAll(s ->
                            s != after && edge(s) && s.path().equals(before.path()) ? s.withPath(after.path()) : s);
                }
                return out;
            });
        } catch (IllegalArgumentException e) {
            return new Outcome.Refused("no-such-point", e.getMessage());
        }
    }

    private static boolean edge(Shape s) {
        return s.role() == ShapeRole.WINDOW || s.role() == ShapeRole.OUTLINE;
    }

    /** How a drawing is called in a sentence. */
    static String name(Character c, String part, String drawing) {
        String of =
                c.part(part).flatMap(p -> p.drawing(drawing)).map(Drawing::name).orElse(drawing);
        return "drawing " + of + " of " + Edits.nameOf(c, part);
    }
}
