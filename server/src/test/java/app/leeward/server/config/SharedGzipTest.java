package app.leeward.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is written reads back by the Java platform's own reader of gzip, which checks length and CRC. */
class SharedGzipTest {
    private static byte[] digits(int count) {
        Random random = new Random(count);
        StringBuilder out = new StringBuilder(count);
        while (out.length() < count) {
            out.append(random.nextInt(10_000) / 10.0).append(' ');
        }
        return out.substring(0, count).getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] squeezed(byte[] plain, int piece) throws IOException {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        SharedGzip out = new SharedGzip(to);
        for (int at = 0; at < plain.length; at += piece) {
            out.write(plain, at, Math.min(piece, plain.length - at));
        }
        out.finish();
        return to.toByteArray();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 5_000, (1 << 18) - 1, 1 << 18, (1 << 18) + 1, 3_000_017})
    void readsBackAndIsSmaller(int count) throws IOException {
        byte[] plain = digits(count);
        byte[] packed = squeezed(plain, 8_191);
        assertThat(new GZIPInputStream(new ByteArrayInputStream(packed)).readAllBytes())
                .isEqualTo(plain);
        if (count > 1000) {
            assertThat(packed.length).isLessThan(count * 6 / 10);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 100, 1_000_000})
    void piecesOfAnyLengthGiveTheSameBytes(int piece) throws IOException {
        byte[] plain = digits(700_001);
        assertThat(squeezed(plain, piece)).isEqualTo(squeezed(plain, 700_001));
    }

    @ParameterizedTest
    @ValueSource(ints = {600_000})
    void whatCannotBeSqueezedComesThroughToo(int count) throws IOException {
        byte[] noise = new byte[count];
        new Random(7).nextBytes(noise);
        assertThat(new GZIPInputStream(new ByteArrayInputStream(squeezed(noise, 4096))).readAllBytes())
                .isEqualTo(noise);
    }
}
