package app.leeward.core.edit;

import app.leeward.core.art.PathPoints;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Puts one more point on an outline, which does not change by it.
 *
 * @param at the segment it lies on
 * @param t how far along the segment, 0 to 1
 */
public record AddPoint(String part, String drawing, int shape, int at, double t) implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Added a point in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Redrawing.shape(before, part, drawing, shape, s -> s.withPath(PathPoints.added(s.path(), at, t)));
    }
}
