package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The page of all characters: faces, how far each is, copies and the latest shots. */
@ServerTest
class HomeApiTest {
    @LocalServerPort
    int port;

    private Client client;

    @BeforeEach
    void client() {
        client = new Client(port);
    }

    private String shotOf(String character, String name) {
        return client.post("/api/v1/characters/" + character + "/shots", "{\"name\":\"" + name + "\",\"frames\":48}")
                .json()
                .get("id")
                .asText();
    }

    private static List<String> texts(JsonNode list, String of) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(n -> n.get(of).asText())
                .toList();
    }

    private static BufferedImage picture(byte[] png) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    private static double painted(BufferedImage p, int from, int to) {
        int n = 0;
        for (int x = from; x < to; x++) {
            for (int y = 0; y < p.getHeight(); y++) {
                n += p.getRGB(x, y) >>> 24 > 200 ? 1 : 0;
            }
        }
        return n / (double) ((to - from) * p.getHeight());
    }

    @Test
    void aFaceFillsItsPictureAndARevisionsIsKeptForGood() throws Exception {
        String id = client.wick();
        Client.Answer face = client.get("/api/v1/characters/" + id + "/face.png?revision=1");
        assertThat(face.status()).isEqualTo(200);
        assertThat(face.header("Cache-Control")).contains("immutable");
        BufferedImage p = picture(face.body());
        // his head is 309 units wide and 434 tall, so it is as tall as the picture and stands in its middle third
        assertThat(painted(p, p.getWidth() / 3, p.getWidth() * 2 / 3)).isGreaterThan(0.6);
        assertThat(painted(p, 0, p.getWidth() / 8)).isLessThan(0.2);
        assertThat(client.get("/api/v1/characters/" + id + "/face.png").header("Cache-Control"))
                .contains("no-cache");
        assertThat(client.get("/api/v1/characters/" + id + "/face.png?revision=9")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void aCardTellsHowFarACharacterIs() {
        String id = client.wick();
        JsonNode before = client.get("/api/v1/characters/" + id + "/card").json();
        assertThat(before.get("lines").asInt()).isZero();
        assertThat(before.get("done").toString()).contains("INTAKE", "PARTS").doesNotContain("SHOT");
        shotOf(id, "A pause");
        JsonNode after = client.get("/api/v1/characters/" + id + "/card").json();
        assertThat(after.get("lines").asInt()).isEqualTo(1);
        assertThat(after.get("done")).isEqualTo(before.get("done"));
    }

    @Test
    void aCopyHasAllItsShotsAndGoesItsOwnWay() {
        String id = client.wick();
        shotOf(id, "A pause");
        Client.Answer made = client.post("/api/v1/characters/" + id + "/duplicate", "{}");
        assertThat(made.status()).isEqualTo(201);
        String copy = made.json().get("id").asText();
        JsonNode own = client.get("/api/v1/characters/" + id).json();
        String name = own.at("/character/name").asText();
        assertThat(made.json().at("/character/name").asText())
                .isNotEqualTo(name)
                .startsWith(name);
        assertThat(made.json().at("/character/rig")).isEqualTo(own.at("/character/rig"));
        assertThat(texts(
                        client.get("/api/v1/characters/" + copy + "/lines")
                                .json()
                                .get("items"),
                        "name"))
                .containsExactly("A pause");
        client.post(
                "/api/v1/characters/" + copy + "/edits",
                "{\"base\":1,\"edit\":{\"kind\":\"rename\",\"name\":\"Somebody else\"}}");
        assertThat(client.get("/api/v1/characters/" + id)
                        .json()
                        .at("/character/name")
                        .asText())
                .isEqualTo(name);
        assertThat(client.post("/api/v1/characters/00000000-0000-0000-0000-000000000000/duplicate", "{}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void theLatestShotsAreThoseOfWhoIsThere() throws Exception {
        String id = client.wick();
        String shot = shotOf(id, "The very latest");
        JsonNode first = client.get("/api/v1/shots/latest?size=1").json().get(0);
        assertThat(first.get("id").asText()).isEqualTo(shot);
        assertThat(first.get("seconds").asDouble()).isEqualTo(2.0);
        assertThat(first.get("character").asText()).isEqualTo(id);
        BufferedImage p = picture(client.get("/api/v1/lines/" + shot + "/moments.png?revision=1&of=1")
                .body());
        assertThat(p.getWidth()).isEqualTo(3 * p.getHeight());
        for (int i = 0; i < 3; i++) {
            assertThat(painted(p, i * p.getHeight(), (i + 1) * p.getHeight())).isGreaterThan(0.3);
        }
        client.post("/api/v1/characters/" + id + "/put-away", "");
        assertThat(texts(client.get("/api/v1/shots/latest?size=50").json(), "id"))
                .doesNotContain(shot);
    }

    @Test
    void whoeverAsksAgainIsToldOnlyWhatChanged() {
        String id = client.wick();
        for (String path : List.of("/api/v1/characters/" + id, "/api/v1/characters?size=1000")) {
            Client.Answer first = client.get(path);
            String tag = first.header("ETag");
            assertThat(tag).as(path).isNotEmpty();
            Client.Answer again = client.getUnless(path, tag);
            assertThat(again.status()).as(path).isEqualTo(304);
            assertThat(again.body()).isEmpty();
            client.post(
                    "/api/v1/characters/" + id + "/edits",
                    "{\"base\":%d,\"edit\":{\"kind\":\"rename\",\"name\":\"%s\"}}"
                            .formatted(
                                    client.get("/api/v1/characters/" + id)
                                            .json()
                                            .get("revision")
                                            .asInt(),
                                    "Wick as of " + path.length()));
            Client.Answer changed = client.getUnless(path, tag);
            assertThat(changed.status()).as(path).isEqualTo(200);
            assertThat(changed.header("ETag")).isNotEqualTo(tag);
        }
    }
}
