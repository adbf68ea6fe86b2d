package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

public record Rename(String name) implements SheetEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.NAME.all());
    }

    @Override
    public String describe(Character before) {
        return "Renamed the character from " + before.name() + " to " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        return Edits.badName(name).orElseGet(() -> new Outcome.Done(before.withName(name.strip())));
    }
}
