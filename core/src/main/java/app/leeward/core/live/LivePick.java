package app.leeward.core.live;

import app.leeward.core.art.Numbers;

/**
 * Which drawing the hand gave a part, and when.
 *
 * @param frame frames into the shot, between two of them as well
 * @param drawing its id; empty when the hand let go
 */
public record LivePick(double frame, String drawing) {
    public LivePick {
        Numbers.finite("moment of a pick", frame);
        drawing = drawing == null ? "" : drawing;
    }
}
