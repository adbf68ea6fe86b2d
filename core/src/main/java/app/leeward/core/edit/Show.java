package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import java.util.Optional;
import java.util.Set;

/** Makes a drawing, or nothing, the one a part shows by default. */
public record Show(String part, String drawing) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.SHOWN.of(part));
    }

    @Override
    public String describe(Character before) {
        String what = before.part(part)
                .flatMap(p -> p.drawing(drawing))
                .map(d -> d.name())
                .orElse(drawing);
        return Edits.nameOf(before, part) + " shows " + what + " by default";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> shown = before.part(part);
        if (shown.isEmpty()) {
            return Edits.noPart(part);
        }
        return shown.get().offers(drawing)
                ? Edits.onPart(before, part, p -> p.withShown(drawing))
                : new Outcome.Refused(
                        RefusalCode.NO_DRAWING, shown.get().name() + " has no drawing '" + drawing + "'.");
    }
}
