package app.leeward.core.live;

import app.leeward.core.art.Numbers;

/**
 * Where the hand put a dial, and when.
 *
 * @param frame frames into the shot, between two of them as well
 * @param value in the dial's unit
 */
public record LiveSample(double frame, double value) {
    public LiveSample {
        Numbers.finite("moment of a sample", frame);
        Numbers.finite("sample at frame " + frame, value);
    }
}
