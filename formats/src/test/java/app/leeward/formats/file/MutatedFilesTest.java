package app.leeward.formats.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.ArtProblem;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

/** Files broken at random: read or refused with a reason, never a fault, never without end. The seed is in the message. */
class MutatedFilesTest {
    private static final String[] POISON = {
        "NaN",
        "1e308",
        "-1e-400",
        "Infinity",
        "url(#self)",
        "matrix(0 0 0 0 0 0)",
        "<use href='#head'/>",
        "</g>",
        "<g>",
        "M",
        "A1 1 0 0 1",
        "\u0000",
        "%",
        "#",
        "9".repeat(400),
        "'",
        "\"",
        "&#x1F600;",
        "display:none",
        "<![CDATA["
    };

    /** {@code times} small changes at random places. */
    static byte[] mutated(byte[] file, Random random) {
        byte[] out = file.clone();
        int times = 1 + random.nextInt(6);
        for (int i = 0; i < times; i++) {
            int at = random.nextInt(out.length);
            switch (random.nextInt(4)) {
                case 0 -> out[at] = (byte) random.nextInt(256);
                case 1 -> {
                    int n = Math.min(out.length - at, 1 + random.nextInt(60));
                    byte[] less = new byte[out.length - n + 1];
                    System.arraycopy(out, 0, less, 0, at);
                    System.arraycopy(out, at + n, less, at, out.length - at - n);
                    out = less;
                }
                default -> {
                    byte[] poison = POISON[random.nextInt(POISON.length)].getBytes(StandardCharsets.UTF_8);
                    byte[] more = new byte[out.length + poison.length];
                    System.arraycopy(out, 0, more, 0, at);
                    System.arraycopy(poison, 0, more, at, poison.length);
                    System.arraycopy(out, at, more, at + poison.length, out.length - at);
                    out = more;
                }
            }
        }
        return out;
    }

    @Test
    void noMutationOfTheDemosArtIsAFault() {
        byte[] art = DemoFiles.maren();
        for (int seed = 0; seed < 250; seed++) {
            byte[] file = mutated(art, new Random(seed));
            int s = seed;
            Assertions.assertTimeoutPreemptively(
                    Duration.ofSeconds(5),
                    () -> {
                        try {
                            assertThat(ArtReader.read(file).canvas()).isNotNull();
                        } catch (ArtProblem e) {
                            assertThat(e.getMessage()).isNotBlank();
                        }
                    },
                    () -> "seed " + s);
        }
    }

    @Test
    void filesAreToldApartByWhatIsInThem() {
        assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> ArtReader.read(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10}))
                .satisfies(e -> assertThat(e.code()).isEqualTo("art-flat"));
        assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> ArtReader.read(new byte[] {0x1f, (byte) 0x8b, 8}))
                .satisfies(e -> assertThat(e.code()).isEqualTo("art-packed"));
        assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> ArtReader.read(new byte[] {'P', 'K', 3, 4, 0}))
                .satisfies(e -> assertThat(e.code()).startsWith("zip-"));
    }
}
