package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is handed over, over HTTP. */
@ServerTest
class ExportApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;

    @BeforeEach
    void maren() {
        client = new Client(port);
        at = client.maren();
    }

    /** Every format that is offered can be had, looks like what it says it is, and refuses what it cannot do. */
    @Test
    void everythingIsHandedOverInItsFormat() {
        JsonNode offered = client.get("/api/v1/exporters").json();
        assertThat(offered)
                .extracting(e -> e.get("id").asText())
                .doesNotHaveDuplicates()
                .contains("picture-svg", "picture-png", "exposure-csv", "mouth-chart-svg", "mouth-chart-pdf");
        Map<String, String> begins = Map.of("svg", "<", "png", "\u0089PNG", "pdf", "%PDF");
        for (JsonNode e : offered) {
            String exports = at + "/exports/" + e.get("id").asText();
            Client.Answer answer = client.post(exports, "{\"pose\":{\"dials\":{\"turn\":20}}}");
            if (e.get("scope").asText().equals("SHOT")) {
                assertThat(answer.code()).isEqualTo("no-line");
                continue;
            }
            assertThat(answer.status()).as(exports).isEqualTo(200);
            assertThat(answer.type()).startsWith(e.get("mediaType").asText());
            assertThat(new String(answer.body(), java.nio.charset.StandardCharsets.ISO_8859_1))
                    .startsWith(begins.get(e.get("extension").asText()));
        }
        assertThat(client.post(at + "/exports/picture-png", "{\"options\":{\"width\":9000}}")
                        .code())
                .isEqualTo("export-option");
        assertThat(client.post(at + "/exports/picture-png", "{\"options\":{\"depth\":9}}")
                        .code())
                .isEqualTo("export-option");
        assertThat(client.post(at + "/exports/no-such", "{}").code()).isEqualTo("not-there");
    }
}
