package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import app.leeward.server.store.Recordings;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** A recording of many lines with its script becomes lines; lines are put away, brought back and copied. */
@ServerTest
class ScriptApiTest {
    private static final List<DemoFiles.Line> LINES = DemoFiles.lines();
    private static final String BINARY = "application/octet-stream";

    @LocalServerPort
    int port;

    @Autowired
    JdbcTemplate database;

    @Autowired
    Recordings recordings;

    private Client client;
    private String character;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character = client.maren().replaceAll(".*/", "");
    }

    /** The demo's lines one behind the other, twice, with a second between them. */
    private static byte[] session() {
        byte[] first = LINES.get(0).wav();
        int rate = ByteBuffer.wrap(first).order(ByteOrder.LITTLE_ENDIAN).getInt(24);
        List<byte[]> parts = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            byte[] wav = LINES.get(i % 2).wav();
            parts.add(Arrays.copyOfRange(wav, 44, wav.length));
            parts.add(new byte[rate * 2]);
        }
        int length = parts.stream().mapToInt(p -> p.length).sum();
        byte[] out = Arrays.copyOf(first, 44 + length);
        int at = 44;
        for (byte[] p : parts) {
            System.arraycopy(p, 0, out, at, p.length);
            at += p.length;
        }
        ByteBuffer.wrap(out)
                .order(ByteOrder.LITTLE_ENDIAN)
                .putInt(4, out.length - 8)
                .putInt(40, length);
        return out;
    }

    private String recording() {
        Client.Answer kept =
                client.post("/api/v1/characters/" + character + "/recordings?name=s.wav", BINARY, session());
        assertThat(kept.status()).isEqualTo(201);
        assertThat(kept.json().get("seconds").asDouble()).isGreaterThan(10);
        return kept.json().get("id").asText();
    }

    private static String asked(boolean byTimes, String... namesAndWords) {
        ObjectNode body = Client.JSON.createObjectNode().put("byTimes", byTimes);
        ArrayNode lines = body.putArray("lines");
        for (int i = 0; i < namesAndWords.length; i += 2) {
            lines.addObject().put("name", namesAndWords[i]).put("words", namesAndWords[i + 1]);
        }
        return body.toString();
    }

    /** The id of the reading that looks for the lines. */
    private String cut(String script) {
        return client.post("/api/v1/recordings/" + recording() + "/cut", script)
                .json()
                .get("id")
                .asText();
    }

    private void everyLineIsRead() {
        while (unfinished().stream().anyMatch(r -> r.get("partOf").isTextual())) {
            LockSupport.parkNanos(100_000_000);
        }
    }

    private JsonNode ended(String reading) {
        for (; ; ) {
            JsonNode now = client.get("/api/v1/readings/" + reading).json();
            if (!List.of("WAITING", "READING").contains(now.get("state").asText())) {
                return now;
            }
            LockSupport.parkNanos(100_000_000);
        }
    }

    private List<JsonNode> unfinished() {
        List<JsonNode> out = new ArrayList<>();
        client.get("/api/v1/characters/" + character + "/readings").json().forEach(out::add);
        return out;
    }

    private List<String> names(String query) {
        List<String> out = new ArrayList<>();
        client.get("/api/v1/characters/" + character + "/lines" + query)
                .json()
                .get("items")
                .forEach(l -> out.add(l.get("name").asText()));
        out.sort(null);
        return out;
    }

    @Test
    void aRecordingWithItsScriptBecomesLines() {
        String script = asked(
                false,
                "01 first",
                LINES.get(0).words(),
                "02 never said",
                "Whistle three angry monkeys under purple yoghurt.",
                "03 second",
                LINES.get(1).words(),
                "01 first",
                LINES.get(0).words());
        String id = cut(script);
        JsonNode done = ended(id);
        assertThat(done.get("state").asText()).isEqualTo("DONE");
        assertThat(done.at("/outcome/found").asInt()).isEqualTo(3);
        assertThat(done.at("/outcome/missing/0").asText()).isEqualTo("02 never said");
        everyLineIsRead();
        // the same name is told apart
        assertThat(names("")).containsExactly("01 first", "01 first 2", "03 second");
        JsonNode lines =
                client.get("/api/v1/characters/" + character + "/lines").json().get("items");
        for (JsonNode item : lines) {
            JsonNode line =
                    client.get("/api/v1/lines/" + item.get("id").asText()).json();
            assertThat(line.get("fits").asBoolean())
                    .as(item.get("name").asText())
                    .isTrue();
            assertThat(line.at("/shot/lines/0/line/seconds").asDouble()).isBetween(1.0, 12.0);
        }
        assertThat(unfinished()).hasSize(1);
        client.post("/api/v1/readings/" + id + "/dismiss", "{}");
        assertThat(unfinished()).isEmpty();
    }

    @Test
    void aLineSaidTwiceBecomesTwoWhereEveryTakeIsAskedFor() {
        String script = asked(
                        false,
                        "01 first",
                        LINES.get(0).words(),
                        "03 second",
                        LINES.get(1).words())
                .replaceFirst("\\{", "{\"everyTake\":true,");
        String id = cut(script);
        assertThat(ended(id).at("/outcome/found").asInt()).isEqualTo(4);
        everyLineIsRead();
        assertThat(names(""))
                .containsExactly("01 first, take 1", "01 first, take 2", "03 second, take 1", "03 second, take 2");
    }

    @Test
    void whatStopsAScriptStopsItsLines() {
        String script =
                asked(false, "a", LINES.get(0).words(), "b", LINES.get(1).words());
        String id = cut(script);
        assertThat(client.post("/api/v1/readings/" + id + "/cancel", "{}")
                        .json()
                        .get("state")
                        .asText())
                .isIn("CANCELLED", "DONE");
        assertThat(unfinished().stream().filter(r -> r.get("partOf").isTextual()))
                .isEmpty();
    }

    @Test
    void badScriptsAndRecordingsAreRefusedInWords() {
        String at = "/api/v1/characters/" + character + "/recordings";
        assertThat(client.post(at, BINARY, "no sound".getBytes(StandardCharsets.UTF_8))
                        .code())
                .isEqualTo("wav-not");
        assertThat(client.post("/api/v1/scripts", "{\"text\":\"(laughs)\"}").code())
                .isEqualTo("script-none");
        assertThat(client.post("/api/v1/scripts", "{}").code()).isEqualTo("missing");
        assertThat(client.post("/api/v1/recordings/" + UUID.randomUUID() + "/cut", asked(false, "a", "Hello."))
                        .status())
                .isEqualTo(404);
        String cut = "/api/v1/recordings/" + recording() + "/cut";
        assertThat(client.post(cut, asked(false)).code()).isEqualTo("script-none");
        Client.Answer foreign = client.post(cut, asked(false, "07", "日本語"));
        assertThat(foreign.code()).isEqualTo("word-unreadable");
        assertThat(foreign.json().get("place").asText()).isEqualTo("07");
        assertThat(client.post(cut, asked(true, "08", "Hello there.")).code()).isEqualTo("script-time");
        assertThat(client.post(cut, "{\"lines\":[{\"name\":\"a\"}],\"byTimes\":false}")
                        .code())
                .isEqualTo("missing");
        assertThat(names("")).isEmpty();
    }

    @Test
    void aScriptIsReadIntoItsLines() {
        JsonNode lines = client.post("/api/v1/scripts", "{\"text\":\"1. MAREN: Hello.\\n2. WICK: Oh.\"}")
                .json();
        assertThat(lines).hasSize(2);
        assertThat(lines.at("/1/speaker").asText()).isEqualTo("WICK");
        assertThat(lines.at("/0/cue").asText()).isEqualTo("1");
        assertThat(lines.at("/0/from").isNull()).isTrue();
    }

    @Test
    void oneClientCannotFillTheDiskWithRecordings() {
        for (int i = 0; i < 6; i++) {
            recording();
        }
        assertThat(database.queryForObject(
                        "select count(*) from recording where character = ?::uuid", Integer.class, character))
                .isLessThanOrEqualTo(4);
    }

    @Test
    void aRecordingWithoutWordsHasItsSounds() {
        Client.Answer line = client.read(client.upload(
                "/api/v1/characters/" + character + "/lines",
                "sound",
                "a.wav",
                LINES.get(0).wav(),
                Map.of("words", "")));
        assertThat(line.status()).isEqualTo(200);
        assertThat(line.json().at("/shot/lines/0/line/words")).isEmpty();
        assertThat(line.json().at("/shot/lines/0/line/phones").size()).isGreaterThan(10);
        // words are put to it later
        String id = line.json().get("id").asText();
        Client.Answer worded = client.read(client.post(
                "/api/v1/lines/" + id + "/words",
                Client.JSON
                        .createObjectNode()
                        .put("base", 1)
                        .put("words", LINES.get(0).words())
                        .toString()));
        assertThat(worded.json().at("/shot/lines/0/line/words").size()).isGreaterThan(5);
    }

    @Test
    void linesArePutAwayBroughtBackAndCopied() {
        String made = client.post("/api/v1/characters/" + character + "/shots", "{\"name\":\"Walk\",\"frames\":24}")
                .json()
                .get("id")
                .asText();
        String copy = client.post("/api/v1/lines/" + made + "/duplicate", "{}")
                .json()
                .get("id")
                .asText();
        assertThat(copy).isNotEqualTo(made);
        assertThat(names("")).containsExactly("Walk", "Walk 2");
        assertThat(client.post("/api/v1/lines/" + made + "/put-away", "{}").status())
                .isEqualTo(204);
        assertThat(names("")).containsExactly("Walk 2");
        assertThat(names("?away=true")).containsExactly("Walk");
        assertThat(client.post("/api/v1/lines/" + made + "/bring-back", "{}").status())
                .isEqualTo(204);
        assertThat(names("")).containsExactly("Walk", "Walk 2");
        assertThat(client.post("/api/v1/lines/" + UUID.randomUUID() + "/put-away", "{}")
                        .status())
                .isEqualTo(404);
    }

    private Client.Answer timed(String grid, Map<String, String> more) {
        // one file goes through the client's form, the grid as a second one beside it
        return client.upload(
                "/api/v1/characters/" + character + "/timed-lines",
                Map.of("sound", LINES.get(0).wav(), "grid", grid.getBytes(StandardCharsets.UTF_8)),
                more);
    }

    @Test
    void aLineTimedElsewhereIsTakenAsItIs() {
        String grid = "File type = \"ooTextFile short\"\n\"TextGrid\"\n0 3\n<exists> 1\n\"IntervalTier\" \"p\" 0 3 3\n"
                + "0 1 \"\"\n1 1.5 \"HH\"\n1.5 2 \"ø\"\n";
        JsonNode tiers = client.post(
                        "/api/v1/timing-grids",
                        Client.JSON.createObjectNode().put("text", grid).toString())
                .json();
        assertThat(tiers.at("/tiers/0/sounds").asInt()).isEqualTo(1);
        assertThat(tiers.at("/tiers/0/odd/0").asText()).isEqualTo("ø");
        Client.Answer line = timed(grid, Map.of("sounds", "0", "meant", "{\"ø\":\"ER\"}", "name", "Timed"));
        assertThat(line.status()).isEqualTo(201);
        assertThat(line.json().at("/shot/lines/0/line/phones/1/phone").asText()).isEqualTo("ER");
        assertThat(names("")).containsExactly("Timed");
        assertThat(timed("no grid", Map.of("sounds", "0")).code()).isEqualTo("grid-not");
        assertThat(timed(grid, Map.of("sounds", "4")).code()).isEqualTo("grid-tier");
        assertThat(timed(grid, Map.of("sounds", "0", "meant", "{\"ø\":\"QQ\"}")).code())
                .isEqualTo("sounds-unknown");
        assertThat(names("")).containsExactly("Timed");
    }
}
