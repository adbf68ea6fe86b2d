package app.leeward.speech;

import java.util.Random;

/** What happens to a voice on its way to a file, made from a clean recording at 16 kHz; the same seed makes the same. */
public enum Surroundings {
    CLEAN {
        @Override
        public Sound around(Sound sound, long seed) {
            return sound;
        }
    },
    /** White noise 20 dB below the voice. */
    WHITE {
        @Override
        public Sound around(Sound sound, long seed) {
            return Wavs.noisy(sound, 20, seed);
        }
    },
    /** Noise of equal power in every octave, 15 dB below the voice: poles and zeros by Paul Kellet. */
    PINK {
        @Override
        public Sound around(Sound sound, long seed) {
            Random random = new Random(seed);
            double[] noise = new double[sound.samples().length];
            double a = 0;
            double b = 0;
            double c = 0;
            for (int i = 0; i < noise.length; i++) {
                double white = random.nextGaussian();
                a = 0.99765 * a + white * 0.0990460;
                b = 0.96300 * b + white * 0.2965164;
                c = 0.57000 * c + white * 1.0526913;
                noise[i] = a + b + c + white * 0.1848;
            }
            return mixed(sound, noise, 15);
        }
    },
    /** A small bare room: an echo that dies away by 60 dB within 0.4 s, as loud as the voice itself at the microphone's distance. */
    ROOM {
        @Override
        public Sound around(Sound sound, long seed) {
            Random random = new Random(seed);
            int length = (int) (0.4 * sound.rate());
            int first = (int) (0.008 * sound.rate());
            double[] echo = new double[length];
            double power = 0;
            for (int i = first; i < length; i++) {
                echo[i] = random.nextGaussian() * Math.pow(10, -3.0 * i / length);
                power += echo[i] * echo[i];
            }
            float[] in = sound.samples();
            float[] out = new float[in.length];
            for (int i = 0; i < out.length; i++) {
                double sum = in[i];
                for (int k = first; k < Math.min(length, i + 1); k++) {
                    sum += in[i - k] * echo[k] * Math.sqrt(0.5 / power);
                }
                out[i] = (float) Math.max(-1, Math.min(1, sum * 0.7));
            }
            return new Sound(sound.rate(), out);
        }
    },
    /** 300 to 3400 Hz, 8 kHz, eight bits by the mu law of G.711. */
    TELEPHONE {
        @Override
        public Sound around(Sound sound, long seed) {
            Sound narrow = band(sound, 300, 3400).at(8000);
            float[] out = new float[narrow.samples().length];
            for (int i = 0; i < out.length; i++) {
                double s = Math.max(-1, Math.min(1, narrow.samples()[i]));
                double level = Math.signum(s) * Math.log1p(255 * Math.abs(s)) / Math.log(256);
                double step = Math.rint(level * 127) / 127;
                out[i] = (float) (Math.signum(step) * (Math.pow(256, Math.abs(step)) - 1) / 255);
            }
            return new Sound(8000, out).at(sound.rate());
        }
    };

    public abstract Sound around(Sound sound, long seed);

    private static Sound mixed(Sound sound, double[] noise, double decibels) {
        double voice = 0;
        double other = 0;
        for (int i = 0; i < noise.length; i++) {
            voice += sound.samples()[i] * sound.samples()[i];
            other += noise[i] * noise[i];
        }
        double gain = Math.sqrt(voice / other) / Math.pow(10, decibels / 20);
        float[] out = new float[noise.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) Math.max(-1, Math.min(1, sound.samples()[i] + gain * noise[i]));
        }
        return new Sound(sound.rate(), out);
    }

    /** A windowed-sinc filter of 255 taps. */
    private static Sound band(Sound sound, double low, double high) {
        int half = 127;
        double[] taps = new double[2 * half + 1];
        for (int i = -half; i <= half; i++) {
            double window = 0.5 + 0.5 * Math.cos(Math.PI * i / (half + 1));
            taps[i + half] = window * (sinc(i, high / sound.rate()) - sinc(i, low / sound.rate()));
        }
        float[] in = sound.samples();
        float[] out = new float[in.length];
        for (int i = 0; i < out.length; i++) {
            double sum = 0;
            for (int k = Math.max(-half, i - in.length + 1); k <= Math.min(half, i); k++) {
                sum += in[i - k] * taps[k + half];
            }
            out[i] = (float) sum;
        }
        return new Sound(sound.rate(), out);
    }

    private static double sinc(int i, double cut) {
        return i == 0 ? 2 * cut : Math.sin(2 * Math.PI * cut * i) / (Math.PI * i);
    }
}
