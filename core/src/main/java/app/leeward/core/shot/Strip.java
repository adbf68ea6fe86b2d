package app.leeward.core.shot;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.List;

/**
 * A stretch of frames with what some tracks hold there, as it is cut, copied and put in elsewhere.
 *
 * @param frames how long it is
 * @param of the tracks it was taken from, also those that held nothing there
 * @param tracks what they held, counted from its own first frame
 */
public record Strip(int frames, List<Track> of, Tracks tracks) {
    public Strip {
        of = List.copyOf(of);
        if (frames < 1) {
            throw new Refusal(RefusalCode.BEYOND_SHOT, "A stretch has a frame at least, not " + frames + ".");
        }
    }

    /**
     * What some tracks of a shot hold in a stretch.
     *
     * @param to the first frame behind it
     * @throws Refusal when it is no stretch of a shot
     */
    public static Strip copied(Shot shot, List<Track> tracks, int from, int to) {
        return Cutting.copy(shot.tracks(), tracks, from, to);
    }
}
