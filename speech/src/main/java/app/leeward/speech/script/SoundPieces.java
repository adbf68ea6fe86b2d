package app.leeward.speech.script;

import app.leeward.speech.Sound;
import app.leeward.speech.WavFile;
import app.leeward.speech.acoustic.LongSound;
import java.util.List;
import java.util.function.IntFunction;

/** A recording that lies in WAV files, one behind the other, of which only a few are looked at at a time. */
public final class SoundPieces implements LongSound {
    private final double[] starts;
    private final IntFunction<byte[]> pieces;

    private int held = -1;
    private Sound heldSound;

    /**
     * @param seconds of each piece
     * @param pieces the WAV file of a number
     */
    public SoundPieces(List<Double> seconds, IntFunction<byte[]> pieces) {
        this.starts = new double[seconds.size() + 1];
        for (int i = 0; i < seconds.size(); i++) {
            starts[i + 1] = starts[i] + seconds.get(i);
        }
        this.pieces = pieces;
    }

    @Override
    public double seconds() {
        return starts[starts.length - 1];
    }

    @Override
    public Sound part(double from, double to) {
        int rate = piece(0).rate();
        // piece by piece in samples, so that nothing is rounded twice
        float[] out = new float[(int) Math.max(0, Math.round((Math.min(to, seconds()) - Math.max(0, from)) * rate))];
        long first = Math.round(Math.max(0, from) * rate);
        int filled = 0;
        for (int p = 0; p + 1 < starts.length && filled < out.length; p++) {
            if (starts[p + 1] * rate <= first + filled - 1) {
                continue;
            }
            float[] samples = piece(p).samples();
            int at = (int) Math.max(0, first + filled - Math.round(starts[p] * rate));
            int count = Math.min(out.length - filled, samples.length - at);
            if (count > 0) {
                System.arraycopy(samples, at, out, filled, count);
                filled += count;
            }
        }
        return new Sound(rate, out);
    }

    /** One channel of 16 bits. */
    public byte[] wav(double from, double to) {
        return WavFile.write(part(from, to));
    }

    private Sound piece(int number) {
        if (held != number) {
            heldSound = WavFile.readPart(pieces.apply(number));
            held = number;
        }
        return heldSound;
    }
}
