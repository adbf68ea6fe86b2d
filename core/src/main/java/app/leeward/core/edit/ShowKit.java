package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes what a kit chooses what its parts show by default. */
public record ShowKit(String kit) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        return "Wears " + Kits.name(before, kit) + " by default";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Kit> found = Kits.find(before, kit);
        if (found.isEmpty()) {
            return Kits.gone(kit);
        }
        Character c = before;
        for (Map.Entry<String, String> choice : found.get().choices().entrySet()) {
            c = c.withPart(choice.getKey(), p -> p.withShown(choice.getValue()));
        }
        return new Outcome.Done(c);
    }
}
