package app.leeward.core.art;

/** What a shape is within its drawing. Only roles that some rule asks for are told apart. */
public enum ShapeRole {
    /** The line round a mouth. */
    OUTLINE,
    /** The fill that everything {@link #INSIDE} shows through. */
    WINDOW,
    INSIDE,
    TONGUE,
    LOWER_TEETH,
    UPPER_TEETH,
    /** The colour of the lips, outside the outline of the opening. */
    LIPS,
    /** The beak that belongs to the skull. */
    UPPER_BEAK,
    /** The beak that is the jaw. */
    LOWER_BEAK,
    /** What of a hand lies before the thing it holds. */
    FINGERS,
    /** Anything else. */
    OTHER;

    /** Whether shapes of this role show only through their drawing's window, when it has one. */
    public boolean behindWindow() {
        return this == INSIDE || this == TONGUE || this == LOWER_TEETH || this == UPPER_TEETH;
    }
}
