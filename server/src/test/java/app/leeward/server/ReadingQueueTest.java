package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import app.leeward.server.store.ReadingRow;
import app.leeward.server.store.Readings;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Who is read next, and what becomes of readings that are cancelled or whose server has gone. */
@ServerTest
class ReadingQueueTest {
    private static final double LONG = 20;
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(0);

    @LocalServerPort
    int port;

    @Autowired
    Readings readings;

    @Autowired
    TransactionTemplate transaction;

    @Autowired
    JdbcTemplate database;

    private Client client;
    private UUID character;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character =
                UUID.fromString(client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                        .json()
                        .get("id")
                        .asText());
        // workers of tests before this one have looked for more and found nothing
        while (database.queryForObject("select count(*) from scheduled_tasks where picked", Integer.class) > 0) {
            LockSupport.parkNanos(20_000_000);
        }
        database.update("delete from reading");
    }

    /** What stands here as being read is read by nobody, and would keep long recordings of other tests waiting for ever. */
    @AfterEach
    void nothingIsLeftBehind() {
        database.update("delete from reading");
    }

    private UUID waits(String who, double seconds, int second) {
        ReadingRow row = ReadingRow.record(UUID.randomUUID(), character, UUID.randomUUID(), "", "words", seconds);
        transaction.executeWithoutResult(t -> readings.saveAndFlush(
                row.askedBy("crew", who, Instant.parse("2026-01-01T10:00:00Z").plusSeconds(second))));
        return row.getId();
    }

    private Optional<UUID> take(String by) {
        return transaction.execute(t -> {
            readings.holdTheQueue();
            return readings.take(by, LONG);
        });
    }

    private void done(UUID id, String by) {
        assertThat(transaction.<Integer>execute(t -> readings.end(id, by, "DONE", null)))
                .isEqualTo(1);
    }

    @Test
    void clientsTakeTurnsHoweverManyOneOfThemHasAskedFor() {
        List<UUID> many = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            many.add(waits("1.2.3.4 a", 3, i));
        }
        UUID one = waits("1.2.3.4 b", 3, 60);
        UUID other = waits("5.6.7.8 c", 3, 61);
        assertThat(take("x")).hasValue(many.get(0));
        assertThat(take("y")).as("a has one under way").hasValue(one);
        done(many.get(0), "x");
        assertThat(take("x")).as("c was never served").hasValue(other);
        done(one, "y");
        assertThat(take("y")).hasValue(many.get(1));
    }

    @Test
    void aShortOneNeverWaitsForLongOnesOnly() {
        UUID first = waits("1.2.3.4 a", 300, 0);
        UUID second = waits("5.6.7.8 b", 300, 1);
        assertThat(take("x")).hasValue(first);
        assertThat(take("y")).as("the other place is for short ones").isEmpty();
        UUID quick = waits("9.9.9.9 c", 5, 2);
        assertThat(take("y")).hasValue(quick);
        done(first, "x");
        assertThat(take("x")).hasValue(second);
    }

    @Test
    void whatAWorkerHadTakenIsTakenAgainAndACancelledOneIsNotWritten() {
        UUID id = waits("1.2.3.4 a", 3, 0);
        assertThat(take("gone")).hasValue(id);
        assertThat(take("other")).isEmpty();
        transaction.execute(t -> readings.putBack("gone"));
        assertThat(take("gone")).hasValue(id);
        assertThat(transaction.<Integer>execute(t -> readings.cancel(id))).isEqualTo(1);
        assertThat(transaction.<Integer>execute(t -> readings.reached(id, "gone", 0.5)))
                .isZero();
        assertThat(transaction.<Integer>execute(t -> readings.end(id, "gone", "DONE", null)))
                .isZero();
        assertThat(client.get("/api/v1/readings/" + id).json().get("state").asText())
                .isEqualTo("CANCELLED");
    }

    @Test
    void aReadingIsCancelledWhileItRunsAndLeavesNothing() {
        JsonNode asked = client.upload(
                        "/api/v1/characters/" + character + "/lines",
                        "sound",
                        "a.wav",
                        LINE.wav(),
                        Map.of("words", LINE.words()))
                .json();
        String at = "/api/v1/readings/" + asked.get("id").asText();
        assertThat(client.get("/api/v1/characters/" + character + "/readings").json())
                .hasSize(1);
        while (client.get(at).json().get("state").asText().equals("WAITING")) {
            LockSupport.parkNanos(20_000_000);
        }
        assertThat(client.post(at + "/cancel", "{}").json().get("state").asText())
                .isEqualTo("CANCELLED");
        assertThat(client.post(at + "/cancel", "{}").status())
                .as("a second time")
                .isEqualTo(200);
        // the next one is read, so the worker is free again
        Client.Answer next = client.read(client.upload(
                "/api/v1/characters/" + character + "/lines",
                "sound",
                "a.wav",
                LINE.wav(),
                Map.of("words", LINE.words())));
        assertThat(next.status()).isEqualTo(200);
        assertThat(client.get("/api/v1/characters/" + character + "/lines")
                        .json()
                        .get("total")
                        .asInt())
                .isEqualTo(1);
        assertThat(client.get("/api/v1/characters/" + character + "/readings").json())
                .isEmpty();
    }

    @Test
    void tooManyAreRefusedWithAWayToGoOn() {
        for (int i = 0; i < 20; i++) {
            waits("127.0.0.1 x" + i, 3, i);
        }
        Client.Answer answer = client.upload(
                "/api/v1/characters/" + character + "/lines",
                "sound",
                "a.wav",
                LINE.wav(),
                Map.of("words", LINE.words()));
        assertThat(answer.status()).isEqualTo(503);
        assertThat(answer.code()).isEqualTo("readings-many");
        database.update("delete from reading");
    }
}
