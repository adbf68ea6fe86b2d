package app.leeward.core.edit;

import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Puts a part without drawings between some parts and what the first of them follows, so that they can be posed together.
 * The picture stays.
 */
public record AddGroup(String name, List<String> parts) implements PartEdit {
    public AddGroup {
        parts = List.copyOf(parts);
    }

    @Override
    public Set<Touch> touches() {
        return Stream.concat(Stream.of(Facet.GROUPS.all()), parts.stream().map(p -> Facet.PLACE.of(p)))
                .collect(Collectors.toSet());
    }

    @Override
    public String describe(Character before) {
        return "Put " + Edits.namesOf(before, parts) + " into a group, " + name.strip();
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused =
                Edits.badName(name).or(() -> Edits.missing(before, parts).map(Edits::noPart));
        if (refused.isPresent()) {
            return refused.get();
        }
        // of a part and its followers only the part: the followers come along
        List<String> top = parts.stream()
                .filter(p -> parts.stream()
                        .noneMatch(o -> !o.equals(p) && before.rig().follows(p, o)))
                .toList();
        if (top.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_PARTS, "A group needs at least one part: choose some first.");
        }
        Set<String> taken = before.rig().parts().stream().map(Part::id).collect(Collectors.toSet());
        String id = Ids.unused(name, taken);
        Part group = new Part(
                id,
                name.strip(),
                PartRole.OTHER,
                Side.NONE,
                before.part(top.get(0)).flatMap(Part::parent),
                middle(before, top),
                Placement.REST,
                List.of(),
                Part.NOTHING);
        int at = before.rig().order().indexOf(top.get(0));
        return new Hang(top, Optional.of(id)).on(before.withNewPart(group, at));
    }

    private static Point middle(Character c, List<String> parts) {
        return parts.stream()
                .flatMap(p -> c.rig().boundsWithFollowers(p).stream())
                .reduce(Box::union)
                .map(Box::centre)
                .orElseGet(() -> c.part(parts.get(0)).orElseThrow().pivot());
    }
}
