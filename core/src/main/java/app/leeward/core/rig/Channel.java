package app.leeward.core.rig;

/** What can be posed about a part. */
public enum Channel {
    X("across"),
    Y("down"),
    ROTATION("turned"),
    SCALE_X("width"),
    SCALE_Y("height"),
    SKEW_X("slant"),
    OPACITY("opacity"),
    BEND_LEFT("bent down at its left end"),
    BEND_MIDDLE("bent down in its middle"),
    BEND_RIGHT("bent down at its right end"),
    DRAWING("drawing"),
    /** The points of the outlines of what it shows. */
    OUTLINE("outline"),
    ORDER("stacking order");

    private final String words;

    Channel(String words) {
        this.words = words;
    }

    boolean bends() {
        return this == BEND_LEFT || this == BEND_MIDDLE || this == BEND_RIGHT;
    }

    public String words() {
        return words;
    }
}
