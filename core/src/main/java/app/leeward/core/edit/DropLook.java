package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import java.util.Set;

/** Takes a look away. */
public record DropLook(String look) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.LOOK.of(look));
    }

    @Override
    public String describe(Character before) {
        return "Took away the look " + before.look(look).map(Look::name).orElse(look);
    }

    @Override
    public Outcome on(Character before) {
        return before.look(look).isEmpty()
                ? gone(look)
                : new Outcome.Done(before.withLibrary(library -> library.withLooks(before.library().looks().stream()
                        .filter(l -> !l.id().equals(look))
                        .toList())));
    }

    static Outcome gone(String look) {
        return new Outcome.Refused(RefusalCode.NO_LOOK, "There is no look '" + look + "' any more.");
    }
}
