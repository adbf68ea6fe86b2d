package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.formats.json.StoredJson;
import app.leeward.server.store.ContentTexts;
import app.leeward.server.store.ContentTexts.Content;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/** Long tracks of keys lie once in the database, whatever revisions and shots they are in. */
@ServerTest
class KeyTrackTest {
    @LocalServerPort
    int port;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private ContentTexts texts;

    private Client client;
    private String character;

    @BeforeEach
    void maren() {
        client = new Client(port);
        character = client.maren();
    }

    private static String keys(int count, double by) {
        return IntStream.range(0, count)
                .mapToObj(i -> String.format(
                        Locale.ROOT,
                        "{\"frame\":%d,\"value\":%.3f,\"way\":{\"kind\":\"smooth\"},\"bow\":0}",
                        2 * i,
                        by + i / 9.0))
                .collect(Collectors.joining(",", "[", "]"));
    }

    private String state(String shot, int revision) {
        return database.queryForObject(
                "select state::text from revision where document = ?::uuid and number = ?",
                String.class,
                shot,
                revision);
    }

    @Test
    void aShotSaysTheHashesOfItsLongTracksAndReadsThemBack() {
        JsonNode shot = client.post(character + "/shots", "{\"name\":\"long\",\"frames\":900}")
                .json();
        String id = shot.get("id").asText();
        String at = "/api/v1/lines/" + id;
        // what other tests have kept lies in the same database
        double own = 1 + Math.floorMod(id.hashCode(), 1_000_000) / 1000.0;
        String set = "{\"base\":%d,\"edit\":{\"kind\":\"set-keys\",\"keys\":{%s}}}";
        JsonNode made = client.post(
                        at + "/edits",
                        String.format(set, 1, "\"turn\":" + keys(400, own) + ",\"nod\":" + keys(400, -own)))
                .json();
        assertThat(made.at("/shot/tracks/dials/turn")).hasSize(400);
        assertThat(state(id, 2).length()).isLessThan(2_000);
        List<String> before = hashes();
        JsonNode one = client.post(
                        at + "/edits",
                        String.format(
                                set, 2, "\"turn\":[{\"frame\":7,\"value\":3,\"way\":{\"kind\":\"even\"},\"bow\":0}]"))
                .json();
        assertThat(one.at("/shot/tracks/dials/turn")).hasSize(401);
        assertThat(hashes()).hasSize(before.size() + 1).containsAll(before);
        // undone it is the earlier one again, and nothing new is kept
        client.post(at + "/undo", "{\"base\":3}");
        assertThat(state(id, 4)).isEqualTo(state(id, 2));
        assertThat(hashes()).hasSize(before.size() + 1);
        assertThat(client.get(at).json().at("/shot/tracks")).isEqualTo(made.at("/shot/tracks"));
        // a server that has not seen them reads what is kept
        List<String> fresh = new ArrayList<>(hashes());
        fresh.removeAll(before);
        assertThat(StoredJson.keys(texts.text(Content.KEY_TRACK, fresh.get(0)).orElseThrow()))
                .hasSize(401);
        assertThat(texts.text(Content.KEY_TRACK, "none")).isEmpty();
        // a copy shares them
        client.post(at + "/duplicate", "{}");
        assertThat(hashes()).hasSize(before.size() + 1);
    }

    private List<String> hashes() {
        return database.queryForList("select hash from key_track", String.class);
    }
}
