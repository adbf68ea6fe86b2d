package app.leeward.speech.acoustic;

import app.leeward.core.speech.Phone;
import app.leeward.speech.Sound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * What the search cannot hear: a stop behind a pause begins with silence, so that its start is found too late; and the last
 * sound swallows the quiet behind it. Limits measured on synthetic voices whose true times are known.
 */
final class SpeechEdges {
    /** Begin with silence, or with so little that any noise covers it. */
    private static final Set<Phone> UNHEARD =
            Set.of(Phone.P, Phone.B, Phone.T, Phone.D, Phone.K, Phone.G, Phone.F, Phone.V);

    /** A shut mouth in the silence at the end harms nobody, a missing one shows. */
    private static final Set<Phone> KEPT =
            Set.of(Phone.P, Phone.B, Phone.M, Phone.F, Phone.V, Phone.T, Phone.D, Phone.K, Phone.G);

    private static final double PAUSE = 0.03;
    private static final double CLOSED = 0.08;
    private static final double SHORTEST = 0.03;

    // the end in a clean recording: windows by their level, decibels
    private static final double WINDOW = 0.01;
    private static final double HOP = 0.005;
    private static final double OVER_FLOOR = 6;
    private static final double UNDER_PEAK = 40;
    private static final double EARLIEST = 0.07;

    // the end in noise: frames by any band that is louder than its noise, decibels
    private static final double OVER_NOISE = 4;
    private static final double UNDER_PEAK_NOISY = 35;
    private static final double LATEST = 0.04;

    private static final double TENTH = 0.1;
    private static final double LEAST = 1e-10;
    private static final int LAST_SOUNDS = 3;

    private final Sound sound;
    private final Features features;

    SpeechEdges(Sound sound, Features features) {
        this.sound = sound;
        this.features = features;
    }

    /** @param held whether the start of the sound of a number is held by hand, and so left alone */
    List<Alignment.Heard> mended(List<Alignment.Heard> spoken, IntPredicate held, boolean endHeld) {
        List<Alignment.Heard> out = new ArrayList<>(spoken);
        for (int i = 0; i < out.size(); i++) {
            Alignment.Heard h = out.get(i);
            double before = i == 0 ? 0 : out.get(i - 1).end();
            boolean paused = i == 0 || h.start() - before >= PAUSE;
            if (paused && UNHEARD.contains(h.phone()) && h.end() - h.start() < CLOSED && !held.test(i)) {
                out.set(i, new Alignment.Heard(h.phone(), Math.max(before, h.end() - CLOSED), h.end()));
            }
        }
        if (!out.isEmpty() && !endHeld) {
            int last = out.size() - 1;
            Alignment.Heard h = out.get(last);
            double from = out.get(Math.max(0, out.size() - LAST_SOUNDS)).start();
            double ends = features.noisy() ? endInNoise(from, h.end()) : endInQuiet(from, h.end());
            double keep = KEPT.contains(h.phone()) ? CLOSED : SHORTEST;
            double end = Math.min(sound.seconds(), Math.max(ends, h.start() + keep));
            if (end > h.start()) {
                out.set(last, new Alignment.Heard(h.phone(), h.start(), end));
            }
        }
        return out;
    }

    private double endInQuiet(double from, double aligned) {
        int count = Math.max(1, (int) ((sound.seconds() - WINDOW) / HOP) + 1);
        double[] levels = new double[count];
        for (int i = 0; i < count; i++) {
            levels[i] = level(i * HOP);
        }
        double[] sorted = levels.clone();
        Arrays.sort(sorted);
        double floor = Arrays.stream(sorted, 0, Math.max(1, (int) (count * TENTH)))
                .average()
                .orElse(0);
        int first = Math.min(count - 1, (int) (from / HOP));
        int last = Math.max(first, Math.min(count - 1, (int) ((aligned - WINDOW) / HOP)));
        double peak = Arrays.stream(levels, first, last + 1).max().orElse(floor);
        double least = Math.max(floor + OVER_FLOOR, peak - UNDER_PEAK);
        int end = last;
        while (end > first && levels[end] <= least) {
            end--;
        }
        return Math.max(aligned - EARLIEST, Math.min(aligned, end * HOP + WINDOW));
    }

    private double level(double at) {
        int first = (int) (at * sound.rate());
        int end = Math.min(sound.samples().length, first + (int) (WINDOW * sound.rate()));
        double sum = 0;
        for (int i = first; i < end; i++) {
            sum += sound.samples()[i] * sound.samples()[i];
        }
        return 10 * Math.log10(sum / Math.max(1, end - first) + LEAST);
    }

    private double endInNoise(double from, double aligned) {
        int count = features.bands().length;
        int first = frame(from, count);
        int last = frame(aligned, count);
        int latest = frame(aligned + LATEST, count);
        double peak = Double.NEGATIVE_INFINITY;
        for (int t = first; t <= last; t++) {
            peak = Math.max(peak, total(t));
        }
        int end = latest;
        while (end > first && !(excess(end) > OVER_NOISE && total(end) > peak - UNDER_PEAK_NOISY)) {
            end--;
        }
        return (end + 1) * Features.STEP;
    }

    private static int frame(double time, int count) {
        return Math.max(0, Math.min(count - 1, (int) (time / Features.STEP)));
    }

    /** Decibels by which the loudest three neighbouring bands are above their noise, over three frames. */
    private double excess(int t) {
        double[] bands = smoothed(t);
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 1; k + 1 < bands.length; k++) {
            double here = bands[k - 1] + bands[k] + bands[k + 1];
            double noise = features.noise()[k - 1] + features.noise()[k] + features.noise()[k + 1];
            most = Math.max(most, 10 * Math.log10((here + LEAST) / (noise + LEAST)));
        }
        return most;
    }

    private double total(int t) {
        return 10 * Math.log10(Arrays.stream(smoothed(t)).sum() + LEAST);
    }

    private double[] smoothed(int t) {
        double[] out = new double[features.noise().length];
        int n = 0;
        for (int at = Math.max(0, t - 1); at <= Math.min(features.bands().length - 1, t + 1); at++, n++) {
            for (int k = 0; k < out.length; k++) {
                out[k] += features.bands()[at][k];
            }
        }
        for (int k = 0; k < out.length; k++) {
            out[k] /= Math.max(1, n);
        }
        return out;
    }
}
