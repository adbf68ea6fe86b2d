package app.leeward.core.dial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DialTest {
    private static Dial dial(double from, double to, double rest, List<Stop> stops) {
        return new Dial("d", "d", Purpose.OWN, from, to, rest, "", stops, List.of());
    }

    @Test
    void illegalDialsCannotBeMade() {
        assertThatThrownBy(() -> dial(5, 5, 5, List.of())).hasMessageContaining("empty range");
        assertThatThrownBy(() -> dial(0, 1, 2, List.of())).hasMessageContaining("rests at 2");
        assertThatThrownBy(() -> dial(0, 1, 0, List.of(new Stop(3, Map.of())))).hasMessageContaining("stop at 3");
        assertThatThrownBy(() -> dial(0, 1, 0, List.of(new Stop(1, Map.of()), new Stop(1, Map.of()))))
                .hasMessageContaining("two stops at 1");
        assertThatThrownBy(() -> new Bands("p", List.of(new Band(0, 2, "a"), new Band(1, 3, "b"))))
                .hasMessageContaining("overlap at 1");
    }

    @Test
    void bandsAreClosedOnlyAtTheEndOfTheRange() {
        Bands bands = new Bands("p", List.of(new Band(0, 5, "low"), new Band(5, 10, "high")));
        assertThat(bands.at(4.999, 10)).contains("low");
        assertThat(bands.at(5, 10)).contains("high");
        assertThat(bands.at(10, 10)).contains("high");
        assertThat(bands.at(10, 20)).isEmpty();
        assertThat(bands.at(-1, 10)).isEmpty();
    }

    @Seeded
    void aWayNeverLeavesItsStops(@Between(min = -3, max = 3) double value) {
        Dial d = dial(
                -1,
                2,
                0,
                List.of(new Stop(-1, Map.of("p", Offset.shift(-8, 1))), new Stop(2, Map.of("p", Offset.shift(5, 1)))));
        Offset at = OffsetCurve.of(d).get(0).at(d.hold(value));
        assertThat(at.x()).isBetween(-8.0, 5.0);
        assertThat(at.y()).isBetween(0.0, 1.0);
        assertThat(OffsetCurve.of(d).get(0).channels()).containsExactly(Channel.X, Channel.Y);
        double[] numbers = {10, 0};
        OffsetCurve.of(d).get(0).addTo(numbers, new int[] {0, 1}, d.hold(value));
        assertThat(numbers[0])
                .as("added in place")
                .isCloseTo(10 + at.x(), org.assertj.core.api.Assertions.within(1e-12));
    }

    @Test
    void anOffsetIsItselfAtZeroAndTheOtherAtOne() {
        Offset a = Offset.placed(1, 2, 3, 0.5, 0.6, 7, 0.2);
        Offset b = Offset.placed(9, 8, 7, 1.5, 1.6, 1, 1);
        assertThat(a.towards(b, 0)).isEqualTo(a);
        assertThat(a.towards(b, 1))
                .usingRecursiveComparison()
                .withComparatorForType((x, y) -> Math.abs(x - y) < 1e-12 ? 0 : 1, Double.class)
                .isEqualTo(b);
    }

    @Test
    void restIsNeutralEvenBetweenTwoStopsThatAreNot() {
        Dial d = dial(
                -10,
                10,
                0,
                List.of(new Stop(-10, Map.of("p", Offset.shift(4, 0))), new Stop(10, Map.of("p", Offset.shift(4, 0)))));
        assertThat(OffsetCurve.of(d).get(0).at(0)).isEqualTo(Offset.NONE);
        assertThat(OffsetCurve.of(d).get(0).at(5).x()).isEqualTo(2);
    }
}
