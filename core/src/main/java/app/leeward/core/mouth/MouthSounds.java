package app.leeward.core.mouth;

import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A line's sounds as stretches of viseme classes: gliding sounds halved, H joined to its vowel. */
public final class MouthSounds {
    private MouthSounds() {}

    /**
     * A stretch of one class.
     *
     * @param phone the sound it comes from
     * @param start seconds
     * @param end seconds
     */
    public record Stretch(Viseme viseme, Phone phone, double start, double end) {}

    public static List<Stretch> of(List<TimedPhone> phones) {
        List<Stretch> out = new ArrayList<>();
        for (int i = 0; i < phones.size(); i++) {
            TimedPhone p = phones.get(i);
            Viseme viseme = p.phone() == Phone.HH ? afterH(phones, i) : Viseme.of(p.phone());
            Optional<Viseme> glide = Viseme.glide(p.phone());
            if (glide.isPresent()) {
                double middle = (p.start() + p.end()) / 2;
                out.add(new Stretch(viseme, p.phone(), p.start(), middle));
                out.add(new Stretch(glide.get(), p.phone(), middle, p.end()));
            } else {
                out.add(new Stretch(viseme, p.phone(), p.start(), p.end()));
            }
        }
        return out;
    }

    /** The class of the next vowel, as the mouth is already there; across a glide consonant too ("huge", "what"). */
    private static Viseme afterH(List<TimedPhone> phones, int h) {
        for (int i = h + 1; i < phones.size() && i <= h + 2; i++) {
            if (phones.get(i).phone().vowel()) {
                return Viseme.of(phones.get(i).phone());
            }
        }
        return Viseme.of(Phone.HH);
    }
}
