package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Every address that writes, asked on a revision that is not the newest or never was: refused, and nothing is changed by it. */
@ServerTest
class StaleBaseTest {
    private static final List<String> TABLES = List.of(
            "document", "revision", "milestone", "artwork", "image", "sound", "reading", "export", "scheduled_tasks");
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(1);

    @LocalServerPort
    int port;

    @Autowired
    JdbcTemplate database;

    private Client client;
    private String character;
    private String line;
    private String other;

    @BeforeEach
    void bothHaveMovedOn() {
        client = new Client(port);
        character = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
        other = client.maren().replaceAll("^.*/", "");
        line = client.read(client.upload(
                        at("/lines"),
                        "sound",
                        "a.wav",
                        LINE.wav(),
                        Map.of("words", LINE.words().replace("gulls", "gullzz"))))
                .json()
                .get("id")
                .asText();
        // somebody else has done, in the meantime, what touches everything
        assertThat(client.post(at("/edits"), "{\"base\":1,\"edit\":{\"kind\":\"flip\"}}")
                        .status())
                .isEqualTo(200);
        assertThat(client.post(at("/undo"), "{\"base\":2}").status()).isEqualTo(200);
        assertThat(client.read(client.post(
                                lineAt("/words"),
                                "{\"base\":1,\"words\":\"Mind the ropes, please, and never, ever feed the gullzz.\"}"))
                        .status())
                .isEqualTo(200);
        assertThat(client.post(lineAt("/undo"), "{\"base\":2}").status()).isEqualTo(200);
    }

    private String at(String path) {
        return "/api/v1/characters/" + character + path;
    }

    private String lineAt(String path) {
        return "/api/v1/lines/" + line + path;
    }

    /** What was written last and how many rows there are, table by table; what the queue's library notes for itself left out. */
    private Map<String, String> state() {
        Map<String, String> state = new TreeMap<>();
        for (String table : TABLES) {
            // the number of the transaction that wrote a row: its contents are long, and nothing is written without one
            String rows = table.equals("scheduled_tasks")
                    ? "string_agg(task_name || task_instance, '' order by task_name, task_instance)"
                    : "max(xmin::text::bigint) || ' '";
            state.put(
                    table,
                    database.queryForObject(
                            "select coalesce(" + rows + ", '') || count(*) from " + table, String.class));
        }
        return state;
    }

