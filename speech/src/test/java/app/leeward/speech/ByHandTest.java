package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.LineCorrection;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import app.leeward.core.speech.UnwrittenSpeech;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What hands put stays when the recording is listened to again, all of it or a stretch; what nobody wrote is told. */
class ByHandTest {
    private static final String TEXT = "Please bring me both of those blue paper maps before lunch.";

    private static LineReader reader;
    private static Sound sound;
    private static DialogueLine read;

    @BeforeAll
    static void read() throws Exception {
        reader = new LineReader();
        sound = WavFile.read(Flite.say("rms", TEXT).wav());
        read = reader.read(TEXT, sound, "h", Lexicon.EMPTY);
    }

    @Test
    void aStretchIsFoundAgainAndNothingElseMoves() {
        int word = 7;
        DialogueLine spoilt = SpoiltLine.of(read, word);
        TimedWord paper = spoilt.words().get(word);
        DialogueLine again = reader.again(spoilt, paper.start(), paper.end(), sound, Lexicon.EMPTY);
        for (int i = 0; i < read.phones().size(); i++) {
            TimedPhone was = read.phones().get(i);
            TimedPhone is = again.phones().get(i);
            assertThat(is.phone()).isEqualTo(was.phone());
            if (read.wordOf(i) == word) {
                assertThat(is.start()).as("%s", is).isCloseTo(was.start(), within(0.025));
            } else {
                assertThat(is).isEqualTo(was);
            }
        }
        assertThat(again.words())
                .extracting(TimedWord::text)
                .isEqualTo(read.words().stream().map(TimedWord::text).toList());
    }

    @Test
    void aStretchInWhichNothingIsSaidIsRefused() {
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.again(read, 0, 0.01, sound, Lexicon.EMPTY))
                .satisfies(e -> assertThat(e.code()).isEqualTo("nothing-there"));
    }

    @Test
    void heldEdgesStayToTheLastDigitWhenAStretchIsReadAgain() {
        int b = read.phonesOf(6).get(0);
        double put = read.phones().get(b).start() + 0.0371;
        DialogueLine moved = LineCorrection.moved(SpoiltLine.of(read, 7), b, false, put, false);
        DialogueLine again = reader.again(
                moved, moved.words().get(4).start(), moved.words().get(8).end(), sound, Lexicon.EMPTY);
        assertThat(again.phones().get(b).start()).isEqualTo(put);
        assertThat(again.phones().get(b - 1).end()).isEqualTo(put);
        assertThat(again.held()).containsExactly(put);
        DialogueLine released = LineCorrection.released(again, 0, 9);
        TimedWord blue = released.words().get(6);
        assertThat(reader.again(released, blue.start() - 0.1, blue.end(), sound, Lexicon.EMPTY)
                        .phones()
                        .get(b)
                        .start())
                .isCloseTo(read.phones().get(b).start(), within(0.025));
    }

    @Test
    void handWorkStaysWhenWordsAreCorrectedAndWhenAllIsReadAgain() {
        int ey = read.phonesOf(7).get(1);
        DialogueLine changed = LineCorrection.changed(read, ey, Phone.AE);
        String near = TEXT.replace("lunch", "lunch time");
        String far = "Do bring us each one of these blue paper maps after dinner";
        for (String text : List.of(near, far)) {
            DialogueLine corrected = reader.correct(changed, text, sound, Lexicon.EMPTY, Listening.ALONE);
            int paper = corrected.words().stream().map(TimedWord::text).toList().indexOf("paper");
            TimedPhone kept = corrected.phones().get(corrected.phonesOf(paper).get(1));
            assertThat(kept).isEqualTo(changed.phones().get(ey));
            assertThat(corrected.held()).containsExactlyElementsOf(changed.held());
        }
    }

    @Test
    void aBreathThatWasAddedStaysThere() {
        double end = read.words().get(10).end();
        DialogueLine breath =
                LineCorrection.added(read, -1, Phone.HH, end + 0.01, Math.min(read.seconds(), end + 0.06));
        DialogueLine corrected =
                reader.correct(breath, TEXT.replace("both", "one"), sound, Lexicon.EMPTY, Listening.ALONE);
        assertThat(corrected.phones().get(corrected.phones().size() - 1))
                .isEqualTo(breath.phones().get(breath.phones().size() - 1));
    }

    @Test
    void aWordThatIsLeftOutIsToldWithItsPlaceAndItsSounds() {
        assertThat(read.unwritten()).isEmpty();
        DialogueLine less = reader.read(TEXT.replace(" paper", ""), sound, "h", Lexicon.EMPTY);
        TimedWord paper = read.words().get(7);
        UnwrittenSpeech told = less.unwritten().get(0);
        assertThat(less.unwritten()).hasSize(1);
        assertThat(told.word()).isEqualTo(7);
        assertThat(told.start()).isCloseTo(paper.start(), within(0.06));
        assertThat(told.end()).isCloseTo(paper.end(), within(0.06));
        assertThat(told.phones()).contains(Phone.P);
        DialogueLine whole = reader.correct(less, TEXT, sound, Lexicon.EMPTY, Listening.ALONE);
        assertThat(whole.unwritten()).isEmpty();
        assertThat(whole.words()).hasSize(11);
    }

    /** Another voice says the same words: what a hand has changed a sound into is looked for, everything else is as it is said. */
    @Test
    void anotherTakeIsReadWithTheSoundsThatAHandHasChanged() throws Exception {
        List<Integer> maps = read.phonesOf(8);
        DialogueLine changed = LineCorrection.changed(read, maps.get(1), Phone.IY);
        Sound other = WavFile.read(Flite.say("slt", TEXT).wav());
        DialogueLine taken = reader.retake(changed, other, "other", Lexicon.EMPTY, Listening.ALONE);
        assertThat(taken.sound()).isEqualTo("other");
        assertThat(taken.words())
                .extracting(TimedWord::text)
                .isEqualTo(read.words().stream().map(TimedWord::text).toList());
        assertThat(sounds(taken, 8)).isEqualTo(sounds(changed, 8)).contains(Phone.IY);
        assertThat(sounds(taken, 7)).isEqualTo(sounds(read, 7));
        assertThat(taken.held()).as("edges are found anew").isEmpty();
        assertThat(changed.soundsByHand(7)).isEmpty();
        Sound nothing = WavFile.read(Flite.say("slt", "Nobody knows").wav());
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.retake(changed, nothing, "x", Lexicon.EMPTY, Listening.ALONE))
                .satisfies(e -> assertThat(e.code()).isIn("words-not-found", "words-long"));
    }

    private static List<Phone> sounds(DialogueLine line, int word) {
        return line.phonesOf(word).stream()
                .map(i -> line.phones().get(i).phone())
                .toList();
    }
}
