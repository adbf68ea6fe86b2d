package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import java.util.Optional;
import java.util.Set;

/** Another name for a kit, or another set it is offered under. */
public record NameKit(String kit, String name, String set) implements LibraryEdit {
    public NameKit {
        set = set == null ? "" : set;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KITS.all());
    }

    @Override
    public String describe(Character before) {
        return "The kit " + Kits.name(before, kit) + " is called " + name.strip()
                + (set.isBlank() ? "" : ", among " + set.strip());
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name).or(() -> set.isBlank() ? Optional.empty() : Edits.badName(set));
        if (bad.isPresent()) {
            return bad.get();
        }
        Optional<Kit> other = Kits.namesake(before, name.strip(), set.strip());
        return other.filter(k -> !k.id().equals(kit)).isPresent()
                ? new Outcome.Refused(RefusalCode.KIT_TAKEN, "There is a kit " + name.strip() + " there already.")
                : Kits.change(before, kit, k -> k.named(name.strip(), set));
    }
}
