package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** One character takes from another, over HTTP. */
@ServerTest
class TransferApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;
    private String maren;

    @BeforeEach
    void two() {
        client = new Client(port);
        maren = client.maren();
        assertThat(client.post(maren + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"make-brows\"}}")
                        .status())
                .isEqualTo(200);
        assertThat(client.post(maren + "/edits", "{\"base\":2,\"edit\":{\"kind\":\"make-looks\"}}")
                        .status())
                .isEqualTo(200);
        String without = new String(DemoFiles.maren(), StandardCharsets.UTF_8).replace("Maren Quill", "The next one");
        at = "/api/v1/characters/"
                + client.upload(
                                "/api/v1/characters",
                                "file",
                                "next.svg",
                                without.getBytes(StandardCharsets.UTF_8),
                                Map.of())
                        .json()
                        .get("id")
                        .asText();
    }

    @Test
    void whatIsTakenIsSeenBeforeTakenInOneStepAndUndone() {
        String other = maren.replaceAll("^.*/", "");
        String from = at + "/from/" + other;
        JsonNode offered = client.get(from).json();
        assertThat(offered.get("name").asText()).isEqualTo("Maren Quill");
        JsonNode look = null;
        for (JsonNode i : offered.get("items")) {
            look = look == null && i.get("kind").asText().equals("LOOK") ? i : look;
        }
        assertThat(look.get("fitting").asText()).isEqualTo("WHOLE");
        String key = look.get("key").asText();
        JsonNode sheet = client.get(from + "/sheet?key=" + key).json();
        assertThat(sheet.get("captions")).hasSize(1);
        String picture = from + "/picture.svg?key=" + key + "&cell=0&revision="
                + offered.get("revision").asInt() + "&otherRevision="
                + offered.get("otherRevision").asInt();
        for (boolean here : new boolean[] {true, false}) {
            Client.Answer svg = client.get(picture + "&here=" + here);
            assertThat(svg.type()).startsWith("image/svg+xml");
            assertThat(new String(svg.body(), StandardCharsets.UTF_8)).contains("viewBox", "brow");
        }
        assertThat(client.get(picture.replace("cell=0", "cell=7") + "&here=true")
                        .status())
                .isEqualTo(404);
        Client.Answer taken = client.post(from, "{\"base\":1,\"keys\":[\"" + key + "\"]}");
        assertThat(taken.status()).isEqualTo(200);
        assertThat(taken.json().at("/character/library/looks")).hasSize(1);
        assertThat(taken.json().at("/undo/message").asText())
                .isEqualTo("Took " + look.get("what").asText() + " from Maren Quill");
        // and it is there after a step back and one on again, which read the stored edit's state
        assertThat(client.post(at + "/undo", "{\"base\":2}").json().at("/character/library/looks"))
                .isEmpty();
        assertThat(client.post(at + "/redo", "{\"base\":3}").json().at("/character/library/looks"))
                .hasSize(1);
    }

    @Test
    void whatCannotBeTakenIsRefusedInWords() {
        String self = at + "/from/" + at.replaceAll("^.*/", "");
        assertThat(client.get(self).code()).isEqualTo("same-character");
        assertThat(client.get(at + "/from/" + UUID.randomUUID()).code()).isEqualTo("not-there");
        String from = at + "/from/" + maren.replaceAll("^.*/", "");
        assertThat(client.post(from, "{\"base\":1,\"keys\":[\"look/gone\"]}").code())
                .isEqualTo("nothing-to-take");
        assertThat(client.post(from, "{\"base\":1,\"keys\":[]}").code()).isEqualTo("nothing-to-take");
        assertThat(client.post(from, "{\"base\":1}").code()).isEqualTo("missing");
        assertThat(client.get(from + "/sheet?key=gone").status()).isEqualTo(404);
        assertThat(client.post(
                                at + "/edits",
                                "{\"base\":1,\"edit\":{\"kind\":\"take-from\",\"other\":null,\"keys\":[]}}")
                        .status())
                .isBetween(400, 422);
    }
}
