package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Eyes drawn in one layer, as whoever draws for print does. */
class EyePartingTest {
    private static Shape filled(Path path, String colour) {
        return new Shape("", ShapeRole.OTHER, path, Paint.flat(colour), FillRule.NONZERO, Stroke.NONE, 1, false);
    }

    private static List<Shape> eye(double x, double pupilBeside) {
        return List.of(
                filled(Rigs.ellipse(x, 480, 24, 26), "#ffffff"),
                filled(Rigs.ellipse(x + pupilBeside, 484, 14, 14), "#3a8f5a"),
                filled(Rigs.ellipse(x + pupilBeside, 484, 7, 7), "#1a1008"),
                filled(Rigs.ellipse(x + pupilBeside + 3, 480, 3, 3), "#ffffff"));
    }

    private static Layer layer(String name, List<Shape> shapes) {
        return new Layer(
                name,
                false,
                shapes.stream().map(Layer.Leaf::new).map(Layer.Node.class::cast).toList());
    }

    private static Character hung(Layer... eyes) {
        List<Layer> all = new ArrayList<>(List.of(Rigs.layer("head", Rigs.ellipse(500, 500, 100, 120))));
        all.addAll(List.of(eyes));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static List<Part> of(Character c, PartRole role) {
        return c.rig().parts().stream().filter(p -> p.role() == role).toList();
    }

    /** How many shapes there are besides the line of the shut eye, which is made. */
    private static int shapes(Character c) {
        return c.rig().parts().stream()
                .filter(p -> p.role() != PartRole.LASHES)
                .flatMap(p -> p.drawings().stream())
                .mapToInt(d -> d.art().shapes().size())
                .sum();
    }

    @Test
    void anEyeOfOneLayerIsTakenToPiecesAndLooksAboutAndShuts() {
        Character c = hung(layer("left eye", eye(545, 0)), layer("right eye", eye(455, 0)));
        for (PartRole role : List.of(PartRole.EYE, PartRole.WHITE, PartRole.IRIS, PartRole.PUPIL, PartRole.HIGHLIGHT)) {
            assertThat(of(c, role))
                    .as(role.words())
                    .hasSize(2)
                    .extracting(Part::side)
                    .containsOnlyOnce(Side.LEFT, Side.RIGHT);
        }
        assertThat(shapes(c)).as("nothing is lost").isEqualTo(1 + 2 * 4);
        assertThat(c.rig().order().stream().filter(id -> id.endsWith("left")).toList())
                .as("painted in the order it was drawn in")
                .containsSubsequence("eye-white-left", "iris-left", "pupil-left", "highlight-left");
        assertThat(c.dial(GazeMaker.ACROSS)).isPresent();
        assertThat(c.dial(BlinkMaker.DIAL)).isPresent();
        assertThat(c.rig().windows()).anySatisfy(w -> assertThat(w.masked()).contains("iris-left", "pupil-left"));
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("eye-parted"))
                .extracting(Note::message)
                .contains(
                        "'left eye' was drawn in one layer; it was taken to pieces: eye white, iris, pupil, highlight.");
    }

    @Test
    void bothEyesOfOneLayerAreTwo() {
        Character c = hung(layer(
                "eyes",
                Stream.concat(eye(545, 0).stream(), eye(455, 0).stream()).toList()));
        assertThat(of(c, PartRole.WHITE)).hasSize(2);
        Part right = of(c, PartRole.WHITE).stream()
                .filter(p -> p.side() == Side.RIGHT)
                .findFirst()
                .orElseThrow();
        assertThat(right.bounds().orElseThrow().centre().x())
                .as("the character's right is the screen's left")
                .isLessThan(500);
        assertThat(shapes(c)).isEqualTo(9);
    }

    /** Masked by the white it would lose what shows now. */
    @Test
    void whatReachesOverTheWhiteOrCannotBeToldStaysAsItWasDrawn() {
        Character over = hung(layer("left eye", eye(545, 18)), layer("right eye", eye(455, 0)));
        assertThat(of(over, PartRole.WHITE)).extracting(Part::side).containsExactly(Side.RIGHT);
        assertThat(shapes(over)).isEqualTo(9);
    }

