package app.leeward.core.edit;

import app.leeward.core.art.MirroredPoints;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Recorder;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Takes a point or handle of an outline elsewhere at a stop of a dial. The artwork stays as it was drawn.
 *
 * @param shape its place in the drawing, 0 for the back; of a window and an outline that are one curve the other goes along
 * @param segment the segment that ends in the point
 * @param dx how far right, in the coordinates of the drawing, from where the point is now
 * @param mirrored whether what lies opposite, about the outline's own middle, goes along as in a mirror
 */
public record PullPoint(
        String dial,
        double at,
        String part,
        String drawing,
        int shape,
        int segment,
        PathPoints.Hold hold,
        double dx,
        double dy,
        boolean mirrored)
        implements DialEdit, ShapesDial {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DIAL.of(dial));
    }

    @Override
    public String describe(Character before) {
        return OnDial.at(before, dial, at) + ": pulled a point of " + Edits.nameOf(before, part);
    }

    @Override
    public Outcome on(Character before) {
        if (Edits.tooFar(before, dx, dy)) {
            return Edits.TOO_FAR;
        }
        Optional<List<Shape>> shapes = before.part(part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.art().shapes());
        if (shapes.isEmpty() || shape < 0 || shape >= shapes.get().size()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such outline any more.");
        }
        Path path = shapes.get().get(shape).path();
        return OnDial.change(before, dial, d -> {
            OnDial.inside(d, at);
            if (at == d.rest()) {
                throw new Refusal(
                        RefusalCode.BAD_STOP,
                        "At rest the drawing is as it was drawn; put the dial where the change belongs first.");
            }
            Path pulled = pulled(path);
            var out = d;
            for (int i = 0; i < shapes.get().size(); i++) {
                // two shapes of one curve stay one curve, as in the artwork
                if (shapes.get().get(i).path().equals(path)) {
                    out = Recorder.reshaped(out, at, part, PointDeltas.between(drawing, i, path, pulled));
                }
            }
            return out;
        });
    }

    private Path pulled(Path path) {
        Point to = PathPoints.place(path, segment, hold).plus(new Point(dx, dy));
        return mirrored
                ? MirroredPoints.moved(
                        path,
                        segment,
                        hold,
                        to,
                        path.bounds().orElseThrow().centre().x())
                : PathPoints.moved(path, segment, hold, to);
    }
}
