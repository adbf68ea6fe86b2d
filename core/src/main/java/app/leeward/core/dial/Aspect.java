package app.leeward.core.dial;

/** What a stop can do to a part, as a rigger tells it apart and takes it back. */
public enum Aspect {
    PLACE,
    TURN,
    SIZE,
    SLANT,
    OPACITY,
    BEND,
    /** How outlines are reshaped point by point, which no offset says. */
    SHAPE,
    /** Where it lies in the stack, which no offset says. */
    ORDER,
    /** Which drawing shows, which no offset says. */
    DRAWING;

    Offset without(Offset o) {
        return o.only(c -> c.aspect() != this);
    }

    /** Whether an offset does anything of this kind. */
    public boolean in(Offset o) {
        return o.channels().stream().anyMatch(c -> c.aspect() == this);
    }
}
