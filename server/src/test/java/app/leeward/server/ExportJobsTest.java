package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.server.store.ExportRow;
import app.leeward.server.store.ExportState;
import app.leeward.server.store.Exports;
import app.leeward.server.store.Stretches;
import app.leeward.server.studio.ExportJobs;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Files that are made while nobody waits: what becomes of them when they are cancelled, refused, or their server ends. */
@ServerTest
class ExportJobsTest {
    private static final double PATIENCE = 20;

    @LocalServerPort
    int port;

    @Autowired
    ExportJobs jobs;

    @Autowired
    Exports exports;

    @Autowired
    Stretches stretches;

    @Autowired
    TransactionTemplate transaction;

    @Autowired
    JdbcTemplate database;

    private Client client;
    private String at;

    @BeforeEach
    void maren() {
        client = new Client(port);
        at = client.maren();
    }

    private String shot(int frames) {
        return client.post(at + "/shots", "{\"name\":\"Turning\",\"frames\":" + frames + "}")
                .json()
                .get("id")
                .asText();
    }

    private JsonNode ended(String export) {
        for (int i = 0; i < 600; i++) {
            JsonNode now = client.get("/api/v1/exports/" + export).json();
            if (!now.get("state").asText().matches("WAITING|MAKING")) {
                return now;
            }
            LockSupport.parkNanos(50_000_000);
        }
        throw new AssertionError(
                "not made: " + client.get("/api/v1/exports/" + export).json());
    }

    private byte[] file(String export) {
        return client.get("/api/v1/exports/" + export + "/file").body();
    }

