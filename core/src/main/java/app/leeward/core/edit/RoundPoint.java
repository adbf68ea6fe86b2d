package app.leeward.core.edit;

import app.leeward.core.art.PathPoints;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Makes a point of an outline smooth, or a corner. */
public record RoundPoint(String part, String drawing, int shape, int at, boolean smooth) implements ShapeEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Made a point " + (smooth ? "smooth" : "a corner") + " in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Redrawing.shape(before, part, drawing, shape, s -> s.withPath(PathPoints.rounded(s.path(), at, smooth)));
    }
}
