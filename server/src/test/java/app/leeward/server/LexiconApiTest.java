package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@ServerTest
class LexiconApiTest {
    @LocalServerPort
    int port;

    private Client client;
    private String at;

    @BeforeEach
    void maren() {
        client = new Client(port);
        at = "/api/v1/characters/"
                + client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                        .json()
                        .get("id")
                        .asText();
    }

    private Client.Answer take(int base, String text) {
        return client.upload(
                at + "/lexicon",
                "file",
                "ours.dict",
                text.getBytes(StandardCharsets.UTF_8),
                Map.of("base", String.valueOf(base)));
    }

    @Test
    void aLexiconIsTakenInGivenOutAndUndone() {
        JsonNode taken = take(1, "SORREL  S AO1 R AH0 L\nquay  K IY1\n").json();
        assertThat(taken.at("/character/voice/lexicon/entries")).hasSize(2);
        String file = new String(client.get(at + "/lexicon.dict").body(), StandardCharsets.UTF_8);
        assertThat(file).isEqualTo("quay  K IY\nsorrel  S AO R AH L\n");
        assertThat(client.post(at + "/undo", "{\"base\":2}").json().at("/character/voice/lexicon/entries"))
                .isEmpty();
        assertThat(take(3, "boat  B OW T\npier  P QQ\n").json().get("detail").asText())
                .startsWith("Line 2");
        assertThat(client.get(at).json().get("revision").asInt())
                .as("nothing half taken in")
                .isEqualTo(3);
    }

    @Test
    void whatAnotherHasTaughtMeanwhileIsNotOverwritten() {
        take(1, "quay  K IY1\n");
        assertThat(take(1, "quay  K EY1\n").code()).isEqualTo("stale");
        assertThat(take(1, "wharf  W AO R F\n").status()).as("another word").isEqualTo(200);
    }

    @Test
    void wordsAreLookedUpByWhoKnowsThem() {
        take(1, "quay  K EY\n");
        assertThat(client.get(at + "/word-sounds?word=Quay")
                        .json()
                        .get("source")
                        .asText())
                .isEqualTo("LEXICON");
        JsonNode known = client.get(at + "/word-sounds?word=the").json();
        assertThat(known.get("source").asText()).isEqualTo("DICTIONARY");
        assertThat(known.get("ways")).hasSizeGreaterThan(1);
        JsonNode guessed = client.get(at + "/word-sounds?word=zilchwick").json();
        assertThat(guessed.get("source").asText()).isEqualTo("SPELLING");
        assertThat(guessed.get("ways")).hasSizeBetween(2, 3);
        assertThat(client.get(at + "/word-sounds?word=%E6%97%A5").code()).isEqualTo("word-unreadable");
        assertThat(client.get(at + "/word-sounds?word=" + "a".repeat(100)).code())
                .isEqualTo("word-unreadable");
    }

    @Test
    void soundsAreHeardByTheBooth() {
        byte[] wav = client.get("/api/v1/booth.wav?sounds=S+AO+R+AH+L").body();
        assertThat(new String(wav, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("RIFF");
        assertThat(client.get("/api/v1/booth.wav?sounds=S+QQ").code()).isEqualTo("sounds-unknown");
        assertThat(client.get("/api/v1/booth.wav?sounds=" + "S+".repeat(80) + "S")
                        .code())
                .isEqualTo("booth-words");
    }
}
