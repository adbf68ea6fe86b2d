package app.leeward.core.rig;

import java.util.Optional;

/**
 * What a rigger said a piece of a head is welded to, so that what lies along one another at rest does so from every side.
 *
 * @param to id of the piece along whose outlines it goes where it lies close to them; empty for one that is welded to nothing
 */
public record Weld(Optional<String> to) {
    /** Goes by itself even where it lies along the outline of the face. */
    public static final Weld CUT = new Weld(Optional.empty());

    public Weld {
        to = to == null ? Optional.empty() : to;
    }

    public static Weld onto(String piece) {
        return new Weld(Optional.of(piece));
    }
}
