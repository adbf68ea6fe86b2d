package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against files made by Debian's sox and against closed forms. */
class WavFileTest {
    @ParameterizedTest
    @CsvSource({
        "8000,1,16,signed-integer", "16000,2,16,signed-integer", "44100,2,24,signed-integer",
        "48000,1,32,signed-integer", "96000,2,32,floating-point", "22050,1,24,signed-integer"
    })
    void readsWhatSoxWrites(int rate, int channels, int bits, String encoding) throws Exception {
        Path wav = Files.createTempFile("leeward", ".wav");
        try {
            run(
                    "sox",
                    "-n",
                    "-r",
                    "" + rate,
                    "-c",
                    "" + channels,
                    "-b",
                    "" + bits,
                    "-e",
                    encoding,
                    wav.toString(),
                    "synth",
                    "0.5",
                    "sine",
                    "440",
                    "vol",
                    "0.5");
            Sound sound = WavFile.read(Files.readAllBytes(wav));
            assertThat(sound.rate()).isEqualTo(rate);
            assertThat(sound.seconds()).isCloseTo(Double.parseDouble(run("soxi", "-D", wav.toString())), within(1e-3));
            assertThat(sound.peak()).isCloseTo(0.5f, within(0.01f));
        } finally {
            Files.delete(wav);
        }
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        String out = new String(p.getInputStream().readAllBytes()).strip();
        assertThat(p.waitFor()).as(out).isZero();
        return out;
    }

    @Test
    void resamplingKeepsATonesPitchAndLevel() {
        for (int rate : new int[] {8000, 11025, 44100, 48000, 96000}) {
            Sound at16 = Wavs.tone(rate, 0.5, 1000).at(16000);
            assertThat(at16.seconds()).isCloseTo(0.5, within(0.001));
            double error = 0;
            for (int i = 800; i < 7000; i++) {
                error = Math.max(error, Math.abs(at16.samples()[i] - 0.5 * Math.sin(2 * Math.PI * 1000 * i / 16000.0)));
            }
            assertThat(error).as("from %d", rate).isLessThan(0.01);
        }
    }

    @Test
    void whatLiesAboveTheNewHalfRateIsKeptOut() {
        float[] kept = Wavs.tone(48000, 0.3, 15000).at(16000).samples();
        // the tone's two ends are clicks, which do hold lower sounds
        float[] middle = java.util.Arrays.copyOfRange(kept, 400, kept.length - 400);
        assertThat(new Sound(16000, middle).peak()).isLessThan(0.001f);
    }

    private static void refused(String code, byte[] file) {
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> WavFile.read(file))
                .satisfies(e -> assertThat(e.code()).isEqualTo(code));
    }

    @Test
    void badRecordingsGetTheirOwnReason() {
        byte[] good = Wavs.of(Wavs.tone(16000, 1, 300), 1, 16, false);
        refused("wav-not", "not a wav at all".getBytes(StandardCharsets.US_ASCII));
        refused("wav-not", new byte[0]);
        refused("wav-truncated", Arrays.copyOf(good, good.length / 2));
        refused("wav-truncated", Arrays.copyOf(good, 30));
        refused("wav-silent", Wavs.of(new Sound(16000, new float[16000]), 1, 16, false));
        refused("wav-empty", Arrays.copyOf(Wavs.of(new Sound(16000, new float[0]), 1, 16, false), 44));
        refused("wav-long", Wavs.of(new Sound(8000, new float[8000 * 600]), 1, 16, false));
        byte[] eightBit = good.clone();
        eightBit[34] = 8;
        refused("wav-format", eightBit);
        byte[] sixChannels = good.clone();
        sixChannels[22] = 6;
        refused("wav-format", sixChannels);
    }

    @Test
    void chunksItDoesNotKnowAreSteppedOver() {
        byte[] good = Wavs.of(Wavs.tone(16000, 0.2, 300), 1, 16, false);
        byte[] list = {'L', 'I', 'S', 'T', 3, 0, 0, 0, 1, 2, 3, 0};
        byte[] more = Wavs.joined(Arrays.copyOf(good, 12), list, Arrays.copyOfRange(good, 12, good.length));
        assertThat(WavFile.read(more).samples()).isEqualTo(WavFile.read(good).samples());
    }

    @Test
    void theTruncatedMessageSaysHowMuchIsThere() {
        byte[] good = Wavs.of(Wavs.tone(16000, 2, 300), 1, 16, false);
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> WavFile.read(Arrays.copyOf(good, 44 + 32000)))
                .withMessage("The WAV is cut off: it promises 2.0 s of sound and holds 1.0 s.");
    }
}
