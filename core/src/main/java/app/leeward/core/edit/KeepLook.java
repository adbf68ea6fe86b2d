package app.leeward.core.edit;

import app.leeward.core.look.Looks;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Keeps a part of a pose as a look by name; a look of that name in that collection is replaced.
 *
 * @param dials where the dials are held
 * @param looks looks mixed in, with their strengths
 * @param drawings part id to drawing, to be part of the look
 * @param keep ids of the dials that are to be part of it
 */
public record KeepLook(
        String name,
        String collection,
        Map<String, Double> dials,
        Map<String, Double> looks,
        Map<String, String> drawings,
        List<String> keep)
        implements LibraryEdit {
    public KeepLook {
        collection = collection == null ? "" : collection;
        dials = Map.copyOf(dials);
        looks = looks == null ? Map.of() : Map.copyOf(looks);
        drawings = drawings == null ? Map.of() : Map.copyOf(drawings);
        keep = List.copyOf(keep);
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.LOOK.of(name));
    }

    @Override
    public String describe(Character before) {
        return "Kept the look " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> bad = Edits.badName(name);
        if (bad.isPresent() || collection.length() > Edits.LONGEST_NAME) {
            return bad.orElseGet(() -> Edits.badName(collection).orElseThrow());
        }
        Pose pose = new Pose(dials, Map.of(), Map.of(), Map.of(), looks, Map.of(), Map.of());
        Optional<Character> kept = Looks.keep(before, name.strip(), collection.strip(), pose, keep, drawings);
        return kept.isPresent()
                ? new Outcome.Done(kept.get())
                : new Outcome.Refused(
                        RefusalCode.EMPTY_LOOK,
                        "Everything is at rest, so there is nothing to keep. Move a dial first.");
    }
}
