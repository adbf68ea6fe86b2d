package app.leeward.core.edit;

import app.leeward.core.art.Box;
import app.leeward.core.art.MirroredPoints;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Drags a point, or a handle of one, of an outline.
 *
 * @param shape its place in the drawing, 0 for the back
 * @param at the segment that ends in the point
 * @param to in the coordinates of the drawing
 * @param mirrored whether what lies opposite, about the outline's own middle, goes along as in a mirror
 */
public record MovePoint(
        String part, String drawing, int shape, int at, PathPoints.Hold hold, Point to, boolean mirrored)
        implements ShapeEdit {
    public MovePoint(String part, String drawing, int shape, int at, PathPoints.Hold hold, Point to) {
        this(part, drawing, shape, at, hold, to, false);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Moved a point in " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        return Edits.tooFar(before, to.x(), to.y())
                ? Edits.TOO_FAR
                : Redrawing.shape(before, part, drawing, shape, s -> s.withPath(moved(s.path())));
    }

    private Path moved(Path path) {
        Optional<Box> round = path.bounds();
        return mirrored && round.isPresent()
                ? MirroredPoints.moved(path, at, hold, to, round.get().centre().x())
                : PathPoints.moved(path, at, hold, to);
    }
}
