package app.leeward.core.shot;

import app.leeward.core.art.Numbers;
import app.leeward.core.cue.Laid;
import java.util.Optional;

/**
 * Where a dial stands at one frame of a shot.
 *
 * @param frame of the shot; one behind its last frame is kept and does nothing
 * @param value in the dial's unit
 * @param way to the next key
 * @param laid why it was laid; empty for one made by hand
 */
public record DialKey(int frame, double value, Way way, Optional<Laid> laid) {
    public DialKey {
        Numbers.finite("key at frame " + frame, value);
        if (frame < 0) {
            throw new IllegalArgumentException("A key cannot stand before the shot, at frame " + frame + ".");
        }
        if (way == null) {
            throw new IllegalArgumentException("The key at frame " + frame + " does not say how it goes on.");
        }
    }

    /** A key made by hand. */
    public DialKey(int frame, double value, Way way) {
        this(frame, value, way, Optional.empty());
    }

    DialKey at(int newFrame) {
        return new DialKey(newFrame, value, way, laid);
    }
}
