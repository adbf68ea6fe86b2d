package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The whole rig checked over HTTP: what is found is accepted, mended all at once, and taken back. */
@ServerTest
class FindingsApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;

    /** With a colour that is nearly another one, and two parts of one name. */
    @BeforeEach
    void untidy() {
        client = new Client(port);
        byte[] art = new String(DemoFiles.maren(), StandardCharsets.UTF_8)
                .replaceFirst("#f6c9a4", "#f6c9a5")
                .getBytes(StandardCharsets.UTF_8);
        at = "/api/v1/characters/"
                + client.upload("/api/v1/characters", "file", "untidy.svg", art, Map.of())
                        .json()
                        .get("id")
                        .asText();
    }

    private Client.Answer edit(int base, String edit) {
        return client.post(at + "/edits", "{\"base\":" + base + ",\"edit\":" + edit + "}");
    }

    private JsonNode near() {
        for (JsonNode f : client.get(at + "/findings?check=palette").json().get("findings")) {
            return f;
        }
        throw new AssertionError("no colours are alike");
    }

    @Test
    void whatIsAcceptedKeepsItsReasonThroughUndoAndRedo() {
        JsonNode found = near();
        assertThat(found.get("harm").asText()).isEqualTo("UNTIDY");
        assertThat(found.get("accepted").isNull()).isTrue();
        String said =
                "{\"kind\":\"accept-finding\",\"finding\":{\"check\":\"palette\",\"code\":\"near\",\"part\":\"\",\"drawing\":\"\","
                        + "\"dial\":\"\",\"measure\":"
                        + found.at("/measure/value").asDouble() + ",\"reason\":\"%s\"}}";
        Client.Answer silent = edit(1, said.formatted("  "));
        assertThat(silent.status()).isEqualTo(422);
        assertThat(silent.code()).isEqualTo("no-reason");
        assertThat(edit(1, said.formatted("two printers")).status()).isEqualTo(200);
        assertThat(near().get("accepted").asText()).isEqualTo("two printers");
        assertThat(client.get(at + "/safe-mends").json().get("mends"))
                .extracting(m -> m.at("/finding/check").asText())
                .doesNotContain("palette");
        assertThat(client.post(at + "/undo", "{\"base\":2}").status()).isEqualTo(200);
        assertThat(near().get("accepted").isNull()).isTrue();
    }

    @Test
    void whatIsSafeIsMendedInOneEditThatOneUndoTakesBack() throws Exception {
        JsonNode all = client.get(at + "/findings").json();
        assertThat(all.get("checks"))
                .extracting(JsonNode::asText)
                .contains("sweep", "lips", "unused", "names", "hairlines");
        JsonNode safe = client.get(at + "/safe-mends").json();
        assertThat(safe.get("revision").asInt()).isEqualTo(1);
        assertThat(safe.get("mends"))
                .extracting(m -> m.at("/finding/code").asText())
                .contains("near");
        var mends = new ObjectMapper().createArrayNode();
        safe.get("mends").forEach(m -> mends.add(m.at("/mend/edit")));
        assertThat(edit(1, "{\"kind\":\"mend-all\",\"mends\":" + mends + "}").status())
                .isEqualTo(200);
        assertThat(client.get(at + "/findings?check=palette").json().get("findings"))
                .isEmpty();
        assertThat(client.get(at + "/safe-mends").json().get("mends")).isEmpty();
        assertThat(client.post(at + "/undo", "{\"base\":2}").status()).isEqualTo(200);
        assertThat(near().get("code").asText()).isEqualTo("near");
        assertThat(edit(3, "{\"kind\":\"mend-all\",\"mends\":[]}").code()).isEqualTo("nothing-to-mend");
    }

    @Test
    void aCheckNobodyKnowsIsNotThere() {
        assertThat(client.get(at + "/findings?check=taste").status()).isEqualTo(404);
        assertThat(client.get("/api/v1/characters/00000000-0000-0000-0000-000000000000/safe-mends")
                        .status())
                .isEqualTo(404);
    }
}
