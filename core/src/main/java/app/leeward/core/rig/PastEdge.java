package app.leeward.core.rig;

/**
 * A part that shows only past the edge of another: what of it lies on the other's fill is not seen, whatever lies over what.
 * The line of a nose's profile on a turned face is one.
 *
 * @param part id of the part that is cut
 * @param by id of the part whose fill cuts it; that part's line never takes part
 */
public record PastEdge(String part, String by) {
    public PastEdge {
        if (part.equals(by)) {
            throw new IllegalArgumentException("'" + part + "' cannot show past its own edge");
        }
    }
}
