package app.leeward.core.edit;

import app.leeward.core.art.Grip;
import app.leeward.core.art.Point;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Puts the grip of one drawing of a hand, or takes it away.
 *
 * @param at in the drawing's coordinates; empty for a drawing that holds nothing
 * @param angle by which what is held is turned, degrees, clockwise
 */
public record SetGrip(String part, String drawing, Optional<Point> at, double angle) implements HandEdit {
    public SetGrip {
        at = at == null ? Optional.empty() : at;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.GRIP.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return at.map(p -> "Grip of ").orElse("No grip for ") + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        if (before.part(part).flatMap(p -> p.drawing(drawing)).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        if (!Double.isFinite(angle)) {
            return new Outcome.Refused(RefusalCode.NO_NUMBER, "A grip's angle is a number of degrees.");
        }
        if (at.isPresent() && Edits.tooFar(before, at.get().x(), at.get().y())) {
            return Edits.TOO_FAR;
        }
        Optional<Grip> grip = at.map(p -> new Grip(p, angle % 360));
        return Edits.onPart(before, part, p -> p.withDrawing(drawing, d -> d.withGrip(grip)));
    }
}
