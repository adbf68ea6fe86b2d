package app.leeward.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.demo.DemoFiles;
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
        Map<String, String> begins = new java.util.HashMap<>(Map.of(
                "svg",
                "<",
                "png",
                "\u0089PNG",
                "pdf",
                "%PDF",
                "leeward.zip",
                "PK",
                "layers.svg",
                "<",
                "css",
                ":root",
                "ora",
                "PK",
                "drawings.zip",
                "PK"));
        begins.put("face.zip", "PK");
        begins.put("rig-sheet.zip", "PK");
        begins.put("palette.json", "{");
        for (JsonNode e : offered) {
            String exports = at + "/exports/" + e.get("id").asText();
            // small where that can be chosen
            String options = e.get("options").toString().contains("art-width") ? "{\"art-width\":64}" : "{}";
            Client.Answer answer =
                    client.post(exports, "{\"pose\":{\"dials\":{\"turn\":20}},\"options\":" + options + "}");
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

    private int characters() {
        return client.get("/api/v1/characters").json().get("total").asInt();
    }

    /** A line of the demo's, said by her. */
    private String said() {
        DemoFiles.Line line = DemoFiles.lines().get(0);
        return client.read(client.upload(at + "/lines", "sound", "line.wav", line.wav(), Map.of("words", line.words())))
                .json()
                .get("id")
                .asText();
    }

    /** Somebody went on with a bundle elsewhere; what comes back stands in the place of what was handed over, and undo takes it away again. */
    @Test
    void aBundleComesInPlaceOfTheCharacterOfItsName() {
        String line = said();
        String name = "Maren of " + java.util.UUID.randomUUID();
        edit(at, "{\"kind\":\"rename\",\"name\":\"" + name + "\"}");
        edit("/api/v1/lines/" + line, "{\"kind\":\"rename-shot\",\"name\":\"Both have it\"}");
        byte[] bundle = client.post(at + "/exports/bundle", "{}").body();
        JsonNode handedOver = client.get(at).json();
        JsonNode shot = client.get("/api/v1/lines/" + line).json().get("shot");
        edit(at, "{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":30,\"dy\":0}");
        edit("/api/v1/lines/" + line, "{\"kind\":\"set-length\",\"frames\":400}");
        client.post(at + "/shots", "{\"name\":\"Only here\",\"frames\":12}");
        JsonNode before = client.get(at).json();
        assertThat(before.at("/character/rig")).isNotEqualTo(handedOver.at("/character/rig"));

        JsonNode after = over(bundle).json();
        assertThat(after.get("id")).isEqualTo(before.get("id"));
        assertThat(after.get("revision").asInt())
                .isEqualTo(before.get("revision").asInt() + 1);
        assertThat(after.get("character")).isEqualTo(handedOver.get("character"));
        assertThat(client.get("/api/v1/lines/" + line).json().get("shot")).isEqualTo(shot);
        assertThat(client.get(at + "/lines").json().get("items")).hasSize(2);
        // once more changes nothing
        assertThat(over(bundle).json().get("revision")).isEqualTo(after.get("revision"));
        assertThat(client.post(at + "/undo", "{\"base\":" + after.get("revision") + "}")
                        .json()
                        .get("character"))
                .isEqualTo(before.get("character"));
        // what is not here is added
        client.post("/api/v1/lines/" + line + "/put-away", "{}");
        over(bundle);
        assertThat(client.get(at + "/lines").json().get("items")).hasSize(2);

        byte[] art = DemoFiles.maren();
        assertThat(client.upload("/api/v1/characters", "file", "maren.svg", art, Map.of("over", "true"))
                        .code())
                .isEqualTo("no-bundle");
        Client.Answer cut = over(java.util.Arrays.copyOf(bundle, 4_000));
        assertThat(cut.status()).isBetween(400, 422);
        client.post(at + "/put-away", "{}");
        assertThat(over(bundle).status()).as("nobody is called so").isEqualTo(404);
        client.post(at + "/bring-back", "{}");
        JsonNode twin = client.post(at + "/duplicate", "{}").json();
        edit("/api/v1/characters/" + twin.get("id").asText(), "{\"kind\":\"rename\",\"name\":\"" + name + "\"}");
        Client.Answer two = over(bundle);
        assertThat(two.code()).isEqualTo("name-ambiguous");
        assertThat(two.status()).isEqualTo(409);
    }

    private Client.Answer over(byte[] bundle) {
        return client.upload("/api/v1/characters", "file", "maren.leeward.zip", bundle, Map.of("over", "true"));
    }

    private void edit(String document, String edit) {
        int base = client.get(document).json().get("revision").asInt();
        assertThat(client.post(document + "/edits", "{\"base\":" + base + ",\"edit\":" + edit + "}")
                        .status())
                .as("%s", edit)
                .isEqualTo(200);
    }

    /** What one Leeward hands over, another takes in: character, shots and recordings, and goes on. */
    @Test
    void aBundleIsTakenInWithAllThatBelongsToIt() throws Exception {
        String line = said();
        JsonNode lost = client.get(at + "/losses?line=" + line).json();
        assertThat(lost.get("lottie").get(0).asText()).startsWith("The sound is left out");
        assertThat(lost.has("film-mp4")).isFalse();
        assertThat(client.get(at + "/losses").json().has("lottie"))
                .as("of no shot")
                .isFalse();
        byte[] bundle = client.post(at + "/exports/bundle", "{}").body();
        JsonNode before = client.get(at).json();
        Client.Answer taken = client.upload("/api/v1/characters", "file", "maren.leeward.zip", bundle, Map.of());
        assertThat(taken.status()).isEqualTo(201);
        JsonNode after = taken.json();
        String there = "/api/v1/characters/" + after.get("id").asText();
        assertThat(after.at("/character/name").asText())
                .as("the name is taken")
                .matches(before.at("/character/name").asText() + " \\d+");
        for (String same : new String[] {"rig", "controls", "library", "voice", "sheet"}) {
            assertThat(after.at("/character/" + same)).isEqualTo(before.at("/character/" + same));
        }
        JsonNode lines = client.get(there + "/lines").json().get("items");
        JsonNode was = client.get(at + "/lines").json().get("items");
        assertThat(lines).hasSameSizeAs(was).isNotEmpty();
        for (int i = 0; i < lines.size(); i++) {
            String copy = "/api/v1/lines/" + lines.get(i).get("id").asText();
            String old = "/api/v1/lines/" + was.get(i).get("id").asText();
            assertThat(client.get(copy).json().get("shot"))
                    .isEqualTo(client.get(old).json().get("shot"));
            assertThat(client.get(copy + "/sound.wav").body())
                    .isEqualTo(client.get(old + "/sound.wav").body());
        }
        assertThat(client.post(there + "/exports/bundle", "{}").body().length).isPositive();
        // its own shot is not the other one's
        assertThat(client.post(there + "/exports/exposure-csv", "{\"line\":\"" + line + "\"}")
                        .code())
                .isEqualTo("other-character");

        int count = characters();
        // where somebody can be asked, a name that is taken is told and another one taken
        Client.Answer clash =
                client.upload("/api/v1/characters", "file", "maren.leeward.zip", bundle, Map.of("ask", "true"));
        assertThat(clash.status()).isEqualTo(409);
        assertThat(clash.code()).isEqualTo("name-taken");
        assertThat(clash.json().get("place").asText())
                .isEqualTo(before.at("/character/name").asText());
        assertThat(client.upload(
                                "/api/v1/characters",
                                "file",
                                "maren.leeward.zip",
                                bundle,
                                Map.of("ask", "true", "name", "x".repeat(500)))
                        .code())
                .isEqualTo("bad-name");
        assertThat(characters()).isEqualTo(count);
        String other = "Maren at sea " + java.util.UUID.randomUUID();
        assertThat(client.upload(
                                "/api/v1/characters",
                                "file",
                                "maren.leeward.zip",
                                bundle,
                                Map.of("ask", "true", "name", other))
                        .json()
                        .at("/character/name")
                        .asText())
                .isEqualTo(other);
        count++;
        byte[] broken = java.util.Arrays.copyOf(bundle, bundle.length);
        for (int i = bundle.length / 2; i < bundle.length / 2 + 200; i++) {
            broken[i] ^= 0x55;
        }
        assertThat(client.upload("/api/v1/characters", "file", "maren.leeward.zip", broken, Map.of())
                        .status())
                .isEqualTo(422);
        assertThat(characters()).isEqualTo(count);
    }

    @Test
    void everythingThatIsChosenComesInOneArchiveWithAManifest() throws Exception {
        String line = client.post(at + "/shots", "{\"name\":\"Still\",\"frames\":12}")
                .json()
                .get("id")
                .asText();
        Client.Answer answer = client.post(
                at + "/hand-over",
                "{\"line\":\"" + line
                        + "\",\"exporters\":[\"lottie\",\"exposure-csv\",\"captions-vtt\",\"picture-svg\",\"animated-svg\"],\"options\":{\"times\":1}}");
        assertThat(answer.status()).isEqualTo(200);
        Map<String, byte[]> files = new java.util.LinkedHashMap<>();
        try (java.util.zip.ZipInputStream zip =
                new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(answer.body()))) {
            for (java.util.zip.ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                files.put(e.getName(), zip.readAllBytes());
            }
        }
        JsonNode manifest = new com.fasterxml.jackson.databind.ObjectMapper().readTree(files.get("manifest.json"));
        assertThat(manifest.get("leftOut")).isEmpty();
        assertThat(manifest.get("files")).hasSize(5).allSatisfy(f -> {
            byte[] file = files.get(f.get("file").asText());
            assertThat(f.get("bytes").asInt()).isEqualTo(file.length);
            assertThat(f.get("sha256").asText())
                    .isEqualTo(java.util.HexFormat.of()
                            .formatHex(java.security.MessageDigest.getInstance("SHA-256")
                                    .digest(file)));
        });
        assertThat(client.post(at + "/hand-over", "{\"exporters\":[\"lottie\"]}")
                        .code())
                .isEqualTo("nothing-chosen");
        assertThat(client.post(at + "/hand-over", "{\"exporters\":[\"no-such\"]}")
                        .code())
                .isEqualTo("not-there");
    }
}
