package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LexiconFileTest {
    private static Lexicon read(String text) {
        return LexiconFile.read(text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void linesOfTheDictionaryThatShipsAreRead() {
        // as they stand in cmudict, with stress, a second way and remarks
        Lexicon read = read(";;; # CMUdict\nSORREL  S AO1 R AH0 L\nSORREL(1)  S AO1 R EH0 L\n\n"
                + "d'artagnan  D AH0 R T AE1 NG Y AH0 N # foreign french\n# mine\nquay K IY1\n");
        assertThat(read.entries()).hasSize(3);
        assertThat(read.of("Sorrel")).contains(List.of(Phone.S, Phone.AO, Phone.R, Phone.AH, Phone.L));
        assertThat(read.of("d'artagnan").orElseThrow()).endsWith(Phone.AH, Phone.N);
    }

    @Test
    void whatIsWrittenIsReadBack() {
        PronouncingDictionary dictionary = PronouncingDictionary.load();
        List<String> words = new ArrayList<>(dictionary.words());
        words.sort(null);
        Random random = new Random(6);
        for (int n = 0; n < 50; n++) {
            Map<String, List<Phone>> some = new HashMap<>();
            for (int i = 0; i < 40; i++) {
                String word = words.get(random.nextInt(words.size()));
                some.put(word, dictionary.of(word).get(0));
            }
            Lexicon lexicon = new Lexicon(some);
            assertThat(read(LexiconFile.write(lexicon))).isEqualTo(lexicon);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "lexicon-line, 'boat  B OW T|pier  P QQ R', Line 2",
        "lexicon-line, 'boat', Line 1",
        "lexicon-empty, ';;; nothing', no word",
    })
    void whatCannotBeReadIsToldWithItsLine(String code, String text, String told) {
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> read(text.replace('|', '\n')))
                .satisfies(e -> assertThat(e.code()).isEqualTo(code))
                .withMessageContaining(told);
    }

    @Test
    void whatIsNoTextIsRefused() {
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> LexiconFile.read(new byte[] {(byte) 0xff, (byte) 0xfe, 0}))
                .satisfies(e -> assertThat(e.code()).isEqualTo("lexicon-text"));
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> LexiconFile.read(new byte[3 << 20]))
                .satisfies(e -> assertThat(e.code()).isEqualTo("lexicon-large"));
    }
}
