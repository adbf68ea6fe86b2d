package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.core.speech.TimedPhone;
import app.leeward.core.speech.TimedWord;
import java.util.ArrayList;
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
    private static final double FRAME = 1.0 / 24;

    private static LineReader reader;

    @BeforeAll
    static void load() {
        reader = new LineReader();
    }

    private static final class Tally {
        int matched;
        int withinFrame;
        int closures;
        int found;
        final List<Double> errors = new ArrayList<>();
        double worstDoubt = Double.NEGATIVE_INFINITY;
        double worstWord;
        final List<String> missed = new ArrayList<>();

        void add(Flite.Said said, DialogueLine line, String name) {
            List<int[]> pairs = pairs(said.phones(), line.phones());
            for (int[] p : pairs) {
                double error = line.phones().get(p[1]).start()
                        - said.phones().get(p[0]).start();
                errors.add(Math.abs(error));
                matched++;
                withinFrame += Math.abs(error) <= FRAME ? 1 : 0;
            }
            for (int i = 0; i < said.phones().size(); i++) {
                Flite.TruePhone truth = said.phones().get(i);
                if (truth.phone().closure() || truth.phone().lipToTeeth()) {
                    closures++;
                    boolean here = line.phones().stream()
                            .anyMatch(h -> h.phone() == truth.phone()
                                    && h.start() < truth.end() + FRAME
                                    && h.end() > truth.start() - FRAME);
                    found += here ? 1 : 0;
                    if (!here) {
                        missed.add(name + ": " + truth);
                    }
                }
            }
            worstDoubt = Math.max(worstDoubt, line.doubt());
            for (TimedWord w : line.words()) {
                worstWord = Math.max(worstWord, w.doubt());
            }
        }

        double share() {
            return (double) withinFrame / matched;
        }

        String figures(String what) {
            errors.sort(null);
            return String.format(
                    "%s: %d phones, %.2f %% of starts within one frame, median error %.0f ms, 95th percentile %.0f ms, %d of %d closures; largest doubt %.2f a line, %.2f a word",
                    what,
                    matched,
                    100 * share(),
                    1000 * errors.get(errors.size() / 2),
                    1000 * errors.get((int) (errors.size() * 0.95)),
                    found,
                    closures,
                    worstDoubt,
                    worstWord);
        }
    }

    /** Index pairs of the longest common subsequence of labels: voices and dictionary may differ over a vowel. */
    private static List<int[]> pairs(List<Flite.TruePhone> a, List<TimedPhone> b) {
        int[][] best = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                best[i][j] = a.get(i).phone() == b.get(j).phone()
                        ? best[i + 1][j + 1] + 1
                        : Math.max(best[i + 1][j], best[i][j + 1]);
            }
        }
        List<int[]> out = new ArrayList<>();
        for (int i = 0, j = 0; i < a.size() && j < b.size(); ) {
            if (a.get(i).phone() == b.get(j).phone()) {
                out.add(new int[] {i++, j++});
            } else if (best[i + 1][j] >= best[i][j + 1]) {
                i++;
            } else {
                j++;
            }
        }
        return out;
    }

    @Test
    void soundsAreFoundWhereTheyAreSpoken() throws Exception {
        Tally clean = new Tally();
        Tally noisy = new Tally();
        int truth = 0;
        for (String voice : VOICES) {
            for (int s = 0; s < SENTENCES.length; s++) {
                Flite.Said said = Flite.say(voice, SENTENCES[s]);
                truth += said.phones().size();
                Sound sound = WavFile.read(said.wav());
                clean.add(said, reader.read(SENTENCES[s], sound, "h", Lexicon.EMPTY), voice + " " + s);
                Sound hiss = Wavs.noisy(sound, 20, s);
                noisy.add(said, reader.read(SENTENCES[s], hiss, "h", Lexicon.EMPTY), voice + " noisy " + s);
            }
        }
        System.out.println(clean.figures("clean"));
        System.out.println(noisy.figures("noise at 20 dB"));
        assertThat((double) clean.matched / truth)
                .as("labels that could be compared")
                .isGreaterThan(0.9);
        assertThat(clean.share()).isGreaterThanOrEqualTo(0.97);
        assertThat(noisy.share()).isGreaterThanOrEqualTo(0.90);
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
                .isThrownBy(() -> reader.read("word ".repeat(700), tone, "h", Lexicon.EMPTY))
                .satisfies(e -> assertThat(e.code()).isEqualTo("words-many"));
    }
}
