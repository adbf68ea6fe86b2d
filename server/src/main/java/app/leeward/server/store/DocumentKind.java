package app.leeward.server.store;

/** What a document holds. */
public enum DocumentKind {
    CHARACTER,
    SHOT
}
