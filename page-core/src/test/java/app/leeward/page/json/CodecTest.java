package app.leeward.page.json;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Artwork;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.demo.DemoFiles;
import app.leeward.faces.Face;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.formats.json.ArtworkStore;
import app.leeward.formats.json.LeewardJson;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The generated codec against the server's, which is Jackson's: on the demo's characters and on seeded faces with dials made. */
class CodecTest {
    private static final int FACES = 12;

    private final Map<String, Artwork> art = new HashMap<>();
    private final Map<Artwork, String> hashes = new IdentityHashMap<>();
    private final ObjectMapper jackson = LeewardJson.mapper(new ArtworkStore() {
        @Override
        public void put(Artwork drawn, String hash, String json) {
            art.put(hash, drawn);
            hashes.put(drawn, hash);
        }

        @Override
        public Optional<String> known(Artwork drawn) {
            return Optional.ofNullable(hashes.get(drawn));
        }

        @Override
        public Artwork get(String hash) {
            return art.get(hash);
        }
    });
    private final Codec codec = new Codec(new Shelf() {
        @Override
        public Artwork get(String hash) {
            return art.get(hash);
        }

        @Override
        public String hashOf(Artwork drawn) {
            return hashes.get(drawn);
        }

        @Override
        public <T> T kept(JsonValue in, Supplier<T> read) {
            return read.get();
        }
    });

    static List<byte[]> files() throws Exception {
        List<byte[]> all = new ArrayList<>(List.of(DemoFiles.maren(), DemoFiles.pilchard(), DemoFiles.wick()));
        for (long seed = 1; seed <= FACES; seed++) {
            all.add(Face.of(seed).svg().getBytes(StandardCharsets.UTF_8));
        }
        return all;
    }

    private static Optional<Character> rigged(byte[] file) throws Exception {
        LayeredArt read = ArtReader.read(file);
        IntakeResult result = read.assembled("face", 24);
        if (!(result instanceof IntakeResult.Hung hung)) {
            return Optional.empty();
        }
        Character c = hung.character();
        for (Edit e : List.of(
                MakeTurn.of(Optional.empty()),
                new MakeDial(ReadyMade.SQUINT),
                new MakeDial(ReadyMade.PUPIL_SIZE),
                new MakeBrows(),
                new MakeLooks(),
                new MakeCues())) {
            c = Edits.apply(c, e) instanceof Outcome.Done done ? done.character() : c;
        }
        return Optional.of(c);
    }

    @ParameterizedTest
    @MethodSource("files")
    void readsAndWritesAsTheServerDoes(byte[] file) throws Exception {
        Optional<Character> rigged = rigged(file);
        if (rigged.isEmpty()) {
            return;
        }
        Character c = rigged.get();
        JsonNode sent = jackson.valueToTree(c);
        Character read = codec.readCharacter(new JacksonValue(sent));
        assertThat(read).isEqualTo(c);
        JacksonSink out = new JacksonSink();
        codec.writeCharacter(read, out);
        assertThat(out.whole()).isEqualTo(withoutNulls(sent));

        Evaluator here = new Evaluator(read);
        Random random = new Random(3);
        Map<String, Double> dials = new HashMap<>();
        c.controls().dials().forEach(d -> dials.put(d.id(), d.from() + random.nextDouble() * (d.to() - d.from())));
        Frame frame = new Evaluator(c).frame(Pose.of(dials));
        assertThat(here.frame(Pose.of(dials))).isEqualTo(frame);
    }

    @Test
    void anEditIsReadAsTheServerReadsIt() throws JsonProcessingException {
        Edit nudge = new Nudge("nose", 3.25, -1);
        JsonNode sent = jackson.readTree(jackson.writerFor(Edit.class).writeValueAsString(nudge));
        assertThat(codec.readEdit(new JacksonValue(sent))).isEqualTo(nudge);
    }

    /** Null and left out are the same to both readers. */
    private static JsonNode withoutNulls(JsonNode node) {
        return JacksonSink.plain(node);
    }
}
