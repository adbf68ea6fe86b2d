package app.leeward.speech;

import java.util.Arrays;

/**
 * A sound that comes in pieces, at another rate: what {@link Sound#at} makes of all of it at once, as far as it can be known. For one
 * thread.
 */
public final class StreamedSound {
    private final Resampling resampling;
    private float[] held = new float[0];
    /** The number of the first sample that is held. */
    private long first;

    private long made;

    /**
     * @param rate samples a second of what comes
     * @param newRate of what goes
     */
    public StreamedSound(int rate, int newRate) {
        resampling = new Resampling(rate, newRate);
    }

    /** @return what can be told of the sound with this piece behind what came before */
    public float[] next(float[] piece) {
        if (resampling.step() == 1) {
            return piece;
        }
        int had = held.length;
        held = Arrays.copyOf(held, had + piece.length);
        System.arraycopy(piece, 0, held, had, piece.length);
        long end = first + held.length;
        // the last one that all samples around are known of
        long until = Math.max(made, (long) Math.ceil((end - resampling.reach()) / resampling.step()));
        float[] out = new float[(int) (until - made)];
        for (int i = 0; i < out.length; i++) {
            out[i] = resampling.at(held, (made + i) * resampling.step() - first);
        }
        made = until;
        long needed = Math.max(first, (long) Math.floor(made * resampling.step()) - resampling.reach());
        int drop = (int) Math.min(held.length, needed - first);
        held = Arrays.copyOfRange(held, drop, held.length);
        first += drop;
        return out;
    }
}
