package app.leeward.speech;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/**
 * Reads RIFF WAVE recordings and writes them. Read are 8 to 96 kHz, one or two channels, 16, 24 or 32 bit integers or 32 bit floats. Everything
 * else is refused with the reason; nothing is guessed, because wrongly read sound gives plausible nonsense.
 */
public final class WavFile {
    /** Longest line, seconds; a longer recording is several lines. */
    public static final double LONGEST = 300;

    private static final int PCM = 1;
    private static final int FLOAT = 3;
    private static final int EXTENSIBLE = 0xFFFE;
    /** Below this peak (about -54 dB) there is nothing to hear. */
    private static final float SILENT = 0.002f;

    private WavFile() {}

    private record Format(int code, int channels, int rate, int bits) {}

    /** One channel of 16 bits. */
    public static byte[] write(Sound sound) {
        byte[] data = sound.pcm16();
        ByteBuffer out = ByteBuffer.allocate(44 + data.length).order(ByteOrder.LITTLE_ENDIAN);
        out.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + data.length);
        out.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        out.putShort((short) PCM).putShort((short) 1);
        out.putInt(sound.rate()).putInt(sound.rate() * 2);
        out.putShort((short) 2).putShort((short) 16);
        out.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(data.length);
        return out.put(data).array();
    }

    /** @throws SpeechProblem with code wav-not, wav-truncated, wav-format, wav-empty, wav-silent or wav-long */
    public static Sound read(byte[] file) {
        Sound sound = readPart(file);
        if (sound.peak() < SILENT) {
            throw new SpeechProblem("wav-silent", "The recording is silent: nothing in it is louder than -54 dB.");
        }
        return sound;
    }

    /** A piece of a recording, which may be silent. */
    public static Sound readPart(byte[] file) {
        ByteBuffer in = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
        if (file.length < 12 || !tag(in, 0).equals("RIFF") || !tag(in, 8).equals("WAVE")) {
            throw new SpeechProblem("wav-not", "This is not a WAV recording: it does not begin with RIFF … WAVE.");
        }
        Format format = null;
        int at = 12;
        while (at + 8 <= file.length) {
            String name = tag(in, at);
            long size = in.getInt(at + 4) & 0xFFFFFFFFL;
            int body = at + 8;
            if (name.equals("fmt ")) {
                format = format(in, body, size);
            } else if (name.equals("data")) {
                if (format == null) {
                    throw new SpeechProblem(
                            "wav-format", "The WAV has sound before it says which kind (no fmt chunk).");
                }
                return samples(in, body, size, format);
            }
            at = (int) Math.min(Integer.MAX_VALUE - 16, body + size + (size & 1));
        }
        throw new SpeechProblem("wav-truncated", "The WAV ends after " + file.length + " bytes, before any sound.");
    }

    private static String tag(ByteBuffer in, int at) {
        byte[] four = new byte[4];
        in.get(at, four);
        return new String(four, StandardCharsets.US_ASCII);
    }

    private static Format format(ByteBuffer in, int at, long size) {
        if (size < 16 || at + 16 > in.capacity()) {
            throw new SpeechProblem("wav-truncated", "The WAV ends inside its description of the sound.");
        }
        int code = in.getShort(at) & 0xFFFF;
        if (code == EXTENSIBLE && size >= 40 && at + 26 <= in.capacity()) {
            code = in.getShort(at + 24) & 0xFFFF;
        }
        Format f = new Format(code, in.getShort(at + 2), in.getInt(at + 4), in.getShort(at + 14));
        boolean integer = f.code == PCM && (f.bits == 16 || f.bits == 24 || f.bits == 32);
        boolean real = f.code == FLOAT && f.bits == 32;
        if (!integer && !real) {
            throw new SpeechProblem(
                    "wav-format",
                    "The WAV holds " + f.bits + "-bit samples of kind " + f.code
                            + "; save it as 16, 24 or 32 bit PCM.");
        }
        if (f.channels < 1 || f.channels > 2 || f.rate < 8000 || f.rate > 96000) {
            throw new SpeechProblem(
                    "wav-format",
                    "The WAV has " + f.channels + " channels at " + f.rate
                            + " samples a second; one or two at 8000 to 96000 can be read.");
        }
        return f;
    }

    private static Sound samples(ByteBuffer in, int at, long size, Format f) {
        int frame = f.channels * f.bits / 8;
        long there = in.capacity() - (long) at;
        // a size of 0 or all ones is what recorders write that never came back to fill it in
        boolean open = size == 0xFFFFFFFFL || size == 0x7FFFFFFFL || (size == 0 && there > 0);
        long bytes = open ? there : size;
        if (bytes > there) {
            throw new SpeechProblem(
                    "wav-truncated",
                    String.format(
                            java.util.Locale.ROOT,
                            "The WAV is cut off: it promises %.1f s of sound and holds %.1f s.",
                            (double) size / frame / f.rate,
                            (double) there / frame / f.rate));
        }
        long count = bytes / frame;
        if (count == 0) {
            throw new SpeechProblem("wav-empty", "The WAV holds no sound at all.");
        }
        if (count > LONGEST * f.rate) {
            throw new SpeechProblem(
                    "wav-long",
                    String.format(
                            java.util.Locale.ROOT,
                            "The recording lasts %d min %02d s; a line may last %d minutes. Cut it into lines.",
                            count / f.rate / 60,
                            count / f.rate % 60,
                            (int) LONGEST / 60));
        }
        return new Sound(f.rate, mono(in, at, (int) count, f));
    }

    private static float[] mono(ByteBuffer in, int at, int count, Format f) {
        float[] out = new float[count];
        int bytes = f.bits / 8;
        for (int i = 0; i < count; i++) {
            float sum = 0;
            for (int c = 0; c < f.channels; c++) {
                sum += sample(in, at + (i * f.channels + c) * bytes, f);
            }
            out[i] = sum / f.channels;
        }
        return out;
    }

    private static float sample(ByteBuffer in, int at, Format f) {
        if (f.code == FLOAT) {
            float v = in.getFloat(at);
            return Float.isFinite(v) ? v : 0;
        }
        return switch (f.bits) {
            case 16 -> in.getShort(at) / 32768f;
            case 24 -> ((in.get(at + 2) << 16) | (in.getShort(at) & 0xFFFF)) / 8388608f;
            default -> in.getInt(at) / 2147483648f;
        };
    }
}
