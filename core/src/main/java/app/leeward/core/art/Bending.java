package app.leeward.core.art;

/** How outlines go between the three places a {@link Bend} names. */
public enum Bending {
    /**
     * By a raised cosine from each place to the next, handles taken down as points are: level at all three places, with kinks where
     * curves meet. What was rigged in stored forms up to 15 was tuned by it.
     */
    EASED,
    /** By the one parabola through all three places, curves kept smooth. */
    CURVED
}
