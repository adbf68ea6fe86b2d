package app.leeward.core.edit;

import app.leeward.core.art.PictureMesh;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.turn.TurnMaker;
import java.util.Optional;
import java.util.Set;

/**
 * Cuts the pictures of a part into a mesh, so that what reshapes outlines reshapes them too. The turn is made anew; what was shaped by
 * hand stays.
 */
public record MeshPicture(String part) implements TurnEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(part), Facet.DIAL.of(TurnMaker.DIAL), Facet.DIAL.all());
    }

    @Override
    public String describe(Character before) {
        return "Cut " + before.part(part).map(Part::name).orElse(part) + " into a mesh";
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> there = before.part(part);
        if (there.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_PART, "There is no such part any more.");
        }
        if (there.get().drawings().stream().noneMatch(d -> PictureMesh.cuts(d.art()))) {
            return new Outcome.Refused(
                    RefusalCode.NO_PICTURE, there.get().name() + " shows no picture that is in one piece.");
        }
        Character cut = before.withPart(
                part,
                p -> p.with(b -> b.drawings(p.drawings().stream()
                        .map(d -> d.withArt(PictureMesh.of(d.art())))
                        .toList())));
        boolean turns =
                cut.controls().turn().isPresent() && cut.controls().views().isEmpty();
        return new Outcome.Done(turns ? TurnMaker.addTo(cut) : cut);
    }
}
