package app.leeward.core.edit;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;
import app.leeward.core.art.Wrist;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Says where a hand drawing's wrist is; the drawing stays. Points in the wrong order are put in the right one: the first is the
 * left one, seen from the arm towards the fingers.
 */
public record SetWrist(String part, String drawing, Point first, Point second) implements HandEdit {
    public SetWrist {
        for (Point p : new Point[] {first, second}) {
            Numbers.finite("x", p.x());
            Numbers.finite("y", p.y());
        }
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Put the wrist of " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        Optional<Drawing> d = before.part(part).flatMap(p -> p.drawing(drawing));
        if (d.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        if (first.distance(second) < 1e-3) {
            return new Outcome.Refused(RefusalCode.WRIST_POINT, "The two points of a wrist must lie apart.");
        }
        Point fingers = d.get().art().bounds().map(Box::centre).orElse(first);
        Point across = second.minus(first);
        Point ahead = fingers.minus(new Wrist(first, second).middle());
        boolean right = ahead.x() * across.y() - ahead.y() * across.x() >= 0;
        Wrist wrist = right ? new Wrist(first, second) : new Wrist(second, first);
        return Edits.onPart(before, part, p -> p.withDrawing(drawing, x -> x.withWrist(Optional.of(wrist))));
    }
}
