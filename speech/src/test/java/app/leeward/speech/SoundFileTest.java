package app.leeward.speech;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Recordings as they come, encoded by sox and ffmpeg. */
class SoundFileTest {
    @TempDir
    Path folder;

    private byte[] encoded(String extension, String... arguments) throws Exception {
        Path wav = folder.resolve("in.wav");
        Path out = folder.resolve("out." + extension);
        Files.write(wav, Wavs.of(Wavs.tone(44100, 1.5, 440), 2, 16, false));
        List<String> command = new java.util.ArrayList<>(
                List.of("ffmpeg", "-hide_banner", "-loglevel", "error", "-y", "-i", wav.toString()));
        command.addAll(Arrays.asList(arguments));
        command.add(out.toString());
        Process p = new ProcessBuilder(command).inheritIO().start();
        assertThat(p.waitFor(30, TimeUnit.SECONDS)).isTrue();
        return Files.readAllBytes(out);
    }

    @ParameterizedTest
    @CsvSource({
        "flac, flac",
        "mp3, libmp3lame",
        "ogg, libvorbis",
        "opus, libopus",
        "m4a, aac",
        "aiff, pcm_s16be",
        "caf, pcm_s16le",
        "webm, libopus",
        "wav, pcm_u8"
    })
    void everyKindSoundsAsItDid(String extension, String codec) throws Exception {
        byte[] file = encoded(extension, "-c:a", codec);
        Sound sound = WavFile.read(new SoundFile().wav(file));
        assertThat(sound.seconds()).isCloseTo(1.5, within(0.08));
        assertThat(crossings(sound)).as("a tone of 440 hertz").isBetween(1250, 1400);
        assertThat(SoundFile.packed(file)).isEqualTo(!extension.equals("wav"));
    }

    private static int crossings(Sound sound) {
        int n = 0;
        for (int i = 1; i < sound.samples().length; i++) {
            n += sound.samples()[i - 1] < 0 != sound.samples()[i] < 0 ? 1 : 0;
        }
        return n;
    }

    @Test
    void aWavThatCanBeReadIsTheVerySameFile() {
        byte[] wav = Wavs.of(Wavs.tone(16000, 0.5, 300), 1, 16, false);
        assertThat(new SoundFile("no such program").wav(wav)).isSameAs(wav);
    }

    @Test
    void sixChannelsAtARateNobodyHearsAreMixed() throws Exception {
        Sound sound = WavFile.read(new SoundFile().wav(encoded("wav", "-ac", "6", "-ar", "192000")));
        assertThat(sound.rate()).isLessThanOrEqualTo(48_000);
        assertThat(sound.seconds()).isCloseTo(1.5, within(0.01));
    }

    @Test
    void whatIsNoRecordingIsRefusedInWords() throws Exception {
        byte[] flac = encoded("flac");
        refused("wav-not", "hello".getBytes(StandardCharsets.UTF_8), new SoundFile());
        refused("wav-not", "#EXTM3U\nfile:///etc/hostname\n".getBytes(StandardCharsets.UTF_8), new SoundFile());
        refused("wav-not", new byte[0], new SoundFile());
        refused("sound-broken", Arrays.copyOf(flac, 40), new SoundFile());
        byte[] list = "ID3\nffconcat version 1.0\nfile /etc/hostname\n".getBytes(StandardCharsets.UTF_8);
        refused("sound-broken", list, new SoundFile());
        refused("sound-no-ffmpeg", flac, new SoundFile("no such program"));
        refused(
                "wav-truncated",
                Arrays.copyOf(Wavs.of(Wavs.tone(16000, 0.5, 300), 1, 16, false), 900),
                new SoundFile());
        refused("wav-long", encoded("mp3", "-af", "apad=whole_dur=305"), new SoundFile());
    }

    private static void refused(String code, byte[] file, SoundFile reader) {
        assertThatExceptionOfType(SpeechProblem.class)
                .isThrownBy(() -> reader.wav(file))
                .satisfies(e -> assertThat(e.code()).isEqualTo(code))
                .satisfies(e -> assertThat(e.getMessage()).doesNotContain("/tmp"));
    }
}
