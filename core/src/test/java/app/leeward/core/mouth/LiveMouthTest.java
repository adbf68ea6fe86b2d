package app.leeward.core.mouth;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.speech.Phone;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LiveMouthTest {
    private static LiveMouth hears(LiveMouth before, double at, Phone phone) {
        return before.hears(at, Optional.of(phone));
    }

    @Test
    void aMouthIsHeldLongEnoughToBeSeen() {
        LiveMouth open = hears(LiveMouth.RESTING, 1, Phone.AA);
        assertThat(open.shown()).isEqualTo(Viseme.AH);
        LiveMouth next = hears(open, 1.02, Phone.S);
        assertThat(next.shown()).isEqualTo(Viseme.AH);
        assertThat(next.at(1.03).shown()).isEqualTo(Viseme.AH);
        assertThat(next.at(1.05).shown()).isEqualTo(Viseme.SZ);
    }

    @Test
    void closedLipsDoNotWait() {
        LiveMouth open = hears(LiveMouth.RESTING, 1, Phone.AA);
        LiveMouth lips = hears(open, 1.02, Phone.M);
        assertThat(lips.shown()).isEqualTo(Viseme.PBM);
        // and are seen before what follows
        LiveMouth next = hears(lips, 1.04, Phone.IY);
        assertThat(next.shown()).isEqualTo(Viseme.PBM);
        assertThat(next.at(1.06).shown()).isEqualTo(Viseme.EE);
        assertThat(hears(open, 1.02, Phone.V).shown()).isEqualTo(Viseme.FV);
    }

    @Test
    void aGlidingSoundGoesOnToItsSecondMouth() {
        LiveMouth eye = hears(LiveMouth.RESTING, 2, Phone.AY);
        assertThat(eye.at(2.09).shown()).isEqualTo(Viseme.AH);
        assertThat(eye.at(2.11).shown()).isEqualTo(Viseme.EE);
    }

    @Test
    void anAspirationKeepsTheMouthThereIs() {
        LiveMouth open = hears(LiveMouth.RESTING, 1, Phone.AA);
        assertThat(hears(open, 1.5, Phone.HH).at(1.7).shown()).isEqualTo(Viseme.AH);
        assertThat(hears(LiveMouth.RESTING, 1, Phone.HH).shown()).isEqualTo(Viseme.KG);
    }

    @Test
    void silenceComesToRest() {
        LiveMouth open = hears(LiveMouth.RESTING, 1, Phone.AA);
        assertThat(open.hears(1.4, Optional.empty()).shown()).isEqualTo(Viseme.REST);
        assertThat(LiveMouth.RESTING.at(99).shown()).isEqualTo(Viseme.REST);
    }

    @Test
    void noMouthFlickersOverWhateverIsHeard() {
        Random random = new Random(5);
        for (int run = 0; run < 200; run++) {
            LiveMouth mouth = LiveMouth.RESTING;
            double at = 0;
            for (int i = 0; i < 100; i++) {
                LiveMouth before = mouth;
                mouth = random.nextInt(10) == 0
                        ? mouth.hears(at, Optional.empty())
                        : hears(mouth, at, Phone.values()[random.nextInt(39)]);
                if (mouth.shown() != before.shown() && mouth.shown() != Viseme.PBM && mouth.shown() != Viseme.FV) {
                    assertThat(mouth.since() - before.since()).isGreaterThanOrEqualTo(LiveMouth.LEAST);
                }
                at += random.nextDouble() * 0.1;
            }
        }
    }
}
