package app.leeward.formats.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.art.Artwork;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Shot;
import app.leeward.core.speech.DialogueLine;
import app.leeward.formats.ActedMaren;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.json.ArtworkMap;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

class BundleTest {
    private static final byte[] WAV = "a recording".getBytes(StandardCharsets.UTF_8);
    private static final Shot SHOT = heard(ActedMaren.shot());

    /** With its recording under the hash it really has. */
    private static Shot heard(Shot shot) {
        return shot.withLines(shot.lines().stream()
                .map(l -> new PlacedLine(
                        l.at(),
                        new DialogueLine(
                                l.line().text(),
                                Sha256.of(WAV),
                                l.line().seconds(),
                                l.line().words(),
                                l.line().phones(),
                                List.of(),
                                0)))
                .toList());
    }

    private static byte[] written(Character c, List<Shot> shots) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        BundleWriter.write(c, shots, hash -> new byte[0], hash -> WAV, out);
        return out.toByteArray();
    }

    private static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    /** The bundle with some of its files changed, and its table of contents as the change leaves it. */
    private static byte[] changed(Consumer<Map<String, byte[]>> change) throws IOException {
        Map<String, byte[]> files = files(written(ActedMaren.CHARACTER, List.of(SHOT)));
        change.accept(files);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> f : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(f.getKey()));
                zip.write(f.getValue());
            }
        }
        return out.toByteArray();
    }

    private static void manifest(Map<String, byte[]> files, Consumer<ObjectNode> change) {
        try {
            ObjectMapper json = new ObjectMapper();
            ObjectNode tree = (ObjectNode) json.readTree(files.get(Manifest.PATH));
            change.accept(tree);
            files.put(Manifest.PATH, json.writeValueAsBytes(tree));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Bundle read(byte[] bundle) {
        return BundleReader.read(bundle, unknown -> {
            throw new IllegalStateException(unknown);
        });
    }

    @Test
    void whatIsReadBackIsTheSameToTheLastByte() throws IOException {
        byte[] first = written(ActedMaren.CHARACTER, List.of(SHOT, SHOT.withName("Second")));
        assertThat(BundleReader.is(first)).isTrue();
        Bundle back = read(first);
        assertThat(back.shots()).containsExactly(SHOT, SHOT.withName("Second"));
        assertThat(back.recordings()).containsOnlyKeys(Sha256.of(WAV));
        assertThat(written(back.character(), back.shots())).isEqualTo(first);
        assertThat(back.character().name()).isEqualTo("Maren");
        assertThat(back.character().library()).isEqualTo(ActedMaren.CHARACTER.library());
        assertThat(back.character().controls()).isEqualTo(ActedMaren.CHARACTER.controls());
    }

    @Test
    void everyFileIsListedWithItsLengthAndHash() throws Exception {
        Map<String, byte[]> files = files(written(ActedMaren.CHARACTER, List.of(SHOT)));
        JsonNode table = new ObjectMapper().readTree(files.get("leeward.json"));
        assertThat(table.get("files")).hasSize(files.size() - 1);
        table.get("files").properties().forEach(e -> {
            byte[] file = files.get(e.getKey());
            assertThat(e.getValue().get("bytes").asInt()).isEqualTo(file.length);
            // by the machine's own sha256sum this is what it says; here by Java's
            assertThat(e.getValue().get("sha256").asText()).isEqualTo(Sha256.of(file));
        });
        assertThat(files).containsKeys("character.json", "shots/001-ma-fee.json", "sounds/" + Sha256.of(WAV) + ".wav");
        assertThat(files.keySet()).anyMatch(f -> f.startsWith("drawings/mouth/"));
    }

    /** By an independent validator, {@code com.networknt:json-schema-validator}, after the published schema. */
    @Test
    void theListIsWhatItsPublishedSchemaSays() throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("..", "docs", "bundle.schema.json")));
        JsonNode list = new ObjectMapper()
                .readTree(files(written(ActedMaren.CHARACTER, List.of(SHOT, SHOT)))
                        .get(Manifest.PATH));
        assertThat(schema.validate(list)).isEmpty();
        ((ObjectNode) list.get("files")).putObject("../elsewhere").put("bytes", -1);
        assertThat(schema.validate(list)).hasSizeGreaterThan(1);
    }

    @Test
    void whatIsMissingDamagedForeignOrNewerIsToldByItsPlace() throws IOException {
        Map<String, byte[]> bad = new LinkedHashMap<>();
        bad.put("bundle-incomplete", changed(f -> f.remove("character.json")));
        bad.put("bundle-damaged", changed(f -> f.put("character.json", "{}".getBytes(StandardCharsets.UTF_8))));
        bad.put("bundle-foreign", changed(f -> f.put("../../etc/passwd", WAV)));
        bad.put("bundle-newer", changed(f -> manifest(f, m -> m.put("schema", 4_000))));
        bad.put("bundle-broken", changed(f -> manifest(f, m -> m.put("format", "other"))));
        bad.put("zip-broken", Arrays.copyOf(written(ActedMaren.CHARACTER, List.of()), 900));
        bad.forEach((code, bundle) -> assertThatThrownBy(() -> read(bundle))
                .as(code)
                .isInstanceOfSatisfying(ArtProblem.class, p -> {
                    assertThat(p.code()).isEqualTo(code);
                    assertThat(p.getMessage()).endsWith(".");
                }));
        assertThatThrownBy(() -> read(changed(f -> {
                    String wav = "sounds/" + Sha256.of(WAV) + ".wav";
                    f.remove(wav);
                    manifest(f, m -> ((ObjectNode) m.get("files")).remove(wav));
                })))
                .isInstanceOfSatisfying(
                        ArtProblem.class, p -> assertThat(p.place()).startsWith("sounds/"));
        assertThatThrownBy(() -> read(changed(f -> {
                    byte[] other = LeewardJson.artwork(new Artwork(List.of())).getBytes(StandardCharsets.UTF_8);
                    String path = f.keySet().stream()
                            .filter(k -> k.startsWith("artwork/"))
                            .findFirst()
                            .orElseThrow();
                    f.put(path, other);
                    manifest(f, m -> ((ObjectNode) m.get("files"))
                            .putObject(path)
                            .put("sha256", Sha256.of(other))
                            .put("bytes", other.length));
                })))
                .as("artwork under another's hash")
                .isInstanceOfSatisfying(
                        ArtProblem.class, p -> assertThat(p.code()).isEqualTo("bundle-damaged"));
    }

    @Test
    void otherArchivesAreNoBundles() throws IOException {
        assertThat(BundleReader.is(changed(f -> f.remove(Manifest.PATH)))).isFalse();
        assertThat(BundleReader.is("<svg/>".getBytes(StandardCharsets.UTF_8))).isFalse();
        assertThat(BundleReader.is(new byte[] {'P', 'K', 3, 4, 0})).isFalse();
    }

    @Test
    void artworkThatIsNotThereIsMissed() {
        ArtworkMap art = new ArtworkMap();
        assertThatThrownBy(() -> art.get("nothing")).hasMessageContaining("missing");
    }
}
