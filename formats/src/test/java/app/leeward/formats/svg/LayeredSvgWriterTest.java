package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.BlankFace;
import app.leeward.core.intake.IntakeReport;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.intake.Layer;
import app.leeward.core.intake.SlotBoard;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class LayeredSvgWriterTest {
    private static final String BLANK =
            LayeredSvgWriter.write("Blank face", BlankFace.SAYS, BlankFace.CANVAS, BlankFace.layers(), hash -> {
                throw new AssertionError("a blank has no pictures");
            });

    private static LayeredArt readBack() throws Exception {
        return ArtReader.read(BLANK.getBytes(StandardCharsets.UTF_8));
    }

    private static List<String> outline(Layer layer, String depth) {
        List<String> out = new ArrayList<>();
        out.add(depth + layer.name() + (layer.hidden() ? " (hidden)" : ""));
        for (Layer.Node n : layer.nodes()) {
            if (n instanceof Layer.Group g) {
                out.addAll(outline(g.layer(), depth + "  "));
            } else {
                Shape s = ((Layer.Leaf) n).shape();
                out.add(depth + "  " + s.path().toSvg() + " " + s.fill() + " " + s.stroke());
            }
        }
        return out;
    }

    @Test
    void layersReadBackAsTheyWereWritten() throws Exception {
        Layer back = readBack().root();
        // the file itself is one more layer round them, without a name
        assertThat(outline(back, "")).isEqualTo(outline(BlankFace.layers(), ""));
    }

    @Test
    void theBlankFillsEverySlotAndSpeaksEverySound() throws Exception {
        LayeredArt art = readBack();
        assertThat(art.notes()).isEmpty();
        IntakeResult result = art.assembled("Blank", 24);
        Character c = ((IntakeResult.Hung) result).character();
        assertThat(c.origin().notes()).isEmpty();
        // it is one view of a head
        assertThat(SlotBoard.of(c)).allSatisfy(g -> assertThat(g.slots())
                .filteredOn(s -> s.role() != PartRole.VIEW)
                .allSatisfy(s -> assertThat(s.parts()).as(s.name()).hasSize(s.paired() ? 2 : 1)));
        assertThat(c.voice().mouths().drawn().keySet())
                .containsAll(Arrays.stream(Viseme.values()).collect(Collectors.toSet()));
        IntakeReport report = IntakeReport.of(c);
        assertThat(report.sides().right()).as("sides stand as named").isEmpty();
        assertThat(report.axis().orElseThrow().x()).isCloseTo(500, within(0.01));
        assertThat(report.guesses()).isEmpty();
        assertThat(Matrix.mirror(500).apply(c.part("pupil-left").orElseThrow().pivot()))
                .isEqualTo(c.part("pupil-right").orElseThrow().pivot());
    }
}
