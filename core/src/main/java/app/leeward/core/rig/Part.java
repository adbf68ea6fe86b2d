package app.leeward.core.rig;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.art.ShapeRole;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Something that is placed and follows another part.
 *
 * @param id unique in the character, never shown
 * @param parent id of the part it follows; empty at the foot of the tree
 * @param pivot what it turns and grows about, canvas units at rest
 * @param rest where it stands when nothing poses it
 * @param drawings the drawings that replace each other; may be none for a part that only groups others
 * @param shown id of the drawing shown by default, or {@link #NOTHING}
 * @param attachment to what of its parent it hangs
 * @param pastEdges ids of the parts past whose edges alone it shows: what of it lies on their fills is not seen, whatever lies
 *     over what, and their lines never take part. The line of a nose's profile on a turned face is one
 * @param wristBend how a hand's wrist bends; empty for one that turns as one piece
 * @param runs its drawings that play one after the other
 * @param solid what a rigger said it is in the round, for a piece of a head; empty while that is guessed
 * @param earlierPivots where the pivot was before it was moved, oldest first, as far as something recorded still turns
 *     about it: moving a pivot changes what is recorded from then on and no picture that was there before
 */
@RecordBuilder
public record Part(
        String id,
        String name,
        PartRole role,
        Side side,
        Optional<String> parent,
        Point pivot,
        Placement rest,
        List<Drawing> drawings,
        String shown,
        List<Point> earlierPivots,
        Attachment attachment,
        List<String> pastEdges,
        Optional<WristBend> wristBend,
        List<DrawnRun> runs,
        Optional<Solid> solid)
        implements PartBuilder.With {
    /** The choice to show no drawing at all. */
    public static final String NOTHING = "nothing";

    public Part {
        Objects.requireNonNull(role, "role");
        Objects.requireNonNull(side, "side");
        Objects.requireNonNull(pivot, "pivot");
        Objects.requireNonNull(rest, "rest");
        drawings = List.copyOf(drawings);
        attachment = attachment == null ? Attachment.PARENT : attachment;
        pastEdges = pastEdges == null ? List.of() : List.copyOf(pastEdges);
        wristBend = wristBend == null ? Optional.empty() : wristBend;
        solid = solid == null ? Optional.empty() : solid;
        earlierPivots = earlierPivots == null ? List.of() : List.copyOf(earlierPivots);
        if (id.isBlank() || name.isBlank()) {
            throw new IllegalArgumentException("a part needs an id and a name");
        }
        if (drawings.stream().map(Drawing::id).distinct().count() != drawings.size()) {
            throw new IllegalArgumentException("two drawings of '" + name + "' have the same id");
        }
        String wanted = shown;
        if (!wanted.equals(NOTHING) && drawings.stream().noneMatch(d -> d.id().equals(wanted))) {
            throw new IllegalArgumentException("'" + name + "' has no drawing '" + wanted + "' to show");
        }
        if (pastEdges.contains(id)) {
            throw new IllegalArgumentException("'" + name + "' cannot show past its own edge");
        }
        // what plays plays drawings that are there
        Set<String> there = drawings.stream().map(Drawing::id).collect(Collectors.toSet());
        runs = runs == null
                ? List.of()
                : runs.stream()
                        .flatMap(r -> r.of(d -> d.equals(NOTHING) || there.contains(d)).stream())
                        .toList();
    }

    /** A part whose pivot was never moved. */
    public Part(
            String id,
            String name,
            PartRole role,
            Side side,
            Optional<String> parent,
            Point pivot,
            Placement rest,
            List<Drawing> drawings,
            String shown) {
        this(id, name, role, side, parent, pivot, rest, drawings, shown, List.of());
    }

    /** A part of which nothing more is known. */
    public Part(
            String id,
            String name,
            PartRole role,
            Side side,
            Optional<String> parent,
            Point pivot,
            Placement rest,
            List<Drawing> drawings,
            String shown,
            List<Point> earlierPivots) {
        this(
                id,
                name,
                role,
                side,
                parent,
                pivot,
                rest,
                drawings,
                shown,
                earlierPivots,
                Attachment.PARENT,
                List.of(),
                Optional.empty(),
                List.of(),
                Optional.empty());
    }

    public Optional<Drawing> drawing(String drawingId) {
        return drawings.stream().filter(d -> d.id().equals(drawingId)).findFirst();
    }

    /** Whether {@code drawingId} can be chosen here: one of the drawings, or nothing. */
    public boolean offers(String drawingId) {
        return drawingId.equals(NOTHING) || drawing(drawingId).isPresent();
    }

    /** Bounds of the drawing shown by default, or of the first one when the default is nothing. */
    public Optional<Box> bounds() {
        return drawing(shown).or(() -> drawings.stream().findFirst()).flatMap(d -> d.art()
                .bounds());
    }

    public Part withRole(PartRole newRole, Side newSide) {
        return with(p -> p.role(newRole).side(newSide));
    }

    public Part withPivot(Point newPivot, List<Point> nowEarlier) {
        return with(p -> p.pivot(newPivot).earlierPivots(nowEarlier));
    }

    public Part withDrawings(List<Drawing> newDrawings, String nowShown) {
        return with(p -> p.drawings(newDrawings).shown(nowShown));
    }

    /** With one drawing changed; the same part when it has no such drawing. */
    public Part withDrawing(String drawingId, UnaryOperator<Drawing> change) {
        return withDrawings(drawings.stream()
                .map(d -> d.id().equals(drawingId) ? change.apply(d) : d)
                .toList());
    }

    /** Without what it says about another part, which is gone. */
    Part forgetting(String gone) {
        boolean about = pastEdges.contains(gone)
                || solid.flatMap(Solid::weld).flatMap(Weld::to).equals(Optional.of(gone))
                || drawings.stream().anyMatch(d -> d.over().equals(Optional.of(gone)));
        return !about
                ? this
                : with(p -> p.pastEdges(
                                pastEdges.stream().filter(e -> !e.equals(gone)).toList())
                        .solid(solid.map(s -> s.forgetting(gone)))
                        .drawings(drawings.stream()
                                .map(d -> d.over().equals(Optional.of(gone)) ? d.withOver(Optional.empty()) : d)
                                .toList()));
    }

    /** Whether it is a beak, which stands out from the face and opens past its edge. */
    public boolean beaked() {
        return drawings.stream()
                .flatMap(d -> d.art().shapes().stream())
                .anyMatch(s -> s.role() == ShapeRole.UPPER_BEAK);
    }

    /** Whether it hangs from the grip of the hand it follows. */
    public boolean inGrip() {
        return attachment == Attachment.GRIP;
    }

    /** What the rest placement turns and grows about: the pivot it had when it was first placed. */
    public Point restPivot() {
        return earlierPivots.isEmpty() ? pivot : earlierPivots.get(0);
    }

    /** Where it stands at rest, in the coordinates of what it follows. */
    public Matrix restMatrix() {
        return rest.matrix(restPivot());
    }
}
