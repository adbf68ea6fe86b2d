package app.leeward.server.store;

/** How far an export is. */
public enum ExportState {
    WAITING,
    MAKING,
    DONE,
    /** It could not be done; the row says why. */
    REFUSED,
    CANCELLED
}
