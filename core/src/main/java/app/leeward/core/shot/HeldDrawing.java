package app.leeward.core.shot;

/**
 * A drawing that a part shows for a stretch of a shot, as a card lies on an exposure sheet. It gives way to whatever a pick gives way
 * to.
 *
 * @param from the first frame that shows it
 * @param to the first frame that does not any more
 * @param drawing id of a drawing, or {@link app.leeward.core.rig.Part#NOTHING}; one that is not there any more is skipped
 * @param in frames in which its outlines come over from what the part showed before, where both have the same points; 0, and
 *     where they have not, to exchange them
 */
public record HeldDrawing(int from, int to, String drawing, int in) {
    public HeldDrawing {
        Stretch.require("drawing", from, to);
        if (drawing == null || drawing.isBlank()) {
            throw new IllegalArgumentException("A drawing held from frame " + from + " needs to say which one.");
        }
        if (in < 0) {
            throw new IllegalArgumentException("A drawing comes over in 0 frames or more, not in " + in + ".");
        }
    }

    /** One that is exchanged at once. */
    public HeldDrawing(int from, int to, String drawing) {
        this(from, to, drawing, 0);
    }

    /** How much of what was shown before is left at a frame, 0 to 1; it goes smoothly, by 3t² − 2t³. */
    double left(int frame) {
        if (frame < from || frame >= from + in) {
            return 0;
        }
        double t = (frame - from + 1.0) / (in + 1);
        return 1 - t * t * (3 - 2 * t);
    }
}
