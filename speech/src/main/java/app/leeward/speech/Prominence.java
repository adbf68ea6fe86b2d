package app.leeward.speech;

import app.leeward.core.acting.Spoken;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.speech.TypicalDurations;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Which words of a line stand out, heard in the recording: by how long, how loud and how high their strongest vowel is against the
 * line's other vowels. Length weighs most, then loudness, then pitch, as in English stress (Fry, J. Acoust. Soc. Am. 27 (1955)
 * 765–768, has length before loudness; the weights are a rule of thumb, no source).
 */
public final class Prominence {
    private static final double LENGTH = 0.45;
    private static final double LOUDNESS = 0.3;
    private static final double PITCH = 0.25;
    /** Words that carry grammar more than meaning stand out only when they are said with much force. */
    private static final double GRAMMAR = -1.2;

    private static final Set<String> GRAMMATICAL = Set.of(
            "a", "an", "the", "and", "or", "but", "nor", "of", "to", "in", "on", "at", "by", "for", "from", "with",
            "as", "than", "i", "you", "he", "she", "it", "we", "they", "me", "him", "her", "us", "them", "my", "your",
            "his", "its", "our", "their", "is", "am", "are", "was", "were", "be", "been", "being", "do", "does", "did",
            "have", "has", "had", "will", "would", "can", "could", "shall", "should", "may", "might", "must", "that",
            "this", "these", "those", "there", "who", "which", "if", "so", "not", "it's", "i'm", "you're", "we're",
            "they're", "isn't", "don't", "into", "up", "out");

    private Prominence() {}

    /** What one vowel is against the others: each number grows with stress. */
    private record Vowel(TimedPhone phone, double length, double loudness, double pitch) {}

    /** The words of a line in order; empty where they were not found in the recording. */
    public static List<Spoken> of(Sound sound, DialogueLine line) {
        Pitch pitch = Pitch.of(sound);
        double usual = pitch.median();
        List<Vowel> vowels = line.phones().stream()
                .filter(p -> p.phone().vowel())
                .map(p -> new Vowel(p, lengthOf(p), loudness(sound, p), height(pitch, usual, p)))
                .toList();
        Scale length = Scale.of(vowels.stream().mapToDouble(Vowel::length).toArray());
        Scale loudness = Scale.of(vowels.stream().mapToDouble(Vowel::loudness).toArray());
        Scale height = Scale.of(vowels.stream().mapToDouble(Vowel::pitch).toArray());
        List<Boolean> ends = sentenceEnds(line);
        List<Spoken> all = new ArrayList<>();
        for (int i = 0; i < line.words().size(); i++) {
            TimedWord w = line.words().get(i);
            double best = Double.NEGATIVE_INFINITY;
            double beat = (w.start() + w.end()) / 2;
            for (Vowel v : vowels) {
                double middle = (v.phone().start() + v.phone().end()) / 2;
                double score = LENGTH * length.of(v.length())
                        + LOUDNESS * loudness.of(v.loudness())
                        + PITCH * height.of(v.pitch());
                if (middle >= w.start() && middle <= w.end() && score > best) {
                    best = score;
                    beat = middle;
                }
            }
            boolean grammatical =
                    GRAMMATICAL.contains(w.text().toLowerCase(Locale.ROOT).replaceAll("[^a-z']", ""));
            double score = (Double.isInfinite(best) ? -1 : best) + (grammatical ? GRAMMAR : 0.35);
            all.add(new Spoken(
                    w.text(),
                    w.start(),
                    w.end(),
                    beat,
                    1 / (1 + Math.exp(-2 * score)),
                    i == 0 || ends.get(i - 1),
                    ends.get(i)));
        }
        return all;
    }

    /** How much longer it is than such a sound usually is, as a logarithm. */
    private static double lengthOf(TimedPhone p) {
        return Math.log((p.end() - p.start()) / TypicalDurations.of(p.phone(), 1));
    }

    /** Decibels of its loudest fiftieth of a second. */
    private static double loudness(Sound sound, TimedPhone p) {
        int window = Math.max(1, sound.rate() / 50);
        int from = (int) (p.start() * sound.rate());
        int to = Math.min(sound.samples().length, (int) (p.end() * sound.rate()));
        double most = 1e-9;
        for (int i = from; i + window <= to; i += Math.max(1, window / 2)) {
            double sum = 0;
            for (int k = i; k < i + window; k++) {
                sum += sound.samples()[k] * (double) sound.samples()[k];
            }
            most = Math.max(most, sum / window);
        }
        return 10 * Math.log10(most);
    }

    /** Semitones above the line's usual pitch. */
    private static double height(Pitch pitch, double usual, TimedPhone p) {
        double highest = pitch.highest(p.start(), p.end());
        return highest == 0 || usual == 0 ? 0 : 12 * Math.log(highest / usual) / Math.log(2);
    }

    /** Mean and spread of some numbers. */
    private record Scale(double mean, double spread) {
        static Scale of(double[] all) {
            double mean = 0;
            for (double v : all) {
                mean += v / all.length;
            }
            double square = 0;
            for (double v : all) {
                square += (v - mean) * (v - mean) / all.length;
            }
            return new Scale(mean, Math.sqrt(square));
        }

        double of(double v) {
            return spread < 1e-9 ? 0 : (v - mean) / spread;
        }
    }

    /** For each word whether the line's text ends a sentence behind it. */
    private static List<Boolean> sentenceEnds(DialogueLine line) {
        String text = line.text().toLowerCase(Locale.ROOT);
        List<Boolean> ends = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < line.words().size(); i++) {
            int found = text.indexOf(line.words().get(i).text().toLowerCase(Locale.ROOT), at);
            if (found >= 0) {
                at = found + line.words().get(i).text().length();
            }
            int next = i + 1 < line.words().size()
                    ? text.indexOf(line.words().get(i + 1).text().toLowerCase(Locale.ROOT), at)
                    : text.length();
            String between = text.substring(at, Math.max(at, next < 0 ? at : next));
            ends.add(i + 1 == line.words().size() || between.matches("(?s).*[.!?…;:].*"));
        }
        return ends;
    }
}
