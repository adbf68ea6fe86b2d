package app.leeward.formats.export;

/** What a format is looked for under. */
public enum Family {
    /** Plays as it was photographed. */
    FILM,
    /** Moves on a page, drawn and not filmed. */
    ANIMATION,
    /** Posed and spoken with on a page of its own. */
    LIVE,
    /** Single pictures. */
    PICTURES,
    /** When what is said and shown. */
    TIMING,
    /** The drawings themselves. */
    ARTWORK,
    /** To print. */
    PAGES,
    /** To go on with in another Leeward. */
    BUNDLE
}
