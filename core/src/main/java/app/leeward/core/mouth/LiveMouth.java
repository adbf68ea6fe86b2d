package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import java.util.Optional;

/**
 * The mouth of a voice that is listened to while it speaks: that of the sound which is heard, held long enough to be seen. Nothing is
 * known of what comes, so that nothing is made ready before its sound as in {@link MouthSolver}.
 *
 * @param shown the class that is shown
 * @param since when it came, seconds
 * @param phone the sound that is heard; empty for silence
 * @param heard when it began
 */
public record LiveMouth(Viseme shown, double since, Optional<Phone> phone, double heard) {
    /** Seconds a mouth is held at the least: two pictures of a usual screen. Held for longer, fewer frames show what is said. */
    static final double LEAST = 0.035;

    /** Seconds into a gliding sound from which on its second mouth is shown. */
    private static final double GLIDES = 0.1;

    /** At rest, as long as nobody speaks. */
    public static final LiveMouth RESTING = new LiveMouth(Viseme.REST, Double.NEGATIVE_INFINITY, Optional.empty(), 0);

    /** A sound begins, or silence. */
    public LiveMouth hears(double at, Optional<Phone> sound) {
        LiveMouth before = at(at);
        return new LiveMouth(before.shown, before.since, sound, at).at(at);
    }

    /** The mouth at a moment that is no earlier than what was asked before. */
    public LiveMouth at(double moment) {
        Viseme wanted = wanted(moment);
        boolean held = moment - since < LEAST && !must(wanted);
        return wanted == shown || held ? this : new LiveMouth(wanted, moment, phone, heard);
    }

    private Viseme wanted(double moment) {
        if (phone.isEmpty()) {
            return Viseme.REST;
        }
        if (phone.get() == Phone.HH) {
            // it has no mouth of its own, and the one behind it is not known yet
            return shown == Viseme.REST ? Viseme.of(Phone.HH) : shown;
        }
        return Viseme.glide(phone.get()).filter(g -> moment - heard >= GLIDES).orElse(Viseme.of(phone.get()));
    }

    /** Everybody sees these missing: they do not wait for the mouth before. */
    private static boolean must(Viseme viseme) {
        return viseme == Viseme.PBM || viseme == Viseme.FV;
    }
}
