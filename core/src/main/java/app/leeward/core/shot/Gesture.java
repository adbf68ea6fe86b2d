package app.leeward.core.shot;

import app.leeward.core.rig.DrawnRun;
import java.util.Optional;

/**
 * A run of drawings that plays along a shot.
 *
 * @param from the frame it begins at
 * @param to the frame it is let go at: from there it goes out backwards, and then the part shows what it showed before
 * @param run the run's id; one that is not there any more is skipped
 */
public record Gesture(int from, int to, String run) {
    public Gesture {
        if (from < 0) {
            throw new IllegalArgumentException("A run cannot begin before the shot, at frame " + from + ".");
        }
        if (to <= from) {
            throw new IllegalArgumentException(
                    "A run lasts a frame at least: it cannot begin at frame " + from + " and be let go at " + to + ".");
        }
    }

    /** The drawing it shows at a frame of the shot; empty before it begins and when it is out. */
    Optional<String> at(int frame, DrawnRun of) {
        if (frame < from) {
            return Optional.empty();
        }
        return frame < to ? Optional.of(of.at(frame - from)) : of.out(to - 1 - from, frame - to);
    }
}
