package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.math.BigDecimal;
import org.junit.jupiter.api.Test;

class NumbersTest {
    /** Outside reference: the decimal arithmetic of the Java platform. */
    @Seeded
    void aCoordinateIsWrittenToFourPlaces(@Between(min = -1e10, max = 1e10) double value) {
        double rounded = Math.rint(value * 1e4) / 1e4;
        assertThat(new BigDecimal(Numbers.text(value))).isEqualByComparingTo(BigDecimal.valueOf(rounded));
        assertThat(Numbers.text(value))
                .doesNotContain("E")
                .doesNotMatch(".*\\.\\d*0")
                .doesNotMatch(".*\\.");
    }

    @Test
    void smallWholeAndHugeNumbers() {
        assertThat(Numbers.text(0)).isEqualTo("0");
        assertThat(Numbers.text(-0.00001)).isEqualTo("0");
        assertThat(Numbers.text(-0.5)).isEqualTo("-0.5");
        assertThat(Numbers.text(12.0304)).isEqualTo("12.0304");
        assertThat(Numbers.text(3)).isEqualTo("3");
        assertThat(Numbers.text(1e14)).isEqualTo("100000000000000");
        assertThat(Numbers.text(1e20)).isEqualTo("100000000000000000000");
        assertThatThrownBy(() -> Numbers.finite("x", Double.NaN)).hasMessageContaining("x");
    }

    @Seeded
    void pathDataHoldsTheSameNumbers(
            @Between(min = -1e4, max = 1e4) double x, @Between(min = -1e17, max = 1e17) double y) {
        Path path = Path.of(new Segment.Move(new Point(x, y)), new Segment.Line(new Point(y, x)), new Segment.Close());
        String[] data = path.toSvg().split("[MLZ ]");
        assertThat(new BigDecimal(data[1])).isEqualByComparingTo(BigDecimal.valueOf(Math.rint(x * 1e4) / 1e4));
        assertThat(data[3]).isEqualTo(Numbers.text(y));
        assertThat(data[4]).isEqualTo(Numbers.text(x));
    }
}
