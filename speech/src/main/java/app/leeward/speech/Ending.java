package app.leeward.speech;

import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.List;

/** The last sound swallows the quiet behind it; this ends it where the voice ends. */
final class Ending {
    private static final double WINDOW = 0.01;
    private static final double SHORTEST = 0.04;

    private Ending() {}

    static void trim(List<TimedPhone> phones, List<TimedWord> words, Sound sound) {
        if (phones.isEmpty()) {
            return;
        }
        int last = phones.size() - 1;
        TimedPhone p = phones.get(last);
        double end = Math.max(p.start() + SHORTEST, voiceEnds(sound, p.start(), p.end()));
        if (end < p.end()) {
            phones.set(last, new TimedPhone(p.phone(), p.start(), end));
            TimedWord w = words.get(words.size() - 1);
            words.set(words.size() - 1, new TimedWord(w.text(), w.start(), end, w.doubt()));
        }
    }

    /** End of the last window that is louder than a twentieth of the loudest one between the two times. */
    private static double voiceEnds(Sound sound, double from, double to) {
        double loudest = 0;
        for (double t = from; t < to; t += WINDOW) {
            loudest = Math.max(loudest, level(sound, t));
        }
        double ends = from;
        for (double t = from; t < to; t += WINDOW) {
            if (level(sound, t) > loudest / 20) {
                ends = t + WINDOW;
            }
        }
        return Math.min(ends, to);
    }

    private static double level(Sound sound, double at) {
        int first = Math.max(0, (int) (at * sound.rate()));
        int end = Math.min(sound.samples().length, (int) ((at + WINDOW) * sound.rate()));
        double sum = 0;
        for (int i = first; i < end; i++) {
            sum += sound.samples()[i] * sound.samples()[i];
        }
        return end > first ? Math.sqrt(sum / (end - first)) : 0;
    }
}
