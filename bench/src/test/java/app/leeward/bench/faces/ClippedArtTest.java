package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Window;
import app.leeward.formats.file.ArtReader;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Faces as vector editors clip them: shade to the skin, strands to the hair, pupils to the white, teeth and tongue to the mouth, all of it
 * to the canvas. What moves is compared with a file in which it has been moved by hand, drawn by librsvg.
 */
class ClippedArtTest {
    private static String file(String name) throws Exception {
        return Files.readString(Path.of("src", "test", "resources", "art", "plain", name + ".svg"));
    }

    private static Character read(String svg) {
        return ((IntakeResult.Hung)
                        ArtReader.read(svg.getBytes(StandardCharsets.UTF_8)).assembled("face", 24))
                .character();
    }

    private static Stream<Shape> shapes(Character c) {
        return c.rig().parts().stream().flatMap(p -> p.drawings().stream()).flatMap(d -> d.art().shapes().stream());
    }

    private static List<String> masked(Character c) {
        return c.rig().windows().stream()
                .filter(w -> c.part(w.by()).orElseThrow().role() == PartRole.WHITE)
                .map(Window::masked)
                .flatMap(List::stream)
                .toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"noor", "jamal"})
    void noClipIsLeftThatWouldStayBehind(String name) throws Exception {
        Character c = read(file(name));
        assertThat(shapes(c)).allSatisfy(s -> assertThat(s.clips()).isEmpty());
        assertThat(masked(c))
                .contains("iris-left", "iris-right")
                .anySatisfy(id -> assertThat(c.part(id).orElseThrow().role()).isEqualTo(PartRole.OTHER));
    }

    /** What a clip hid does not make the head larger. */
    @Test
    void theHeadIsAsLargeAsItIsSeen() throws Exception {
        Character c = read(file("noor"));
        Box face = c.part(PartRole.FACE).flatMap(Part::bounds).orElseThrow();
        assertThat(face.maxX()).isLessThan(640);
        Character turned = ((Outcome.Done) Edits.apply(c, MakeTurn.of(Optional.empty()))).character();
        for (double angle : new double[] {-45, 45}) {
            BufferedImage drawn = Trial.drawn(turned, Pose.REST.withDial("turn", angle));
            assertThat(hairOverForehead(drawn)).as("at %s", angle).isGreaterThan(0.9);
        }
    }

    /** The share of the head's upper edge that is hair: at each column of the picture, the first pixel that is drawn. */
    private static double hairOverForehead(BufferedImage image) {
        int background = image.getRGB(0, 0);
        int hair = 0;
        int all = 0;
        for (int x = 0; x < image.getWidth(); x++) {
            for (int y = 0; y < image.getHeight() / 2; y++) {
                int rgb = image.getRGB(x, y);
                if (rgb != background) {
                    all++;
                    hair += (rgb >> 16 & 255) < 150 ? 1 : 0;
                    break;
                }
            }
        }
        return all == 0 ? 0 : (double) hair / all;
    }

    /** A pupil clipped to the white looks down behind the white's edge, as it does in a file where it has been moved under its clip. */
    @Test
    void aPupilMovesUnderItsClip() throws Exception {
        String svg = file("noor").replaceAll("<g id=\"(shine|lid_shadow)_.*?</g>", "");
        Character c = read(svg);
        double down = 14;
        String moved = svg.replace("cy=\"385\"", "cy=\"" + (385 + down) + "\"");
        Pose looks = Pose.REST.withDial(GazeMaker.DOWN, lowered(c, down));
        assertThat(Likeness.unlike(Likeness.foreign(moved, Trial.WIDTH), Trial.drawn(c, looks)))
                .isLessThan(0.002);
    }

    /** The value of the dial at which pupils stand so many units lower. */
    private static double lowered(Character c, double down) {
        return down
                / c.dial(GazeMaker.DOWN).orElseThrow().stops().stream()
                        .filter(s -> s.at() == 1)
                        .findFirst()
                        .orElseThrow()
                        .offsets()
                        .get("iris-left")
                        .y();
    }

    @Test
    void anEyeOfOneLayerShutsWithItsLashes() throws Exception {
        Character c = read(file("jamal"));
        assertThat(c.rig().parts().stream()
                        .filter(p ->
                                p.role().belongsTo(PartRole.EYE) || p.name().contains("eye "))
                        .map(Part::name))
                .contains(
                        "left eye outline",
                        "left eye white",
                        "left iris",
                        "left pupil",
                        "left eye shade",
                        "left highlight",
                        "left lashes",
                        "left eye crease");
        assertThat(c.dial(BlinkMaker.DIAL).orElseThrow().stops().stream()
                        .map(s -> s.reshapes().keySet())
                        .reduce((a, b) -> b)
                        .orElseThrow())
                .as("what comes together")
                .contains("lashes-left", "eye-white-left", "eye-outline-left");
    }

    /** Teeth and tongue keep what the lips hide of them: other mouths show it. */
    @Test
    void teethAndTongueClippedToTheMouthShowThroughIt() throws Exception {
        List<Shape> mouth = read(file("jamal"))
                .part(PartRole.MOUTH)
                .orElseThrow()
                .drawings()
                .get(0)
                .art()
                .shapes();
        assertThat(mouth)
                .extracting(Shape::role)
                .containsExactly(ShapeRole.WINDOW, ShapeRole.UPPER_TEETH, ShapeRole.TONGUE, ShapeRole.OUTLINE);
        assertThat(mouth.subList(1, 3)).allSatisfy(s -> assertThat(s.masked()).isTrue());
        assertThat(mouth.get(2).path().bounds().orElseThrow().maxY()).isGreaterThan(780);
    }
}
