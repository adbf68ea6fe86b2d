package app.leeward.server.studio;

import app.leeward.core.rig.Character;
import app.leeward.core.shot.Shot;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.DrawnAs;
import app.leeward.formats.export.DrawnFrames;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.ExportWork;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.HandedOver;
import app.leeward.formats.export.Scope;
import app.leeward.render.FrameRun;
import app.leeward.server.store.ExportRow;
import app.leeward.server.store.ExportState;
import app.leeward.server.store.Exports;
import app.leeward.server.store.Stretches;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.locks.LockSupport;
import java.util.function.DoubleConsumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Files are made one after the other, in a queue that any server on the database works off. Frames are drawn in stretches by every
 * server that is free, and joined by the one that makes the file; one that broke off goes on with the stretches that are there.
 */
@Service
public class ExportJobs {
    /** From how many frames on a file is long: one long one is made at a time, with all hands. */
    static final double LONG = 250;

    private static final int MOST = 200;
    private static final int MOST_FROM_ONE = 40;
    /** How long a file can be fetched. */
    private static final Duration KEPT = Duration.ofDays(1);
    /** Seconds after which a stretch that somebody began to draw is drawn by others. */
    private static final double PATIENCE = 20;

    private static final long LOOK_AGAIN_NS = 30_000_000;

    private final Exports exports;
    private final Stretches stretches;
    private final Characters characters;
    private final Lines lines;
    private final ExportSources sources;
    private final HeavyWork heavy;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final QueueWorker worker;
    private final ObjectMapper json = new ObjectMapper();
    /** Painters take a moment to get ready: all hands of a server draw a run with the same ones. */
    private final Cache<Run, DrawnFrames> runs = Caffeine.newBuilder()
            .maximumSize(6)
            .expireAfterAccess(Duration.ofMinutes(1))
            .build();

    private record Run(UUID export, DrawnAs as) {}

    ExportJobs(
            Exports exports,
            Stretches stretches,
            Characters characters,
            Lines lines,
            ExportSources sources,
            HeavyWork heavy,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            Clock clock) {
        this.exports = exports;
        this.stretches = stretches;
        this.characters = characters;
        this.lines = lines;
        this.sources = sources;
        this.heavy = heavy;
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
        this.worker = new QueueWorker(exports, transaction, LONG);
    }

    /** A file is asked for; published within the transaction that asks. */
    public record Asked(UUID export) {}

    /** Frames of an export can be drawn by whoever is free. */
    public record FramesLaid(UUID export) {}

    /** @param ahead how many wait before it */
    public record Told(ExportRow row, long ahead, Optional<Map<String, String>> problem) {}

    /**
     * Asks for a file of a character as it stands now.
     *
     * @param line the shot; null for none
     * @param made what is asked for; its exporters are known
     * @throws Problem when what was asked for can be seen to be impossible
     */
    public Told ask(UUID character, UUID line, ExportAsked asked, List<Exporter> made, LineReadings.Client client) {
        if (exports.countUnfinished() >= MOST || exports.countUnfinishedFrom(client.address()) >= MOST_FROM_ONE) {
            throw Problem.busy("exports-many", "Too many files are waiting to be made; ask again when some are done.");
        }
        Snapshot<Character> c = characters.snapshot(character);
        Optional<Snapshot<Shot>> shot = Optional.ofNullable(line).map(lines::snapshot);
        shot.ifPresent(s -> ExportSources.requireOf(s, character));
        ExportSource source = sources.of(c, shot, asked.frame(), asked.pose());
        if (!asked.together()) {
            Choices.of(made.get(0).options(), asked.options());
        }
        int frames = shot.map(s -> s.state().frames()).orElse(0)
                * (int) made.stream().filter(Exporter::drawsFrames).count();
        ExportRow row = new ExportRow(UUID.randomUUID(), character, c.revision(), JsonText.write(json, asked), frames);
        shot.ifPresent(s -> row.ofShot(line, s.revision()));
        int version = shot.filter(s -> asked.together() || made.get(0).format().scope() == Scope.SHOT)
                .map(Snapshot::revision)
                .orElse(c.revision());
        if (asked.together()) {
            row.named("Everything, " + made.size() + " files", HandedOver.name(source, version), "application/zip");
        } else {
            Exporter one = made.get(0);
            row.named(
                    one.format().label(),
                    HandedOver.name(one.format(), source, asked.frame(), version),
                    one.format().mediaType());
        }
        Instant now = clock.instant();
        transaction.executeWithoutResult(t -> {
            exports.forget(now.minus(KEPT));
            exports.saveAndFlush(row.askedBy(client.author(), client.key(), now));
            events.publishEvent(new Asked(row.getId()));
        });
        return told(row);
    }

    public Told told(UUID id) {
        return told(exports.findById(id).orElseThrow(() -> Problem.notThere("export")));
    }

    private Told told(ExportRow row) {
        return new Told(
                row,
                row.state() == ExportState.WAITING ? exports.waitingBefore(row.askedAt()) : 0,
                QueueWorker.problem(row.problem()));
    }

    /** Those of a character that have not ended, and those that ended lately; the newest first. */
    public List<Told> of(UUID character) {
        characters.snapshot(character);
        return exports.of(character).stream().map(this::told).toList();
    }

    /** Ends an export; what was being made of it is thrown away. One that has ended already stays as it is. */
    public Told cancel(UUID id) {
        told(id);
        transaction.executeWithoutResult(t -> {
            if (exports.cancel(id) > 0) {
                thrownAway(id);
            }
        });
        return told(id);
    }

