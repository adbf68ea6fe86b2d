package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

public record RenamePart(String part, String name) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.NAME.of(part));
    }

    @Override
    public String describe(Character before) {
        return "Renamed " + Edits.nameOf(before, part) + " to " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        return Edits.badName(name).orElseGet(() -> Edits.onPart(before, part, p -> p.withName(name.strip())));
    }
}
