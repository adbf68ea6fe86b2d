package app.leeward.core.lips;

/**
 * Where a mouth leaves its model.
 *
 * @param drawing id of the mouth
 * @param by how far: canvas units, or shares for lengths and sizes; 0 where there is nothing to measure
 * @param message what is wrong, in a sentence with its number
 * @param mendable whether {@link MouthMender} can put it right
 */
public record MouthFinding(String drawing, Kind kind, double by, String message, boolean mendable) {
    /** What is measured over a set. */
    public enum Kind {
        TEETH_MOVED,
        TEETH_SIZE,
        LOWER_TEETH_OFF,
        WINDOW_OFF,
        OUTLINE_LENGTH,
        LINE_WEIGHT,
        COLOUR,
        POINTS
    }
}
