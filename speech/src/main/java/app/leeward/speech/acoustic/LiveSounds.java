package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The sounds of a voice while it speaks, by a loop of all sounds, without words: rough, and at once. For one thread.
 */
public final class LiveSounds {
    /** Samples a second of what is heard. */
    public static final int RATE = Features.RATE;

    /** Frames that are waited for: more of them would hear little better. */
    private static final int LATE = 6;

    /** The scores of a frame are kept under its number; a search asks for every state in every frame, so that two numbers are enough. */
    private static final int SLOTS = 2;

    /** By how much, seconds, a frame's sound lies behind its first sample. */
    private static final double MIDDLE = 0.013;

    private final LiveFeatures features = new LiveFeatures();
    private final LiveSearch search;
    private final float[][] slots = new float[SLOTS][];
    private final Scores scores;
    private int frame;
    private int unit = AcousticUnit.SILENCE;

    /**
     * From a moment on there is a sound.
     *
     * @param seconds since it began to listen
     * @param phone empty for silence
     */
    public record Heard(double seconds, Optional<Phone> phone) {}

    public LiveSounds(AcousticModel model, SoundPairs pairs) {
        search = new LiveSearch(model, pairs, LATE);
        scores = new Scores(model, slots, VoiceShift.none(model));
    }

    /** Seconds by which what is told is behind what is heard. */
    public static double behind() {
        return (LATE + LiveFeatures.BEHIND + 1) * Features.STEP + MIDDLE;
    }

    /**
     * @param samples what came since, at {@link #RATE}, -1 to 1
     * @return the sounds that begin in it
     */
    public List<Heard> hears(float[] samples) {
        List<Heard> out = new ArrayList<>();
        for (LiveFeatures.Frame f : features.hears(samples)) {
            int slot = frame % SLOTS;
            slots[slot] = f.features();
            int then = search.step(scores, slot, f.silent());
            if (then >= 0 && then != unit) {
                unit = then;
                out.add(new Heard(
                        (frame - LATE) * Features.STEP + MIDDLE,
                        AcousticUnit.spoken(then) ? Optional.of(Phone.values()[then]) : Optional.empty()));
            }
            frame++;
        }
        return out;
    }
}
