package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Heads that come finished: each is a character of one's own, with all its art bears, that others take from. */
@ServerTest
class TemplateApiTest {
    @LocalServerPort
    int port;

    private Client client;

    @BeforeEach
    void client() {
        client = new Client(port);
    }

    private static List<String> texts(JsonNode list, String of) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(n -> n.get(of).asText())
                .toList();
    }

    @Test
    void threeHeadsComeFinished() {
        JsonNode all = client.get("/api/v1/templates").json();
        assertThat(texts(all, "name")).containsExactly("Maren", "Pilchard", "Wick");
        for (JsonNode template : all) {
            Client.Answer made =
                    client.post("/api/v1/templates/" + template.get("id").asText(), "{}");
            assertThat(made.status()).as(template.toString()).isEqualTo(201);
            JsonNode c = made.json().get("character");
            assertThat(c.get("name").asText()).isEqualTo(template.get("name").asText());
            assertThat(texts(c.at("/controls/dials"), "purpose"))
                    .as("it turns, blinks and looks about")
                    .contains("TURN", "BLINK", "GAZE_ACROSS", "GAZE_DOWN");
            assertThat(c.at("/library/looks")).hasSizeGreaterThanOrEqualTo(5);
            assertThat(c.at("/library/cues")).isNotEmpty();
            assertThat(c.at("/voice/mouths/drawn")).hasSizeGreaterThanOrEqualTo(12);
            assertThat(c.at("/voice/mouths/moods")).hasSize(2);
        }
        assertThat(client.post("/api/v1/templates/NOBODY", "{}").status()).isEqualTo(404);
    }

    @Test
    void aHeadOfOnesOwnTakesFromATemplate() {
        String template =
                client.post("/api/v1/templates/MAREN", "{}").json().get("id").asText();
        String own = client.upload(
                        "/api/v1/characters", "file", "wick.svg", app.leeward.demo.DemoFiles.wick(), java.util.Map.of())
                .json()
                .get("id")
                .asText();
        JsonNode offered =
                client.get("/api/v1/characters/" + own + "/from/" + template).json();
        assertThat(offered.get("name").asText()).isEqualTo("Maren");
        assertThat(texts(offered.get("items"), "key")).anyMatch(k -> k.startsWith("look/"));
    }
}
