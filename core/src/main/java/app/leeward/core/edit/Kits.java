package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What edits of kits have in common. */
final class Kits {
    private Kits() {}

    static Optional<Kit> find(Character c, String id) {
        return c.library().kits().stream().filter(k -> k.id().equals(id)).findFirst();
    }

    static String name(Character c, String id) {
        return find(c, id).map(Kit::name).orElse(id);
    }

    static Outcome change(Character c, String id, UnaryOperator<Kit> change) {
        return find(c, id).isEmpty()
                ? gone(id)
                : new Outcome.Done(c.withLibrary(library -> library.withKits(c.library().kits().stream()
                        .map(k -> k.id().equals(id) ? change.apply(k) : k)
                        .toList())));
    }

    static Outcome.Refused gone(String id) {
        return new Outcome.Refused(RefusalCode.NO_KIT, "There is no kit '" + id + "' any more.");
    }

    /** Another kit of that name in that set. */
    static Optional<Kit> namesake(Character c, String name, String set) {
        return c.library().kits().stream()
                .filter(k -> k.name().equalsIgnoreCase(name) && k.set().equalsIgnoreCase(set))
                .findFirst();
    }

    /** Why these choices cannot be made; empty when they can. */
    static Optional<Outcome> unsound(Character c, Map<String, String> choices) {
        if (choices.isEmpty()) {
            return Optional.of(new Outcome.Refused(RefusalCode.EMPTY_KIT, "Choose at least one drawing for it first."));
        }
        for (Map.Entry<String, String> choice : choices.entrySet()) {
            Optional<Part> part = c.part(choice.getKey());
            if (part.isEmpty()) {
                return Optional.of(Edits.noPart(choice.getKey()));
            }
            if (!part.get().offers(choice.getValue())) {
                return Optional.of(new Outcome.Refused(
                        RefusalCode.NO_DRAWING, part.get().name() + " has no drawing '" + choice.getValue() + "'."));
            }
        }
        return Optional.empty();
    }
}
