package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What no file and no database can hold, in every place a string can come in by. */
@ServerTest
class IncomingTextTest {
    private static final String[] WRONG = {"\\u0000", "\\u0001", "\\ufffe", "\\uffff", "\\ud800", "\\udc00x"};

    @LocalServerPort
    int port;

    @Autowired
    JdbcTemplate database;

    private Client client;
    private String character;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
    }

    private String at(String path) {
        return "/api/v1/characters/" + character + path;
    }

    private void assertRefused(Client.Answer answer, String place) {
        assertThat(answer.status()).as(place).isEqualTo(400);
        JsonNode problem = answer.json();
        assertThat(problem.get("code").asText()).as(place).isEqualTo("text-character");
        assertThat(problem.get("place").asText()).as(place).contains(place);
        assertThat(problem.get("detail").asText())
                .as(place)
                .contains("at letter")
                .contains("cannot be kept");
    }

    @Test
    void inJsonWithTheNameOfThePlace() {
        for (String wrong : WRONG) {
            assertRefused(
                    client.post(
                            at("/edits"),
                            "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"Mar" + wrong + "en\"}}"),
                    "name");
            assertRefused(client.post(at("/milestones"), "{\"number\":1,\"name\":\"first" + wrong + "\"}"), "name");
            // half a character in a name of JSON is no JSON to the library either
            Client.Answer key = client.post(at("/pose"), "{\"pose\":{\"dials\":{\"tu" + wrong + "rn\":1}}}");
            assertThat(key.status()).as(wrong).isEqualTo(400);
            assertThat(key.code()).as(wrong).isIn("text-character", "unreadable");
            assertRefused(client.post(at("/pose"), "{\"pose\":{\"picks\":{\"cap\":\"x" + wrong + "\"}}}"), "picks");
            assertRefused(client.post(at("/mouths/say"), "{\"text\":\"Mind" + wrong + "\",\"pace\":1}"), "text");
        }
    }

    @Test
    void inAddressesFormsAndNamesOfFiles() {
        assertRefused(client.get(at("/mouths/chart.svg?mood=a%01b")), "mood");
        DemoFiles.Line line = DemoFiles.lines().get(1);
        assertRefused(
                client.upload(at("/lines"), "sound", "a.wav", line.wav(), Map.of("words", "Mind\u0000 the ropes")),
                "words");
        assertRefused(
                client.upload("/api/v1/characters", "file", "a\u0001.svg", DemoFiles.maren(), Map.of()),
                "the name of the file");
        assertThat(client.get(at("/lines")).json().get("total").asInt()).isZero();
    }

    @Test
    void whatIsStoredAlreadyStillComesOutAsAFileThatOpens() throws Exception {
        // PostgreSQL takes U+0001 in JSON, so an older version could have kept it
        database.update(
                "update revision set state = jsonb_set(state, '{name}', to_jsonb(?::text)) where document = ?",
                "Mar\u0001en \uFFFE",
                UUID.fromString(character));
        String other = client.upload("/api/v1/characters", "file", "wick.svg", DemoFiles.wick(), Map.of())
                .json()
                .get("id")
                .asText();
        assertThat(other).isNotEqualTo(character);
        // a revision is kept in memory once it was read; this one is read from the table
        database.update("update document set head = 2 where id = ?", UUID.fromString(character));
        database.update(
                "insert into revision select document, 2, action, edit, says, author, made_at, state, stands_at, came_from, ahead, touched, schema"
                        + " from revision where document = ? and number = 1",
                UUID.fromString(character));
        byte[] svg =
                client.post(at("/picture"), "{\"pose\":{},\"format\":\"svg\"}").body();
        var document = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(svg));
        assertThat(document.getElementsByTagName("title").item(0).getTextContent())
                .startsWith("Mar\uFFFDen \uFFFD");
        byte[] chart = client.get(at("/mouths/chart.svg")).body();
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(chart));
        byte[] pdf = client.get(at("/mouths/chart.pdf")).body();
        assertThat(new String(pdf, 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
    }
}
