package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A corrected line against the same line read whole, spoken by Debian's flite. */
class CorrectionTest {
    private static final String TEXT = "Good morning everybody, the six forty boat to Sorrel is ready at the far pier."
            + " Mind the ropes, please, and never, ever feed the gulls.";
    private static final Map<String, DialogueLine> READ = new HashMap<>();
    private static LineReader reader;
    private static Sound sound;

    @BeforeAll
    static void speak() throws Exception {
        reader = new LineReader();
        sound = WavFile.read(Flite.say("slt", TEXT).wav());
    }

    /** Reading takes seconds and always comes to the same, so each text is read once. */
    private static DialogueLine read(String text) {
        return READ.computeIfAbsent(text, t -> reader.read(t, sound, "hash", Lexicon.EMPTY));
    }

    private static List<String> texts(DialogueLine line) {
        return line.words().stream().map(TimedWord::text).toList();
    }

    private static void assertLike(DialogueLine corrected, DialogueLine whole) {
        assertThat(texts(corrected)).isEqualTo(texts(whole));
        assertThat(corrected.phones().stream().map(TimedPhone::phone))
                .containsExactlyElementsOf(
                        whole.phones().stream().map(TimedPhone::phone).toList());
        for (int i = 0; i < whole.phones().size(); i++) {
            assertThat(corrected.phones().get(i).start())
                    .as("%d: %s", i, whole.phones().get(i))
                    .isCloseTo(whole.phones().get(i).start(), within(0.06));
        }
        assertThat(corrected.fits()).isTrue();
    }

    @Test
    void aWrongWordPutRightIsFoundInItsPlaceAndTheRestStaysToTheDigit() {
        DialogueLine wrong = read(TEXT.replace("Sorrel", "Portugal"));
        List<Double> work = new ArrayList<>();
        DialogueLine right = reader.correct(wrong, TEXT, sound, Lexicon.EMPTY, work::add);
        assertLike(right, read(TEXT));
        assertThat(right.words().subList(0, 2)).isEqualTo(wrong.words().subList(0, 2));
        assertThat(right.words().subList(18, 25)).isEqualTo(wrong.words().subList(18, 25));
        assertThat(work).isSorted().isNotEmpty().allMatch(s -> s >= 0 && s <= 1);
    }

    @Test
    void wordsPutInAndTakenOutAreFoundAsWell() {
        DialogueLine whole = read(TEXT);
        assertLike(reader.correct(read(TEXT.replace("everybody, ", "")), TEXT, sound, Lexicon.EMPTY, s -> {}), whole);
        assertLike(
                reader.correct(read(TEXT.replace("please,", "please, please,")), TEXT, sound, Lexicon.EMPTY, s -> {}),
                whole);
        assertLike(reader.correct(read(TEXT.replace(" gulls", "")), TEXT, sound, Lexicon.EMPTY, s -> {}), whole);
    }

    @Test
    void aWordPronouncedOtherwiseIsLookedForAgainAlthoughItIsWrittenTheSame() {
        DialogueLine guessed = read(TEXT.replace("Sorrel", "Zorelle"));
        List<Phone> phones = Phone.parseAll("S AO R AH L").orElseThrow();
        DialogueLine taught =
                reader.correct(guessed, guessed.text(), sound, Lexicon.EMPTY.with("zorelle", phones), Listening.ALONE);
        assertThat(taught.guesses()).isEmpty();
        TimedWord word = taught.words().stream()
                .filter(w -> w.text().equals("Zorelle"))
                .findFirst()
                .orElseThrow();
        assertThat(taught.phones().stream()
                        .filter(p -> p.start() >= word.start() - 1e-9 && p.end() <= word.end() + 1e-9)
                        .map(TimedPhone::phone))
                .containsExactlyElementsOf(phones);
        assertThat(taught.words().subList(18, 25)).isEqualTo(guessed.words().subList(18, 25));
    }

    @Test
    void nothingChangedTakesNoSearchAndEverythingChangedReadsAllOfItAgain() {
        DialogueLine whole = read(TEXT);
        DialogueLine same = reader.correct(whole, TEXT + "!", sound, Lexicon.EMPTY, s -> {
            throw new AssertionError("nothing had to be looked for");
        });
        assertThat(same.phones()).isEqualTo(whole.phones());
        DialogueLine other = read("Whatever is said here has nothing at all to do with it");
        assertThat(reader.correct(other, TEXT, sound, Lexicon.EMPTY, s -> {}).phones())
                .isEqualTo(whole.phones());
    }

    @Test
    void whoeverWaitsCanStopItAndTheNextOneIsReadAsEver() {
        assertThatExceptionOfType(CancellationException.class)
                .isThrownBy(() -> reader.read(TEXT, sound, "hash", Lexicon.EMPTY, share -> {
                    if (share > 0.2) {
                        throw new CancellationException();
                    }
                }));
        assertThat(texts(read(TEXT))).hasSize(25);
    }

    @Test
    void twoAreReadAtOnceAsOneAfterTheOther() {
        DialogueLine alone = read(TEXT);
        assertThat(Stream.generate(() -> TEXT).limit(3).parallel().map(CorrectionTest::read))
                .allMatch(line -> line.phones().equals(alone.phones()));
    }
}
