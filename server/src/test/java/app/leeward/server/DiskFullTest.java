package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** What PostgreSQL says when its disk is full (SQLSTATE 53100, appendix A of its manual) is told as such, and health is down. */
@ServerTest
class DiskFullTest {
    @LocalServerPort
    int port;

    @Autowired
    JdbcTemplate database;

    @Test
    void aFullDiskIsToldAndHealthIsDownWhileReadingGoesOn() {
        Client client = new Client(port);
        String id = client.upload("/api/v1/characters", "file", "maren.svg", DemoFiles.maren(), Map.of())
                .json()
                .get("id")
                .asText();
        String at = "/api/v1/characters/" + id;
        String edit = "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"A\"}}";
        assertThat(client.get("/actuator/health").status()).isEqualTo(200);
        database.execute("create function no_room() returns trigger language plpgsql as $$ begin"
                + " raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$");
        database.execute("create trigger no_room before insert on revision for each row when (new.document = '" + id
                + "') execute function no_room()");
        try {
            Client.Answer full = client.post(at + "/edits", edit);
            assertThat(full.status()).isEqualTo(507);
            assertThat(full.code()).isEqualTo("disk-full");
            assertThat(full.json().get("detail").asText()).contains("make room");
            assertThat(client.get("/actuator/health").status()).isEqualTo(503);
            assertThat(client.get(at).status()).as("reading goes on").isEqualTo(200);
        } finally {
            database.execute("drop trigger no_room on revision");
            database.execute("drop function no_room()");
        }
        assertThat(client.post(at + "/edits", edit).json().get("revision").asInt())
                .isEqualTo(2);
    }
}
