package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import app.leeward.formats.json.StoredJson;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Two versions on one database: what the later one wrote, the earlier one leaves alone and says so. */
@ServerTest
class NewerSchemaTest {
    @LocalServerPort
    int port;

    @Autowired
    JdbcTemplate database;

    @Test
    void whatALaterVersionWroteIsRefusedInWordsAndLeftAsItIs() {
        Client client = new Client(port);
        String at = "/api/v1/characters/"
                + client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                        .json()
                        .get("id")
                        .asText();
        UUID id = UUID.fromString(at.substring(at.lastIndexOf('/') + 1));
        assertThat(database.queryForObject("select schema from revision where document = ?", Integer.class, id))
                .isEqualTo(StoredJson.SCHEMA);
        database.update(
                "insert into revision (document, number, action, edit, touched, says, author, made_at, state, stands_at, came_from,"
                        + " ahead, schema) select document, 2, action, edit, touched, says, author, made_at,"
                        + " '{\"form\": \"of tomorrow\"}', 2, 1, ahead, ? from revision where document = ? and number = 1",
                StoredJson.SCHEMA + 1,
                id);
        database.update("update document set head = 2 where id = ?", id);
        for (Client.Answer answer : new Client.Answer[] {
            client.get(at),
            client.post(at + "/edits", "{\"base\":2,\"edit\":{\"kind\":\"rename\",\"name\":\"A\"}}"),
            client.post(at + "/pose", "{\"pose\":{}}")
        }) {
            assertThat(answer.status()).isEqualTo(409);
            assertThat(answer.code()).isEqualTo("newer-schema");
            assertThat(answer.json().get("detail").asText()).contains("later version of Leeward");
        }
        assertThat(database.queryForObject("select count(*) from revision where document = ?", Integer.class, id))
                .isEqualTo(2);
        assertThat(client.get("/api/v1/characters").status())
                .as("the others are there")
                .isEqualTo(200);
    }
}
