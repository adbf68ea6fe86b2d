package app.leeward.core.edit;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Ids;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Duplicates a drawing as the start of another: in the same set, or in that of another part, where it lies about the pivot as it did
 * about the first one's. What goes to the other side of the body goes as its mirror image.
 *
 * @param onto the part whose set it comes into; empty for its own
 */
public record CopyDrawing(String part, String drawing, String name, Optional<String> onto) implements DrawingEdit {
    public CopyDrawing {
        onto = onto == null ? Optional.empty() : onto;
    }

    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.ART.of(onto.orElse(part), drawing));
    }

    @Override
    public String describe(Character before) {
        return "Copied " + Redrawing.name(before, part, drawing) + " as " + name.strip()
                + onto.filter(p -> !p.equals(part))
                        .map(p -> " onto " + Edits.nameOf(before, p))
                        .orElse("");
    }

    @Override
    public Outcome on(Character before) {
        Optional<Outcome> refused = Edits.badName(name);
        if (refused.isPresent()) {
            return refused.get();
        }
        Optional<Part> source = before.part(part);
        Optional<Drawing> from = source.flatMap(p -> p.drawing(drawing));
        if (from.isEmpty()) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        return Edits.onPart(before, onto.orElse(part), p -> {
            List<Drawing> drawings = new ArrayList<>(p.drawings());
            Set<String> taken = drawings.stream().map(Drawing::id).collect(Collectors.toSet());
            drawings.add(brought(from.get(), source.get(), p)
                    .withId(Ids.unused(name, taken))
                    .withName(name.strip()));
            return p.withDrawings(drawings, p.shown());
        });
    }

    private static Drawing brought(Drawing d, Part from, Part to) {
        if (from.id().equals(to.id())) {
            return d;
        }
        boolean across = from.side() != to.side() && from.side() != Side.NONE && to.side() != Side.NONE;
        Drawing there = across
                ? d.mirrored((from.pivot().x() + to.pivot().x()) / 2)
                        .transform(Matrix.translate(
                                0, to.pivot().y() - from.pivot().y()))
                : d.transform(Matrix.translate(
                        to.pivot().x() - from.pivot().x(),
                        to.pivot().y() - from.pivot().y()));
        // where it lay in the order was about its own part
        Drawing lying = there.withOver(Optional.empty());
        return to.role() == PartRole.HAND
                ? lying
                : lying.withWrist(Optional.empty()).withGrip(Optional.empty());
    }
}
