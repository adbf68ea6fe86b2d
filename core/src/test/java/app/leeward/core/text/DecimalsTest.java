package app.leeward.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Against Java's own formatter and BigDecimal. */
class DecimalsTest {
    @ParameterizedTest
    @CsvSource({"1.25, 1, 1.3", "-0.04, 1, 0.0", "0, 2, 0.00", "-3.999, 2, -4.00", "7, 0, 7", "0.05, 1, 0.1"})
    void writesAllPlaces(double value, int places, String text) {
        assertThat(Decimals.fixed(value, places)).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"1.20, 2, 1.2", "-0.001, 2, 0", "100, 1, 100", "0.0625, 7, 0.0625", "10.0, 3, 10"})
    void leavesOutZerosAtTheEnd(double value, int places, String text) {
        assertThat(Decimals.plain(value, places)).isEqualTo(text);
    }

    @Test
    void isWhatJavaWritesButForMinusNothing() {
        Random random = new Random(7);
        for (int i = 0; i < 5_000; i++) {
            double v = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(9));
            int places = random.nextInt(5);
            String java = String.format(Locale.ROOT, "%." + places + "f", v);
            assertThat(Decimals.fixed(v, places))
                    .isEqualTo(java.startsWith("-") && new BigDecimal(java).signum() == 0 ? java.substring(1) : java);
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {1e15, -2.5e20, 1.7976931348623157e308, 123456789012.5, 3e-7, -1.25e-4})
    void neverWritesAnExponent(double value) {
        assertThat(Decimals.huge(value)).matches("-?[0-9]+(\\.[0-9]+)?");
        assertThat(Double.parseDouble(Decimals.huge(value))).isEqualTo(value);
    }
}
