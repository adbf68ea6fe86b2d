package app.leeward.speech;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * Any sound file a recording comes in. A WAV that can be read is taken as it is; everything else is decoded to one by the
 * machine's {@code ffmpeg}, which knows every codec. What kind it is is told by its first bytes, never by its name, and only that
 * kind is decoded: a list that names other files is no recording.
 */
public final class SoundFile {
    /** Longest recording that is cut into lines, seconds. */
    public static final int LONGEST_RECORDING = 3600;

    private static final int PIECE = 10;
    /** Bytes by which the kind of a recording is told. */
    public static final int ENOUGH_TO_TELL = 16;

    private static final int SECONDS_OF_WORK = 60;
    /** Seconds of sound that the slowest machine decodes in one. */
    private static final double DECODED_A_SECOND = 20;

    private static final String RATES = "8000|11025|12000|16000|22050|24000|32000|44100|48000";

    private final String program;

    public SoundFile() {
        this("ffmpeg");
    }

    SoundFile(String program) {
        this.program = program;
    }

    /** A kind of file by how it begins. */
    enum Kind {
        FLAC("FLAC", "flac", 0, "fLaC"),
        OGG("Ogg", "ogg", 0, "OggS"),
        MP3_TAGGED("MP3", "mp3", 0, "ID3"),
        AIFF("AIFF", "aiff", 8, "AIFF"),
        AIFC("AIFF", "aiff", 8, "AIFC"),
        M4A("M4A", "mov", 4, "ftyp"),
        CAF("CAF", "caf", 0, "caff"),
        WEBM("WebM", "matroska", 0, "\u001a\u0045\u00df\u00a3"),
        WAV("WAV", "wav", 8, "WAVE"),
        MP3("MP3", "mp3", 0, "") {
            @Override
            boolean begins(byte[] file) {
                // eleven bits of a frame's beginning, then a version and a layer that exist
                return file.length > 4
                        && (file[0] & 0xff) == 0xff
                        && (file[1] & 0xe0) == 0xe0
                        && (file[1] & 0x18) != 0x08
                        && (file[1] & 0x06) == 0x02;
            }
        };

        private final String told;
        private final String demuxer;
        private final int at;
        private final byte[] mark;

        Kind(String told, String demuxer, int at, String mark) {
            this.told = told;
            this.demuxer = demuxer;
            this.at = at;
            this.mark = mark.getBytes(StandardCharsets.ISO_8859_1);
        }

        boolean begins(byte[] file) {
            return file.length >= at + mark.length && Arrays.equals(file, at, at + mark.length, mark, 0, mark.length);
        }

        static Optional<Kind> of(byte[] file) {
            return Arrays.stream(values()).filter(k -> k.begins(file)).findFirst();
        }
    }

    /** Whether it has to be decoded before it can be read. */
    public static boolean packed(byte[] file) {
        return Kind.of(file).filter(k -> k != Kind.WAV).isPresent();
    }

    /**
     * @return a WAV that {@link WavFile} reads
     * @throws SpeechProblem {@code wav-not} for what is no recording, {@code sound-broken} for one that cannot be decoded, {@code
     *     sound-no-ffmpeg} where there is none, or what {@link WavFile#read} says
     */
    public byte[] wav(byte[] file) {
        Kind kind = kind(file);
        if (kind == Kind.WAV) {
            try {
                WavFile.read(file);
                return file;
            } catch (SpeechProblem e) {
                if (!e.code().equals("wav-format")) {
                    throw e;
                }
            }
        }
        byte[] wav = decoded(file, kind);
        WavFile.read(wav);
        return wav;
    }

