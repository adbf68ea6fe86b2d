package app.leeward.server.store;

/** How far a reading is. */
public enum ReadingState {
    WAITING,
    READING,
    DONE,
    /** It could not be done; the row says why. */
    REFUSED,
    CANCELLED
}
