package app.leeward.e2e;

import app.leeward.speech.Sound;
import app.leeward.speech.WavFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A file that Chromium plays as its microphone, from its beginning each time the microphone is opened, and once. */
final class PlayedMicrophone {
    private PlayedMicrophone() {}

    /**
     * @param wav what is said
     * @param quiet seconds before it, in which the hand finds the button
     * @return arguments of Chromium
     */
    static List<String> said(byte[] wav, int quiet) {
        try {
            Sound said = WavFile.read(wav);
            float[] all = new float[(quiet + 2) * said.rate() + said.samples().length];
            System.arraycopy(said.samples(), 0, all, quiet * said.rate(), said.samples().length);
            Path file = Files.createTempFile("leeward", ".wav");
            file.toFile().deleteOnExit();
            Files.write(file, WavFile.write(new Sound(said.rate(), all)));
            return List.of(
                    "--use-fake-ui-for-media-stream",
                    "--use-fake-device-for-media-stream",
                    "--use-file-for-fake-audio-capture=" + file + "%noloop");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
