package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is sent back to a page that worked out an edit of a shot by itself. */
@ServerTest
class BriefAnswersTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;

    @BeforeEach
    void aLineOfMaren() {
        client = new Client(port);
        DemoFiles.Line line = DemoFiles.lines().get(0);
        String sounds = client.maren() + "/lines";
        at = "/api/v1/lines/"
                + client.read(client.upload(sounds, "sound", "line.wav", line.wav(), Map.of("words", line.words())))
                        .json()
                        .get("id")
                        .asText();
    }

    /** Who knows what an edit makes is not sent it back, unless it is not what they know. */
    @Test
    void whoForeseesAnEditIsToldItsRevisionAlone() {
        String key = "{\"base\":%d,\"edit\":{\"kind\":\"set-keys\",\"keys\":{\"turn\":"
                + "[{\"frame\":%d,\"value\":7,\"way\":{\"kind\":\"even\"},\"bow\":0}]}}}";
        Client.Answer first = client.postForeseen(at + "/edits", String.format(key, 1, 3));
        assertThat(first.header("Preference-Applied")).isEqualTo("return=minimal");
        assertThat(first.json().fieldNames()).toIterable().containsExactly("id", "revision", "undo", "redo", "like");
        assertThat(first.json().get("revision").asInt()).isEqualTo(2);
        assertThat(first.json().at("/undo/message").asText()).isNotBlank();
        Client.Answer onOld = client.postForeseen(
                at + "/edits", "{\"base\":1,\"edit\":{\"kind\":\"rename-shot\",\"name\":\"Other\"}}");
        assertThat(onOld.json().at("/shot/tracks/dials/turn"))
                .as("another edit came between")
                .hasSize(1);
        Client.Answer mouth = client.postForeseen(
                at + "/edits",
                "{\"base\":3,\"edit\":{\"kind\":\"pin-mouth\",\"from\":20,\"to\":23,\"drawing\":\"surprise\"}}");
        assertThat(mouth.json().at("/drawings/21").asText())
                .as("the mouths are others")
                .isEqualTo("surprise");
        assertThat(client.get(at).json().at("/shot/tracks/dials/turn/0/frame").asInt())
                .isEqualTo(3);
        assertThat(client.post(at + "/edits", String.format(key, 4, 5)).json().has("shot"))
                .isTrue();
    }

    @Test
    void whoKeptTheShotIsToldWhichRevisionAStepGoesTo() {
        String name = "{\"base\":%d,\"edit\":{\"kind\":\"rename-shot\",\"name\":\"%s\"}}";
        client.post(at + "/edits", String.format(name, 1, "two"));
        client.post(at + "/edits", String.format(name, 2, "three"));
        JsonNode back = client.postForeseen(at + "/undo", "{\"base\":3}").json();
        assertThat(back.has("shot")).isFalse();
        assertThat(back.get("revision").asInt()).isEqualTo(4);
        assertThat(back.get("like").asInt()).isEqualTo(2);
        JsonNode further = client.postForeseen(at + "/undo", "{\"base\":4}").json();
        assertThat(further.get("like").asInt()).isEqualTo(1);
        JsonNode on = client.postForeseen(at + "/redo", "{\"base\":5}").json();
        assertThat(nameAt(at, on.get("like").asInt())).isEqualTo("two");
        JsonNode last = client.postForeseen(at + "/redo", "{\"base\":6}").json();
        assertThat(nameAt(at, last.get("like").asInt())).isEqualTo("three");
        assertThat(nameAt(at, last.get("revision").asInt())).isEqualTo("three");
        assertThat(client.postForeseen(at + "/redo", "{\"base\":7}").code()).isEqualTo("nothing-to-redo");
        assertThat(client.post(at + "/undo", "{\"base\":7}").json().has("shot")).isTrue();
    }

    private String nameAt(String line, int revision) {
        return client.get(line + "?revision=" + revision)
                .json()
                .at("/shot/name")
                .asText();
    }
}
