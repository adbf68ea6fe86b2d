package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Moves a drawing to another place in its set: the order they are offered in, and stepped through by the wheel.
 *
 * @param to the place it then has, from 0
 */
public record OrderDrawing(String part, String drawing, int to) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.DRAWINGS.of(part));
    }

    @Override
    public String describe(Character before) {
        return Redrawing.name(before, part, drawing) + " is number " + (to + 1) + " of its set";
    }

    @Override
    public Outcome on(Character before) {
        if (before.part(part).flatMap(p -> p.drawing(drawing)).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        List<Drawing> drawings = new ArrayList<>(before.part(part).orElseThrow().drawings());
        if (to < 0 || to >= drawings.size()) {
            return new Outcome.Refused(
                    RefusalCode.PLACE,
                    "The set has " + drawings.size() + " drawings; there is no place " + (to + 1) + ".");
        }
        Drawing moved = drawings.stream()
                .filter(d -> d.id().equals(drawing))
                .findFirst()
                .orElseThrow();
        drawings.remove(moved);
        drawings.add(to, moved);
        return Edits.onPart(before, part, p -> p.withDrawings(drawings, p.shown()));
    }
}
