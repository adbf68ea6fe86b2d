package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import java.util.Set;

/** Takes a kit away; the drawings it chose stay. */
public record DropKit(String kit) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KITS.all());
    }

    @Override
    public String describe(Character before) {
        return "Took away the kit " + Kits.name(before, kit);
    }

    @Override
    public Outcome on(Character before) {
        return Kits.find(before, kit).isEmpty()
                ? Kits.gone(kit)
                : new Outcome.Done(before.withLibrary(library -> library.withKits(before.library().kits().stream()
                        .filter(k -> !k.id().equals(kit))
                        .toList())));
    }
}
