package app.leeward.server.studio;

import app.leeward.server.store.Recordings;
import app.leeward.speech.SoundFile;
import app.leeward.speech.SpeechProblem;
import app.leeward.speech.WavFile;
import app.leeward.speech.script.SoundPieces;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Recordings of many lines, kept until the lines have been cut out of them. */
@Service
public class LongRecordings {
    /** How long one is kept that nothing is being cut out of. */
    private static final Duration KEPT = Duration.ofHours(12);

    private static final int MOST_FROM_ONE = 4;

    private final Recordings recordings;
    private final Characters characters;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final SoundFile soundFile = new SoundFile();

    LongRecordings(Recordings recordings, Characters characters, TransactionTemplate transaction, Clock clock) {
        this.recordings = recordings;
        this.characters = characters;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** @param seconds how long it lasts */
    public record Kept(UUID id, double seconds) {}

    /**
     * Keeps a recording of any kind.
     *
     * @throws Problem {@code recordings-many} (503), or what is wrong with the file
     */
    public Kept keep(UUID characterId, String name, Path file, LineReadings.Client client) {
        characters.snapshot(characterId);
        Instant now = clock.instant();
        transaction.executeWithoutResult(t -> recordings.forget(now.minus(KEPT)));
        if (recordings.countFrom(client.key()) >= MOST_FROM_ONE) {
            // those that were only tried go first
            transaction.executeWithoutResult(t -> recordings.forget(now));
        }
        if (recordings.countFrom(client.key()) >= MOST_FROM_ONE) {
            throw Problem.busy(
                    "recordings-many",
                    "Lines are still being cut out of your last recordings; send the next when they are done.");
        }
        try {
            Path folder = Files.createTempDirectory("leeward-recording");
            try {
                return kept(characterId, name, soundFile.split(file, folder), client, now);
            } finally {
                try (Stream<Path> all = Files.walk(folder)) {
                    all.sorted(java.util.Comparator.reverseOrder()).forEach(LongRecordings::delete);
                }
            }
        } catch (SpeechProblem e) {
            throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, e.code(), "recording", e.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Kept kept(UUID characterId, String name, List<Path> pieces, LineReadings.Client client, Instant now) {
        UUID id = UUID.randomUUID();
        double seconds = transaction.execute(t -> {
            recordings.begin(id, characterId, name, client.key(), now);
            double sum = 0;
            for (int i = 0; i < pieces.size(); i++) {
                byte[] wav = bytes(pieces.get(i));
                double lasts = WavFile.readPart(wav).seconds();
                recordings.add(id, i, lasts, wav);
                sum += lasts;
            }
            return sum;
        });
        return new Kept(id, seconds);
    }

    private static byte[] bytes(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            file.toFile().deleteOnExit();
        }
    }

    /** The character a recording was sent for. */
    public UUID character(UUID id) {
        return recordings.character(id).orElseThrow(() -> Problem.notThere("recording"));
    }

    /** Of one thread; its pieces are fetched as they are listened to. */
    SoundPieces sound(UUID id) {
        List<Double> seconds = recordings.pieces(id);
        if (seconds.isEmpty()) {
            throw Problem.notThere("recording");
        }
        return new SoundPieces(seconds, i -> recordings.piece(id, i).get(0));
    }
}
