package app.leeward.formats.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.shot.Tracks;
import app.leeward.core.shot.Way;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.Sha256;
import app.leeward.formats.svg.SvgReader;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What was stored once is read for ever. The files under {@code stored/N} were written by servers of schema N and are never
 * written again; {@code stored/form.txt} lists the form of today, and {@code stored/forms.txt} the digest of each form there was.
 */
class StoredFormTest {
    private static final Path FILES = Path.of("src", "test", "resources", "stored");
    private static final ObjectMapper PLAIN = new ObjectMapper();

    private final Set<String> unknown = new HashSet<>();
    private final StoredJson json = new StoredJson(shelf(), new KeptTracks(), unknown::add);

    private static ArtworkStore shelf() {
        Map<String, String> shapes = new HashMap<>();
        for (int n = 1; n <= StoredJson.SCHEMA; n++) {
            lines(n, "artwork.jsonl")
                    .forEach(a ->
                            shapes.put(a.get("hash").asText(), a.get("shapes").toString()));
        }
        return new ArtworkStore() {
            @Override
            public void put(Artwork art, String hash, String text) {
                shapes.put(hash, text);
            }

            @Override
            public Artwork get(String hash) {
                // edits hold artwork too, which nobody looks at here
                return shapes.containsKey(hash) ? LeewardJson.artwork(shapes.get(hash)) : new Artwork(List.of());
            }
        };
    }

    /** Tracks of keys as servers of each schema kept them, and what is put here now. */
    private static final class KeptTracks implements KeyStore {
        private final Map<String, String> texts = new HashMap<>();
        private int asked;

        KeptTracks() {
            for (int n = 1; n <= StoredJson.SCHEMA; n++) {
                lines(n, "keys.jsonl")
                        .forEach(k ->
                                texts.put(k.get("hash").asText(), k.get("keys").toString()));
            }
        }

        @Override
        public boolean keeps() {
            return true;
        }

        @Override
        public Optional<String> known(List<DialKey> keys) {
            return Optional.empty();
        }

        @Override
        public void put(List<DialKey> keys, String hash, String json) {
            assertThat(hash).isEqualTo(Sha256.of(json));
            texts.put(hash, json);
        }

        @Override
        public List<DialKey> get(String hash) {
            asked++;
            return StoredJson.keys(texts.get(hash));
        }

        @Override
        public String text(String hash) {
            return texts.get(hash);
        }
    }

