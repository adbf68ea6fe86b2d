package app.leeward.core.cue;

import app.leeward.core.art.Numbers;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * A cue dropped into a shot.
 *
 * @param frame where the cue's first frame falls
 * @param cue the cue's id; one that is not there any more is skipped
 * @param strength how much of it is added: 1 for just what the cue says, less than 0 for its opposite
 * @param frames how many frames it is drawn out over, from its first to its last key; 0 for as many as it has
 * @param times how often it plays, one time behind the other
 * @param reversed whether it plays from its last frame to its first
 */
public record CuePlacement(int frame, String cue, double strength, int frames, int times, boolean reversed) {
    /** Strongest a cue can be added. */
    public static final double STRONGEST = 4;
    /** Most times a cue plays behind itself. */
    public static final int MOST_TIMES = 500;

    public CuePlacement {
        if (frame < 0) {
            throw new IllegalArgumentException("A cue cannot begin before the shot, at frame " + frame + ".");
        }
        Numbers.finite("strength", strength);
        if (Math.abs(strength) > STRONGEST
                || frames < 0
                || frames > 10 * Cue.LONGEST
                || times < 1
                || times > MOST_TIMES) {
            throw new IllegalArgumentException("A cue is added at a strength of -4 to 4, over 0 to " + 10 * Cue.LONGEST
                    + " frames, 1 to " + MOST_TIMES + " times; not at " + strength + " over " + frames + ", " + times
                    + " times.");
        }
    }

    /** A cue just as it is. */
    public CuePlacement(int frame, String cue) {
        this(frame, cue, 1, 0, 1, false);
    }

    public CuePlacement at(int newFrame, int newFrames) {
        return new CuePlacement(newFrame, cue, strength, newFrames, times, reversed);
    }

    /** Frames it takes altogether. */
    public int lasts(Cue of) {
        return once(of) * times;
    }

    private int once(Cue of) {
        return frames == 0 ? of.frames() : frames;
    }

    /**
     * What it adds to each of its dials at a frame of the shot.
     *
     * @param straight ids of dials that stay at one key until the next
     */
    public Map<String, Double> at(int shotFrame, Cue of, Set<String> straight) {
        int since = shotFrame - frame;
        int once = once(of);
        if (since < 0 || since >= once * times) {
            return Map.of();
        }
        int step = since % once;
        double along = reversed ? once - 1 - step : step;
        double inCue = once == 1 || once == of.frames() ? along : along * (of.frames() - 1) / (once - 1);
        Map<String, Double> adds = new HashMap<>();
        of.at(inCue, straight).forEach((dial, by) -> adds.put(dial, strength * by));
        return adds;
    }
}
