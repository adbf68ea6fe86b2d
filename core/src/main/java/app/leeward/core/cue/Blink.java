package app.leeward.core.cue;

import java.util.Optional;

/**
 * One blink in a shot. In the {@code down} frames the lids close evenly, the last of them shut; they stay shut for {@code
 * hold} more, and open in the {@code up} frames, the last of them open.
 *
 * @param frame the last frame before it in which the eyes are open
 * @param laid why it was laid; empty for one made by hand, and for one laid before that was kept
 */
public record Blink(int frame, int down, int hold, int up, Optional<Laid> laid) {
    /** Three frames to close and three to open: common practice, no source. */
    public static final int USUAL = 3;

    /** Longest part of a blink. */
    public static final int LONGEST = 48;

    public Blink {
        if (frame < 0) {
            throw new IllegalArgumentException("A blink cannot begin before the shot, at frame " + frame + ".");
        }
        if (down < 1 || up < 1 || hold < 0 || down > LONGEST || up > LONGEST || hold > LONGEST) {
            throw new IllegalArgumentException("A blink takes 1 to " + LONGEST + " frames down, 0 to " + LONGEST
                    + " held and 1 to " + LONGEST + " up, not " + down + ", " + hold + " and " + up + ".");
        }
    }

    public Blink(int frame, int down, int hold, int up) {
        this(frame, down, hold, up, Optional.empty());
    }

    public static Blink at(int frame) {
        return new Blink(frame, USUAL, 0, USUAL);
    }

    /** Frames it takes altogether. */
    public int frames() {
        return down + hold + up;
    }

    /** The first frame in which the eyes are open again. */
    public int end() {
        return frame + frames();
    }

    /**
     * The same blink with its first shut frame on an exposure, so that the eyes are seen shut; it begins earlier, or later where there is
     * no earlier.
     *
     * @param exposure frames each is photographed for
     */
    public Blink photographed(int exposure) {
        int late = (frame + down) % exposure;
        int at = frame - late >= 0 ? frame - late : frame - late + exposure;
        return new Blink(at, down, hold, up, laid);
    }

    /** Whether the eyes are open again in the last of so many frames at the latest. */
    public boolean within(int frames) {
        return end() < frames;
    }

    /** How far the lids are shut at a frame of the shot, 0 to 1. */
    public double shut(int at) {
        int since = at - frame;
        if (since <= 0 || since >= frames()) {
            return 0;
        }
        if (since <= down) {
            return (double) since / down;
        }
        return since <= down + hold ? 1 : 1 - (double) (since - down - hold) / up;
    }
}
