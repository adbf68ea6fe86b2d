package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Mouths as people draw them who do not know that they will be taken to pieces. */
class MouthPiecesTest {
    private static final Path HOLE = Rigs.ellipse(500, 560, 40, 20);
    private static final Path TOP = Rigs.box(470, 544, 60, 8);
    private static final Path BOTTOM = Rigs.box(475, 570, 50, 6);
    private static final Path LICK = Rigs.ellipse(500, 570, 22, 8);

    private static Layer layer(String name, Shape... shapes) {
        return new Layer(
                name,
                false,
                Stream.of(shapes)
                        .map(Layer.Leaf::new)
                        .map(Layer.Node.class::cast)
                        .toList());
    }

    private static Layer filled(String name, Path path, String colour) {
        return layer(name, Shape.filled("path4711", path, colour));
    }

    private static Character hung(Layer... more) {
        List<Layer> all = new ArrayList<>();
        all.add(Rigs.layer("head", Rigs.ellipse(500, 500, 100, 120)));
        all.add(Rigs.layer("eye white left", Rigs.ellipse(540, 480, 20, 15)));
        all.add(Rigs.layer("eye white right", Rigs.ellipse(460, 480, 20, 15)));
        all.addAll(List.of(more));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static List<ShapeRole> roles(Character c) {
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        assertThat(mouth.drawings()).hasSize(1);
        return mouth.drawings().get(0).art().shapes().stream().map(Shape::role).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "mouth, upper teeth, lower teeth, tongue",
        "Mund, Zähne oben, Zähne unten, Zunge",
        "bouche, dents supérieures, dents inférieures, langue",
        "boca, dientes superiores, dientes inferiores, lengua"
    })
    void teethAndTongueInLayersOfTheirOwnArePiecesOfTheMouth(String mouth, String upper, String lower, String tongue) {
        Character c = hung(
                filled(mouth, HOLE, "#501018"),
                filled(tongue, LICK, "#cc5566"),
                filled(upper, TOP, "#ffffff"),
                filled(lower, BOTTOM, "#ffffff"));
        assertThat(roles(c).subList(1, 4))
                .containsExactly(ShapeRole.TONGUE, ShapeRole.UPPER_TEETH, ShapeRole.LOWER_TEETH);
        assertThat(c.rig().parts()).extracting(Part::role).doesNotContain(PartRole.OTHER);
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("mouth-piece"))
                .extracting(Note::place)
                .containsExactlyInAnyOrder(tongue, upper, lower);
    }

    @Test
    void theOrderOfPaintingIsKept() {
        Character c = hung(
                filled("tongue", LICK, "#cc5566"),
                filled("teeth upper", TOP, "#ffffff"),
                filled("mouth", HOLE, "#501018"),
                filled("upper lip", Rigs.box(455, 535, 90, 12), "#aa3344"));
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        assertThat(mouth.drawings().get(0).art().shapes())
                .extracting(Shape::path)
                .containsExactly(LICK, TOP, HOLE, Rigs.box(455, 535, 90, 12));
    }

    @Test
    void whatHasSomethingPaintedBetweenStaysAPartAndFollowsTheMouth() {
        Character c = hung(
                filled("mouth", HOLE, "#501018"),
                filled("moustache", Rigs.box(450, 535, 100, 20), "#302010"),
                filled("teeth upper", TOP, "#ffffff"));
        assertThat(c.part("teeth-upper").orElseThrow().parent()).contains("mouth");
        assertThat(roles(c)).hasSize(1);
    }

    @Test
    void whatIsWornOnALipIsNoPieceOfTheMouth() {
        Character c =
                hung(filled("mouth", HOLE, "#501018"), filled("lip ring", Rigs.ellipse(510, 580, 5, 5), "#c0c0c0"));
        assertThat(roles(c)).hasSize(1);
        assertThat(c.part("lip-ring").orElseThrow().role()).isEqualTo(PartRole.OTHER);
    }

    @Test
    void teethBesideASetOfMouthsStayAPart() {
        Character c = hung(
                Rigs.group(
                        "mouth", filled("A", HOLE, "#501018"), filled("O", Rigs.ellipse(500, 560, 20, 20), "#501018")),
                filled("teeth upper", TOP, "#ffffff"));
        assertThat(c.part(PartRole.MOUTH).orElseThrow().drawings()).hasSize(2);
        assertThat(c.part("teeth-upper").orElseThrow().parent()).contains("mouth");
    }

    @Test
    void layersNobodyNamedAreTeethAndATongueWhereTheyLookLikeThem() {
        Character c = hung(
                filled("mouth", HOLE, "#501018"),
                filled("Layer 12", LICK, "#cc5566"),
                filled("Layer 13", TOP, "#ffffff"),
                filled("Layer 14", Rigs.box(480, 590, 40, 4), "#ffffff"));
        assertThat(roles(c)).containsExactly(ShapeRole.WINDOW, ShapeRole.TONGUE, ShapeRole.UPPER_TEETH);
        assertThat(c.part("layer-14")).as("it lies outside the mouth").isPresent();
    }

    @Test
    void aSmileIsTheMouthAndAJerseyTheTorsoWhereNothingElseIs() {
        Character c = hung(filled("Jersey", Rigs.box(420, 640, 160, 200), "#e6b422"), filled("Smile", HOLE, "#501018"));
        assertThat(c.part(PartRole.MOUTH)).isPresent();
        assertThat(c.part(PartRole.HEAD).orElseThrow().parent())
                .contains(c.part(PartRole.TORSO).orElseThrow().id());
        Character both = hung(filled("mouth", HOLE, "#501018"), filled("smile lines", BOTTOM, "#301010"));
        assertThat(both.part("smile-lines").orElseThrow().role()).isEqualTo(PartRole.OTHER);
        Character dressed = hung(
                filled("torso", Rigs.box(420, 640, 160, 200), "#e6b422"),
                filled("jumper", Rigs.box(425, 645, 150, 100), "#22b4e6"),
                filled("mouth", HOLE, "#501018"));
        assertThat(dressed.part("jumper").orElseThrow().role()).isEqualTo(PartRole.OTHER);
    }

    /** Nearly nobody names the paths in a mouth. */
    @Test
    void shapesWithoutNamesAreToldByColourAndPlace() {
        List<Shape> all = ShapeNames.withRoles(List.of(
                Shape.filled("a", Rigs.ellipse(500, 560, 52, 32), "#c05560"),
                Shape.filled("b", HOLE, "#501018"),
                Shape.filled("c", TOP, "#fdfaf0"),
                Shape.filled("d", BOTTOM, "#ffffff"),
                Shape.filled("e", LICK, "#cc5566"),
                Shape.filled("f", Rigs.ellipse(520, 548, 3, 2), "#ffffff")));
        assertThat(all)
                .extracting(Shape::role)
                .containsExactly(
                        ShapeRole.LIPS,
                        ShapeRole.WINDOW,
                        ShapeRole.UPPER_TEETH,
                        ShapeRole.LOWER_TEETH,
                        ShapeRole.TONGUE,
                        ShapeRole.OTHER);
        assertThat(all).as("what is seen does not change").noneMatch(Shape::masked);
    }

    @Test
    void whereNothingLooksLikeAnOpeningNothingIsGuessed() {
        List<Shape> light = List.of(Shape.filled("a", HOLE, "#e0b0a0"), Shape.filled("b", TOP, "#ffffff"));
        assertThat(ShapeNames.withRoles(light)).extracting(Shape::role).containsOnly(ShapeRole.OTHER);
        List<Shape> alone = List.of(Shape.filled("a", HOLE, "#501018"));
        assertThat(ShapeNames.withRoles(alone)).extracting(Shape::role).containsOnly(ShapeRole.OTHER);
    }
}
