package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedWord;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Forced alignment against the true times of Debian's flite: 12 sentences by 3 voices, clean and with noise. */
class AlignmentTest {
    private static final String[] VOICES = {"slt", "rms", "awb"};
    private static final String[] SENTENCES = {
        "Good morning! The six forty boat to Sorrel is ready at the far pier.",
        "Mind the ropes, please, and never, ever feed the gulls.",
        "My brother bought a brown umbrella from the big shop on the corner.",
        "Five fat fish very often vanish from the village ferry.",
        "Please bring me both of those blue paper maps before lunch.",
        "She sells fresh shrimp and chips by the harbour wall.",
        "Nobody remembers the number of the lamp above the bridge.",
        "The weather forecast promises fog, a bit of rain, and a warm wind.",
        "Think of the three thin threads that hold this thing together.",
        "We would like to leave when the whistle blows twice.",
        "Captain Brown put the map on the table and opened the window.",
        "If you have any money, buy a ticket and climb aboard.",
    };

    private static LineReader reader;

    @BeforeAll
    static void load() {
        reader = new LineReader();
    }

    @Test
    void soundsAreFoundWhereTheyAreSpoken() throws Exception {
        HeardTally clean = new HeardTally();
        HeardTally noisy = new HeardTally();
        for (String voice : VOICES) {
            for (int s = 0; s < SENTENCES.length; s++) {
                Flite.Said said = Flite.say(voice, SENTENCES[s]);
                Sound sound = WavFile.read(said.wav());
                clean.add(said, reader.read(SENTENCES[s], sound, "h", Lexicon.EMPTY), voice + " " + s);
                Sound hiss = Wavs.noisy(sound, 20, s);
                noisy.add(said, reader.read(SENTENCES[s], hiss, "h", Lexicon.EMPTY), voice + " noisy " + s);
            }
        }
        System.out.println(clean.figures("clean"));
        System.out.println(noisy.figures("noise at 20 dB"));
        assertThat((double) clean.matched / clean.truth)
                .as("labels that could be compared")
                .isGreaterThan(0.9);
        assertThat(clean.share()).isGreaterThanOrEqualTo(0.985);
        assertThat(noisy.share()).isGreaterThanOrEqualTo(0.97);
        assertThat(clean.middles()).as("lips at their middle").isEqualTo(1);
        assertThat(noisy.middles()).as("lips at their middle, in noise").isGreaterThanOrEqualTo(0.985);
        assertThat(clean.missed).isEmpty();
        assertThat(noisy.missed).isEmpty();
        assertThat(clean.worstDoubt).isLessThan(DialogueLine.DOUBTFUL);
        assertThat(noisy.worstDoubt).isLessThan(DialogueLine.DOUBTFUL);
    }

    @Test
    void wordsThatDoNotFitAreTold() throws Exception {
        for (String voice : VOICES) {
            for (int s = 0; s < 4; s++) {
                Sound sound = WavFile.read(Flite.say(voice, SENTENCES[s]).wav());
                try {
                    DialogueLine line = reader.read(SENTENCES[(s + 5) % 12], sound, "h", Lexicon.EMPTY);
                    assertThat(line.fits())
                            .as("%s %d: doubt %s", voice, s, line.doubt())
                            .isFalse();
                } catch (SpeechProblem e) {
                    assertThat(e.code()).isIn("words-not-found", "words-long");
                }
            }
        }
    }

    @Test
    void oneWrongWordIsPointedOut() throws Exception {
        Sound sound = WavFile.read(Flite.say("slt", SENTENCES[0]).wav());
        DialogueLine line = reader.read(SENTENCES[0].replace("Sorrel", "Portugal"), sound, "h", Lexicon.EMPTY);
        assertThat(line.words())
                .filteredOn(TimedWord::doubtful)
                .extracting(TimedWord::text)
                .containsExactly("Portugal");
    }

    @Test
    void stereoAtFortyFourPointOneGivesTheSameTimes() throws Exception {
        Sound sound = WavFile.read(Flite.say("rms", SENTENCES[1]).wav());
        DialogueLine plain = reader.read(SENTENCES[1], sound, "h", Lexicon.EMPTY);
        Sound other = WavFile.read(Wavs.of(sound.at(44100), 2, 24, false));
        DialogueLine converted = reader.read(SENTENCES[1], other, "h", Lexicon.EMPTY);
        assertThat(converted.phones()).hasSameSizeAs(plain.phones());
        for (int i = 0; i < plain.phones().size(); i++) {
            assertThat(Math.abs(plain.phones().get(i).start()
                            - converted.phones().get(i).start()))
                    .isLessThan(0.025);
        }
    }

    @Test
    void anUnknownWordIsGuessedShownAndCorrectedByTheLexicon() throws Exception {
        Sound sound =
                WavFile.read(Flite.say("slt", "the boat to Zilchwick is ready").wav());
        DialogueLine guessed = reader.read("The boat to Zilchwick is ready.", sound, "h", Lexicon.EMPTY);
        assertThat(guessed.guesses()).singleElement().satisfies(g -> assertThat(g.word())
                .isEqualTo("zilchwick"));
        Lexicon own = Lexicon.EMPTY.with(
                "zilchwick", List.of(Phone.Z, Phone.IH, Phone.L, Phone.CH, Phone.W, Phone.IH, Phone.K));
        DialogueLine known = reader.read("The boat to Zilchwick is ready.", sound, "h", own);
        assertThat(known.guesses()).isEmpty();
        assertThat(known.fits()).isTrue();
    }

    @Test
    void aLineLeavesNothingBehindForTheNext() throws Exception {
        Sound one = WavFile.read(Flite.say("slt", SENTENCES[2]).wav());
        DialogueLine before = reader.read(SENTENCES[2], one, "h", Lexicon.EMPTY);
        reader.read(SENTENCES[3], WavFile.read(Flite.say("awb", SENTENCES[3]).wav()), "h", Lexicon.EMPTY);
        assertThat(reader.read(SENTENCES[2], one, "h", Lexicon.EMPTY)).isEqualTo(before);
    }

    @Test
    void badWordsGetTheirOwnReason() {
        Sound tone = Wavs.tone(16000, 0.4, 300);
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.read(" … ", tone, "h", Lexicon.EMPTY))
                .satisfies(e -> assertThat(e.code()).isEqualTo("words-none"));
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.read(SENTENCES[0], tone, "h", Lexicon.EMPTY))
                .satisfies(e -> assertThat(e.code()).isEqualTo("words-long"));
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.read("word ".repeat(1600), tone, "h", Lexicon.EMPTY))
                .satisfies(e -> assertThat(e.code()).isEqualTo("words-many"));
    }
}
