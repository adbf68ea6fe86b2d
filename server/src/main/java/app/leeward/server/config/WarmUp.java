package app.leeward.server.config;

import app.leeward.core.shot.ShotEdit;
import app.leeward.demo.DemoFiles;
import app.leeward.server.store.DemoDocumentRow;
import app.leeward.server.store.DemoDocuments;
import app.leeward.server.store.DocumentKind;
import app.leeward.server.store.Documents;
import app.leeward.server.studio.Characters;
import app.leeward.server.studio.Faces;
import app.leeward.server.studio.Lines;
import app.leeward.speech.LineReader;
import java.util.UUID;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Once the server answers, in the background: makes the demo when asked to, and practises listening and reading a large file. */
@Component
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);
    /** As often as the Java machine wants to see code before it translates it well. */
    private static final int PRACTICES = 3;

    /** Faces that are drawn before they are asked for. */
    private static final int MOST_FACES = 24;

    private final DemoDocuments made;
    private final Documents documents;
    private final Faces faces;
    private final Characters characters;
    private final Lines lines;
    private final LineReader reader;
    private final TransactionTemplate transaction;
    private final boolean demo;
    private final boolean rigged;
    private final Practises practises;

    /** What a start practises, so that the first ones of a person are quick. */
    enum Practises {
        /** Nothing: tests that are over soon. */
        NOTHING,
        /** Listening to a voice and spelling words, which takes seconds to be learnt. */
        LISTENING,
        /** Reading a large file as well. */
        ALL
    }

    WarmUp(
            DemoDocuments made,
            Documents documents,
            Faces faces,
            Characters characters,
            Lines lines,
            LineReader reader,
            PlatformTransactionManager transactions,
            @Value("${leeward.demo}") boolean demo,
            @Value("${leeward.demo-rigged}") boolean rigged,
            @Value("${leeward.practises}") Practises practises) {
        this.made = made;
        this.documents = documents;
        this.faces = faces;
        this.characters = characters;
        this.lines = lines;
        this.reader = reader;
        this.transaction = new TransactionTemplate(transactions);
        this.demo = demo;
        this.rigged = rigged;
        this.practises = practises;
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
            if (demo) {
                once(
                        "maren",
                        id -> characters.read(
                                id,
                                DemoFiles.maren(),
                                "maren.svg",
                                "Leeward",
                                rigged ? DemoSetup::rig : DemoSetup::dress));
                once("pilchard", id -> characters.read(id, DemoFiles.pilchard(), "pilchard.svg", "Leeward"));
                if (rigged) {
                    once(
                            "maren-unrigged",
                            id -> characters.read(
                                    id, DemoFiles.maren(), "maren.svg", "Leeward", c -> c.withName("Maren, unrigged")));
                }
                once("wick", id -> characters.read(id, DemoFiles.wick(), "wick.svg", "Leeward"));
            }
            if (practises != Practises.NOTHING) {
                drawFaces();
                reader.warmUp();
            }
            if (demo) {
                UUID maren = made.findById("maren").orElseThrow().document();
                for (DemoFiles.Line line : DemoFiles.lines()) {
                    once(line.name(), id -> {
                        lines.record(id, maren, line.name(), line.words(), line.wav(), "Leeward");
                        if (rigged
                                && line.name().equals(DemoFiles.lines().get(0).name())) {
                            act(id, maren);
                        }
                    });
                }
            }
            for (int i = 0; practises == Practises.ALL && i < PRACTICES; i++) {
                transaction.executeWithoutResult(t -> {
                    t.setRollbackOnly();
                    characters.practise(WarmUpSample.file());
                });
            }
        } catch (RuntimeException e) {
            LOG.error("Warming up failed; the first line and the first large file will take longer", e);
        }
    }

    /** What the first page shows is there before somebody opens it. */
    private void drawFaces() {
        documents.all(DocumentKind.CHARACTER, PageRequest.of(0, MOST_FACES)).forEach(d -> {
            try {
                faces.face(characters.snapshot(d.getId()));
            } catch (RuntimeException e) {
                LOG.warn("The face of {} could not be drawn", d.getId(), e);
            }
        });
    }

    private void act(UUID line, UUID maren) {
        int base = 1;
        for (ShotEdit edit : DemoActing.of(characters.snapshot(maren).state())) {
            base = lines.edit(line, base, edit, "Leeward").revision();
        }
    }

    /** Makes a document of the demo unless this installation has it; its id is drawn, so that nobody elsewhere knows it. */
    private void once(String name, Consumer<UUID> make) {
        if (made.existsById(name)) {
            return;
        }
        transaction.executeWithoutResult(t -> {
            UUID id = UUID.randomUUID();
            make.accept(id);
            made.save(new DemoDocumentRow(name, id));
        });
        LOG.info("The demo's '{}' is there", name);
    }
}
