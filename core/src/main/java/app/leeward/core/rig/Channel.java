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
    DRAWING("drawing");

    private final String words;

    Channel(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