    private Map<String, String> writes(String base) {
        Map<String, String> calls = new TreeMap<>();
        calls.put(
                at("/edits"),
                "{\"base\":" + base + ",\"edit\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":0}}");
        calls.put(at("/from/" + other), "{\"base\":" + base + ",\"keys\":[\"dial/blink\"]}");
        calls.put(at("/undo"), "{\"base\":" + base + "}");
        calls.put(at("/redo"), "{\"base\":" + base + "}");
        calls.put(at("/return"), "{\"base\":" + base + ",\"to\":1}");
        calls.put(lineAt("/edits"), "{\"base\":" + base + ",\"edit\":{\"kind\":\"rename-shot\",\"name\":\"Ropes\"}}");
        calls.put(lineAt("/undo"), "{\"base\":" + base + "}");
        calls.put(lineAt("/redo"), "{\"base\":" + base + "}");
        calls.put(lineAt("/return"), "{\"base\":" + base + ",\"to\":1}");
        calls.put(lineAt("/words"), "{\"base\":" + base + ",\"words\":\"Mind the gulls\"}");
        calls.put(lineAt("/pronounce"), "{\"base\":" + base + ",\"word\":\"gullzz\",\"soundsLike\":\"gulls\"}");
        calls.put(lineAt("/again"), "{\"base\":" + base + ",\"at\":0,\"from\":0,\"to\":1}");
        calls.put(lineAt("/place"), "{\"base\":" + base + ",\"at\":300,\"from\":\"" + line + "\"}");
        calls.put(lineAt("/first-pass"), "{\"base\":" + base + ",\"temperament\":\"CALM\",\"strength\":1,\"seed\":1}");
        return calls;
    }

    @Test
    void everyAddressThatWritesRefusesAnOldBaseAndChangesNothing() throws Exception {
        // the description tells which take a base, so that a new one is not forgotten here
        JsonNode paths = client.get("/api/openapi").json().get("paths");
        long described = 0;
        for (JsonNode path : paths) {
            String body = path.at("/post/requestBody/content/application~1json/schema/$ref")
                    .asText();
            JsonNode schema = client.get("/api/openapi").json().at(body.isEmpty() ? "/none" : body.substring(1));
            described += schema.at("/properties/base").isMissingNode() ? 0 : 1;
        }
        assertThat(described)
                .as("addresses whose body has a base")
                .isEqualTo(writes("1").size());

        Map<String, String> before = state();
        writes("1").forEach((path, body) -> {
            long from = System.nanoTime();
            Client.Answer answer = client.post(path, body);
            assertThat(answer.status()).as(path).isEqualTo(409);
            assertThat(answer.code()).as(path).isEqualTo("stale");
            assertThat(answer.json().get("since")).as(path).isNotEmpty();
            assertThat(System.nanoTime() - from)
                    .as("no work is done first: %s", path)
                    .isLessThan(2_000_000_000L);
            assertThat(state()).as(path).isEqualTo(before);
        });
        Client.Answer version =
                client.upload(at("/versions/taken"), "file", "maren.svg", DemoFiles.maren(), Map.of("base", "1"));
        assertThat(version.code()).isEqualTo("stale");
        assertThat(state()).isEqualTo(before);
    }

    @Test
    void aBaseThatNeverWasIsNoChangeOfAnotherWindows() {
        Map<String, String> before = state();
        for (String base : List.of("99", "0", "-3", "2147483647")) {
            writes(base).forEach((path, body) -> {
                Client.Answer answer = client.post(path, body);
                assertThat(answer.status()).as(path + " " + base).isEqualTo(404);
                assertThat(answer.code()).as(path + " " + base).isEqualTo("no-revision");
            });
        }
        assertThat(state()).isEqualTo(before);
    }

    @Test
    void whatChangedIsToldAPageAtATime() {
        for (int i = 0; i < 30; i++) {
            client.post(
                    at("/edits"),
                    "{\"base\":" + (3 + i) + ",\"edit\":{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1,\"dy\":0}}");
        }
        JsonNode refusal = client.post(at("/undo"), "{\"base\":3}").json();
        assertThat(refusal.get("since")).hasSize(20);
        assertThat(refusal.get("sinceAll").asInt()).isEqualTo(30);
        assertThat(client.get(at("/history?after=3&size=7&page=1")).json().get("steps"))
                .hasSize(7);
        assertThat(client.get(at("/history?after=3")).json().get("total").asInt())
                .isEqualTo(30);
        // on another part, as far behind, it is made on top of theirs
        assertThat(client.post(
                                at("/edits"),
                                "{\"base\":3,\"edit\":{\"kind\":\"nudge\",\"part\":\"fringe\",\"dx\":1,\"dy\":0}}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void revisionsOfLongAgoAreRefusedAtOnce() {
        database.update(
                "insert into revision (document, number, action, edit, touched, says, author, made_at, state, stands_at, came_from, ahead, schema)"
                        + " select document, n, 'EDIT', '{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":1.0,\"dy\":0.0}', array['nose'], says,"
                        + " author, made_at, state, n, n - 1, '[]', schema from revision, generate_series(4, 10000) n where document = ? and number = 3",
                UUID.fromString(character));
        database.update("update document set head = 10000 where id = ?", UUID.fromString(character));
        client.get(at(""));
        for (Map.Entry<String, String> call : writes("1").entrySet()) {
            if (call.getKey().startsWith(at(""))) {
                long from = System.nanoTime();
                Client.Answer answer = client.post(call.getKey(), call.getValue());
                assertThat(answer.code()).isEqualTo("stale");
                assertThat((System.nanoTime() - from) / 1e6).as(call.getKey()).isLessThan(3_000);
            }
        }
        ObjectNode edit = Client.JSON.createObjectNode().put("base", 9_500);
        edit.putObject("edit")
                .put("kind", "nudge")
                .put("part", "fringe")
                .put("dx", 1)
                .put("dy", 0);
        assertThat(client.post(at("/edits"), edit.toString()).status())
                .as("500 behind, another part")
                .isEqualTo(200);
    }

    @Test
    void aWordThatIsNotThereOrBeyondReasonIsRefused() {
        String say = "{\"base\":3,\"word\":\"%s\",\"soundsLike\":\"%s\"}";
        assertThat(client.post(lineAt("/pronounce"), say.formatted("lighthouse", "light house"))
                        .code())
                .isEqualTo("word-not-there");
        Client.Answer long_ = client.post(lineAt("/pronounce"), say.formatted("g".repeat(5_000), "gulls"));
        assertThat(long_.code()).isEqualTo("word-not-there");
        assertThat(long_.json().get("detail").asText()).hasSizeLessThan(100);
        assertThat(client.post(lineAt("/pronounce"), say.formatted("gullzz", "gulls ".repeat(800)))
                        .code())
                .isEqualTo("sounds-many");
    }
}