    /** A bag under the eye, paint on the lid: it stays when the eye shuts. */
    @Test
    void whatLooksOutFromBehindTheWhiteIsAPieceOfTheEye() {
        List<Shape> bag = new ArrayList<>(eye(545, 0));
        bag.add(0, filled(Rigs.ellipse(545, 512, 30, 8), "#c08080"));
        Character c = hung(layer("left eye", bag));
        assertThat(of(c, PartRole.WHITE)).hasSize(1);
        Part paint = c.rig().parts().stream()
                .filter(p -> p.name().equals("left eye paint"))
                .findFirst()
                .orElseThrow();
        assertThat(paint.parent()).contains("eye-left");
        assertThat(c.rig().order().indexOf(paint.id()))
                .isLessThan(c.rig().order().indexOf(of(c, PartRole.WHITE).get(0).id()));
        assertThat(c.rig().windows())
                .noneMatch(w -> w.by().equals("eye-white-left") && w.masked().contains(paint.id()));
        assertThat(shapes(c)).isEqualTo(1 + 5);
    }

    @Test
    void aDarkEyeOfOnePatchIsADotThatLooksAbout() {
        Character c = hung(
                layer("eye L", List.of(filled(Rigs.ellipse(540, 480, 8, 10), "#20140c"))),
                layer("eye R", List.of(filled(Rigs.ellipse(460, 480, 8, 10), "#20140c"))));
        assertThat(of(c, PartRole.PUPIL)).hasSize(2);
        assertThat(c.dial(GazeMaker.ACROSS)).isPresent();
        assertThat(c.dial(BlinkMaker.DIAL)).isPresent();
    }

    @Test
    void aPatchOverAnEyeIsNoEye() {
        Character c = hung(
                Rigs.layer("patch over eye", Rigs.ellipse(545, 480, 40, 40)),
                layer("left eye", eye(545, 0)),
                layer("right eye", eye(455, 0)));
        assertThat(c.part("patch-over-eye").orElseThrow().role()).isEqualTo(PartRole.OTHER);
        assertThat(c.part("patch-over-eye").orElseThrow().parent()).contains("head");
        for (String name : List.of("eye patch", "Eye bags", "eye_shadow L")) {
            assertThat(PartNames.read(name)).as(name).isEmpty();
        }
    }

    @Test
    void bothEarsOfOneLayerAreTwoAndAPieceAcrossTheFaceIsOne() {
        List<Shape> ears = List.of(
                filled(Rigs.ellipse(395, 490, 14, 26), "#e0a070"), filled(Rigs.ellipse(605, 490, 14, 26), "#e0a070"));
        Character c = hung(layer("Ears", ears), Rigs.layer("earring", Rigs.ellipse(391, 524, 5, 5)));
        assertThat(of(c, PartRole.EAR)).hasSize(2);
        Part right = of(c, PartRole.EAR).stream()
                .filter(p -> p.side() == Side.RIGHT)
                .findFirst()
                .orElseThrow();
        assertThat(right.bounds().orElseThrow().centre().x()).isEqualTo(395);
        assertThat(c.part("earring").orElseThrow().parent()).contains(right.id());
        assertThat(c.origin().notes()).extracting(Note::code).contains("pair-parted");
        Character one = hung(Rigs.layer("brow", Rigs.ellipse(500, 440, 60, 8)));
        assertThat(of(one, PartRole.BROW)).singleElement().satisfies(p -> assertThat(p.side())
                .isEqualTo(Side.NONE));
        Character odd = hung(layer(
                "ears",
                List.of(
                        filled(Rigs.ellipse(395, 490, 14, 26), "#e0a070"),
                        filled(Rigs.ellipse(605, 400, 14, 60), "#e0a070"))));
        assertThat(of(odd, PartRole.EAR)).as("not alike").hasSize(1);
    }
}
