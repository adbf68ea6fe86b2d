package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import java.util.List;
import org.junit.jupiter.api.Test;

class VoiceBoothTest {
    private final VoiceBooth booth = new VoiceBooth();

    @Test
    void whatItSpeaksIsHeardAsTheseWords() {
        Sound sound = WavFile.read(booth.speak("Mind the ropes, please.", 1));
        DialogueLine line = new LineReader().read("Mind the ropes, please.", sound, "", Lexicon.EMPTY);
        assertThat(line.words()).extracting(w -> w.text()).containsExactly("Mind", "the", "ropes", "please");
        assertThat(line.fits()).isTrue();
        assertThat(line.phones()).extracting(p -> p.phone()).contains(Phone.M, Phone.P, Phone.Z);
    }

    @Test
    void halfThePaceTakesAboutTwiceAsLong() {
        double usual = WavFile.read(booth.speak("feed the gulls", 1)).seconds();
        double slow = WavFile.read(booth.speak("feed the gulls", 0.5)).seconds();
        assertThat(slow / usual).isBetween(1.6, 2.2);
    }

    @Test
    void aWordIsNeverTakenForAnOption() {
        assertThat(WavFile.read(booth.speak("--help $(id) \"rope\"", 1)).seconds())
                .isGreaterThan(0.5);
    }

    @Test
    void withoutAVoiceItSaysWhatIsMissing() {
        assertThatThrownBy(() -> new VoiceBooth("no-such-program").speak("rope", 1))
                .isInstanceOf(SpeechProblem.class)
                .hasMessageContaining("flite");
        assertThatThrownBy(() -> booth.speak(" ", 1)).hasMessageContaining("Type some words");
        assertThatThrownBy(() -> booth.speak("rope", 9)).hasMessageContaining("four times");
        assertThatThrownBy(() -> booth.speak("rope ".repeat(300), 1)).hasMessageContaining("1200");
    }

    @Test
    void soundsAreSpokenAsTheyAre() {
        VoiceBooth booth = new VoiceBooth();
        Sound two = WavFile.read(booth.speak(List.of(Phone.AA, Phone.M)));
        Sound six = WavFile.read(booth.speak(List.of(Phone.AA, Phone.M, Phone.AA, Phone.M, Phone.AA, Phone.M)));
        assertThat(six.seconds()).isGreaterThan(two.seconds() + 0.2);
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> booth.speak(List.<Phone>of()))
                .satisfies(e -> assertThat(e.code()).isEqualTo("booth-words"));
    }
}