    /** The lines of a file of one schema; none where that schema has no such file. */
    private static List<JsonNode> lines(int schema, String name) {
        Path plain = FILES.resolve(String.valueOf(schema)).resolve(name);
        Path packed = plain.resolveSibling(name + ".gz");
        if (!Files.exists(plain) && !Files.exists(packed)) {
            return List.of();
        }
        try (InputStream in =
                Files.exists(plain) ? Files.newInputStream(plain) : new GZIPInputStream(Files.newInputStream(packed))) {
            List<JsonNode> all = new ArrayList<>();
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                all.add(PLAIN.readTree(line));
            }
            return all;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static IntStream schemas() {
        return IntStream.rangeClosed(1, StoredJson.SCHEMA);
    }

    @Test
    void theFormIsTheOneThatWasFrozen() throws IOException {
        String now = StoredListing.now();
        Files.writeString(Path.of("target", "form.txt"), now);
        String how =
                "the stored form changed: raise StoredJson.SCHEMA, add its Upgrade, copy target/form.txt to stored/form.txt and"
                        + " add a line with its digest to stored/forms.txt; see docs/formats.md";
        assertThat(now).as(how).isEqualTo(Files.readString(FILES.resolve("form.txt")));
        List<String> forms = Files.readAllLines(FILES.resolve("forms.txt"));
        assertThat(forms).as(how).hasSize(StoredJson.SCHEMA);
        assertThat(forms.get(StoredJson.SCHEMA - 1)).as(how).isEqualTo(StoredJson.SCHEMA + " " + Sha256.of(now));
    }

    @Test
    void everyKindOfEditHasAnExample() {
        Set<String> edits = new HashSet<>();
        Set<String> shotEdits = new HashSet<>();
        schemas().forEach(n -> {
            lines(n, "edits.jsonl").forEach(e -> edits.add(kindNow(n, e, Edit.class)));
            lines(n, "shot-edits.jsonl").forEach(e -> shotEdits.add(kindNow(n, e, ShotEdit.class)));
        });
        assertThat(edits).containsAll(Kinds.EDITS.options().keySet());
        assertThat(shotEdits).containsAll(Kinds.SHOT_EDITS.options().keySet());
    }

    /** Every kind, on a face it was not made for: it says what it does, touches something, and is done or refused in words. */
    @Test
    void everyKindOfEditIsToldAndDoneOrRefused() {
        Character face =
                ((IntakeResult.Hung) SvgReader.read(DemoFiles.pilchard()).assembled("Blank", 24)).character();
        Set<Class<?>> tried = new HashSet<>();
        schemas().forEach(n -> lines(n, "edits.jsonl").forEach(stored -> {
            Edit edit = json.read(n, stored.toString(), Edit.class);
            tried.add(edit.getClass());
            assertThat(edit.describe(face)).as("%s", stored).isNotBlank();
            assertThat(edit.touches()).as("%s", stored).isNotEmpty().allMatch(t -> !t.word()
                    .isBlank());
            Outcome outcome = Edits.apply(face, edit);
            if (outcome instanceof Outcome.Refused refused) {
                assertThat(refused.message()).as("%s", stored).matches("\\S.*[.]");
            }
        }));
        assertThat(tried).containsAll(Kinds.EDITS.options().values());
    }

    private <T> String kindNow(int schema, JsonNode stored, Class<T> type) {
        Class<?> read = json.read(schema, stored.toString(), type).getClass();
        return (type == Edit.class ? Kinds.EDITS : Kinds.SHOT_EDITS).of(read);
    }

    @ParameterizedTest
    @MethodSource("schemas")
    void whatWasStoredIsReadWithNothingLeftOver(int schema) {
        read(schema, "edits.jsonl", Edit.class);
        read(schema, "shot-edits.jsonl", ShotEdit.class);
        read(schema, "characters.jsonl", Character.class);
        read(schema, "lines.jsonl", Shot.class);
        assertThat(unknown).isEmpty();
    }

    /** Reads each; what is in today's form already is written again just as it was. */
    private <T> void read(int schema, String file, Class<T> type) {
        for (JsonNode stored : lines(schema, file)) {
            T value = json.read(schema, stored.toString(), type);
            String again = json.write(type, value);
            assertThat(json.read(StoredJson.SCHEMA, again, type))
                    .as("%s", stored)
                    .isEqualTo(value);
            if (schema == StoredJson.SCHEMA) {
                assertThat(tree(again)).isEqualTo(stored);
            }
        }
    }

    private static JsonNode tree(String text) {
        try {
            return PLAIN.readTree(text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Characters look as they did when they were stored, in poses that reach all their dials. */
    @ParameterizedTest
    @MethodSource("schemas")
    void whatWasStoredLooksAsItDid(int schema) {
        List<Character> characters = lines(schema, "characters.jsonl").stream()
                .map(c -> json.read(schema, c.toString(), Character.class))
                .toList();
        List<JsonNode> frames = lines(schema, "frames.jsonl");
        for (JsonNode f : frames) {
            Character c = characters.get(f.get("character").asInt());
            Frame frame = new Evaluator(c).frame(pose(f));
            sameFrame(f.get("placed"), FrameNumbers.of(frame), c.name() + " " + f.get("dials"));
        }
        if (schema == 1) {
            assertThat(frames).hasSizeGreaterThanOrEqualTo(3 * characters.size());
        }
    }

    private static Pose pose(JsonNode f) {
        Map<String, Double> dials = new HashMap<>();
        f.get("dials")
                .fields()
                .forEachRemaining(d -> dials.put(d.getKey(), d.getValue().asDouble()));
        Map<String, Double> looks = new HashMap<>();
        f.get("looks")
                .fields()
                .forEachRemaining(l -> looks.put(l.getKey(), l.getValue().asDouble()));
        return Pose.of(dials).withLooks(looks);
    }

    private static void sameFrame(JsonNode was, JsonNode is, String where) {
        assertThat(is).as(where).hasSameSizeAs(was);
        for (int i = 0; i < was.size(); i++) {
            String place = where + " " + was.get(i).get("part");
            for (String words : List.of("part", "drawing", "windows", "outside", "behind", "outlines")) {
                assertThat(is.get(i).get(words)).as(place).isEqualTo(was.get(i).get(words));
            }
            numbers(place, is.get(i).get("matrix"), was.get(i).get("matrix"));
            numbers(place, is.get(i).get("box"), was.get(i).get("box"));
            assertThat(is.get(i).get("opacity").asDouble())
                    .as(place)
                    .isCloseTo(was.get(i).get("opacity").asDouble(), within(1e-9));
        }
    }

    private static void numbers(String place, JsonNode is, JsonNode was) {
        assertThat(is).as(place).hasSameSizeAs(was);
        for (int k = 0; k < was.size(); k++) {
            assertThat(is.get(k).asDouble()).as(place).isCloseTo(was.get(k).asDouble(), within(1e-6));
        }
    }

    /** Two steps made for the test: one renames a property, one splits it. */
    @Test
    void stepsRunInOrderAlsoOnWhatLiesInside() {
        Upgrade first = new Upgrade() {
            @Override
            public ObjectNode edit(ObjectNode old) {
                if (old.get("kind").asText().equals("push")) {
                    old.put("kind", "nudge");
                    old.set("by", old.remove("far"));
                }
                return old;
            }
        };
        Upgrade second = new Upgrade() {
            @Override
            public ObjectNode edit(ObjectNode old) {
                if (old.has("by")) {
                    old.put("dx", old.get("by").asDouble());
                    old.put("dy", -old.remove("by").asDouble());
                }
                return old;
            }

            @Override
            public ObjectNode character(ObjectNode old) {
                old.set("name", old.remove("title"));
                return old;
            }
        };
        StoredJson later = new StoredJson(shelf(), KeyStore.none(), unknown::add, List.of(first, second));
        String push = "{\"kind\":\"push\",\"part\":\"nose\",\"far\":2.0}";
        Edit nudge = json.read(1, "{\"kind\":\"nudge\",\"part\":\"nose\",\"dx\":2.0,\"dy\":-2.0}", Edit.class);
        assertThat(later.read(1, push, Edit.class)).isEqualTo(nudge);
        assertThat(later.read(2, "{\"kind\":\"nudge\",\"part\":\"nose\",\"by\":2.0}", Edit.class))
                .isEqualTo(nudge);
        assertThat(later.read(
                        1, "{\"kind\":\"record\",\"dial\":\"turn\",\"at\":60.0,\"pose\":" + push + "}", Edit.class))
                .isEqualTo(new app.leeward.core.edit.Record("turn", 60, nudge));
        JsonNode stored = lines(1, "edits.jsonl").stream()
                .filter(e -> e.get("kind").asText().equals("adopt"))
                .findFirst()
                .orElseThrow();
        ObjectNode adopt = (ObjectNode) tree(json.write(Edit.class, json.read(1, stored.toString(), Edit.class)));
        ObjectNode character = (ObjectNode) adopt.get("character");
        character.set("title", character.remove("name"));
        assertThat(((app.leeward.core.edit.ImportCharacter) later.read(2, adopt.toString(), Edit.class))
                        .character()
                        .name())
                .isEqualTo(character.get("title").asText());
        assertThat(unknown).isEmpty();
    }

    @Test
    void longTracksLieApartAndShortOnesInTheirShot() {
        List<DialKey> keys = IntStream.range(0, KeyStore.FEWEST)
                .mapToObj(i -> new DialKey(3 * i, i / 7.0, new Way.Smooth()))
                .toList();
        Shot shot = Shot.silent("s", TrackRules.at(24), 400)
                .withTracks(Tracks.EMPTY.withKeys("turn", keys).withKeys("nod", keys.subList(1, keys.size())));
        KeptTracks kept = new KeptTracks();
        StoredJson apart = new StoredJson(shelf(), kept, unknown::add);
        JsonNode dials = tree(apart.write(Shot.class, shot)).get("tracks").get("dials");
        assertThat(dials.get("turn").isTextual()).isTrue();
        assertThat(dials.get("nod")).hasSize(KeyStore.FEWEST - 1);
        Shot again = apart.read(StoredJson.SCHEMA, apart.write(Shot.class, shot), Shot.class);
        assertThat(again).isEqualTo(shot);
        assertThat(kept.asked).isEqualTo(1);
        // what holds all in itself says the keys, and does not know a hash
        StoredJson whole = new StoredJson(shelf(), unknown::add);
        assertThat(whole.read(StoredJson.SCHEMA, whole.write(Shot.class, shot), Shot.class))
                .isEqualTo(shot);
        assertThatThrownBy(() -> whole.read(StoredJson.SCHEMA, apart.write(Shot.class, shot), Shot.class))
                .isInstanceOf(IllegalStateException.class)
                .hasStackTraceContaining("keys " + dials.get("turn").asText() + " are missing");
    }

    /** A step of a later version is made on keys that lie apart as on those that do not. */
    @Test
    void laterStepsReachKeysThatLieApart() {
        List<Upgrade> steps = new ArrayList<>();
        IntStream.range(1, 19).forEach(n -> steps.add(new Upgrade() {}));
        steps.add(new Upgrade() {
            @Override
            public ObjectNode shot(ObjectNode old) {
                old.get("tracks")
                        .get("dials")
                        .forEach(keys -> keys.forEach(k ->
                                ((ObjectNode) k).put("value", k.get("value").asDouble() + 1)));
                return old;
            }
        });
        StoredJson later = new StoredJson(shelf(), new KeptTracks(), unknown::add, steps);
        String stored = lines(19, "lines.jsonl").get(0).toString();
        Map<String, List<DialKey>> now =
                json.read(19, stored, Shot.class).tracks().dials();
        later.read(19, stored, Shot.class).tracks().dials().forEach((dial, keys) -> assertThat(keys)
                .extracting(DialKey::value)
                .isEqualTo(now.get(dial).stream().map(k -> k.value() + 1).toList()));
        assertThat(now.get("turn")).hasSize(KeyStore.FEWEST);
    }

    @Test
    void whatNobodyKnowsIsToldAndWhatIsNewerIsRefused() {
        Edit read = json.read(1, "{\"kind\":\"rename\",\"name\":\"A\",\"colour\":{\"of\":[1]}}", Edit.class);
        assertThat(read).isEqualTo(new app.leeward.core.edit.Rename("A"));
        assertThat(unknown).containsExactly("Rename.colour");
        assertThatThrownBy(() -> json.read(StoredJson.SCHEMA + 1, "{}", Character.class))
                .isInstanceOf(NewerSchema.class);
        assertThatThrownBy(() -> json.read(1, "{\"kind\":\"no such\"}", Edit.class))
                .isInstanceOf(IllegalStateException.class);
    }

    static Stream<Kinds<?>> choices() {
        return Kinds.ALL.stream();
    }

    @ParameterizedTest
    @MethodSource("choices")
    void everyOptionOfAChoiceHasItsKind(Kinds<?> choice) {
        assertThat(choice.options().values())
                .containsExactlyInAnyOrder(permitted(choice.sealed()))
                .doesNotHaveDuplicates();
    }

    @SuppressWarnings("unchecked")
    private static <T> Class<? extends T>[] permitted(Class<?> sealed) {
        // families of options are choices within the choice
        return Arrays.stream(sealed.getPermittedSubclasses())
                .flatMap(c -> c.isSealed() ? Arrays.stream(permitted(c)) : Stream.of(c))
                .toArray(Class[]::new);
    }
}
