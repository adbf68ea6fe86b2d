package app.leeward.core.edit;

import app.leeward.core.art.PictureMesh;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.turn.TurnMaker;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Cuts the pictures of parts into meshes, so that what reshapes outlines reshapes them too. The turn is made anew; what was shaped by
 * hand stays.
 */
public record MeshPicture(List<String> parts) implements TurnEdit {
    public MeshPicture {
        parts = List.copyOf(parts);
    }

    @Override
    public Set<Touch> touches() {
        return Stream.concat(
                        parts.stream().map(Facet.ART::of), Stream.of(Facet.DIAL.of(TurnMaker.DIAL), Facet.DIAL.all()))
                .collect(Collectors.toCollection(HashSet::new));
    }

    @Override
    public String describe(Character before) {
        return "Cut "
                + parts.stream()
                        .map(id -> before.part(id).map(Part::name).orElse(id))
                        .collect(Collectors.joining(", "))
                + " into " + (parts.size() == 1 ? "a mesh" : "meshes");
    }

    @Override
    public Outcome on(Character before) {
        Character cut = before;
        for (String id : parts) {
            Optional<Part> there = before.part(id);
            if (there.isEmpty()) {
                return new Outcome.Refused(RefusalCode.NO_PART, "There is no such part any more.");
            }
            if (there.get().drawings().stream().noneMatch(d -> PictureMesh.cuts(d.art()))) {
                return new Outcome.Refused(
                        RefusalCode.NO_PICTURE, there.get().name() + " shows no picture that is in one piece.");
            }
            cut = cut.withPart(
                    id,
                    p -> p.with(b -> b.drawings(p.drawings().stream()
                            .map(d -> d.withArt(PictureMesh.of(d.art())))
                            .toList())));
        }
        if (parts.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_PARTS, "No part was named to be cut into a mesh.");
        }
        boolean turns =
                cut.controls().turn().isPresent() && cut.controls().views().isEmpty();
        return new Outcome.Done(turns ? TurnMaker.addTo(cut) : cut);
    }
}
