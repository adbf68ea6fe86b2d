package app.leeward.core.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TakeWarpTest {
    /** Words of one sound each, from and to the seconds given. */
    private static DialogueLine line(double seconds, Object... said) {
        List<TimedWord> words = new ArrayList<>();
        List<TimedPhone> phones = new ArrayList<>();
        for (int i = 0; i < said.length; i += 3) {
            double from = ((Number) said[i + 1]).doubleValue();
            double to = ((Number) said[i + 2]).doubleValue();
            words.add(new TimedWord((String) said[i], from, to, 0));
            phones.add(new TimedPhone(Phone.AA, from, to));
        }
        return new DialogueLine("said", "h", seconds, words, phones, List.of(), 0);
    }

    @Test
    void wordsLieOnEachOtherAndTimeRunsEvenlyBetween() {
        DialogueLine before = line(3, "Good", 0.5, 1, "morning,", 1, 2, "all", 2.2, 2.6);
        DialogueLine after = line(4, "good", 1, 2, "morning", 2.5, 3, "all", 3.4, 3.8);
        TakeWarp warp = TakeWarp.between(before, after);
        assertThat(warp.words()).isEqualTo(3);
        assertThat(warp.at(0.5)).isEqualTo(1);
        assertThat(warp.at(0.75)).isCloseTo(1.5, within(1e-12));
        assertThat(warp.at(0.25)).isCloseTo(0.5, within(1e-12));
        assertThat(warp.at(1.5)).isGreaterThan(2.2).isLessThan(3);
        assertThat(warp.at(2.6)).isCloseTo(3.8, within(1e-12));
        assertThat(warp.at(3.5)).as("behind the end").isCloseTo(4.5, within(1e-12));
    }

    @Test
    void aWordThatOnlyOneTakeHasIsPassedOver() {
        DialogueLine before = line(3, "mind", 0.5, 1, "the", 1, 1.2, "ropes", 1.2, 2);
        DialogueLine after = line(3, "mind", 0.6, 1, "those", 1.1, 1.3, "ropes", 1.5, 2.5);
        TakeWarp warp = TakeWarp.between(before, after);
        assertThat(warp.words()).isEqualTo(2);
        assertThat(warp.at(1.2)).isCloseTo(1.5, within(1e-12));
        assertThat(warp.at(1.1)).isCloseTo(1.25, within(1e-12));
    }

    /** Without a word in common the stretch that is spoken still lies on the stretch that is spoken. */
    @Test
    void takesWithoutWordsLieOnEachOtherAsAWhole() {
        DialogueLine before = line(3, "one", 1, 2);
        DialogueLine after = line(5, "two", 2, 4);
        assertThat(TakeWarp.between(before, after).at(1.5)).isCloseTo(3, within(1e-12));
    }

    @Test
    void timeNeverRunsBackAndATakeLiesOnItselfAsItIs() {
        for (int seed = 0; seed < 200; seed++) {
            Random r = new Random(seed);
            DialogueLine a = seeded(r);
            DialogueLine b = seeded(r);
            TakeWarp warp = TakeWarp.between(a, b);
            TakeWarp self = TakeWarp.between(a, a);
            double last = Double.NEGATIVE_INFINITY;
            for (double t = -0.5; t < a.seconds() + 0.5; t += 0.01) {
                assertThat(warp.at(t)).as("seed %d", seed).isGreaterThanOrEqualTo(last);
                last = warp.at(t);
                assertThat(self.at(t)).isCloseTo(t, within(1e-9));
            }
        }
    }

    private static DialogueLine seeded(Random r) {
        List<Object> said = new ArrayList<>();
        double t = r.nextDouble();
        int words = r.nextInt(8);
        for (int i = 0; i < words; i++) {
            double to = t + 0.05 + r.nextDouble();
            said.addAll(List.of("w" + r.nextInt(5), t, to));
            t = to + (r.nextBoolean() ? 0 : r.nextDouble());
        }
        return line(t + r.nextDouble() + 0.1, said.toArray());
    }
}
