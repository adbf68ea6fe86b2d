package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Drawing;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.render.FramePainter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Faces in PSD files that another program wrote (ag-psd): beside the OpenRaster file of the same layers, and beside librsvg. */
class PsdFacesTest {
    /** As many pixels as the file is wide. */
    private static final int WIDTH = 800;

    private static byte[] file(String name) throws Exception {
        return Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name));
    }

    private static Character read(String name) throws Exception {
        LayeredArt art = ArtReader.read(file(name));
        return ((IntakeResult.Hung) art.assembled("face", 24)).character();
    }

    @Test
    void theSameLayersMakeTheSameCharacter() throws Exception {
        Character psd = read("bear.psd");
        Character ora = read("bear.ora");
        assertThat(psd.rig()).isEqualTo(ora.rig());
        assertThat(psd.controls()).isEqualTo(ora.controls());
    }

    /** Shade and shine clipped to skin and hair show as far as those, pupils behind the edge of the white. */
    @Test
    void whatIsClippedLooksAsItsDrawingDoesAndPupilsAreMasked() throws Exception {
        LayeredArt art = ArtReader.read(file("noor.psd"));
        Character c = ((IntakeResult.Hung) art.assembled("face", 24)).character();
        assertThat(Likeness.unlike(
                        Likeness.foreign(new String(file("noor.svg"), StandardCharsets.UTF_8), WIDTH),
                        Likeness.png(
                                FramePainter.of(c, WIDTH, art.images()::get).png(new Evaluator(c).frame(Pose.REST)))))
                .isLessThan(0.005);
        // the cheeks of one layer are halves of one picture, by clips of our own
        assertThat(c.rig().parts().stream().filter(p -> p.role() != PartRole.CHEEK))
                .allMatch(p -> p.drawings().stream()
                        .flatMap(d -> d.art().shapes().stream())
                        .allMatch(s -> s.clips().isEmpty()));
        List<String> masked = c.rig().windows().stream()
                .filter(w -> c.part(w.by()).orElseThrow().role() == PartRole.WHITE)
                .flatMap(w -> w.masked().stream())
                .toList();
        assertThat(masked).contains("iris-left", "iris-right", "highlight-left", "highlight-right");
        assertThat(c.part("iris-left").map(Part::drawings).orElseThrow())
                .extracting(Drawing::id)
                .hasSize(1);
        assertThat(c.rig().parts().stream().filter(p -> p.role() == PartRole.OTHER))
                .hasSize(2)
                .allSatisfy(p -> assertThat(masked).contains(p.id()));
    }
}
