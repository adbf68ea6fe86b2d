package app.leeward.core.turn;

import app.leeward.core.art.PictureMesh;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.solid.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a turn of the head leaves as it is, or takes along less well than it might, and why. */
public final class TurnNotes {
    /** How far a piece that goes as one may miss where its points would lie, as a share of the head's width, before it is told. */
    private static final double MISSES = 0.015;

    private TurnNotes() {}

    /**
     * @param part id of the piece it is about
     * @param message a sentence that goes on from the piece's name
     * @param mesh whether it would go along better with its pictures cut into a mesh
     */
    public record TurnNote(String part, String message, boolean mesh) {
        TurnNote(String part, String message) {
            this(part, message, false);
        }
    }

    /** @param yaw degrees at the end of the dial */
    public static List<TurnNote> of(Character c, HeadSolids solids, double yaw) {
        List<TurnNote> notes = new ArrayList<>();
        Part head = c.part(PartRole.HEAD).orElseThrow();
        Set<String> pieces = solids.pieces();
        for (Part part : c.rig().parts()) {
            String id = part.id();
            if (part.drawings().isEmpty() && part.role() != PartRole.HEAD) {
                continue;
            }
            if (pieces.contains(id)) {
                ofPiece(solids, part).ifPresent(words -> notes.add(new TurnNote(id, words)));
                boolean cuts = part.drawings().stream().anyMatch(d -> PictureMesh.cuts(d.art()));
                asOne(solids, part, yaw).ifPresent(words -> notes.add(new TurnNote(id, words, cuts)));
            } else if (c.rig().follows(id, head.id())) {
                notes.add(new TurnNote(id, "is squeezed onto a line where it stands, so it cannot be placed."));
            } else if (part.role() == PartRole.HEAD && part != head) {
                notes.add(new TurnNote(id, "is a second head; one dial turns " + head.name() + " only."));
            } else if (ofHead(part.role()) && noOtherHead(c, part, head)) {
                String on = part.parent()
                        .flatMap(c::part)
                        .map(p -> "its parent is " + p.name() + ", not the head")
                        .orElse("it has no parent");
                notes.add(new TurnNote(
                        id, on + ", so it stays where it is. Set its parent to " + head.name() + " on Parts."));
            }
        }
        if (solids.openOutline()) {
            notes.add(new TurnNote(
                    solids.skin(),
                    "has an open outline; it is taken for what its own ends, joined straight, take in."));
        }
        return notes;
    }

    private static Optional<String> ofPiece(HeadSolids solids, Part part) {
        String id = part.id();
        boolean goes = solids.goesAlong(id)
                || part.role() == PartRole.HEAD && part.drawings().isEmpty()
                || solids.kind(id) != SolidKind.FLAT;
        if (goes) {
            return Optional.empty();
        }
        boolean said = part.solid().flatMap(s -> s.kind()).isPresent();
        return Optional.of(
                said
                        ? "was taken out of the solid by hand."
                        : solids.farAway(id)
                                ? "lies far from the head, so it stays where it is."
                                : "shows nothing that has a place.");
    }

    private static Optional<String> asOne(HeadSolids solids, Part part, double yaw) {
        String id = part.id();
        boolean one =
                (solids.pixels(id) || solids.crowded(id)) && !solids.goesAlong(id) && solids.kind(id) != SolidKind.FLAT;
        double misses = one ? solids.misses(id, View.yaw(yaw)) / (2 * solids.halfWidth()) : 0;
        return misses <= MISSES
                ? Optional.empty()
                : Optional.of(String.format(
                        Locale.ROOT,
                        "%s and goes as one piece: at %.0f° it lies up to %.1f %% of the head’s width off.",
                        solids.pixels(id) ? "is made of pixels" : "has a great many points",
                        yaw,
                        100 * misses));
    }

    private static boolean ofHead(PartRole role) {
        for (Optional<PartRole> at = Optional.of(role);
                at.isPresent();
                at = at.get().follows()) {
            if (at.get() == PartRole.HEAD) {
                return true;
            }
        }
        return false;
    }

    private static boolean noOtherHead(Character c, Part part, Part head) {
        return c.rig().parts().stream()
                .noneMatch(
                        p -> p.role() == PartRole.HEAD && p != head && c.rig().follows(part.id(), p.id()));
    }
}
