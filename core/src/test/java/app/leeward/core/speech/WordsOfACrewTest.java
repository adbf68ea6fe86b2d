package app.leeward.core.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class WordsOfACrewTest {
    @Test
    void theLexiconFindsAWordInAnyCaseAndKeepsTheOthers() {
        Lexicon one = Lexicon.EMPTY.with("Sorrel", List.of(Phone.S, Phone.AO));
        Lexicon two = one.with("PILCHARD", List.of(Phone.P, Phone.IH));
        assertThat(two.of("sorrel")).contains(List.of(Phone.S, Phone.AO));
        assertThat(two.of("Pilchard")).isPresent();
        assertThat(two.with("sorrel", List.of(Phone.Z)).of("SORREL")).contains(List.of(Phone.Z));
        assertThat(one.of("pilchard")).as("values do not change").isEmpty();
        assertThatThrownBy(() -> new Lexicon(Map.of("mute", List.of()))).hasMessageContaining("at least one sound");
    }

    @Test
    void arpabetIsReadInAnyCaseWithAndWithoutStress() {
        assertThat(Phone.parse(" ao1 ")).contains(Phone.AO);
        assertThat(Phone.parse("XX")).isEmpty();
        assertThat(Phone.parseAll("P AO1, L")).contains(List.of(Phone.P, Phone.AO, Phone.L));
        assertThat(Phone.parseAll("P oops")).as("all or nothing").isEmpty();
        for (Phone p : Phone.values()) {
            assertThat(Phone.parse(p.name() + (p.vowel() ? "2" : ""))).contains(p);
        }
    }

    @Test
    void aSoundEndsAfterItBegins() {
        assertThatThrownBy(() -> new TimedPhone(Phone.M, 0.4, 0.4)).hasMessageContaining("M cannot last");
        assertThatThrownBy(() -> new TimedPhone(Phone.M, -0.1, 0.4)).hasMessageContaining("-0.1");
    }

    @Test
    void doubtIsToldFromItsMeasuredThresholds() {
        assertThat(new TimedWord("far", 0, 1, 4.9).doubtful()).isFalse();
        assertThat(new TimedWord("far", 0, 1, 6.3).doubtful()).isTrue();
        List<TimedPhone> some = List.of(new TimedPhone(Phone.M, 0, 1));
        assertThat(new DialogueLine("m", "h", 1, List.of(), some, List.of(), 1.5).fits())
                .isTrue();
        assertThat(new DialogueLine("m", "h", 1, List.of(), some, List.of(), 2.5).fits())
                .isFalse();
        assertThat(new DialogueLine("m", "h", 1, List.of(), List.of(), List.of(), 0).fits())
                .as("nothing found")
                .isFalse();
    }
}
