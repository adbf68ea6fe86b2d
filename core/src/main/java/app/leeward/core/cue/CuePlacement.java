package app.leeward.core.cue;

/**
 * A cue dropped into a shot.
 *
 * @param frame where the cue's first frame falls
 * @param cue the cue's id; one that is not there any more is skipped
 */
public record CuePlacement(int frame, String cue) {
    public CuePlacement {
        if (frame < 0) {
            throw new IllegalArgumentException("A cue cannot begin before the shot, at frame " + frame + ".");
        }
    }
}
