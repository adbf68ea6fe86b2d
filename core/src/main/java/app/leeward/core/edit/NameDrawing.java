package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import java.util.Optional;
import java.util.Set;

/** Gives a drawing of a part another name; two drawings of one part never have the same. */
public record NameDrawing(String part, String drawing, String name) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.NAME.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Named " + Redrawing.name(before, part, drawing) + " " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name);
        if (bad.isPresent()) {
            return bad.get();
        }
        if (before.part(part).flatMap(p -> p.drawing(drawing)).isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        boolean taken = before.part(part).orElseThrow().drawings().stream()
                .anyMatch(d -> !d.id().equals(drawing) && d.name().equalsIgnoreCase(name.strip()));
        if (taken) {
            return new Outcome.Refused(
                    RefusalCode.NAME_TAKEN,
                    Edits.nameOf(before, part) + " has a drawing called " + name.strip() + " already.");
        }
        return Edits.onPart(
                before,
                part,
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> d.id().equals(drawing) ? d.withName(name.strip()) : d)
                                .toList(),
                        p.shown()));
    }
}