    private byte[] decoded(byte[] file, Kind kind) {
        try {
            Path folder = Files.createTempDirectory("leeward-sound");
            Path in = folder.resolve("in");
            Path out = folder.resolve("out.wav");
            Path told = folder.resolve("told.txt");
            try {
                Files.write(in, file);
                // a little more, so that what is too long is told as such
                run(kind, in, told, WavFile.LONGEST + 1, List.of(out.toString()));
                if (!Files.exists(out)) {
                    throw broken(kind, told, in);
                }
                return Files.readAllBytes(out);
            } finally {
                for (Path p : List.of(in, out, told, folder)) {
                    Files.deleteIfExists(p);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("no room to decode a recording in", e);
        }
    }

    /**
     * Decodes a recording of any length into WAV files of {@value #PIECE} seconds or so that follow on each other without a gap,
     * in this folder, named so that they sort. It is never held whole.
     *
     * @throws SpeechProblem as {@link #wav} does, and {@code sound-long} beyond {@value #LONGEST_RECORDING} seconds
     */
    public List<Path> split(Path file, Path folder) {
        try {
            byte[] begins;
            try (InputStream in = Files.newInputStream(file)) {
                begins = in.readNBytes(ENOUGH_TO_TELL);
            }
            Kind kind = kind(begins);
            Path told = folder.resolve("told.txt");
            run(
                    kind,
                    file,
                    told,
                    LONGEST_RECORDING + 2 * PIECE,
                    List.of(
                            "-f",
                            "segment",
                            "-segment_time",
                            String.valueOf(PIECE),
                            "-segment_format",
                            "wav",
                            folder.resolve("piece%05d.wav").toString()));
            List<Path> pieces;
            try (Stream<Path> all = Files.list(folder)) {
                pieces = all.filter(p -> p.getFileName().toString().startsWith("piece"))
                        .sorted()
                        .toList();
            }
            if (pieces.isEmpty()) {
                throw broken(kind, told, file);
            }
            if (pieces.size() > LONGEST_RECORDING / PIECE + 1) {
                throw new SpeechProblem(
                        "sound-long",
                        "The recording lasts longer than " + LONGEST_RECORDING / 60 + " minutes. Cut it in two.");
            }
            return pieces;
        } catch (IOException e) {
            throw new UncheckedIOException("no room to decode a recording in", e);
        }
    }

    private static Kind kind(byte[] begins) {
        return Kind.of(begins)
                .orElseThrow(() -> new SpeechProblem(
                        "wav-not",
                        "This is not a recording that can be read: it is neither a WAV nor FLAC, MP3, Ogg, AIFF, M4A, CAF or"
                                + " WebM."));
    }

    private static SpeechProblem broken(Kind kind, Path told, Path in) throws IOException {
        return new SpeechProblem(
                "sound-broken", "The " + kind.told + " recording cannot be decoded: " + said(told, in));
    }

    private void run(Kind kind, Path in, Path told, double seconds, List<String> output) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                program,
                "-hide_banner",
                "-loglevel",
                "error",
                "-nostdin",
                "-protocol_whitelist",
                "file",
                "-f",
                kind.demuxer,
                "-i",
                in.toString(),
                "-map",
                "0:a:0",
                "-t",
                String.valueOf(seconds),
                "-af",
                "aformat=sample_fmts=s16:sample_rates=" + RATES + ":channel_layouts=mono|stereo",
                "-c:a",
                "pcm_s16le",
                "-bitexact"));
        command.addAll(output);
        Process process;
        try {
            process = new ProcessBuilder(command)
                    .redirectError(told.toFile())
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException e) {
            throw new SpeechProblem(
                    "sound-no-ffmpeg",
                    kind.told
                            + " recordings are decoded by ffmpeg, which is not installed on the machine Leeward runs on. On"
                            + " Debian: apt-get install ffmpeg. WAV recordings are read without it.");
        }
        try {
            long patience = SECONDS_OF_WORK + (long) (seconds / DECODED_A_SECOND);
            if (!process.waitFor(patience, TimeUnit.SECONDS)) {
                throw new SpeechProblem("sound-broken", "The " + kind.told + " recording takes too long to decode.");
            }
            if (process.exitValue() != 0) {
                throw broken(kind, told, in);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } finally {
            process.destroyForcibly().onExit().join();
        }
    }

    /** The last thing the program said, without the name of our own file. */
    private static String said(Path told, Path in) throws IOException {
        String[] lines =
                Files.readString(told, StandardCharsets.ISO_8859_1).strip().split("\n");
        String last = lines[lines.length - 1].replace(in.toString(), "it").strip();
        return last.isEmpty() ? "it holds no sound." : last;
    }
}
