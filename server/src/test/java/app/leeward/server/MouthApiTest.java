package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The mouth wall over HTTP: a set made, thinned, said and undone. */
@ServerTest
class MouthApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;

    @BeforeEach
    void maren() {
        client = new Client(port);
        at = client.maren();
    }

    private JsonNode wall() {
        return client.post(at + "/mouths", "{}").json();
    }

    @Test
    void theWallShowsWhatIsDrawnAndASetFillsIt() {
        JsonNode before = wall();
        assertThat(before.get("problem").asText()).isEmpty();
        assertThat(before.get("sounds")).hasSize(17);
        assertThat(before.get("rows")).hasSize(1);
        client.post(at + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"make-mouths\",\"fill\":true}}");
        client.post(
                at + "/edits",
                "{\"base\":2,\"edit\":{\"kind\":\"set-mood\",\"mood\":\"\",\"name\":\"Happy\",\"corners\":0.8,\"tension\":0}}");
        JsonNode after = wall();
        assertThat(after.get("made").asBoolean()).isTrue();
        assertThat(after.get("rows")).hasSize(2);
        for (JsonNode row : after.get("rows")) {
            assertThat(row.get("cells")).hasSize(17).allMatch(c -> c.get("own").asBoolean());
        }
        assertThat(after.get("rows").get(0).get("cells").get(10).get("origin").asText())
                .as("Maren's own ah is kept")
                .isEqualTo("DRAWN");
        assertThat(after.get("rows").get(1).get("cells").get(10).get("origin").asText())
                .isEqualTo("MADE");
        client.post(at + "/undo", "{\"base\":3}");
        client.post(at + "/undo", "{\"base\":4}");
        assertThat(wall().get("rows")).hasSize(1);
        assertThat(wall().get("made").asBoolean()).isFalse();
    }

    @Test
    void aPreviewKeepsNothingAndRulersOutOfRangeAreRefused() {
        JsonNode preview = client.post(
                        at + "/mouths/preview",
                        "{\"rulers\":{\"jaw\":1.5,\"width\":1,\"round\":1,\"tooth\":1,\"tongue\":1,\"flat\":0}}")
                .json();
        assertThat(preview.get("mouths")).hasSize(17);
        assertThat(preview.get("mouths").get(10).get("outlines")).hasSizeGreaterThan(6);
        assertThat(client.get(at).json().get("revision").asInt()).isEqualTo(1);
        Client.Answer refused = client.post(
                at + "/mouths/preview",
                "{\"rulers\":{\"jaw\":7,\"width\":1,\"round\":1,\"tooth\":1,\"tongue\":1,\"flat\":0}}");
        assertThat(refused.status()).isBetween(400, 422);
        assertThat(refused.json().toString()).contains("jaw");
    }

    @Test
    void theChartPageIsAnSvgAndAnUnknownMoodIsTheNeutralRow() {
        Client.Answer page = client.get(at + "/mouths/chart.svg?mood=gone");
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.type()).startsWith("image/svg+xml");
        assertThat(new String(page.body(), java.nio.charset.StandardCharsets.UTF_8))
                .contains("put, bed, mill");
    }

    @Test
    void typedWordsAreSaidByTheMouths() {
        JsonNode said = client.post(at + "/mouths/say", "{\"text\":\"Mop, the pier!\",\"pace\":1,\"mood\":\"\"}")
                .json();
        assertThat(said.get("words")).hasSize(3);
        assertThat(said.at("/shot/lines/0/line/words")).hasSize(3);
        assertThat(said.get("drawings").toString()).contains("m-b-p");
        assertThat(said.get("classes")).hasSameSizeAs(said.get("sounds"));
        Client.Answer refused = client.post(at + "/mouths/say", "{\"text\":\"утро\",\"pace\":1,\"mood\":\"\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().toString()).contains("утро");
    }
}
