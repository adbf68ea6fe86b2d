package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which areas are filled is judged by JTS. */
class WindingTest {
    private static final String RING = "M10 10L90 10L90 90L10 90ZM30 30L30 70L70 70L70 30Z";

    @ParameterizedTest
    @ValueSource(
            strings = {
                "M0 0L10 0L10 10Z",
                "M0 0L10 10L10 0Z",
                "M5 0C8 0 10 2 10 5C10 8 8 10 5 10C2 10 0 8 0 5C0 2 2 0 5 0Z",
                "M5 0C2 0 0 2 0 5C0 8 2 10 5 10C8 10 10 8 10 5C10 2 8 0 5 0Z",
                "M0 0L0 10L10 10L10 0",
                RING
            })
    void oneWayRoundIsTheSameWhicheverWayItWasDrawnAndFillsTheSame(String d) {
        Path path = PathReader.read(d).path();
        Path back = Winding.reversed(path);
        assertThat(Winding.reversed(back).toSvg()).isEqualTo(path.toSvg());
        Path one = Winding.clockwise(path);
        Path other = Winding.clockwise(back);
        assertThat(one).isIn(path, back);
        assertThat(other).isEqualTo(one);
        assertThat(Regions.of(one).symDifference(Regions.of(path)).getArea()).isLessThan(1e-9);
    }

    @Test
    void aHoleStaysAHole() {
        Path ring = Winding.clockwise(Winding.reversed(PathReader.read(RING).path()));
        assertThat(ring).isEqualTo(PathReader.read(RING).path());
        assertThat(Regions.of(ring).getArea()).isEqualTo(80 * 80 - 40 * 40);
    }

    @Test
    void whatHasNoAreaStaysAsItIs() {
        Path line = PathReader.read("M0 0L10 0").path();
        assertThat(Winding.clockwise(line)).isEqualTo(line);
        assertThat(Winding.clockwise(Path.of())).isEqualTo(Path.of());
    }
}
