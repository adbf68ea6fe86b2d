package app.leeward.speech.acoustic;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.speech.Flite;
import app.leeward.speech.Sound;
import app.leeward.speech.WavFile;
import edu.cmu.sphinx.frontend.FloatData;
import edu.cmu.sphinx.linguist.acoustic.HMMPosition;
import edu.cmu.sphinx.linguist.acoustic.LeftRightContext;
import edu.cmu.sphinx.linguist.acoustic.Unit;
import edu.cmu.sphinx.linguist.acoustic.UnitManager;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.SenoneHMM;
import edu.cmu.sphinx.linguist.acoustic.tiedstate.Sphinx3Loader;
import edu.cmu.sphinx.util.LogMath;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The model as plain arrays against the library that reads it. */
class ScoresTest {
    private static Sphinx3Loader loader;
    private static UnitManager units;
    private static AcousticModel model;

    @BeforeAll
    static void load() throws Exception {
        model = AcousticModel.load();
        units = new UnitManager();
        loader = new Sphinx3Loader(
                "resource:/edu/cmu/sphinx/models/en-us/en-us", units, 0, 1e-7f, 1e-4f, Scores.TOP, true);
        loader.load();
    }

    @Test
    void everyStateScoresAsTheLibrarySays() throws Exception {
        Sound sound =
                WavFile.read(Flite.say("slt", "please move the brown boat").wav());
        Features features = Features.of(sound, 0);
        Scores scores = new Scores(model, features.frames(), VoiceShift.none(model));
        Random random = new Random(4);
        for (int t = 0; t < features.length(); t += 7) {
            FloatData frame = new FloatData(features.frames()[t], Features.RATE, t * 160L);
            for (int i = 0; i < 20; i++) {
                int state = random.nextInt(model.states());
                double theirs = LogMath.getLogMath()
                        .logToLn(loader.getSenonePool().get(state).getScore(frame));
                assertThat((double) scores.of(t, state))
                        .as("frame %d, state %d", t, state)
                        .isCloseTo(theirs, within(0.02));
            }
        }
    }

    @Test
    void aSoundBetweenTwoOthersHasTheLibrarysStates() {
        Unit ae = units.getUnit(
                "AE", false, LeftRightContext.get(new Unit[] {units.getUnit("K")}, new Unit[] {units.getUnit("T")}));
        SenoneHMM theirs = (SenoneHMM) loader.getHMMManager().get(HMMPosition.INTERNAL, ae);
        int[] ours = model.states(Position.INNER, AcousticUnit.of("AE"), AcousticUnit.of("K"), AcousticUnit.of("T"));
        for (int i = 0; i < AcousticModel.STATES; i++) {
            assertThat((long) ours[i])
                    .isEqualTo(theirs.getSenoneSequence().getSenones()[i].getID());
        }
    }

    @Test
    void aSoundTheModelNeverMetThereHasStatesAllTheSame() {
        int zh = AcousticUnit.of("ZH");
        assertThat(model.states(Position.ALONE, zh, zh, zh)).hasSize(AcousticModel.STATES);
    }
}
