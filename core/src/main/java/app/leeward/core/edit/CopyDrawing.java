package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Duplicates a drawing as the start of another. */
public record CopyDrawing(String part, String drawing, String name) implements DrawingEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part, drawing));
    }

    @Override
    public String describe(Character before) {
        return "Copied " + Redrawing.name(before, part, drawing) + " as " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused = Edits.badName(name);
        if (refused.isPresent()) {
            return refused.get();
        }
        Optional<Drawing> from = before.part(part).flatMap(p -> p.drawing(drawing));
        if (from.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        return Edits.onPart(before, part, p -> {
            List<Drawing> drawings = new ArrayList<>(p.drawings());
            Set<String> taken = drawings.stream().map(Drawing::id).collect(Collectors.toSet());
            drawings.add(from.get().withId(Ids.unused(name, taken)).withName(name.strip()));
            return p.withDrawings(drawings, p.shown());
        });
    }
}
