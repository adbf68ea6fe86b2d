package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What pages are told while others work, as the JDK's own WebSocket client hears it. */
@ServerTest
class ChangesTest {
    @LocalServerPort
    int port;

    @Autowired
    private JdbcTemplate sql;

    private final List<SocketEnd> open = new ArrayList<>();

    @AfterEach
    void hangUp() {
        open.forEach(SocketEnd::abort);
    }

    private SocketEnd page(String... headers) {
        SocketEnd end = SocketEnd.at(port, "/api/v1/changes", headers);
        open.add(end);
        return end;
    }

    private static JsonNode told(SocketEnd page, String kind, String id, int revision) {
        return page.next(m -> m.get("kind").asText().equals(kind)
                && m.path("id").asText().equals(id)
                && m.path("revision").asInt() >= revision);
    }

    @Test
    void everyPageHearsWhatIsMadeChangedAndPutAway() {
        Client client = new Client(port);
        SocketEnd one = page("Origin", "http://127.0.0.1:" + port);
        SocketEnd other = page();
        String id = client.wick();
        told(one, "character", id, 1);
        client.post(
                "/api/v1/characters/" + id + "/edits",
                "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"Barnaby\"}}");
        assertThat(told(one, "character", id, 2).has("character")).isFalse();
        String shot = client.post("/api/v1/characters/" + id + "/shots", "{\"name\":\"A pause\",\"frames\":48}")
                .json()
                .get("id")
                .asText();
        assertThat(told(one, "shot", shot, 1).get("character").asText()).isEqualTo(id);
        client.post("/api/v1/characters/" + id + "/put-away", "");
        told(one, "character", id, 2);
        told(other, "shot", shot, 1);
    }

    @Test
    void whatAnotherProgramChangesIsToldAsWell() {
        SocketEnd page = page();
        String id = new Client(port).wick();
        told(page, "character", id, 1);
        sql.update("update document set name = 'Elsewhere' where id = ?", UUID.fromString(id));
        told(page, "character", id, 1);
    }

    @Test
    void readingsAreToldWhenTheyBeginAndWhenTheyEnd() {
        Client client = new Client(port);
        String id = client.wick();
        SocketEnd page = page();
        client.read(client.upload(
                "/api/v1/characters/" + id + "/lines",
                "sound",
                "boat.wav",
                DemoFiles.lines().get(0).wav(),
                Map.of("words", "the boat to sorrel")));
        // asked for, begun, ended
        for (int i = 0; i < 3; i++) {
            page.next(m -> m.get("kind").asText().equals("readings")
                    && m.get("character").asText().equals(id));
        }
    }

    @Test
    void aWayThatBrokeIsMadeAnewAndItIsSaidThatSomethingWasMissed() {
        SocketEnd page = page();
        sql.queryForList(
                "select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'leeward changes' and datname = current_database()");
        page.next("missed");
        told(page, "character", new Client(port).wick(), 1);
    }

    @Test
    void otherPagesAndTalkersAreTurnedAway() {
        assertThat(SocketEnd.refused(() -> page("Origin", "http://elsewhere.example")))
                .isEqualTo(403);
        SocketEnd page = page();
        page.say("{\"kind\":\"ping\"}");
        assertThat(page.next("closed").get("code").asInt()).isEqualTo(1008);
    }
}
