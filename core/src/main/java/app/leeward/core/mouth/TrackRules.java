package app.leeward.core.mouth;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;

/**
 * How mouths are put on frames.
 *
 * @param frameRate frames a second
 * @param exposure frames a drawing is held at the least because of how the shot is photographed: 1 or 2
 * @param lead frames by which the mouth runs ahead of the sound
 * @param minimumHold frames below which a drawing flickers; shorter holds cost
 */
public record TrackRules(int frameRate, int exposure, int lead, int minimumHold) {
    /** Cost of changing the drawing once. */
    static final double CHANGE = 0.12;
    /** Cost of each frame a drawing is held too short. */
    static final double SHORT = 2;
    /** What a mouth with the jaw all down costs on top of it: a wide mouth that flashes up is seen most. */
    static final double FLASH = 0.8;
    /** Cost of a vowel that is long enough to be seen and is not shown. */
    static final double VOWEL_LOST = 4;
    /** From which length on a vowel is long enough, seconds. */
    static final double LONG_VOWEL = 0.06;
    /** Cost of breaking a hard rule; larger than any sum of the others over a line. */
    static final double BROKEN = 1e6;
    /** Cost of not showing what a rigger pinned; their word is last, over every other rule together. */
    static final double UNPINNED = 1e9;
    /** Frames by which mouths can run ahead of the sound, or behind it. */
    static final int MOST_LEAD = 12;
    /** Silence longer than this rests, seconds. */
    static final double SILENCE = 0.25;

    public TrackRules {
        if (frameRate < 1 || frameRate > 120 || exposure < 1 || exposure > 4) {
            throw new Refusal(
                    RefusalCode.EXPOSURE,
                    "A drawing is shown for 1 to 4 frames at 1 to 120 a second, not for " + exposure + " at "
                            + frameRate + ".");
        }
        requireTiming(lead, minimumHold);
    }

    static void requireTiming(int lead, int minimumHold) {
        if (lead < -MOST_LEAD || lead > MOST_LEAD || minimumHold < 1 || minimumHold > 12) {
            throw new Refusal(
                    RefusalCode.EXPOSURE,
                    "Mouths lead by -" + MOST_LEAD + " to " + MOST_LEAD + " frames and are held for 1 to 12, not by "
                            + lead + " and for " + minimumHold + ".");
        }
    }

    public static TrackRules at(int frameRate) {
        return new TrackRules(frameRate, 1, 1, 2);
    }

    /** Exposures that a minimum hold takes, rounded up. */
    int holdExposures() {
        return (minimumHold + exposure - 1) / exposure;
    }
}
