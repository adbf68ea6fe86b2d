package app.leeward.core.check;

/** What a measure counts. */
public enum Unit {
    /** Lengths on the canvas. */
    UNITS,
    /** Areas on the canvas. */
    SQUARE_UNITS,
    DEGREES,
    /** Parts of a whole, 0 to 1 and beyond. */
    SHARE,
    /** How many. */
    COUNT
}
