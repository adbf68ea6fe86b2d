package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.acting.Spoken;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PitchTest {
    private static final int RATE = 16_000;

    /** A tone with overtones, as a voice has them, of a known pitch. */
    private static Sound voice(double hertz, double seconds, double level) {
        float[] x = new float[(int) (RATE * seconds)];
        for (int i = 0; i < x.length; i++) {
            double sum = 0;
            for (int k = 1; k <= 6; k++) {
                sum += Math.sin(2 * Math.PI * k * hertz * i / RATE) / k;
            }
            x[i] = (float) (level * sum / 2);
        }
        return new Sound(RATE, x);
    }

    @ParameterizedTest
    @ValueSource(doubles = {70, 98, 131, 196, 220, 330, 440})
    void aTonesPitchIsFoundWithinAHundredth(double hertz) {
        Pitch pitch = Pitch.of(voice(hertz, 0.6, 0.5));
        for (double t = 0.05; t < 0.5; t += 0.03) {
            assertThat(pitch.at(t)).as("at %s s", t).isCloseTo(hertz, within(hertz * 0.01));
        }
        assertThat(pitch.median()).isCloseTo(hertz, within(hertz * 0.01));
    }

    @Test
    void noiseAndSilenceHaveNoPitch() {
        Random r = new Random(4);
        float[] noise = new float[RATE];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = (float) (r.nextGaussian() * 0.2);
        }
        Pitch pitch = Pitch.of(new Sound(RATE, noise));
        int voiced = 0;
        for (double t = 0; t < 0.9; t += Pitch.STEP) {
            voiced += pitch.at(t) > 0 ? 1 : 0;
        }
        assertThat(voiced).isLessThan(5);
        assertThat(Pitch.of(new Sound(RATE, new float[RATE])).median()).isZero();
        assertThat(Pitch.of(new Sound(RATE, new float[10])).at(0)).isZero();
    }

    /** Three vowels alike but for the middle one, which is longer, louder and higher. */
    @Test
    void theWordThatIsLongerLouderAndHigherStandsOut() {
        float[] x = new float[RATE * 3];
        add(x, voice(120, 0.15, 0.2), 0.5);
        add(x, voice(160, 0.35, 0.6), 1.0);
        add(x, voice(120, 0.15, 0.2), 1.8);
        DialogueLine line = new DialogueLine(
                "Big boats. Sail",
                "hash",
                3,
                List.of(
                        new TimedWord("Big", 0.4, 0.7, 0),
                        new TimedWord("boats", 0.9, 1.5, 0),
                        new TimedWord("Sail", 1.7, 2.1, 0)),
                List.of(
                        new TimedPhone(Phone.IH, 0.5, 0.65),
                        new TimedPhone(Phone.OW, 1.0, 1.35),
                        new TimedPhone(Phone.EY, 1.8, 1.95)),
                List.of(),
                0);
        List<Spoken> words = Prominence.of(new Sound(RATE, x), line);
        assertThat(words.get(1).prominence())
                .isGreaterThan(0.7)
                .isGreaterThan(words.get(0).prominence() + 0.3)
                .isGreaterThan(words.get(2).prominence() + 0.3);
        assertThat(words.get(1).beat()).isCloseTo(1.175, within(1e-9));
        assertThat(words.stream().map(Spoken::opens)).containsExactly(true, false, true);
        assertThat(words.stream().map(Spoken::closes)).containsExactly(false, true, true);
    }

    private static void add(float[] into, Sound sound, double at) {
        for (int i = 0; i < sound.samples().length; i++) {
            into[(int) (at * RATE) + i] += sound.samples()[i];
        }
    }
}
