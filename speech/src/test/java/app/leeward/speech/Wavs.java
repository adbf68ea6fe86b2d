package app.leeward.speech;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Random;

/** Makes WAV files for tests. */
public final class Wavs {
    private Wavs() {}

    static byte[] of(Sound sound, int channels, int bits, boolean real) {
        int bytes = bits / 8;
        int data = sound.samples().length * channels * bytes;
        ByteBuffer out = ByteBuffer.allocate(44 + data).order(ByteOrder.LITTLE_ENDIAN);
        out.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + data);
        out.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        out.putShort((short) (real ? 3 : 1)).putShort((short) channels).putInt(sound.rate());
        out.putInt(sound.rate() * channels * bytes)
                .putShort((short) (channels * bytes))
                .putShort((short) bits);
        out.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(data);
        for (float s : sound.samples()) {
            for (int c = 0; c < channels; c++) {
                if (real) {
                    out.putFloat(s);
                } else {
                    long v = Math.round(s * (double) ((1L << (bits - 1)) - 1));
                    for (int b = 0; b < bytes; b++) {
                        out.put((byte) (v >> (8 * b)));
                    }
                }
            }
        }
        return out.array();
    }

    static Sound tone(int rate, double seconds, double hertz) {
        float[] s = new float[(int) (rate * seconds)];
        for (int i = 0; i < s.length; i++) {
            s[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / rate));
        }
        return new Sound(rate, s);
    }

    /** White noise added so that the speech is {@code decibels} louder on average. */
    public static Sound noisy(Sound sound, double decibels, long seed) {
        double power = 0;
        for (float s : sound.samples()) {
            power += s * s;
        }
        double noise = Math.sqrt(power / sound.samples().length) / Math.pow(10, decibels / 20);
        Random random = new Random(seed);
        float[] out = new float[sound.samples().length];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) Math.max(-1, Math.min(1, sound.samples()[i] + noise * random.nextGaussian()));
        }
        return new Sound(sound.rate(), out);
    }

    static byte[] joined(byte[]... parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (byte[] p : parts) {
            out.writeBytes(p);
        }
        return out.toByteArray();
    }
}
