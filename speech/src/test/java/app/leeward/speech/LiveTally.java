package app.leeward.speech;

import app.leeward.core.mouth.LiveMouth;
import app.leeward.core.mouth.MouthSounds;
import app.leeward.core.mouth.Viseme;
import app.leeward.speech.acoustic.LiveSounds;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * How many frames of 24 a second show the class of mouth that is said at that moment, when a voice is listened to as it comes in pieces.
 * The true times are the synthesiser's own.
 */
public final class LiveTally {
    private static final double FRAME = 1.0 / 24;
    /** Milliseconds from one delay that is tried to the next, and how many are. */
    private static final int STEP = 20;

    private static final int COUNT = 20;

    private final int[] right = new int[COUNT];
    private int frames;
    private double seconds;
    private double took;

    /** @param piece seconds of sound that come at once */
    public void add(LiveSounds listening, Flite.Said said, Sound sound, double piece) {
        List<MouthSounds.Stretch> truth = MouthSounds.of(said.phones());
        List<LiveMouth> shown = new ArrayList<>();
        StreamedSound stream = new StreamedSound(sound.rate(), LiveSounds.RATE);
        int size = (int) (piece * sound.rate());
        LiveMouth mouth = LiveMouth.RESTING;
        double next = 0;
        for (int at = 0; at < sound.samples().length; at += size) {
            float[] in = Arrays.copyOfRange(sound.samples(), at, Math.min(sound.samples().length, at + size));
            long start = System.nanoTime();
            List<LiveSounds.Heard> heard = listening.hears(stream.next(in));
            took += (System.nanoTime() - start) / 1e9;
            double now = (double) (at + in.length) / sound.rate();
            for (; next < now; next += FRAME) {
                shown.add(mouth);
                mouth = mouth.at(next);
            }
            for (LiveSounds.Heard h : heard) {
                mouth = mouth.hears(now, h.phone());
            }
        }
        seconds += sound.seconds();
        for (int d = 0; d < COUNT; d++) {
            double late = d * STEP / 1000.0;
            for (int f = 0; f < shown.size(); f++) {
                Viseme is = said(truth, f * FRAME - late);
                right[d] += is == shown.get(f).shown() ? 1 : 0;
            }
        }
        frames += shown.size();
    }

    /** With what another one has counted. */
    public void add(LiveTally other) {
        for (int d = 0; d < COUNT; d++) {
            right[d] += other.right[d];
        }
        frames += other.frames;
        seconds += other.seconds;
        took += other.took;
    }

    private static Viseme said(List<MouthSounds.Stretch> truth, double at) {
        return truth.stream()
                .filter(s -> s.start() <= at && at < s.end())
                .findFirst()
                .map(MouthSounds.Stretch::viseme)
                .orElse(Viseme.REST);
    }

    /** Milliseconds by which what is shown is behind what is said: the delay with which most frames agree. */
    public int behind() {
        int best = 0;
        for (int d = 1; d < COUNT; d++) {
            best = right[d] > right[best] ? d : best;
        }
        return best * STEP;
    }

    /** The share of frames with the right class of mouth, at that delay. */
    public double share() {
        return (double) right[behind() / STEP] / frames;
    }

    public String figures(String what) {
        return String.format(
                Locale.ROOT,
                "%s: %.1f %% of %d frames show the right class of mouth, %d ms behind what is said; listening takes %.3f of the time",
                what,
                100 * share(),
                frames,
                behind(),
                took / seconds);
    }
}
