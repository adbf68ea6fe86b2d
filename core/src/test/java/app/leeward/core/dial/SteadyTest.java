package app.leeward.core.dial;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A dial from -1 to 1 with an edge at 0.5, about which a hand may tremble by 0.1. */
class SteadyTest {
    private static final List<Double> EDGES = List.of(0.5);
    private static final double TREMBLING = 0.1;

    private static double at(double last, double value) {
        return Steady.at(EDGES, TREMBLING, last, value);
    }

    @Test
    void aHandThatHasJustComeFindsTheDialWhereItStands() {
        assertThat(at(Double.NaN, 0.55)).isEqualTo(0.55);
        assertThat(at(Double.NaN, 0.5)).isEqualTo(0.5);
    }

    @Test
    void theDrawingOnTheHandsSideStaysUntilItIsFurtherBeyondThanItTrembles() {
        assertThat(at(0.4, 0.55)).isLessThan(0.5).isGreaterThan(0.49);
        assertThat(at(0.4, 0.61)).isEqualTo(0.61);
        assertThat(at(0.7, 0.45)).as("on its way back").isEqualTo(0.5);
        assertThat(at(0.7, 0.39)).isEqualTo(0.39);
    }

    @Test
    void awayFromEdgesItIsTheValueItself() {
        assertThat(at(-0.9, 0.3)).isEqualTo(0.3);
        assertThat(at(0.9, 0.6)).isEqualTo(0.6);
        assertThat(Steady.at(List.of(), TREMBLING, 0, 0.7)).isEqualTo(0.7);
    }

    /** However a hand trembles about an edge, within what it may the side is never another. */
    @Test
    void aTremblingHandNeverChangesTheDrawing() {
        Random random = new Random(11);
        double last = 0.45;
        for (int i = 0; i < 1_000; i++) {
            last = at(last, 0.5 + (2 * random.nextDouble() - 1) * 0.099);
            assertThat(last).isLessThan(0.5);
        }
    }

    @Test
    void ofSeveralEdgesEachIsWatched() {
        double held = Steady.at(List.of(0.5, 0.52), TREMBLING, 0.4, 0.55);
        assertThat(held).as("on the side of the first").isLessThan(0.5);
    }
}
