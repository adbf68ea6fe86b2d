package app.leeward.core.speech;

import java.util.EnumMap;
import java.util.Map;

/**
 * How long a sound typically lasts when nobody has spoken it yet: the inherent durations of the MITalk system, Allen,
 * Hunnicutt and Klatt, From Text to Speech (Cambridge 1987), chapter 9. Values from memory. Connected speech is quicker
 * than the inherent, unshortened durations; a rule of thumb stands for that system's shortening rules.
 */
public final class TypicalDurations {
    /** Share of its inherent duration that a sound lasts in connected speech: common practice, no source. */
    private static final double CONNECTED = 0.72;
    /** Pause after a comma and after a sentence, seconds: common practice, no source. */
    public static final double COMMA = 0.2;

    public static final double SENTENCE = 0.4;

    private static final Map<Phone, Integer> MILLISECONDS = new EnumMap<>(Phone.class);

    static {
        put(240, Phone.AA, Phone.AO);
        put(230, Phone.AE);
        put(140, Phone.AH);
        put(260, Phone.AW);
        put(250, Phone.AY);
        put(150, Phone.EH);
        put(180, Phone.ER);
        put(190, Phone.EY);
        put(135, Phone.IH);
        put(155, Phone.IY);
        put(220, Phone.OW);
        put(280, Phone.OY);
        put(160, Phone.UH);
        put(210, Phone.UW);
        put(85, Phone.B);
        put(70, Phone.CH, Phone.JH, Phone.M, Phone.ZH);
        put(75, Phone.D, Phone.T, Phone.Z);
        put(50, Phone.DH);
        put(100, Phone.F);
        put(80, Phone.G, Phone.HH, Phone.K, Phone.L, Phone.R, Phone.W, Phone.Y);
        put(60, Phone.N, Phone.V);
        put(95, Phone.NG);
        put(90, Phone.P, Phone.TH);
        put(105, Phone.S, Phone.SH);
    }

    private TypicalDurations() {}

    private static void put(int milliseconds, Phone... phones) {
        for (Phone p : phones) {
            MILLISECONDS.put(p, milliseconds);
        }
    }

    /**
     * @param pace 1 as people talk, 2 twice as fast
     * @return seconds
     */
    public static double of(Phone phone, double pace) {
        return MILLISECONDS.get(phone) / 1000.0 * CONNECTED / pace;
    }
}
