package app.leeward.speech;

import app.leeward.core.speech.Phone;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/**
 * The stand-in for a recording booth: speaks typed words with a voice of {@code flite}, a small free synthesiser that runs
 * as a program of its own.
 */
public final class VoiceBooth {
    /** What a booth takes at once; longer texts are recorded. */
    private static final int MOST_LETTERS = 1200;

    private static final int MOST_SOUNDS = 60;
    private static final long SECONDS = 30;
    private final String program;

    public VoiceBooth() {
        this("flite");
    }

    /** @param program what is run, by name or path */
    VoiceBooth(String program) {
        this.program = program;
    }

    /**
     * The words as a WAV file of one channel.
     *
     * @param pace 0.25 to 4; 1 as people talk
     * @throws SpeechProblem when there is no voice, or it does not take the words
     */
    public byte[] speak(String words, double pace) {
        if (words.isBlank() || words.length() > MOST_LETTERS) {
            throw new SpeechProblem(
                    "booth-words",
                    words.isBlank()
                            ? "Type some words to hear."
                            : "The voice booth speaks up to " + MOST_LETTERS + " letters; record longer lines.");
        }
        if (!(pace >= 0.25 && pace <= 4)) {
            throw new SpeechProblem(
                    "pace", "Words are said a quarter as fast to four times as fast, not " + pace + ".");
        }
        return spoken(List.of("--setf", String.format(Locale.ROOT, "duration_stretch=%.3f", 1 / pace), "-t", words));
    }

    /**
     * Sounds one after the other, as one word.
     *
     * @throws SpeechProblem when there is no voice, or there are none or too many
     */
    public byte[] speak(List<Phone> sounds) {
        if (sounds.isEmpty() || sounds.size() > MOST_SOUNDS) {
            throw new SpeechProblem("booth-words", "The voice booth speaks 1 to " + MOST_SOUNDS + " sounds.");
        }
        String said =
                sounds.stream().map(p -> p.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(" "));
        return spoken(List.of("-p", "pau " + said + " pau"));
    }

    private byte[] spoken(List<String> what) {
        Path out = null;
        try {
            out = Files.createTempFile("booth", ".wav");
            List<String> command = new ArrayList<>(List.of(program, "-voice", "slt"));
            command.addAll(what);
            command.addAll(List.of("-o", out.toString()));
            Process voice = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            voice.getOutputStream().close();
            if (!voice.waitFor(SECONDS, TimeUnit.SECONDS)) {
                voice.destroyForcibly();
                throw new SpeechProblem("booth-slow", "The voice booth did not come to an end with these words.");
            }
            byte[] wav = Files.readAllBytes(out);
            if (voice.exitValue() != 0 || wav.length <= 44) {
                throw new SpeechProblem("booth-silent", "The voice booth has no sound for these words.");
            }
            return wav;
        } catch (IOException e) {
            throw new SpeechProblem(
                    "booth-missing",
                    "There is no voice to hear: the voice booth needs the program flite (Debian's package flite)."
                            + " Without it the mouths move silently.");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new SpeechProblem("booth-slow", "The voice booth was interrupted.");
        } finally {
            remove(out);
        }
    }

    private static void remove(Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            // the system clears its folder of temporary files itself
            file.toFile().deleteOnExit();
        }
    }
}