    private static Map<String, byte[]> unzipped(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private int rows(String table, String export) {
        return database.queryForObject(
                "select count(*) from " + table + " where export = ?", Integer.class, UUID.fromString(export));
    }

    /** What is made in the queue is what is made while one waits, of the revision it was asked for. */
    @Test
    void aFileIsMadeOfWhatStoodWhenItWasAskedForAndKeptToBeFetched() throws Exception {
        String line = shot(40);
        String body = "{\"exporters\":[\"frames-png\"],\"line\":\"" + line + "\",\"options\":{\"film-width\":64}}";
        Client.Answer asked = client.post(at + "/exports", body);
        client.post(at + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"Another\"}}");
        assertThat(asked.status()).isEqualTo(202);
        String id = asked.json().get("id").asText();
        JsonNode done = ended(id);
        assertThat(done.get("state").asText()).isEqualTo("DONE");
        assertThat(done.get("fileName").asText()).isEqualTo("turning-v0001.zip");
        byte[] file = file(id);
        assertThat(done.get("bytes").asInt()).isEqualTo(file.length);
        Map<String, byte[]> frames = unzipped(file);
        assertThat(frames).hasSize(40);
        Map<String, byte[]> waited = unzipped(
                client.post(at + "/exports/frames-png", "{\"line\":\"" + line + "\",\"options\":{\"film-width\":64}}")
                        .body());
        frames.forEach((name, png) -> assertThat(png).as(name).isEqualTo(waited.get(name)));
        assertThat(rows("export_stretch", id)).as("frames are thrown away").isZero();

        String picture = client.post(at + "/exports", "{\"exporters\":[\"picture-png\"]}")
                .json()
                .get("id")
                .asText();
        assertThat(ended(picture).get("fileName").asText()).isEqualTo("another-v0002.png");
        JsonNode list = client.get(at + "/exports").json();
        assertThat(list).extracting(e -> e.get("id").asText()).containsExactly(picture, id);
        assertThat(client.delete("/api/v1/exports/" + picture).status()).isEqualTo(204);
        assertThat(client.get("/api/v1/exports/" + picture).status()).isEqualTo(404);
        assertThat(client.get(at + "/exports").json()).hasSize(1);
    }

    /** A server that ended had drawn a stretch: the file is made with that very stretch, and the rest is drawn by whoever is free. */
    @Test
    void whatAServerHadDrawnBeforeItEndedIsNotDrawnAgain() throws Exception {
        int frames = 40;
        UUID line = UUID.fromString(shot(frames));
        UUID character = UUID.fromString(at.replaceAll("^.*/", ""));
        String asked = "{\"exporters\":[\"frames-png\"],\"together\":false,\"options\":{\"film-width\":64},"
                + "\"dials\":{},\"picks\":{},\"pins\":{},\"looks\":{}}";
        UUID id = UUID.randomUUID();
        // by a name that its own worker never has, so that nobody but this test goes on with it
        transaction.executeWithoutResult(t -> {
            exports.saveAndFlush(new ExportRow(id, character, 1, asked, frames)
                    .ofShot(line, 1)
                    .named("PNG frames", "x.zip", "application/zip")
                    .askedBy("crew", "1.2.3.4 a", Instant.parse("2026-01-01T10:00:00Z")));
            database.update("update export set state = 'MAKING', taken_by = 'gone' where id = ?", id);
            stretches.lay(id, 64, "PNG", frames, 16);
            exports.putPiece(id, "gone", 0, new byte[] {1, 2, 3});
        });
        // a first hand draws what it can, and the last stretch is marked so that it is known again
        jobs.draw();
        byte[] last = stretches.drawn(id, 64, "PNG", 32).get(0);
        assertThat(stretches.drawn(id, 64, "PNG", 16)).hasSize(1);
        transaction.executeWithoutResult(t -> {
            stretches.put(id, 64, "PNG", 0, last);
            database.update(
                    "update export_stretch set bytes = null, taken_at = now() - interval '1 hour'"
                            + " where export = ? and first = 16",
                    id);
        });
        jobs.work("gone");
        assertThat(exports.findById(id).orElseThrow().state()).isEqualTo(ExportState.DONE);
        Map<String, byte[]> made = unzipped(file(id.toString()));
        assertThat(made)
                .as("eight of the stretch that stands for the first, then the others")
                .hasSize(32);
    }

    @Test
    void anExportIsCancelledWhileItRunsAndLeavesNothing() {
        String line = shot(4_000);
        String id = client.post(
                        at + "/exports",
                        "{\"exporters\":[\"film-mp4\"],\"line\":\"" + line + "\",\"options\":{\"film-width\":320}}")
                .json()
                .get("id")
                .asText();
        while (client.get("/api/v1/exports/" + id).json().get("share").asDouble() == 0) {
            LockSupport.parkNanos(20_000_000);
        }
        assertThat(client.get("/api/v1/exports/" + id + "/file").status())
                .as("not there yet")
                .isEqualTo(404);
        assertThat(client.post("/api/v1/exports/" + id + "/cancel", "{}")
                        .json()
                        .get("state")
                        .asText())
                .isEqualTo("CANCELLED");
        assertThat(client.post("/api/v1/exports/" + id + "/cancel", "{}").status())
                .as("a second time")
                .isEqualTo(200);
        assertThat(rows("export_stretch", id)).isZero();
        String next = client.post(at + "/exports", "{\"exporters\":[\"picture-svg\"]}")
                .json()
                .get("id")
                .asText();
        assertThat(ended(next).get("state").asText()).isEqualTo("DONE");
        assertThat(rows("export_piece", id)).isZero();
    }

    @Test
    void whatCannotBeMadeIsToldAtOnceOrWithTheExport() {
        assertThat(client.post(at + "/exports", "{\"exporters\":[\"film-mp4\"]}")
                        .code())
                .isEqualTo("no-line");
        assertThat(client.post(at + "/exports", "{\"exporters\":[]}").code()).isEqualTo("nothing-chosen");
        assertThat(client.post(at + "/exports", "{\"exporters\":[\"picture-svg\",\"picture-png\"]}")
                        .code())
                .as("two need an archive")
                .isEqualTo("nothing-chosen");
        assertThat(client.post(at + "/exports", "{\"exporters\":[\"picture-png\"],\"options\":{\"width\":9000}}")
                        .code())
                .isEqualTo("export-option");
        assertThat(client.get("/api/v1/exports/" + UUID.randomUUID()).code()).isEqualTo("not-there");

        database.execute("create function no_room_here() returns trigger language plpgsql as $$ begin"
                + " raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$");
        database.execute("create trigger no_room before insert on export_piece for each row"
                + " execute function no_room_here()");
        try {
            String id = client.post(at + "/exports", "{\"exporters\":[\"picture-svg\"]}")
                    .json()
                    .get("id")
                    .asText();
            JsonNode full = ended(id);
            assertThat(full.get("state").asText()).isEqualTo("REFUSED");
            assertThat(full.at("/problem/code").asText()).isEqualTo("disk-full");
        } finally {
            database.execute("drop trigger no_room on export_piece");
            database.execute("drop function no_room_here()");
        }
    }

    @Test
    void everythingTogetherIsOneArchive() throws Exception {
        String line = shot(24);
        String id = client.post(
                        at + "/exports",
                        "{\"exporters\":[\"picture-svg\",\"picture-sheet\",\"frames-png\"],\"together\":true,\"line\":\""
                                + line + "\",\"options\":{\"film-width\":64,\"sheet-width\":64}}")
                .json()
                .get("id")
                .asText();
        JsonNode done = ended(id);
        assertThat(done.get("label").asText()).isEqualTo("Everything, 3 files");
        assertThat(done.get("fileName").asText()).isEqualTo("turning-hand-over-v0001.zip");
        assertThat(unzipped(file(id))).hasSize(4).containsKey("manifest.json");
        assertThat(transaction.<Integer>execute(t -> stretches.take(UUID.fromString(id), 64, "PNG", 0, PATIENCE)))
                .isZero();
    }
}
