package app.leeward.formats.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.AcceptedFinding;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Review;
import app.leeward.core.shot.Shot;
import app.leeward.formats.ActedMaren;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.ExportWork;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;

class LiveFaceTest {
    private static final Character MAREN = ActedMaren.CHARACTER
            .withName("Maren <Quill>")
            .withReview(new Review(
                    List.of(new AcceptedFinding("sweep", "leaves-canvas", "", "", "turn", 0.2, "a secret"))));
    private static final byte[] WAV = {1, 2, 3};

    private static Map<String, byte[]> written(List<Shot> shots) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new LiveFace()
                .write(
                        new ExportSource(
                                MAREN,
                                new Evaluator(MAREN).frame(Pose.REST),
                                Optional.empty(),
                                Optional.empty(),
                                ImageShelf.NONE,
                                Optional::empty,
                                () -> new ExportSource.Everything(
                                        shots,
                                        hash -> WAV,
                                        s -> s.lines().isEmpty() ? Optional.empty() : Optional.of(WAV)),
                                ExportWork.HERE),
                        Choices.of(List.of(), Map.of()),
                        out);
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(out.toByteArray()))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    @Test
    void isAnElementAFileAndAPageThatNeedsNothingElse() throws Exception {
        Shot silent = Shot.silent("Ma fee", ActedMaren.shot().rules(), 12);
        Map<String, byte[]> files = written(List.of(ActedMaren.shot(), silent));
        assertThat(files.keySet())
                .containsExactly(
                        "index.html", "page.css", "page.js", "leeward-face.js", "maren-quill.face", "ma-fee.wav");
        assertThat(new String(files.get("index.html"), StandardCharsets.UTF_8))
                .contains("<h1>Maren &lt;Quill&gt;</h1>", "src=\"maren-quill.face\"")
                .doesNotContain("{{", "http:", "https:");
        JsonNode face = new ObjectMapper().readTree(files.get("maren-quill.face"));
        assertThat(face.get("format").asText()).isEqualTo("leeward-face");
        assertThat(face.at("/lines/ma-fee/sound").asText()).isEqualTo("ma-fee.wav");
        assertThat(face.at("/lines/ma-fee-2/sound").asText()).isEmpty();
        assertThat(face.at("/lines/ma-fee-2/shot/frames").asInt()).isEqualTo(12);
    }

    @Test
    void everyDrawingIsInItAndNothingOfHowItWasMade() throws Exception {
        JsonNode face = new ObjectMapper().readTree(written(List.of()).get("maren-quill.face"));
        face.at("/character/rig/parts").forEach(p -> p.get("drawings").forEach(d -> assertThat(
                        face.at("/artwork/" + d.get("art").asText()).isArray())
                .as(d.get("name").asText())
                .isTrue()));
        assertThat(face.at("/artwork").size()).isPositive();
        assertThat(face.toString()).doesNotContain("a secret");
        // the head lies within what is shown of it
        JsonNode head = face.at("/views/head");
        assertThat(head.get(2).asDouble())
                .isBetween(100.0, face.at("/views/whole/2").asDouble());
    }

    @Test
    void isTheSameEachTime() throws Exception {
        assertThat(written(List.of(ActedMaren.shot())))
                .usingRecursiveComparison()
                .isEqualTo(written(List.of(ActedMaren.shot())));
    }
}
