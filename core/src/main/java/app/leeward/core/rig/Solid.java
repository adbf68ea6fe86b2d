package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import app.leeward.core.art.Point;
import java.util.Optional;

/**
 * What a rigger said a piece of a head is in the round.
 *
 * @param kind empty for the one that is guessed
 * @param forward how much further towards the viewer it stands than its kind says, as a share of half the head's width; -1.5 to 1.5
 * @param root where it grows out of the head, for a plate, in the coordinates of its drawings; empty for where it meets the skin
 * @param weld what it is welded to; empty for the outline of the face, where it lies along that
 */
public record Solid(Optional<SolidKind> kind, double forward, Optional<Point> root, Optional<Weld> weld) {
    /** Nothing said: kind and depth are guessed. */
    public static final Solid GUESSED = new Solid(Optional.empty(), 0, Optional.empty(), Optional.empty());

    private static final double MOST = 1.5;

    public Solid {
        kind = kind == null ? Optional.empty() : kind;
        root = root == null ? Optional.empty() : root;
        weld = weld == null ? Optional.empty() : weld;
        Numbers.finite("depth", forward);
        if (Math.abs(forward) > MOST) {
            throw new IllegalArgumentException(
                    "A piece stands at most one and a half times half the head's width further forward or back.");
        }
    }

    /** Of this kind and depth, with the rest as it looks. */
    public static Solid of(SolidKind kind, double forward) {
        return new Solid(Optional.of(kind), forward, Optional.empty(), Optional.empty());
    }

    /** Without a weld to a piece that is gone. */
    Solid forgetting(String gone) {
        boolean about = weld.flatMap(Weld::to).equals(Optional.of(gone));
        return about ? new Solid(kind, forward, root, Optional.empty()) : this;
    }
}
