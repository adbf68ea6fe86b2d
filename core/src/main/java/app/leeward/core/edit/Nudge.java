package app.leeward.core.edit;

import app.leeward.core.art.Numbers;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Moves a part in its rest pose.
 *
 * @param dx user units to the right
 * @param dy user units downwards
 */
public record Nudge(String part, double dx, double dy) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.PLACE.of(part));
    }

    @Override
    public String describe(Character before) {
        String across = dx == 0 ? "" : Edits.plain(Math.abs(dx)) + (dx > 0 ? " to the right" : " to the left");
        String down = dy == 0 ? "" : Edits.plain(Math.abs(dy)) + (dy > 0 ? " down" : " up");
        String and = across.isEmpty() || down.isEmpty() ? "" : " and ";
        return "Moved " + Edits.nameOf(before, part) + " " + across + and + down;
    }

    @Override
    public Outcome on(Character before) {
        Numbers.finite("nudge", dx + dy);
        return Edits.tooFar(before, dx, dy)
                ? Edits.TOO_FAR
                : Edits.onPart(before, part, p -> p.withRest(p.rest().movedBy(dx, dy)));
    }
}
