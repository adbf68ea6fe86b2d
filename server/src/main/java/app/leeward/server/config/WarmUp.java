package app.leeward.server.config;

import app.leeward.demo.DemoFiles;
import app.leeward.server.store.Documents;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Lines;
import app.leeward.speech.LineReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Once the server answers: loads the acoustic model in the background, and the demo when asked to, and
 * practises reading a large file. */
@Component
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);
    /** Fixed, so that links into the demo work on every machine and loading it twice changes nothing. */
    private static final UUID MAREN = named("maren");

    /** As often as the Java machine wants to see code before it translates it well. */
    private static final int PRACTICES = 3;

    private static final UUID PILCHARD = named("pilchard");

    private static final UUID WICK = named("wick");

    private final Documents documents;
    private final Characters characters;
    private final Lines lines;
    private final LineReader reader;
    private final TransactionTemplate practice;
    private final boolean demo;

    WarmUp(
            Documents documents,
            Characters characters,
            Lines lines,
            LineReader reader,
            PlatformTransactionManager transactions,
            @Value("${leeward.demo}") boolean demo) {
        this.documents = documents;
        this.characters = characters;
        this.lines = lines;
        this.reader = reader;
        this.practice = new TransactionTemplate(transactions);
        this.demo = demo;
    }

    private static UUID named(String name) {
        return UUID.nameUUIDFromBytes(("leeward demo " + name).getBytes(StandardCharsets.UTF_8));
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        Thread thread = new Thread(this::work, "warm-up");
        thread.setDaemon(true);
        // whoever is waiting for an answer comes first
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    private void work() {
        try {
            if (demo && !documents.existsById(MAREN)) {
                characters.read(MAREN, DemoFiles.maren(), "maren.svg", "Leeward", DemoWardrobe::dress);
                LOG.info("Maren is hung");
            }
            if (demo && !documents.existsById(PILCHARD)) {
                characters.read(PILCHARD, DemoFiles.pilchard(), "pilchard.svg", "Leeward");
            }
            if (demo && !documents.existsById(WICK)) {
                characters.read(WICK, DemoFiles.wick(), "wick.svg", "Leeward");
            }
            reader.warmUp();
            for (DemoFiles.Line line : demo ? DemoFiles.lines() : List.<DemoFiles.Line>of()) {
                UUID id = named(line.name());
                if (!documents.existsById(id)) {
                    lines.record(id, MAREN, line.name(), line.words(), line.wav(), "Leeward");
                    LOG.info("Maren has learned '{}'", line.name());
                }
            }
            for (int i = 0; i < PRACTICES; i++) {
                practice.executeWithoutResult(t -> {
                    t.setRollbackOnly();
                    characters.practise(Practice.file());
                });
            }
        } catch (RuntimeException e) {
            LOG.error("Warming up failed; the first line and the first large file will take longer", e);
        }
    }
}
