package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.core.mouth.Viseme;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.speech.spelling.SpellingReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {
    private static final PronouncingDictionary DICTIONARY = PronouncingDictionary.load();

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Good morning! | good morning",
                "The 6:40 boat | the six forty boat",
                "at 7:05, or 8:00 | at seven oh five or eight",
                "in 1947 | in nineteen forty seven",
                "in 2012 and 2004 | in twenty twelve and two thousand four",
                "1,900 ropes | one thousand nine hundred ropes",
                "the 21st | the twenty first",
                "pier B2 | pier b two",
                "3.5 metres | three point five metres",
                "20% off | twenty percent off",
                "don't feed the gulls' | don't feed the gulls'",
                "never-ending – really… | never ending really",
                "rock & roll | rock and roll",
                "… | ''",
            })
    void readsOutWhatIsNotWrittenAsAWord(String text, String spoken) {
        List<String> words = new ArrayList<>();
        WordReader.read(text).forEach(w -> words.addAll(w.spoken()));
        assertThat(String.join(" ", words)).isEqualTo(spoken);
    }

    /** ISO/IEC 14496-2's example words (from memory), pronounced by the CMU dictionary. */
    @Test
    void everyExampleWordOfTheStandardHoldsASoundOfItsClass() {
        for (Viseme v : Viseme.values()) {
            for (String word : v.examples()) {
                if (word.equals("top")) {
                    // the standard's British "top" rounds the lips; the American dictionary gives it the AA of "car"
                    assertThat(DICTIONARY.of(word).get(0)).contains(Phone.AA);
                    continue;
                }
                assertThat(DICTIONARY.of(word)).as(word).anySatisfy(phones -> assertThat(phones)
                        .extracting(Viseme::of)
                        .contains(v));
            }
        }
    }

    @Test
    void theDictionaryUsesOurThirtyNineSoundsAndNoOthers() {
        Random random = new Random(7);
        List<String> words = new ArrayList<>(DICTIONARY.words());
        assertThat(words).hasSizeGreaterThan(100_000);
        for (int i = 0; i < 3000; i++) {
            String word = words.get(random.nextInt(words.size()));
            assertThat(DICTIONARY.of(word)).as(word).isNotEmpty().allSatisfy(p -> assertThat(p)
                    .isNotEmpty());
        }
    }

    @Test
    void anyLettersGiveSomeSoundAndNeverFail() {
        LetterToSound letters = new LetterToSound(SpellingReader.shipped());
        Random random = new Random(3);
        for (int i = 0; i < 1000; i++) {
            StringBuilder word = new StringBuilder();
            for (int k = 1 + random.nextInt(12); k > 0; k--) {
                word.append((char) ('a' + random.nextInt(26)));
            }
            assertThat(letters.guesses(word.toString(), 3)).as(word.toString()).isNotEmpty();
        }
        assertThat(letters.guesses("Ægir", 3)).isNotEmpty();
        assertThat(letters.guesses("…", 3)).isEmpty();
    }

    @Test
    void soundsLikeTakesWordsOrArpabet() {
        LineReader reader = new LineReader(DICTIONARY);
        assertThat(reader.soundsLike("S AO1 R AH0 L")).containsExactly(Phone.S, Phone.AO, Phone.R, Phone.AH, Phone.L);
        assertThat(reader.soundsLike("pier")).isEqualTo(DICTIONARY.of("pier").get(0));
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.soundsLike("..."))
                .satisfies(e -> assertThat(e.code()).isEqualTo("sounds-none"));
    }

    @Test
    void theLexiconComesFirstThenTheDictionaryThenAGuess() {
        LineReader reader = new LineReader(DICTIONARY);
        Lexicon own = Lexicon.EMPTY.with("boat", List.of(Phone.B, Phone.UW, Phone.T));
        assertThat(reader.pronunciations("Boat", own)).containsExactly(List.of(Phone.B, Phone.UW, Phone.T));
        assertThat(reader.pronunciations("the", Lexicon.EMPTY))
                .as("all of the dictionary's")
                .hasSizeGreaterThan(1);
        assertThat(reader.pronunciations("gulls'", Lexicon.EMPTY).get(0))
                .isEqualTo(DICTIONARY.of("gulls").get(0));
        assertThat(reader.pronunciations("pilchardish", Lexicon.EMPTY).get(0)).contains(Phone.P, Phone.SH);
    }

    @Test
    void directionsAreNoWords() {
        assertThat(
                        WordReader.read("<b>Mind</b> the ropes (aside, to the gull) and [sighs] never {beat} feed it.")
                                .stream()
                                .map(WrittenWord::text))
                .containsExactly("Mind", "the", "ropes", "and", "never", "feed", "it");
        assertThat(WordReader.read("Is 3 < 5 or (not").stream().map(WrittenWord::text))
                .containsExactly("Is", "3", "5", "or", "not");
    }

    @Test
    void halfASpellingInSoundsIsRefusedAndNotGuessed() {
        LineReader reader = new LineReader();
        assertThat(reader.soundsLike("R EH D")).containsExactly(Phone.R, Phone.EH, Phone.D);
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.soundsLike("R EH QQ"))
                .satisfies(e -> assertThat(e.code()).isEqualTo("sounds-unknown"))
                .satisfies(e -> assertThat(e.getMessage()).contains("QQ"));
        assertThat(reader.soundsLike("BBC")).isNotEmpty();
    }
}
