package app.leeward.core.edit;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Says whether a shape of a hand's drawing lies before what the hand holds, or behind it.
 *
 * @param shape which shape of the drawing, from 0
 */
public record MarkFingers(String part, String drawing, int shape, boolean before) implements HandEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character now) {
        return "Shape " + (shape + 1) + " of " + Redrawing.name(now, part, drawing)
                + (before ? " lies before what is held" : " lies behind what is held");
    }

    @Override
    public Outcome on(Character now) {
        Optional<Drawing> d = now.part(part).flatMap(p -> p.drawing(drawing));
        if (d.isEmpty() || shape < 0 || shape >= d.get().art().shapes().size()) {
            return new Outcome.Refused(RefusalCode.NO_SHAPE, "There is no such shape any more.");
        }
        List<Shape> shapes = new ArrayList<>(d.get().art().shapes());
        Shape s = shapes.get(shape);
        shapes.set(shape, s.withRole(before ? ShapeRole.FINGERS : ShapeRole.OTHER, s.masked()));
        Part hand = now.part(part).orElseThrow();
        List<Drawing> drawings = hand.drawings().stream()
                .map(x -> x.id().equals(drawing) ? x.withArt(new Artwork(shapes)) : x)
                .toList();
        return new Outcome.Done(now.withPart(part, p -> p.withDrawings(drawings, p.shown())));
    }
}
