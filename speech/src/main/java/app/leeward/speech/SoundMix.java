package app.leeward.speech;

import java.util.List;

/** Several recordings heard together, each from where it begins. */
public final class SoundMix {
    private SoundMix() {}

    /**
     * A recording and when it begins.
     *
     * @param starts seconds
     */
    public record Placed(double starts, Sound sound) {}

    /** No rate above it is heard. */
    private static final int HIGHEST = 48_000;

    /**
     * At the highest rate among them, 48 kHz at the most. Where they are louder together than a file can hold they are cut off there.
     *
     * @param all at least one
     * @param seconds how long the whole is; what lasts longer is cut off
     */
    public static Sound of(List<Placed> all, double seconds) {
        int rate = Math.min(
                HIGHEST, all.stream().mapToInt(p -> p.sound().rate()).max().orElseThrow());
        float[] mixed = new float[(int) Math.round(seconds * rate)];
        for (Placed p : all) {
            float[] samples = p.sound().at(rate).samples();
            int from = (int) Math.round(p.starts() * rate);
            for (int i = 0; i < samples.length && from + i < mixed.length; i++) {
                mixed[from + i] = Math.max(-1, Math.min(1, mixed[from + i] + samples[i]));
            }
        }
        return new Sound(rate, mixed);
    }
}
