package app.leeward.core.shot;

/**
 * A drawing that a part shows for a stretch of a shot, as a card lies on an exposure sheet. It gives way to whatever a pick gives way
 * to.
 *
 * @param from the first frame that shows it
 * @param to the first frame that does not any more
 * @param drawing id of a drawing, or {@link app.leeward.core.rig.Part#NOTHING}; one that is not there any more is skipped
 */
public record HeldDrawing(int from, int to, String drawing) {
    public HeldDrawing {
        Stretch.require("drawing", from, to);
        if (drawing == null || drawing.isBlank()) {
            throw new IllegalArgumentException("A drawing held from frame " + from + " needs to say which one.");
        }
    }
}
