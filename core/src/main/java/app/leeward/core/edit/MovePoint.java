package app.leeward.core.edit;

import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Drags a point, or a handle of one, of an outline.
 *
 * @param shape its place in the drawing, 0 for the back
 * @param at the segment that ends in the point
 * @param to in the coordinates of the drawing
 */
public record MovePoint(String part, String drawing, int shape, int at, PathPoints.Hold hold, Point to)
        implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("art of " + part + "/" + drawing);
    }

    @Override
    public String describe(Character before) {
        return "Moved a point in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Edits.tooFar(before, to.x(), to.y())
                ? Edits.TOO_FAR
                : Redrawing.shape(
                        before, part, drawing, shape, s -> s.withPath(PathPoints.moved(s.path(), at, hold, to)));
    }
}
