package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Layers of an eye that the file clips to its white. */
class EyeClipsTest {
    private static final Path WHITE_LEFT = Rigs.ellipse(545, 480, 24, 16);
    private static final Path WHITE_RIGHT = Rigs.ellipse(455, 480, 24, 16);

    private static Layer layer(String name, Shape... shapes) {
        return new Layer(
                name,
                false,
                List.of(shapes).stream()
                        .map(Layer.Leaf::new)
                        .map(Layer.Node.class::cast)
                        .toList());
    }

    private static Shape patch(Path path, String colour, double opacity, Path... clips) {
        return new Shape(
                "",
                ShapeRole.OTHER,
                path,
                Paint.flat(colour),
                FillRule.NONZERO,
                Stroke.NONE,
                opacity,
                false,
                List.of(clips).stream().map(c -> new Clip(c, FillRule.NONZERO)).toList());
    }

    private static Character hung(Layer... pieces) {
        List<Layer> all = new ArrayList<>(List.of(
                Rigs.layer("head", Rigs.ellipse(500, 500, 100, 120)),
                layer("left eye white", patch(WHITE_LEFT, "#ffffff", 1)),
                layer("right eye white", patch(WHITE_RIGHT, "#ffffff", 1))));
        all.addAll(List.of(pieces));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static List<String> maskedByWhite(Character c, String white) {
        return c.rig().windows().stream()
                .filter(w -> w.by().equals(white))
                .map(Window::masked)
                .flatMap(List::stream)
                .toList();
    }

    private static List<Clip> clips(Character c, String part) {
        return c.part(part).orElseThrow().drawings().get(0).art().shapes().stream()
                .flatMap(s -> s.clips().stream())
                .toList();
    }

    @Test
    void thePupilsOfBothEyesUnderOneClipAreMaskedByEitherWhite() {
        List<Segment> both = new ArrayList<>(WHITE_LEFT.segments());
        both.addAll(WHITE_RIGHT.segments());
        Path clip = new Path(both);
        Character c = hung(layer(
                "pupils",
                patch(Rigs.ellipse(455, 474, 12, 12), "#101010", 1, clip),
                patch(Rigs.ellipse(545, 474, 12, 12), "#101010", 1, clip)));
        for (String side : List.of("left", "right")) {
            assertThat(clips(c, "pupil-" + side)).isEmpty();
            assertThat(maskedByWhite(c, "eye-white-" + side)).contains("pupil-" + side);
        }
    }

    /** A lid the file cuts shows nothing past the white: it has no fold there. */
    @Test
    void aLidThatIsCutHasNoFold() {
        Path lid = Rigs.box(518, 455, 54, 14);
        Character cut = hung(layer("left upper lid", patch(lid, "#704020", 1, WHITE_LEFT)));
        assertThat(cut.part("upper-lid-left").orElseThrow().role()).isEqualTo(PartRole.UPPER_LID);
        assertThat(clips(cut, "upper-lid-left")).isEmpty();
        assertThat(cut.rig().parts()).extracting(Part::name).noneMatch(n -> n.endsWith("fold"));
        Character whole = hung(layer("left upper lid", patch(lid, "#704020", 1)));
        assertThat(whole.rig().parts()).extracting(Part::name).anyMatch(n -> n.endsWith("fold"));
    }

    /** What is seen through cannot shut an eye, whatever it is called. */
    @Test
    void aShadeOfTheLidIsMaskedAndGoesWithTheEye() {
        Character c = hung(
                layer("left pupil", patch(Rigs.ellipse(545, 480, 10, 10), "#101010", 1)),
                layer("left lid shadow", patch(Rigs.box(518, 455, 54, 14), "#000000", 0.2, WHITE_LEFT)));
        Part shade = c.rig().parts().stream()
                .filter(p -> p.name().contains("shadow"))
                .findFirst()
                .orElseThrow();
        assertThat(shade.role()).isEqualTo(PartRole.OTHER);
        assertThat(shade.parent().flatMap(c::part).map(Part::role)).contains(PartRole.EYE);
        assertThat(maskedByWhite(c, "eye-white-left")).contains(shade.id());
        assertThat(clips(c, shade.id())).isEmpty();
        assertThat(c.origin().notes()).anySatisfy(n -> assertThat(n.message())
                .isEqualTo("'" + shade.name() + "' is clipped to the left eye white: it is masked by it."));
    }

    /** Also where nothing else is masked by the white. */
    @Test
    void aShadeAloneInAWhiteIsMaskedByIt() {
        Character c = hung(layer("left shading", patch(Rigs.box(518, 455, 54, 14), "#000000", 0.2, WHITE_LEFT)));
        Part shade = c.rig().parts().stream()
                .filter(p -> p.name().contains("shading"))
                .findFirst()
                .orElseThrow();
        assertThat(clips(c, shade.id())).isEmpty();
        assertThat(maskedByWhite(c, "eye-white-left")).containsExactly(shade.id());
    }

    @Test
    void aClipThatIsNotTheWhitesStays() {
        Character c = hung(
                layer("left pupil", patch(Rigs.ellipse(545, 480, 12, 12), "#101010", 1, Rigs.box(530, 470, 30, 8))));
        assertThat(clips(c, "pupil-left")).hasSize(1);
    }
}
