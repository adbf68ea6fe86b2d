package app.leeward.speech;

import java.util.Arrays;

/**
 * A recording as one channel.
 *
 * @param rate samples a second
 * @param samples -1 to 1; not to be changed
 */
public record Sound(int rate, float[] samples) {
    public double seconds() {
        return (double) samples.length / rate;
    }

    /** From one second to another. */
    public Sound part(double from, double to) {
        int first = Math.max(0, (int) Math.round(from * rate));
        int end = Math.max(first, Math.min(samples.length, (int) Math.round(to * rate)));
        return new Sound(rate, Arrays.copyOfRange(samples, first, end));
    }

    public float peak() {
        float peak = 0;
        for (float s : samples) {
            peak = Math.max(peak, Math.abs(s));
        }
        return peak;
    }

    /** The same sound at another rate, without what lies above the lower of the two half-rates. */
    public Sound at(int newRate) {
        if (newRate == rate) {
            return this;
        }
        Resampling resampling = new Resampling(rate, newRate);
        float[] out = new float[(int) Math.floor(samples.length / resampling.step())];
        for (int i = 0; i < out.length; i++) {
            out[i] = resampling.at(samples, i * resampling.step());
        }
        return new Sound(newRate, out);
    }

    /** Signed 16-bit little-endian samples; those of a recording of 16 bits are the very ones that were read. */
    byte[] pcm16() {
        byte[] out = new byte[samples.length * 2];
        for (int i = 0; i < samples.length; i++) {
            int v = Math.max(-32768, Math.min(32767, Math.round(samples[i] * 32768)));
            out[2 * i] = (byte) v;
            out[2 * i + 1] = (byte) (v >> 8);
        }
        return out;
    }

    /** Loudest excursion in each of {@code count} equal stretches, 0 to 1: what a wave form draws. */
    public float[] peaks(int count) {
        float[] peaks = new float[count];
        for (int i = 0; i < samples.length; i++) {
            int bin = (int) ((long) i * count / samples.length);
            peaks[bin] = Math.max(peaks[bin], Math.abs(samples[i]));
        }
        return peaks;
    }
}
