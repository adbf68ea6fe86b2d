package app.leeward.core.dial;

import java.util.Optional;

/** How the two sides of a face stand for each other. */
public interface OtherSide {
    /** Id of the part on the other side; the same for a part on the axis. */
    String part(String id);

    /**
     * Id of the drawing that stands for another.
     *
     * @param part the part on the other side
     * @param id the drawing on this one
     */
    String drawing(String part, String id);

    /**
     * The same reshaping of the part on the other side; empty where the outlines of both are not drawn point for point alike.
     *
     * @param part the part on this side
     */
    Optional<PointDeltas> deltas(String part, PointDeltas of);
}
