package app.leeward.core.edit;

import app.leeward.core.art.PathPoints;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a point out of an outline. */
public record RemovePoint(String part, String drawing, int shape, int at) implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Took a point out of " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Redrawing.shape(before, part, drawing, shape, s -> s.withPath(PathPoints.removed(s.path(), at)));
    }
}
