package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Kit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Keeps a choice over several parts under a name; a kit of that name in that set is replaced and keeps its key.
 *
 * @param set what it is offered under; may be empty
 * @param choices part id to drawing or to nothing
 */
public record KeepKit(String name, String set, Map<String, String> choices) implements LibraryEdit {
    public KeepKit {
        set = set == null ? "" : set;
        choices = Map.copyOf(choices);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KITS.all());
    }

    @Override
    public String describe(Character before) {
        return "Kept the kit " + name.strip() + " of " + choices.size() + (choices.size() == 1 ? " part" : " parts");
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name)
                .or(() -> set.isBlank() ? Optional.empty() : Edits.badName(set))
                .or(() -> Kits.unsound(before, choices));
        if (bad.isPresent()) {
            return bad.get();
        }
        Optional<Kit> there = Kits.namesake(before, name.strip(), set.strip());
        if (there.isPresent()) {
            return Kits.change(before, there.get().id(), k -> k.withChoices(choices));
        }
        Set<String> taken = before.library().kits().stream().map(Kit::id).collect(Collectors.toSet());
        String id = Ids.unused(name.strip(), taken);
        List<Kit> kits = new ArrayList<>(before.library().kits());
        kits.add(new Kit(id, name.strip(), set, choices, ""));
        return new Outcome.Done(before.withLibrary(library -> library.withKits(kits)));
    }
}
