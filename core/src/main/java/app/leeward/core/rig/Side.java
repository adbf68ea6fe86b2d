package app.leeward.core.rig;

/** The character's own left and right; a character facing us has its left on the right of the screen. */
public enum Side {
    LEFT,
    RIGHT,
    NONE;

    public Side mirrored() {
        return this == LEFT ? RIGHT : this == RIGHT ? LEFT : NONE;
    }

    /** The word a rigger reads before a part's name, with a space behind it; empty for no side. */
    public String prefix() {
        return this == NONE ? "" : name().toLowerCase(java.util.Locale.ROOT) + " ";
    }
}
