package app.leeward.core.edit;

import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Puts a shape elsewhere in the order of its drawing.
 *
 * @param to its new place, 0 for the back
 */
public record OrderShape(String part, String drawing, int shape, int to) implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Reordered the shapes in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Redrawing.shapes(before, part, drawing, all -> {
            List<Shape> out = new ArrayList<>(all);
            if (shape >= 0 && shape < out.size()) {
                Shape moved = out.remove(shape);
                out.add(Math.max(0, Math.min(out.size(), to)), moved);
            }
            return out;
        });
    }
}
