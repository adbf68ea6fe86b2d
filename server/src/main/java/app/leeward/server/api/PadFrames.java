package app.leeward.server.api;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import java.util.List;

/**
 * Everything a hand on a pad can reach.
 *
 * @param frames row by row, each row along {@code across}
 */
public record PadFrames(FrameSeries frames, PadWay across, PadWay down) {
    /**
     * One of the two dials under the hand.
     *
     * @param at its values in the frames, rising
     * @param edges values at which it gives way from one drawing to another
     * @param hysteresis how far beyond such an edge a hand must be for the other drawing to show
     */
    public record PadWay(List<Double> at, List<Double> edges, double hysteresis) {
        static PadWay of(Character character, Dial dial, List<Double> at) {
            return new PadWay(at, character.controls().exchanges(dial), dial.hysteresis());
        }
    }
}
