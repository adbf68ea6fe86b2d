package app.leeward.core.cue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Rates: Bentivoglio et al., Movement Disorders 12 (1997) 1028–1034; a blink's length: BioNumbers 100706. Values from
 * memory.
 */
class BlinkPlanTest {
    private static final int RATE = 24;
    private static final int TEN_MINUTES = 10 * 60 * RATE;

    /**
     * Waits of a gamma distribution of shape 3 give a count of {@code n} a deviation of about √(n/3): three of them are the
     * tolerance of one plan, and over forty plans the mean must be as much nearer.
     */
    @ParameterizedTest
    @EnumSource(BlinkRate.class)
    void tenMinutesHaveThePublishedNumberOfBlinks(BlinkRate rate) {
        double expected = 10 * rate.perMinute();
        double deviation = Math.sqrt(expected / 3);
        double sum = 0;
        for (int seed = 0; seed < 40; seed++) {
            int n = BlinkPlan.lay(TEN_MINUTES, RATE, rate.perMinute(), List.of(), seed)
                    .size();
            assertThat((double) n).as("seed " + seed).isCloseTo(expected, within(3.5 * deviation));
            sum += n;
        }
        assertThat(sum / 40).isCloseTo(expected, within(3.5 * deviation / Math.sqrt(40) + 0.02 * expected));
    }

    @Test
    void theRatesAreThePublishedOnes() {
        assertThat(BlinkRate.REST.perMinute()).isEqualTo(17);
        assertThat(BlinkRate.READING.perMinute()).isEqualTo(4.5);
        assertThat(BlinkRate.CONVERSATION.perMinute()).isEqualTo(26);
    }

    @Test
    void aBlinkLastsAsLongAsAnEyesDoes() {
        for (Blink b : BlinkPlan.lay(TEN_MINUTES, RATE, 17, List.of(), 1)) {
            assertThat(b.frames() / (double) RATE).isBetween(0.1, 0.4);
        }
    }

    @Seeded(tries = 200)
    void blinksLieInOrderApartAndWithinTheShot(
            @Between(min = 1, max = 2000) int frames,
            @Between(min = 1, max = 60) int perMinute,
            @Between(min = 0, max = 20) int count,
            long seed) {
        List<Integer> shifts = new Random(seed).ints(count, 0, 2001).boxed().toList();
        int free = 0;
        for (Blink b : BlinkPlan.lay(frames, RATE, perMinute, shifts, seed)) {
            assertThat(b.frame()).isGreaterThanOrEqualTo(free);
            assertThat(b.end()).isLessThan(frames);
            free = b.end();
        }
    }

    @Test
    void theSameSeedLaysTheSameBlinksAndAnotherOthers() {
        List<Blink> one = BlinkPlan.lay(TEN_MINUTES, RATE, 17, List.of(), 5);
        assertThat(BlinkPlan.lay(TEN_MINUTES, RATE, 17, List.of(), 5)).isEqualTo(one);
        assertThat(BlinkPlan.lay(TEN_MINUTES, RATE, 17, List.of(), 6)).isNotEqualTo(one);
    }

    /** A shift every four seconds: blinks begin with one far more often than by chance (a shift covers a 96th of the frames). */
    @Test
    void blinksGoWithGazeShifts() {
        List<Integer> shifts = new ArrayList<>();
        for (int f = 48; f < TEN_MINUTES; f += 96) {
            shifts.add(f);
        }
        List<Blink> plan = BlinkPlan.lay(TEN_MINUTES, RATE, 17, shifts, 3);
        long with = plan.stream().filter(b -> shifts.contains(b.frame() + 1)).count();
        long free = BlinkPlan.lay(TEN_MINUTES, RATE, 17, List.of(), 3).stream()
                .filter(b -> shifts.contains(b.frame() + 1))
                .count();
        assertThat((double) with / plan.size()).isGreaterThan(0.15);
        assertThat(with).isGreaterThan(4 * Math.max(1, free));
    }

    @Seeded(tries = 100)
    void whatIsLaidIsPhotographedShut(@Between(min = 1, max = 4) int exposure, long seed) {
        List<Blink> plan = BlinkPlan.lay(1000, 24, 30, List.of(), seed);
        List<Blink> moved = BlinkPlan.photographed(plan, exposure, 1000);
        assertThat(moved.size()).isGreaterThan(plan.size() * 3 / 4);
        int free = 0;
        for (Blink b : moved) {
            assertThat(b.frame()).isGreaterThanOrEqualTo(free);
            assertThat(IntStream.range(b.frame(), b.end()).filter(f -> f % exposure == 0 && b.shut(f) == 1))
                    .isNotEmpty();
            free = b.end();
        }
        assertThat(BlinkPlan.photographed(plan, 1, 1000)).isEqualTo(plan);
    }

    @Test
    void impossibleRatesAreRefused() {
        for (double rate : new double[] {0, -3, 61, Double.NaN}) {
            Refused.because(RefusalCode.BLINK_RATE, () -> BlinkPlan.lay(100, RATE, rate, List.of(), 1));
        }
    }

    @Test
    void threeFramesDownAndThreeUp() {
        Blink b = Blink.at(10);
        double[] shut = new double[8];
        for (int i = 0; i < shut.length; i++) {
            shut[i] = b.shut(10 + i);
        }
        assertThat(shut).containsExactly(new double[] {0, 1 / 3.0, 2 / 3.0, 1, 2 / 3.0, 1 / 3.0, 0, 0}, within(1e-12));
        assertThat(new Blink(10, 2, 3, 4).shut(14)).as("held").isEqualTo(1);
        assertThat(new Blink(10, 2, 3, 4).end()).isEqualTo(19);
        assertThatThrownBy(() -> new Blink(-1, 3, 0, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Blink(5, 0, 0, 3)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aCueGoesEvenlyFromKeyToKeyAndIsNothingOutside() {
        Cue cue = new Cue("c", "Look", java.util.Map.of("gaze", List.of(new Key(8, 0), new Key(4, 2), new Key(0, 0))));
        assertThat(cue.frames()).isEqualTo(9);
        assertThat(cue.at(0)).containsEntry("gaze", 0.0);
        assertThat(cue.at(3)).containsEntry("gaze", 1.5);
        assertThat(cue.at(4)).containsEntry("gaze", 2.0);
        assertThat(cue.at(6)).containsEntry("gaze", 1.0);
        assertThat(cue.at(9)).isEmpty();
        assertThat(cue.at(-1)).isEmpty();
        assertThatThrownBy(() -> new Cue("c", "Twice", java.util.Map.of("d", List.of(new Key(1, 0), new Key(1, 2)))))
                .hasMessageContaining("two keys at frame 1");
        assertThatThrownBy(() -> new Cue("c", "Long", java.util.Map.of("d", List.of(new Key(240, 0)))))
                .hasMessageContaining("240");
    }
}
