package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Says where one drawing of a part lies while it is shown.
 *
 * @param over the part it lies directly over; empty to let it lie where its part does
 */
public record StackDrawing(String part, String drawing, Optional<String> over) implements DrawingEdit {
    public StackDrawing {
        over = over == null ? Optional.empty() : over;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.STACK.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        String name = Redrawing.name(before, part, drawing);
        return over.map(o -> name + " lies over " + Edits.nameOf(before, o)).orElse(name + " lies where its part does");
    }

    @Override
    public Outcome on(Character before) {
        if (before.part(part).flatMap(p -> p.drawing(drawing)).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        if (over.isPresent() && before.part(over.get()).isEmpty()) {
            return Edits.noPart(over.get());
        }
        if (over.equals(Optional.of(part))) {
            return new Outcome.Refused(RefusalCode.STACK_ITSELF, "A drawing cannot lie over its own part.");
        }
        return Edits.onPart(before, part, p -> p.withDrawing(drawing, d -> d.withOver(over)));
    }
}
