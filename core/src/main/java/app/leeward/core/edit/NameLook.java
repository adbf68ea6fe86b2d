package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import java.util.Optional;
import java.util.Set;

/** Renames a look and says under which collection it is shown; empty for none. */
public record NameLook(String look, String name, String collection) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.LOOK.of(look));
    }

    @Override
    public String describe(Character before) {
        String was = before.look(look).map(Look::name).orElse(look);
        return was.equals(name.strip())
                ? "Put the look " + was + " under " + (collection.isBlank() ? "no collection" : collection.strip())
                : "Renamed the look " + was + " to " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name)
                .or(() -> collection == null || collection.isBlank() ? Optional.empty() : Edits.badName(collection));
        if (bad.isPresent()) {
            return bad.get();
        }
        if (before.look(look).isEmpty()) {
            return DropLook.gone(look);
        }
        return new Outcome.Done(before.withLibrary(library -> library.withLooks(before.library().looks().stream()
                .map(l -> l.id().equals(look) ? l.named(name.strip(), collection) : l)
                .toList())));
    }
}
