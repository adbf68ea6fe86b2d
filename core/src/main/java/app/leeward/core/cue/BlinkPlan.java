package app.leeward.core.cue;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Lays blinks over a stretch of frames. The waits between them are drawn around a rate; a blink that falls near a gaze
 * shift or a head turn begins with it, as eyes do.
 *
 * <p>Waits are drawn from a gamma distribution of shape {@value #EVENNESS}: neither as regular as a clock nor as bunched
 * as chance alone, since right after a blink another one is unlikely. Its shape is a rule of thumb, no source; the mean is
 * the rate's.
 */
public final class BlinkPlan {
    private static final int EVENNESS = 3;
    /** How near a shift must be to draw a blink to itself, seconds: a rule of thumb, no source. */
    private static final double PULL = 0.5;

    private BlinkPlan() {}

    /**
     * @param frames length of the shot
     * @param frameRate frames a second
     * @param perMinute blinks a minute, above 0
     * @param shifts frames in which the gaze jumps or the head begins to turn
     * @param seed the same seed gives the same plan
     * @return in rising order, none overlapping, each complete within the shot
     */
    public static List<Blink> lay(int frames, int frameRate, double perMinute, List<Integer> shifts, long seed) {
        if (!(perMinute > 0 && perMinute <= 60)) {
            throw new Refusal(
                    RefusalCode.BLINK_RATE,
                    "Blinks come more than 0 and at most 60 times a minute, not " + perMinute + ".");
        }
        SplittableRandom random = new SplittableRandom(seed);
        List<Blink> plan = new ArrayList<>();
        double mean = 60.0 / perMinute * frameRate;
        // the shot begins somewhere between two blinks
        double at = random.nextDouble() * wait(random, mean);
        int free = 0;
        while (at < frames) {
            int frame = Math.max(free, drawn((int) Math.round(at), frameRate, shifts));
            Blink blink = Blink.at(frame);
            if (blink.within(frames)) {
                plan.add(blink);
            }
            free = blink.end();
            // counted from where the wait ended, so that being drawn to a shift does not change the rate
            at += wait(random, mean);
        }
        return plan;
    }

    /**
     * The same blinks, each with a shut frame that is photographed; one that finds no room for that is left out.
     *
     * @param plan in rising order, none overlapping
     * @param exposure frames each exposure takes
     * @param frames length of the shot
     */
    public static List<Blink> photographed(List<Blink> plan, int exposure, int frames) {
        List<Blink> out = new ArrayList<>();
        int free = 0;
        for (Blink b : plan) {
            Blink moved = b.photographed(exposure);
            if (moved.frame() < free) {
                moved = new Blink(moved.frame() + exposure, b.down(), b.hold(), b.up(), b.laid());
            }
            if (moved.frame() >= free && moved.within(frames)) {
                out.add(moved);
                free = moved.end();
            }
        }
        return out;
    }

    /** One wait in frames; a sum of exponential waits. */
    private static double wait(SplittableRandom random, double mean) {
        double sum = 0;
        for (int i = 0; i < EVENNESS; i++) {
            sum -= Math.log(1 - random.nextDouble());
        }
        return sum * mean / EVENNESS;
    }

    private static int drawn(int frame, int frameRate, List<Integer> shifts) {
        int best = frame;
        double nearest = PULL * frameRate + 1e-9;
        for (int s : shifts) {
            // the lids begin to fall a frame before the eyes go
            int wanted = Math.max(0, s - 1);
            if (Math.abs(wanted - frame) <= nearest) {
                nearest = Math.abs(wanted - frame);
                best = wanted;
            }
        }
        return best;
    }
}
