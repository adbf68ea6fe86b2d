package app.leeward.core.rig;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Something that is placed and follows another part.
 *
 * @param id unique in the character, never shown
 * @param parent id of the part it follows; empty at the foot of the tree
 * @param pivot what it turns and grows about, canvas units at rest
 * @param rest where it stands when nothing poses it
 * @param drawings the drawings that replace each other; may be none for a part that only groups others
 * @param shown id of the drawing shown by default, or {@link #NOTHING}
 * @param earlierPivots where the pivot was before it was moved, oldest first, as far as something recorded still turns
 *     about it: moving a pivot changes what is recorded from then on and no picture that was there before
 */
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
        List<Point> earlierPivots) {
    /** The choice to show no drawing at all. */
    public static final String NOTHING = "nothing";

    public Part {
        Objects.requireNonNull(role, "role");
        Objects.requireNonNull(side, "side");
        Objects.requireNonNull(pivot, "pivot");
        Objects.requireNonNull(rest, "rest");
        drawings = List.copyOf(drawings);
        // stored before there was such a list
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

    public Part withName(String newName) {
        return new Part(id, newName, role, side, parent, pivot, rest, drawings, shown, earlierPivots);
    }

    public Part withRole(PartRole newRole, Side newSide) {
        return new Part(id, name, newRole, newSide, parent, pivot, rest, drawings, shown, earlierPivots);
    }

    public Part withParent(Optional<String> newParent) {
        return new Part(id, name, role, side, newParent, pivot, rest, drawings, shown, earlierPivots);
    }

    public Part withPivot(Point newPivot, List<Point> nowEarlier) {
        return new Part(id, name, role, side, parent, newPivot, rest, drawings, shown, nowEarlier);
    }

    public Part withRest(Placement newRest) {
        return new Part(id, name, role, side, parent, pivot, newRest, drawings, shown, earlierPivots);
    }

    public Part withShown(String drawingId) {
        return new Part(id, name, role, side, parent, pivot, rest, drawings, drawingId, earlierPivots);
    }

    public Part withDrawings(List<Drawing> newDrawings, String nowShown) {
        return new Part(id, name, role, side, parent, pivot, rest, newDrawings, nowShown, earlierPivots);
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
