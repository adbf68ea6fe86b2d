package app.leeward.speech.acoustic;

import app.leeward.speech.Sound;

/** The quiet places of a recording. */
public final class Pauses {
    /** Of what is compared, seconds: shorter than a pause between words, longer than a closure. */
    private static final double WIDTH = 0.25;

    private static final double HOP = 0.01;

    /** Below this, of the loudest there can be, nothing is said: 60 dB under it. */
    private static final double SILENT = 1e-3;
    /** What is looked through at once, seconds. */
    private static final double PIECE = 10;
    /** What is left of a silence before the first sound, seconds. */
    private static final double LEAD = 0.5;

    private Pauses() {}

    /**
     * Where listening is worth while behind a time: shortly before the first sound that is no silence of a muted track; the end where
     * nothing more is heard.
     */
    static double untilHeard(LongSound recording, double from) {
        for (double at = from; at < recording.seconds(); at += PIECE) {
            Sound part = recording.part(at, at + PIECE);
            float[] x = part.samples();
            for (int i = 0; i < x.length; i++) {
                if (Math.abs(x[i]) > SILENT) {
                    return Math.max(from, at + (double) i / part.rate() - LEAD);
                }
            }
        }
        return recording.seconds();
    }

    /** The middle of the quietest stretch behind a time, seconds; the later of two that are alike. */
    static double lastIn(Sound sound, double from) {
        return quietest(sound, from, sound.seconds());
    }

    /** The middle of the quietest quarter of a second between two times; half-way where there is no room for one. */
    public static double quietest(Sound sound, double from, double to) {
        int hop = Math.max(1, (int) (HOP * sound.rate()));
        int first = (int) Math.round(Math.max(0, from) * sound.rate()) / hop;
        int count = (int) Math.round(Math.min(sound.seconds(), to) * sound.rate()) / hop - first;
        int width = (int) Math.round(WIDTH / HOP);
        if (count <= width) {
            return (from + to) / 2;
        }
        double[] power = new double[count];
        for (int i = 0; i < count; i++) {
            for (int k = 0; k < hop; k++) {
                float v = sound.samples()[(first + i) * hop + k];
                power[i] += (double) v * v;
            }
        }
        double sum = 0;
        double least = Double.POSITIVE_INFINITY;
        int best = 0;
        for (int i = 0; i < count; i++) {
            sum += power[i] - (i >= width ? power[i - width] : 0);
            if (i >= width - 1 && sum <= least) {
                least = sum;
                best = i;
            }
        }
        return (first + best + 1 - width / 2.0) * hop / sound.rate();
    }
}
