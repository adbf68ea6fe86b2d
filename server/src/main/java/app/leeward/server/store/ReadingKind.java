package app.leeward.server.store;

/** What a recording is read for. */
public enum ReadingKind {
    /** A new line. */
    RECORD,
    /** Other words for a line. */
    WORDS,
    /** Another pronunciation of a word, for a line and the character's lexicon. */
    PRONOUNCE,
    /** Another take of a line. */
    RETAKE,
    /** The lines of a script, each of which is then read by itself. */
    SCRIPT
}
