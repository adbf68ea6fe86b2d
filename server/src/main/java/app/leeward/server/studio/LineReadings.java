package app.leeward.server.studio;

import static java.util.stream.Collectors.counting;
import static java.util.stream.Collectors.groupingBy;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.server.store.ReadingRow;
import app.leeward.server.store.ReadingState;
import app.leeward.server.store.Readings;
import app.leeward.speech.Listening;
import app.leeward.speech.script.CutPlaces;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.DoubleConsumer;
import java.util.stream.IntStream;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Recordings are put to words one after the other, two at once at the most, in a queue that any server on the database works
 * off. Asking is one short transaction; the line, the lexicon and the end of a reading are written in one other, so that
 * nothing is ever half done, whenever the server ends.
 */
@Service
public class LineReadings {
    /** From how many seconds on a recording is long: one long one is read at a time. */
    static final double LONG = 20;

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int MOST = 60;
    private static final int MOST_FROM_ONE = 20;
    private static final Duration TOLD = Duration.ofHours(1);

    private final Readings readings;
    private final Lines lines;
    private final LineWork work;
    private final Scripts scripts;
    private final LongRecordings recordings;
    private final Characters characters;
    private final Scheduler scheduler;
    private final OneTimeTask<Void> task;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final QueueWorker worker;

    LineReadings(
            Readings readings,
            Lines lines,
            LineWork work,
            Scripts scripts,
            LongRecordings recordings,
            Characters characters,
            @Lazy Scheduler scheduler,
            @Lazy @Qualifier("readLine") OneTimeTask<Void> task,
            TransactionTemplate transaction,
            Clock clock) {
        this.readings = readings;
        this.lines = lines;
        this.work = work;
        this.scripts = scripts;
        this.recordings = recordings;
        this.characters = characters;
        this.scheduler = scheduler;
        this.task = task;
        this.transaction = transaction;
        this.clock = clock;
        this.worker = new QueueWorker(readings, transaction, LONG);
    }

    /**
     * Who asks: readings are shared out evenly between clients.
     *
     * @param address where it asks from
     * @param browser which browser there; empty when it does not say
     */
    public record Client(String author, String address, String browser) {
        String key() {
            return address + " " + browser;
        }
    }

    /** @param ahead how many wait before it */
    public record Told(ReadingRow row, long ahead, Optional<Map<String, String>> problem) {
        /** What came of a script that is done. */
        public Optional<AskedScript.Outcome> outcome() {
            return Optional.ofNullable(row.told()).map(told -> JsonText.read(JSON, told, AskedScript.Outcome.class));
        }
    }

    /** Asks for a new line. What can be seen to be wrong at once is refused at once. */
    public Told record(UUID characterId, String name, String words, byte[] wav, Client client) {
        Snapshot<Character> character = characters.snapshot(characterId);
        double seconds = lines.readable(words, wav, character.state().voice().lexicon());
        ReadingRow row = ReadingRow.record(UUID.randomUUID(), characterId, UUID.randomUUID(), name, words, seconds);
        return queued(row, wav, client);
    }

    /**
     * Asks for a line to be read with other words.
     *
     * @param at the frame the line begins at; null for the first one of its shot
     */
    public Told words(UUID lineId, int base, Integer at, String words, Client client) {
        Snapshot<Shot> line = lines.snapshot(lineId);
        lines.requireRoom(lineId, base);
        double seconds = Lines.line(line.state(), at).line().seconds();
        lines.readable(
                words,
                seconds,
                characters.snapshot(line.belongsTo()).state().voice().lexicon());
        return queued(
                ReadingRow.words(UUID.randomUUID(), line.belongsTo(), lineId, base, words, seconds)
                        .of(at),
                null,
                client);
    }

    /**
     * Asks for a word to be remembered as it sounds, and for the line to be read again with it.
     *
     * @param at the frame the line begins at; null for the first one of its shot
     * @param soundsLike English words, or ARPAbet in capitals
     */
    public Told pronounce(UUID lineId, int base, Integer at, String word, String soundsLike, Client client) {
        Snapshot<Shot> line = lines.snapshot(lineId);
        lines.requireRoom(lineId, base);
        DialogueLine said = Lines.line(line.state(), at).line();
        lines.requireWord(said, word);
        lines.phones(soundsLike);
        return queued(
                ReadingRow.pronounce(
                                UUID.randomUUID(), line.belongsTo(), lineId, base, word, soundsLike, said.seconds())
                        .of(at),
                null,
                client);
    }

    /**
     * Asks for another take of a line to be put in its place.
     *
     * @param at the frame the line begins at; null for the first one of its shot
     */
    public Told retake(UUID lineId, int base, Integer at, byte[] wav, Client client) {
        Snapshot<Shot> line = lines.snapshot(lineId);
        lines.requireRoomForTake(lineId, base);
        double seconds = lines.readable(
                Lines.line(line.state(), at).line().text(),
                wav,
                characters.snapshot(line.belongsTo()).state().voice().lexicon());
        return queued(
                ReadingRow.retake(UUID.randomUUID(), line.belongsTo(), lineId, base, seconds)
                        .of(at),
                wav,
                client);
    }

