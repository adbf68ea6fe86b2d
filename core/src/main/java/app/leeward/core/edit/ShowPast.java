package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/**
 * Lets a part show only past the edge of another's fill.
 *
 * @param by the other; empty to let all of it show again
 */
public record ShowPast(String part, Optional<String> by) implements PartEdit {
    public ShowPast {
        by = by == null ? Optional.empty() : by;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.EDGE.of(part));
    }

    @Override
    public String describe(Character before) {
        return Edits.nameOf(before, part)
                + by.map(b -> " shows only past the edge of " + Edits.nameOf(before, b))
                        .orElse(" shows on this side of every edge again");
    }

    @Override
    public Outcome on(Character before) {
        if (before.part(part).isEmpty()) {
            return Edits.noPart(part);
        }
        if (by.isPresent() && before.part(by.get()).isEmpty()) {
            return Edits.noPart(by.get());
        }
        if (by.equals(Optional.of(part))) {
            return new Outcome.Refused(RefusalCode.OWN_EDGE, "A part cannot show past its own edge.");
        }
        if (by.flatMap(before::part).filter(p -> p.drawings().isEmpty()).isPresent()) {
            return new Outcome.Refused(
                    RefusalCode.NO_WINDOW,
                    Edits.nameOf(before, by.get()) + " has no drawing, so it has no edge to show past.");
        }
        return Edits.onPart(before, part, p -> p.withPastEdges(by.stream().toList()));
    }
}
