package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Shots: begun without words, lines placed in them, acted along. */
@ServerTest
class ShotApiTest {
    private static final DemoFiles.Line LINE = DemoFiles.lines().get(0);
    private static final String NOTHING =
            "{\"pins\":{},\"blinks\":[],\"cues\":[],\"gestures\":[],\"dials\":{},\"drawings\":{},\"looks\":[],\"notes\":[]}";

    @LocalServerPort
    int port;

    private Client client;
    private String character;
    private String line;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
        line = client.read(client.upload(
                        "/api/v1/characters/" + character + "/lines",
                        "sound",
                        "line.wav",
                        LINE.wav(),
                        Map.of("words", LINE.words())))
                .json()
                .get("id")
                .asText();
    }

    private Client.Answer begin(String body) {
        return client.post("/api/v1/characters/" + character + "/shots", body);
    }

    private Client.Answer edit(String shot, int base, String edit) {
        return client.post("/api/v1/lines/" + shot + "/edits", "{\"base\":" + base + ",\"edit\":" + edit + "}");
    }

    @Test
    void aShotBeginsWithoutWordsAndTakesLinesIn() {
        JsonNode shot = begin("{\"name\":\"A look back\",\"frames\":48}").json();
        assertThat(shot.get("frames").asInt()).isEqualTo(48);
        assertThat(shot.at("/shot/lines")).isEmpty();
        assertThat(shot.get("fits").asBoolean()).isTrue();
        String id = shot.get("id").asText();
        assertThat(client.get("/api/v1/lines/" + id + "/peaks").json()).isEmpty();
        assertThat(client.get("/api/v1/lines/" + id + "/sound.wav").code()).isEqualTo("no-line");
        assertThat(client.post("/api/v1/lines/" + id + "/words", "{\"base\":1,\"words\":\"hello\"}")
                        .code())
                .isEqualTo("no-line");

        JsonNode placed = client.post(
                        "/api/v1/lines/" + id + "/place", "{\"base\":1,\"at\":24,\"from\":\"" + line + "\"}")
                .json();
        assertThat(placed.get("frames").asInt()).as("it grows").isEqualTo(124);
        assertThat(placed.at("/shot/lines/0/at").asInt()).isEqualTo(24);
        assertThat(placed.at("/undo/message").asText()).startsWith("Placed 'Good morning");
        byte[] mixed = client.get("/api/v1/lines/" + id + "/sound.wav").body();
        int rate = (mixed[24] & 0xFF) | (mixed[25] & 0xFF) << 8 | (mixed[26] & 0xFF) << 16;
        assertThat((mixed.length - 44) / 2).as("as long as the shot").isEqualTo(Math.round(124 / 24.0 * rate));
        JsonNode moved =
                edit(id, 2, "{\"kind\":\"move-line\",\"at\":24,\"to\":0}").json();
        assertThat(client.get("/api/v1/lines/" + id + "/sound.wav").body().length)
                .isEqualTo(mixed.length);
        assertThat(moved.get("drawings").get(1))
                .isEqualTo(placed.get("drawings").get(25));
        assertThat(client.post("/api/v1/lines/" + id + "/place", "{\"base\":3,\"at\":10,\"from\":\"" + line + "\"}")
                        .code())
                .as("two mouths at once")
                .isEqualTo("frame-taken");
    }

    @Test
    void aShotIsSeenAsItStoodAndBroughtBackToIt() {
        String id =
                begin("{\"name\":\"A walk\",\"frames\":48}").json().get("id").asText();
        edit(id, 1, "{\"kind\":\"set-length\",\"frames\":60}");
        JsonNode slow = edit(id, 2, "{\"kind\":\"set-frame-rate\",\"frameRate\":12,\"keepFrames\":false}")
                .json();
        assertThat(slow.at("/shot/rules/frameRate").asInt()).isEqualTo(12);
        assertThat(slow.get("frames").asInt()).isEqualTo(30);
        JsonNode then = client.get("/api/v1/lines/" + id + "?revision=2").json();
        assertThat(then.get("revision").asInt()).isEqualTo(2);
        assertThat(then.get("frames").asInt()).isEqualTo(60);
        assertThat(client.get("/api/v1/lines/" + id + "?revision=9").status()).isEqualTo(404);
        assertThat(client.post("/api/v1/lines/" + id + "/return", "{\"base\":3,\"to\":7}")
                        .status())
                .isEqualTo(404);
        JsonNode back = client.post("/api/v1/lines/" + id + "/return", "{\"base\":3,\"to\":1}")
                .json();
        assertThat(back.get("frames").asInt()).isEqualTo(48);
        assertThat(back.at("/undo/message").asText()).startsWith("Returned to revision 1");
        assertThat(client.post("/api/v1/lines/" + id + "/undo", "{\"base\":4}")
                        .json()
                        .get("frames")
                        .asInt())
                .isEqualTo(30);
    }

    @Test
    void aLineOfAnotherCharacterIsNotThere() {
        String other = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
        Client.Answer shot =
                client.post("/api/v1/characters/" + other + "/shots", "{\"name\":\"x\",\"line\":\"" + line + "\"}");
        assertThat(shot.status()).isEqualTo(404);
        assertThat(begin("{\"name\":\" \"}").code()).isEqualTo("no-name");
        assertThat(begin("{\"name\":\"x\",\"frames\":0}").code()).isEqualTo("beyond-shot");
        assertThat(begin("{\"name\":\"x\",\"line\":\"" + line + "\"}")
                        .json()
                        .get("frames")
                        .asInt())
                .isEqualTo(100);
    }

    @Test
    void keysAreKeptUndoneAndRefusedInWords() {
        JsonNode keyed = edit(
                        line,
                        1,
                        "{\"kind\":\"set-keys\",\"keys\":{\"blink\":[{\"frame\":4,\"value\":0.5,\"way\":{\"kind\":\"curve\",\"x1\":0.2,\"y1\":0.9,\"x2\":0.3,\"y2\":1}}]}}")
                .json();
        assertThat(keyed.at("/shot/tracks/dials/blink/0/way/y1").asDouble()).isEqualTo(0.9);
        assertThat(keyed.at("/undo/message").asText()).isEqualTo("Keyed blink at frame 5");
        assertThat(client.get("/api/v1/lines/" + line).json().get("shot")).isEqualTo(keyed.get("shot"));
        JsonNode undone =
                client.post("/api/v1/lines/" + line + "/undo", "{\"base\":2}").json();
        assertThat(undone.at("/shot/tracks/dials")).isEmpty();
        assertThat(undone.at("/redo/message").asText()).isEqualTo("Keyed blink at frame 5");
        assertThat(edit(
                                line,
                                3,
                                "{\"kind\":\"set-keys\",\"keys\":{\"blink\":[{\"frame\":400,\"value\":0,\"way\":{\"kind\":\"hold\"}}]}}")
                        .code())
                .isEqualTo("beyond-shot");
        assertThat(edit(
                                line,
                                3,
                                "{\"kind\":\"set-keys\",\"keys\":{\"blink\":[{\"frame\":1,\"value\":0,\"way\":{\"kind\":\"bounce\"}}]}}")
                        .status())
                .isEqualTo(400);
        assertThat(edit(line, 3, "{\"kind\":\"clear-frames\",\"tracks\":[],\"from\":0,\"to\":4}")
                        .code())
                .isEqualTo("no-change");
        assertThat(edit(line, 3, "{\"kind\":\"set-length\",\"frames\":20}").code())
                .isEqualTo("beyond-shot");
    }

    @Test
    void aFirstPassIsLaidFromWhatIsHeardAndTakenBack() {
        Client.Answer asked = client.post(
                "/api/v1/lines/" + line + "/first-pass",
                "{\"base\":1,\"temperament\":\"LIVELY\",\"strength\":1,\"seed\":4,\"kinds\":[\"BLINKS\",\"GAZE\"]}");
        JsonNode laid = asked.json();
        assertThat(laid.at("/shot/tracks/blinks")).isNotEmpty();
        assertThat(laid.at("/shot/tracks/blinks/0/laid/kind").asText()).isEqualTo("BLINKS");
        assertThat(laid.at("/shot/tracks/blinks/0/laid/why").asText()).startsWith("blink: ");
        JsonNode back = edit(
                        line, 2, "{\"kind\":\"lay-acting\",\"kinds\":[\"BLINKS\",\"GAZE\"],\"laid\":" + NOTHING + "}")
                .json();
        assertThat(back.at("/shot/tracks/blinks")).isEmpty();
        assertThat(client.post(
                                "/api/v1/lines/" + line + "/first-pass",
                                "{\"base\":3,\"temperament\":\"LIVELY\",\"strength\":9,\"seed\":4}")
                        .code())
                .isEqualTo("bad-range");
        assertThat(client.post("/api/v1/lines/" + line + "/first-pass", "{\"base\":3,\"strength\":1,\"seed\":4}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void aShotIsCheckedAndItsMendsAreEdits() {
        String findings = "/api/v1/lines/" + line + "/findings";
        JsonNode clean = client.get(findings).json();
        assertThat(clean.get("revision").asInt()).isEqualTo(1);
        // an open mouth over the whole line breaks every closure
        String open = client.get("/api/v1/lines/" + line)
                .json()
                .get("drawings")
                .get(20)
                .asText();
        edit(line, 1, "{\"kind\":\"pin-mouth\",\"from\":0,\"to\":98,\"drawing\":\"" + open + "\"}");
        JsonNode found = client.get(findings).json();
        assertThat(found.get("revision").asInt()).isEqualTo(2);
        JsonNode worst = found.at("/findings/0");
        assertThat(worst.get("code").asText()).isEqualTo("closure-open");
        assertThat(worst.get("message").asText()).startsWith("The lips do not meet on the ");
        assertThat(worst.get("harm").asText()).isEqualTo("BREAKS");
        String said =
                "{\"check\":\"shot\",\"code\":\"closure-open\",\"part\":\"mouth\",\"drawing\":\"\",\"dial\":\"\",\"measure\":99,"
                        + "\"reason\":\"her mouth is full\"}";
        assertThat(edit(line, 2, "{\"kind\":\"accept-shot-finding\",\"finding\":" + said + "}")
                        .status())
                .isEqualTo(200);
        assertThat(client.get(findings).json().at("/findings/0/accepted").asText())
                .isEqualTo("her mouth is full");
        assertThat(edit(line, 3, "{\"kind\":\"reopen-shot-finding\",\"finding\":" + said + "}")
                        .status())
                .isEqualTo(200);
        assertThat(edit(line, 4, "{\"kind\":\"reopen-shot-finding\",\"finding\":" + said + "}")
                        .code())
                .isEqualTo("not-accepted");
        JsonNode mend = worst.at("/mends/0");
        assertThat(mend.get("leaves").asDouble()).isZero();
        assertThat(edit(line, 4, mend.get("shot").toString()).status()).isEqualTo(200);
        assertThat(client.get(findings).json().get("findings").toString())
                .doesNotContain(worst.get("message").asText());
        assertThat(client.get("/api/v1/lines/00000000-0000-0000-0000-000000000000/findings")
                        .status())
                .isEqualTo(404);
    }
}
