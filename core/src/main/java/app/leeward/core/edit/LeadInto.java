package app.leeward.core.edit;

import app.leeward.core.lips.MouthProblem;
import app.leeward.core.lips.MouthSet;
import app.leeward.core.rig.Character;
import java.util.Set;

/**
 * Adds a drawing on the way into a mouth, halfway from another; there are at most one for each mouth, and a new one takes its
 * place.
 *
 * @param drawing id of the mouth it leads into
 * @param from id of the mouth it comes from
 */
public record LeadInto(String drawing, String from) implements MouthEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.INBETWEEN.of(drawing));
    }

    @Override
    public String describe(Character before) {
        String part = before.voice().mouths().part().orElse("");
        return "In-between on the way into " + Redrawing.name(before, part, drawing);
    }

    @Override
    public Outcome on(Character before) {
        try {
            return new Outcome.Done(MouthSet.ledInto(before, drawing, from));
        } catch (MouthProblem e) {
            return new Outcome.Refused(e.reason(), e.getMessage());
        }
    }
}
