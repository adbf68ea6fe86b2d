package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Set;

/** Lets the two sides of a mirrored part go their own ways. */
public record BreakLink(String part) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.LINK.of(part));
    }

    @Override
    public String describe(Character before) {
        return Edits.nameOf(before, part) + " and its other side go their own ways";
    }

    @Override
    public Outcome on(Character before) {
        if (before.rig().linkOf(part).isEmpty()) {
            return new Outcome.Refused(
                    RefusalCode.NO_LINK, Edits.nameOf(before, part) + " is not linked to another side.");
        }
        return new Outcome.Done(before.withRig(rig -> rig.withLinks(
                before.rig().links().stream().filter(l -> !l.joins(part)).toList())));
    }
}
