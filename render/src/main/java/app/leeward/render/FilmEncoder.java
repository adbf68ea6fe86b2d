package app.leeward.render;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.DrawnAs;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Option;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * Draws the frames of a shot and has them encoded, with its sound, by the machine's {@code ffmpeg}: it knows every codec, and writing
 * one again would be no better.
 */
final class FilmEncoder {
    static final Option WIDTH = new Option("film-width", "Film width", "pixels", 16, 3840, 960);

    /** Longest film, frames; what is longer is cut into shots. */
    static final int LONGEST = 10_000;

    private static final int ASKED_EVERY_MS = 200;
    /** How far a film is when its last frame was given to the encoder. */
    private static final double ALL_DRAWN = 0.98;

    private FilmEncoder() {}

    /** What a film is encoded as. */
    interface Encoding {
        /** Arguments between the inputs and the file. */
        List<String> arguments(boolean sound);

        /** Whether what is not drawn stays clear. */
        boolean clear();

        String extension();
    }

    /**
     * @throws Refusal when there is no {@code ffmpeg}, it cannot encode this, or the shot is too long
     * @throws IOException only from {@code out}
     */
    static void write(ExportSource source, Choices choices, Encoding as, OutputStream out) throws IOException {
        Shot shot = source.shot().orElseThrow();
        if (shot.frames() > LONGEST) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "A film has " + LONGEST + " frames at most; this shot has " + shot.frames() + ". Cut it in two.");
        }
        int width = (int) Math.round(choices.number(WIDTH.id())) / 2 * 2;
        FramePainter painter = FramePainter.of(source.character(), width, source.images());
        Path folder = work(() -> Files.createTempDirectory("leeward-film"));
        try {
            Optional<byte[]> sound = source.sound().get();
            if (sound.isPresent()) {
                work(() -> Files.write(folder.resolve("sound.wav"), sound.get()));
            }
            encode(source, painter, as, folder, sound.isPresent());
            Files.copy(folder.resolve("film." + as.extension()), out);
        } finally {
            remove(folder);
        }
    }

    private static void encode(ExportSource source, FramePainter painter, Encoding as, Path folder, boolean sound) {
        Shot shot = source.shot().orElseThrow();
        List<String> command = new ArrayList<>(List.of(
                "ffmpeg",
                "-hide_banner",
                "-loglevel",
                "error",
                "-y",
                "-f",
                "rawvideo",
                "-pix_fmt",
                "rgba",
                "-s",
                painter.width() + "x" + painter.height(),
                "-r",
                String.valueOf(shot.rules().frameRate()),
                "-i",
                "pipe:0"));
        if (sound) {
            command.addAll(List.of("-i", "sound.wav"));
        }
        command.addAll(as.arguments(sound));
        command.add("film." + as.extension());
        Path told = folder.resolve("told.txt");
        Process process = started(command, folder, told);
        DrawnAs drawn = new DrawnAs(painter.width(), as.clear() ? DrawnAs.Kind.CLEAR : DrawnAs.Kind.WHITE);
        try {
            try (OutputStream frames = process.getOutputStream()) {
                source.work().each(new FrameRun(source, drawn), (f, pixels) -> frames.write(pixels));
            } catch (IOException e) {
                throw new Refusal(RefusalCode.NO_FILM, "The film could not be encoded: " + said(told, e.getMessage()));
            }
            while (!process.waitFor(ASKED_EVERY_MS, TimeUnit.MILLISECONDS)) {
                source.work().reached(ALL_DRAWN);
            }
            if (process.exitValue() != 0) {
                throw new Refusal(
                        RefusalCode.NO_FILM,
                        "The film could not be encoded: " + said(told, "ffmpeg ended with " + process.exitValue()));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException();
        } finally {
            // also when nobody wants it any more
            process.destroyForcibly().onExit().join();
        }
    }

    private static Process started(List<String> command, Path folder, Path told) {
        try {
            return new ProcessBuilder(command)
                    .directory(folder.toFile())
                    .redirectError(told.toFile())
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException e) {
            throw new Refusal(
                    RefusalCode.NO_FILM,
                    "Films are encoded by ffmpeg, which is not installed on the machine Leeward runs on. On Debian:"
                            + " apt-get install ffmpeg. Everything else works without it.");
        }
    }

    /** The last thing ffmpeg said. */
    private static String said(Path told, String otherwise) {
        try {
            String[] lines =
                    Files.readString(told, StandardCharsets.UTF_8).strip().split("\n");
            String last = lines[lines.length - 1].strip();
            return last.isEmpty() ? otherwise : last;
        } catch (IOException e) {
            return otherwise;
        }
    }

    private interface Work<T> {
        T done() throws IOException;
    }

    private static <T> T work(Work<T> work) {
        try {
            return work.done();
        } catch (IOException e) {
            throw new UncheckedIOException("no room to make a film in", e);
        }
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }
}
