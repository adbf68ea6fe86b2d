package app.leeward.core.dial;

/** How a dial gets from one keyed value to the next. */
public enum Travel {
    /** Through everything that lies between. */
    GLIDE,
    /** Not at all until the next key, and then at once: for drawings that have nothing between them. */
    STRAIGHT
}
