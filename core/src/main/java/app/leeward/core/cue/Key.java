package app.leeward.core.cue;

import app.leeward.core.art.Numbers;

/**
 * One key of a cue.
 *
 * @param frame from the cue's own first frame, 0
 * @param by how far the dial is taken from where it would be, in the dial's unit
 */
public record Key(int frame, double by) {
    public Key {
        Numbers.finite("key", by);
        if (frame < 0) {
            throw new IllegalArgumentException("a cue's keys begin at frame 0, not at " + frame);
        }
    }
}