    /**
     * Asks for lines to be cut out of a recording and read, each by itself. What can be seen to be wrong is refused at once, with
     * the name of the line it is about.
     */
    public Told script(UUID recording, AskedScript script, Client client) {
        UUID characterId = recordings.character(recording);
        Lexicon lexicon = characters.snapshot(characterId).state().voice().lexicon();
        scripts.require(script, lexicon);
        ReadingRow row = ReadingRow.script(
                UUID.randomUUID(),
                characterId,
                recording,
                JsonText.write(JSON, script),
                recordings.sound(recording).seconds());
        return queued(row, null, client);
    }

    /** Finds the lines; what comes back asks for the reading of each and says which were not there. */
    private Runnable found(ReadingRow row, Listening listening) {
        AskedScript script = JsonText.read(JSON, row.script(), AskedScript.class);
        List<CutPlaces.Cut> cuts = scripts.cuts(row, script, recordings.sound(row.recording()), listening);
        return () -> {
            Instant now = clock.instant();
            Map<Integer, Long> takes = cuts.stream().collect(groupingBy(CutPlaces.Cut::line, counting()));
            Map<Integer, Integer> there = new HashMap<>();
            // lines are listed by when they were asked for, however soon each is read
            Instant asked = now;
            for (CutPlaces.Cut cut : cuts) {
                AskedScript.Line line = script.lines().get(cut.line());
                int take = there.merge(cut.line(), 1, Integer::sum);
                ReadingRow one = ReadingRow.record(
                                UUID.randomUUID(),
                                row.character(),
                                UUID.randomUUID(),
                                takes.get(cut.line()) == 1 ? line.name() : line.name() + ", take " + take,
                                line.words(),
                                cut.to() - cut.from())
                        .cut(row, cut.from(), cut.to())
                        .askedBy(row.author(), row.client(), asked);
                asked = asked.plusMillis(1);
                readings.save(one);
                scheduler.scheduleIfNotExists(task.instance(one.getId().toString()), now);
            }
            List<String> missing = IntStream.range(0, script.lines().size())
                    .filter(i -> !there.containsKey(i))
                    .mapToObj(i -> script.lines().get(i).name())
                    .toList();
            readings.flush();
            readings.tell(row.getId(), JsonText.write(JSON, new AskedScript.Outcome(cuts.size(), missing)));
            TransactionSynchronizationManager.registerSynchronization(woken());
        };
    }

    private TransactionSynchronization woken() {
        return new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                scheduler.triggerCheckForDueExecutions();
            }
        };
    }

    private Told queued(ReadingRow row, byte[] wav, Client client) {
        if (readings.countUnfinished() >= MOST || readings.countUnfinishedFrom(client.address()) >= MOST_FROM_ONE) {
            throw Problem.busy(
                    "readings-many", "Too many recordings are waiting to be read; ask again when some are done.");
        }
        Instant now = clock.instant();
        transaction.executeWithoutResult(t -> {
            readings.forget(now.minus(TOLD));
            readings.saveAndFlush(row.askedBy(client.author(), client.key(), now));
            if (wav != null) {
                readings.keepWav(row.getId(), wav);
            }
            scheduler.scheduleIfNotExists(task.instance(row.getId().toString()), now);
            TransactionSynchronizationManager.registerSynchronization(woken());
        });
        return told(row);
    }

    public Told told(UUID id) {
        return told(readings.findById(id).orElseThrow(() -> Problem.notThere("reading")));
    }

    private Told told(ReadingRow row) {
        return new Told(
                row,
                row.state() == ReadingState.WAITING ? readings.waitingBefore(row.askedAt()) : 0,
                QueueWorker.problem(row.problem()));
    }

    /** Those of a character that have not ended, in the order they were asked for. */
    public List<Told> unfinished(UUID character) {
        characters.snapshot(character);
        return readings.unfinished(character).stream().map(this::told).toList();
    }

    /** Ends a reading, and with a script those of its lines; what was being made of it is thrown away. One that has ended already stays as it is. */
    public Told cancel(UUID id) {
        told(id);
        transaction.executeWithoutResult(t -> {
            readings.linesOf(id).forEach(line -> readings.cancel(line.getId()));
            readings.cancel(id);
        });
        return told(id);
    }

    /** Tells no more about one that has ended. */
    public void dismiss(UUID id) {
        transaction.execute(t -> readings.dismiss(id));
    }

    /**
     * Works the queue off until nothing can be taken from it.
     *
     * @param by the execution this is done by, so that what it had taken when it broke off is found again
     */
    public void work(String by) {
        worker.work(by, this::made);
    }

    /** Does the long part; what comes back does the writing. */
    private Runnable made(UUID id, DoubleConsumer reached) {
        ReadingRow row = readings.findById(id).orElseThrow();
        Listening listening = reached::accept;
        return switch (row.kind()) {
            case RECORD -> work.recorded(row, wav(row), listening);
            case SCRIPT -> found(row, listening);
            case WORDS -> work.reworded(row, listening);
            case PRONOUNCE -> work.pronounced(row, listening);
            case RETAKE -> work.retaken(row, wav(row), listening);
        };
    }

    private byte[] wav(ReadingRow row) {
        return row.cutFrom() == null
                ? readings.wav(row.getId()).get(0)
                : recordings.sound(row.recording()).wav(row.cutFrom(), row.cutTo());
    }
}
