package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The path grammar of SVG 1.1, chapter 8.3; the browser's own reading is compared end to end. */
class PathReaderTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "M10-20L.5.5 | M10 -20L0.5 0.5",
                "m1 1 2 2 | M1 1L3 3",
                "M0 0h5v-3H1V9z | M0 0L5 0L5 -3L1 -3L1 9Z",
                "M0,0 1e1,2e-1 | M0 0L10 0.2",
                "M0 0z m5 5 l1 1 | M0 0ZM5 5L6 6",
                "M1 1 L5 1 z L9 9 | M1 1L5 1ZM1 1L9 9",
                "M0 0C1 1 2 1 3 0S5 -1 6 0 | M0 0C1 1 2 1 3 0C4 -1 5 -1 6 0",
                "M0 0Q3 6 6 0 | M0 0C2 4 4 4 6 0",
                "M0 0A0 5 0 0 1 9 9 | M0 0L9 9",
            })
    void readsTheGrammar(String data, String absolute) {
        PathReader.Result r = PathReader.read(data);
        assertThat(r.error()).isNull();
        assertThat(r.path().toSvg()).isEqualTo(absolute);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "M0 0L5 5 L | M0 0L5 5",
                "M0 0 L5 5 K 3 | M0 0L5 5",
                "M0 0L1 1,,2 2 | M0 0L1 1",
                "L5 5 | ''",
                "M0 0A5 5 0 2 1 3 3 | M0 0"
            })
    void drawsUpToTheErrorAndSaysWhere(String data, String upToThere) {
        PathReader.Result r = PathReader.read(data);
        assertThat(r.error()).isNotNull().contains("character");
        assertThat(r.path().toSvg()).isEqualTo(upToThere);
    }

    @RepeatedTest(300)
    void halfCirclesHaveTheirClosedForm(RepetitionInfo seed) {
        Random random = new Random(seed.getCurrentRepetition());
        int r = 1 + random.nextInt(300);
        int x = random.nextInt(401) - 200;
        Path p = PathReader.read("M" + x + " 0A" + r + " " + r + " 0 0 1 " + (x + 2 * r) + " 0")
                .path();
        Box b = p.bounds().orElseThrow();
        // whole numbers: the parser hands numbers over in single precision, and a half circle's centre feels that
        assertThat(b.minY()).as("sweep 1 goes over the top").isCloseTo(-r, within(r * 1e-4));
        assertThat(p.length()).isCloseTo(Math.PI * r, within(r * 1e-4));
    }

    @RepeatedTest(300)
    void writtenAndReadAgainIsTheSame(RepetitionInfo seed) {
        Random random = new Random(seed.getCurrentRepetition());
        double a = random.nextDouble(-900, 900);
        double b = random.nextDouble(-900, 900);
        Path once = PathReader.read("M" + a + " " + b + "c" + b + " 1 2 " + a + " 3 4z")
                .path();
        assertThat(PathReader.read(once.toSvg()).path().toSvg()).isEqualTo(once.toSvg());
    }

    @Test
    void aPathBeyondReasonIsCutShort() {
        PathReader.Result r = PathReader.read("M0 0" + "l1 1".repeat(30_000));
        assertThat(r.error()).contains("after 20000 segments");
        assertThat(r.path().segments()).hasSize(PathReader.MOST_SEGMENTS);
        assertThat(r.path().segments().get(0)).isInstanceOf(Segment.Move.class);
    }

    /** Outside reference: the platform's own reading of the same text. */
    @Test
    void numbersAreReadToTheLastBit() {
        java.util.Random random = new java.util.Random(11);
        for (int i = 0; i < 20_000; i++) {
            String text =
                    switch (i % 5) {
                        case 0 -> String.format(java.util.Locale.ROOT, "%.4f", 4000 * random.nextGaussian());
                        case 1 -> Double.toString(random.nextGaussian() * Math.pow(10, random.nextInt(12) - 8));
                        case 2 -> "." + random.nextInt(1_000_000);
                        case 3 -> random.nextInt(100_000) + ".";
                        default -> (random.nextBoolean() ? "+" : "-") + "0.000" + random.nextInt(1 << 30) + "17531";
                    };
            PathReader.Result r = PathReader.read("M" + text + " 0");
            assertThat(r.error()).as(text).isNull();
            assertThat(((Segment.Move) r.path().segments().get(0)).to().x())
                    .as("%s, seed 11, round %d", text, i)
                    .isEqualTo(Double.parseDouble(text));
        }
        assertThat(PathReader.read("M1e2-3.5.5-1e-1").path().points())
                .containsExactly(new Point(100, -3.5), new Point(0.5, -0.1));
        assertThat(PathReader.read("M1 2L1e").error()).contains("character");
        assertThat(PathReader.read("M1 .L").error()).contains("a number is missing");
    }
}
