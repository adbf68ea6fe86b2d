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
 * @param bow how far the dial is off that way in its middle, in its unit: 0 for none. Keys of two dials on the same frames lead a point
 *     along an arc by it
 * @param laid why it was laid; empty for one made by hand
 */
public record DialKey(int frame, double value, Way way, double bow, Optional<Laid> laid) {
    public DialKey {
        if (!Double.isFinite(value + bow)) {
            // tens of thousands are made when frames are put in: what would be said is only written down when it is
            Numbers.finite("key at frame " + frame, value);
            Numbers.finite("bow at frame " + frame, bow);
        }
        if (frame < 0) {
            throw new IllegalArgumentException("A key cannot stand before the shot, at frame " + frame + ".");
        }
        if (way == null) {
            throw new IllegalArgumentException("The key at frame " + frame + " does not say how it goes on.");
        }
    }

    /** A key whose way is not bent. */
    public DialKey(int frame, double value, Way way, Optional<Laid> laid) {
        this(frame, value, way, 0, laid);
    }

    /** A key made by hand, whose way is not bent. */
    public DialKey(int frame, double value, Way way) {
        this(frame, value, way, Optional.empty());
    }

    public DialKey at(int newFrame) {
        return new DialKey(newFrame, value, way, bow, laid);
    }

    /** The same, whoever laid it, as the hand's own. */
    public DialKey byHand() {
        return new DialKey(frame, value, way, bow, Optional.empty());
    }
}
