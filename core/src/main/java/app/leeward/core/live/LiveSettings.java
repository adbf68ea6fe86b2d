package app.leeward.core.live;

import app.leeward.core.signal.OneEuroFilter;
import java.util.Optional;

/**
 * How a take is made into keys.
 *
 * @param tolerance how far keys may be from what was done, as a share of each dial's range, 0 to 0.2
 * @param latency seconds by which hands are behind what they see and hear; samples are brought forward by it
 * @param smoothing what takes the tremble out; empty to leave it
 */
public record LiveSettings(double tolerance, double latency, Optional<OneEuroFilter> smoothing) {
    /** Common practice: nobody sees a hundredth of a dial's range. */
    public static final LiveSettings USUAL = new LiveSettings(0.01, 0, Optional.empty());

    public LiveSettings {
        if (!(tolerance >= 0 && tolerance <= 0.2 && latency >= 0 && latency <= 1)) {
            throw new IllegalArgumentException("Keys are 0 to 20 % of a range from what was done and up to a second"
                    + " earlier; not " + tolerance + " and " + latency + ".");
        }
    }
}
