package app.leeward.formats.export;

/** What is handed over. */
public enum Scope {
    /** What a pose shows. */
    POSE,
    /** A line of dialogue with all that was decided about it. */
    SHOT,
    /** The character as a whole. */
    CHARACTER
}