    private void thrownAway(UUID id) {
        exports.dropPieces(id);
        stretches.drop(id);
    }

    /** Takes an export out of the list, with its file; one that is under way is ended. */
    public void remove(UUID id) {
        cancel(id);
        transaction.executeWithoutResult(t -> exports.deleteById(id));
    }

    /**
     * The file of an export that is done.
     *
     * @throws Problem {@code not-there} when it is not, or its time is over
     */
    public void file(UUID id, OutputStream out) throws IOException {
        int number = 0;
        for (List<byte[]> p = exports.piece(id, number); !p.isEmpty(); p = exports.piece(id, ++number)) {
            out.write(p.get(0));
        }
    }

    /**
     * Works the queue off until nothing can be taken from it.
     *
     * @param by the execution this is done by, so that what it had taken when it broke off is found again
     */
    public void work(String by) {
        worker.work(by, (id, reached) -> made(id, by, reached));
    }

    /** What was written of a file that cannot be made goes at once: a full disk is one of the reasons. */
    private Runnable made(UUID id, String by, DoubleConsumer reached) {
        try {
            return written(id, by, reached);
        } catch (RuntimeException e) {
            Optional<DatabaseAway> away = DatabaseAway.behind(e);
            boolean goesOn = Thread.currentThread().isInterrupted()
                    || away.filter(a -> a != DatabaseAway.FULL).isPresent();
            if (!goesOn) {
                transaction.executeWithoutResult(t -> thrownAway(id));
            }
            throw e;
        }
    }

    private Runnable written(UUID id, String by, DoubleConsumer reached) {
        ExportRow row = exports.findById(id).orElseThrow();
        ExportAsked asked = JsonText.read(json, row.asked(), ExportAsked.class);
        // what an earlier try had written of it
        transaction.execute(t -> exports.dropPieces(id));
        ExportSource source = source(row, asked).withWork(new Shared(id, reached));
        PieceStream out = new PieceStream((number, bytes) -> {
            Integer kept = transaction.execute(t -> exports.putPiece(id, by, number, bytes));
            if (kept == null || kept == 0) {
                throw new CancellationException();
            }
        });
        List<Exporter> made = Exporter.all().stream()
                .filter(e -> asked.exporters().contains(e.format().id()))
                .toList();
        try {
            if (asked.together()) {
                HandedOver.write(made, source, asked.options(), out);
            } else {
                Exporter one = made.stream().findFirst().orElseThrow(() -> Problem.notThere("format"));
                one.write(source, Choices.of(one.options(), asked.options()), out);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        out.close();
        return () -> stretches.drop(id);
    }

    private ExportSource source(ExportRow row, ExportAsked asked) {
        Optional<Snapshot<Shot>> shot = Optional.ofNullable(row.shot()).map(s -> lines.snapshot(s, row.shotRevision()));
        return sources.of(characters.snapshot(row.character(), row.revision()), shot, asked.frame(), asked.pose());
    }

    /** Frames of a file are drawn by all servers, and whoever made it hears how far it is. */
    private final class Shared implements ExportWork {
        private final UUID export;
        private final DoubleConsumer reached;
        private double share;

        Shared(UUID export, DoubleConsumer reached) {
            this.export = export;
            this.reached = reached;
        }

        @Override
        public void reached(double now) {
            share = now;
            reached.accept(now);
        }

        @Override
        public List<byte[]> stretch(DrawnFrames frames, int from, int to) {
            DrawnAs as = frames.as();
            String kind = as.kind().name();
            if (from == 0) {
                runs.put(new Run(export, as), frames);
                transaction.executeWithoutResult(t -> {
                    stretches.lay(export, as.width(), kind, frames.frames(), frames.stretch());
                    events.publishEvent(new FramesLaid(export));
                });
            }
            while (true) {
                List<byte[]> there = stretches.drawn(export, as.width(), kind, from);
                if (!there.isEmpty()) {
                    return StretchBytes.unpacked(there.get(0));
                }
                Integer mine = transaction.execute(t -> stretches.take(export, as.width(), kind, from, PATIENCE));
                if (mine != null && mine > 0) {
                    return drawn(export, frames, from, to);
                }
                reached.accept(share);
                LockSupport.parkNanos(LOOK_AGAIN_NS);
            }
        }
    }

    private List<byte[]> drawn(UUID export, DrawnFrames frames, int from, int to) {
        List<byte[]> drawn = heavy.done(() -> frames.drawn(from, to));
        byte[] packed = StretchBytes.packed(drawn);
        DrawnAs as = frames.as();
        transaction.execute(t -> stretches.put(export, as.width(), as.kind().name(), from, packed));
        return drawn;
    }

    /** Draws stretches of whatever is under way, until there are none. */
    public void draw() {
        HeavyWork.giveWay();
        for (Optional<Stretches.Wanted> next = next(); next.isPresent(); next = next()) {
            Stretches.Wanted w = next.get();
            DrawnAs as = new DrawnAs(w.getWidth(), DrawnAs.Kind.valueOf(w.getKind()));
            Run run = new Run(w.getExport(), as);
            DrawnFrames frames = runs.get(run, r -> exports.findById(r.export())
                    .map(row -> new FrameRun(source(row, JsonText.read(json, row.asked(), ExportAsked.class)), as))
                    .orElse(null));
            if (frames != null) {
                drawn(run.export(), frames, w.getFirst(), w.getLast());
            }
        }
    }

    private Optional<Stretches.Wanted> next() {
        return transaction.execute(t -> stretches.takeAny(PATIENCE));
    }
}
