package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class SoundMixTest {
    private static Sound tone(int rate, double seconds, double level) {
        float[] samples = new float[(int) (rate * seconds)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (level * Math.sin(2 * Math.PI * 440 * i / rate));
        }
        return new Sound(rate, samples);
    }

    @Test
    void eachIsHeardFromWhereItBeginsAndNoneBehindTheEnd() {
        Sound mixed = SoundMix.of(
                List.of(
                        new SoundMix.Placed(0, tone(16_000, 1, 0.3)),
                        new SoundMix.Placed(2, tone(16_000, 1, 0.5)),
                        new SoundMix.Placed(2.5, tone(8_000, 2, 0.2))),
                3);
        assertThat(mixed.rate()).isEqualTo(16_000);
        assertThat(mixed.seconds()).isEqualTo(3);
        float[] loudest = mixed.peaks(6);
        assertThat(loudest[0]).isCloseTo(0.3f, within(0.01f));
        assertThat(loudest[2]).as("silence between them").isZero();
        assertThat(loudest[4]).isCloseTo(0.5f, within(0.01f));
        assertThat(loudest[5]).as("together").isBetween(0.5f, 0.71f);
    }

    @Test
    void togetherTooLoudIsCutOff() {
        Sound mixed = SoundMix.of(
                List.of(new SoundMix.Placed(0, tone(96_000, 0.1, 0.9)), new SoundMix.Placed(0, tone(96_000, 0.1, 0.9))),
                0.1);
        assertThat(mixed.rate()).isEqualTo(48_000);
        assertThat(mixed.peak()).isEqualTo(1f);
    }

    /** What is written is read again, sample by sample, within half a step of 16 bits. */
    @Test
    void aWavThatIsWrittenIsRead() {
        Sound sound = tone(22_050, 0.2, 0.7);
        Sound again = WavFile.read(WavFile.write(sound));
        assertThat(again.rate()).isEqualTo(22_050);
        assertThat(again.samples()).hasSize(sound.samples().length);
        for (int i = 0; i < again.samples().length; i++) {
            assertThat(again.samples()[i]).isCloseTo(sound.samples()[i], within(5e-5f));
        }
    }
}
