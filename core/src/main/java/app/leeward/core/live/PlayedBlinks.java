package app.leeward.core.live;

import app.leeward.core.cue.Blink;
import app.leeward.core.dial.Dial;
import java.util.ArrayList;
import java.util.List;

/**
 * Blinks among what was done to the dial that shuts the eyes: whoever shuts and opens them within a second has blinked, and that
 * stands on the shot's blinks, where it is moved and timed as one. Eyes kept half or longer shut stay keys of the dial.
 *
 * @param blinks in rising order, by frames of the shot, none before frame 0
 * @param rest what is left of the samples; empty when all of it was blinks
 */
record PlayedBlinks(List<Blink> blinks, List<LiveSample> rest) {
    /** Seconds from open to open again. */
    private static final double LONGEST = 1;

    /** Frames by which a movement has begun when it is noted, half the way from one sample to the next. */
    private static final double NOTED = 0.5;

    /** Shares of the way at which lids count as open, and as shut. */
    private static final double OPEN = 0.05;

    private static final double SHUT = 0.95;

    /** @param late frames by which the hand is behind */
    static PlayedBlinks in(Dial dial, List<LiveSample> samples, int frameRate, int exposure, double late) {
        List<Blink> blinks = new ArrayList<>();
        List<LiveSample> rest = new ArrayList<>();
        boolean more = false;
        for (int i = 0; i < samples.size(); ) {
            int end = i + 1;
            if (share(dial, samples.get(i)) <= OPEN) {
                while (end < samples.size() && share(dial, samples.get(end)) > OPEN) {
                    end++;
                }
                if (end < samples.size()
                        && end > i + 1
                        && samples.get(end).frame() - begins(samples.get(i), samples.get(i + 1)) <= LONGEST * frameRate
                        && samples.subList(i + 1, end).stream().anyMatch(s -> share(dial, s) >= SHUT)) {
                    Blink blink = blink(dial, samples.subList(i, end + 1), exposure, late);
                    boolean free = blinks.isEmpty()
                            || blink.frame() >= blinks.get(blinks.size() - 1).end();
                    if (free) {
                        blinks.add(blink);
                    }
                    i = end;
                    continue;
                }
            }
            for (LiveSample s : samples.subList(i, end)) {
                more |= share(dial, s) > OPEN;
                rest.add(s);
            }
            i = end;
        }
        return new PlayedBlinks(blinks, more ? rest : List.of());
    }

    private static Blink blink(Dial dial, List<LiveSample> samples, int exposure, double late) {
        double begins = begins(samples.get(0), samples.get(1));
        double shuts = -1;
        double opens = -1;
        for (int i = 0; i < samples.size(); i++) {
            LiveSample s = samples.get(i);
            if (share(dial, s) >= SHUT) {
                shuts = shuts < 0 ? s.frame() : shuts;
                opens = begins(s, samples.get(i + 1));
            }
        }
        double ends = samples.get(samples.size() - 1).frame();
        int down = (int) Math.max(1, Math.round(shuts - begins));
        int hold = (int) Math.max(0, Math.round(opens - shuts));
        int up = (int) Math.max(1, Math.round(ends - opens));
        int at = (int) Math.max(0, Math.round(begins - late));
        return new Blink(at, down, hold, up).photographed(exposure);
    }

    /** When lids went that stood still in one sample and moved in the next: what is still is not noted again. */
    private static double begins(LiveSample still, LiveSample next) {
        return Math.max(still.frame(), next.frame() - NOTED);
    }

    private static double share(Dial dial, LiveSample sample) {
        return (sample.value() - dial.rest()) / (dial.to() - dial.rest());
    }
}
