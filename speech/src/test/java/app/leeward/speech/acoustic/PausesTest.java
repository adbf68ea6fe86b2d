package app.leeward.speech.acoustic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.speech.Sound;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

class PausesTest {
    private static final int RATE = 8000;

    private static LongSound sound(float[] samples) {
        return new LongSound() {
            @Override
            public double seconds() {
                return (double) samples.length / RATE;
            }

            @Override
            public Sound part(double from, double to) {
                return new Sound(RATE, Arrays.copyOfRange(samples, (int) Math.round(from * RATE), (int)
                        Math.round(Math.min(to, seconds()) * RATE)));
            }
        };
    }

    @Test
    void silenceOfAMutedTrackIsPassedOverUpToShortlyBeforeWhatIsHeard() {
        float[] x = new float[RATE * 40];
        x[RATE * 27 + 80] = 0.2f;
        assertThat(Pauses.untilHeard(sound(x), 0)).isCloseTo(26.51, within(1e-6));
        assertThat(Pauses.untilHeard(sound(x), 26.8))
                .as("never back before where one is")
                .isEqualTo(26.8);
        assertThat(Pauses.untilHeard(sound(x), 28)).isEqualTo(40);
    }

    @Test
    void theHumOfAQuietRoomIsNoSilence() {
        float[] x = new float[RATE * 4];
        for (int i = 0; i < x.length; i++) {
            x[i] = (float) (0.002 * Math.sin(2 * Math.PI * 50 * i / RATE));
        }
        assertThat(Pauses.untilHeard(sound(x), 1)).isEqualTo(1);
    }
}
