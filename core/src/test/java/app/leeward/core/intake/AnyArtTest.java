package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Layers as designers leave them: in pieces, in views, mistyped, in other languages, without names. */
class AnyArtTest {
    private static final Layer FACE = Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120));

    private static Layer white(String side, double x) {
        return Rigs.layer("eye white " + side, Rigs.ellipse(x, 490, 24, 20));
    }

    private static Layer dark(String name, Path path) {
        return new Layer(name, false, List.of(new Layer.Leaf(Shape.filled("", path, "#402010"))));
    }

    private static List<Part> of(Character c, PartRole role) {
        return c.rig().parts().stream().filter(p -> p.role() == role).toList();
    }

    private static List<String> shown(Character c, Pose pose) {
        return new Evaluator(c)
                .frame(pose).placed().stream().map(Frame.Placed::part).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Inner Ear L, INNER_EAR, LEFT",
        "ear_inner_l, INNER_EAR, LEFT",
        "Augenbraue links, BROW, LEFT",
        "Paupière supérieure droite, UPPER_LID, RIGHT",
        "oreja izquierda, EAR, LEFT",
        "Körper, TORSO, NONE",
        "lowre lid R, LOWER_LID, RIGHT",
        "Eyebow L, BROW, LEFT",
        "hat bnad, CAP_BAND, NONE",
        "head outline, FACE_LINE, NONE",
        "REarInner, INNER_EAR, RIGHT",
        "blink 2 L, BLINK, LEFT"
    })
    void namesOfFourLanguagesAndSlipsOfTheFingersAreRead(String name, PartRole role, Side side) {
        assertThat(PartNames.read(name)).hasValueSatisfying(n -> {
            assertThat(n.role()).isEqualTo(role);
            assertThat(n.side()).isEqualTo(side);
        });
    }

    @ParameterizedTest
    @CsvSource({"bell", "spots on head", "hear", "bead", "shadow", "head_3 lamp post"})
    void whatOnlyResemblesAWordIsLeftAlone(String name) {
        assertThat(PartNames.read(name).filter(n -> n.role() != PartRole.HEAD)).isEmpty();
    }

    @Test
    void piecesOfOneRoleAreOnePartUnlessSomethingLiesBetweenThem() {
        Layer between = Rigs.layer("lantern", Rigs.box(420, 395, 20, 20));
        Character joined = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.layer("hair", Rigs.box(400, 380, 80, 30)),
                Rigs.layer("hair strand", Rigs.box(420, 385, 9, 30))));
        assertThat(of(joined, PartRole.FRINGE))
                .singleElement()
                .satisfies(p -> assertThat(p.drawings().get(0).art().shapes()).hasSize(2));
        Character hung = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.layer("hair", Rigs.box(400, 380, 80, 30)),
                between,
                Rigs.layer("hair strand", Rigs.box(420, 385, 9, 30))));
        assertThat(of(hung, PartRole.FRINGE)).hasSize(2);
        Part strand = of(hung, PartRole.FRINGE).get(1);
        assertThat(strand.parent()).contains(of(hung, PartRole.FRINGE).get(0).id());
        assertThat(shown(hung, Pose.REST)).contains(strand.id());
        assertThat(hung.rig().order().indexOf(strand.id()))
                .isGreaterThan(hung.rig().order().indexOf("lantern"));
    }

    @Test
    void whatTheFileSaysReplacesEachOtherDoes() {
        Character c = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.group(
                        "hat",
                        Rigs.layer("wool", Rigs.box(420, 340, 160, 60)),
                        Rigs.layer("rain", Rigs.box(420, 340, 170, 60)).asHidden()),
                Rigs.layer("hand L 1", Rigs.box(0, 0, 9, 9)),
                Rigs.layer("hand L 2", Rigs.box(0, 0, 9, 9))));
        assertThat(of(c, PartRole.CAP)).singleElement().satisfies(p -> assertThat(p.drawings())
                .hasSize(2));
        assertThat(of(c, PartRole.HAND)).singleElement().satisfies(p -> assertThat(p.drawings())
                .hasSize(2));
    }

    @Test
    void whatIsHiddenStaysHiddenHoweverDeepItLies() {
        Layer old =
                new Layer("old", true, List.of(new Layer.Group(Rigs.layer("nose", Rigs.ellipse(500, 520, 10, 14)))));
        Layer group = Rigs.group(
                "freckles",
                Rigs.layer("a1", Rigs.box(450, 540, 4, 4)),
                Rigs.layer("a2", Rigs.box(460, 540, 4, 4)),
                Rigs.layer("a3", Rigs.box(470, 540, 4, 4)).asHidden());
        Character c = Rigs.hung(Rigs.group("", FACE, group, old));
        assertThat(shown(c, Pose.REST))
                .doesNotContain(of(c, PartRole.NOSE).get(0).id());
        assertThat(of(c, PartRole.NOSE).get(0).drawings()).hasSize(1);
    }

    @Test
    void aHatsPiecesHangOnItAndABadgeHasNoSide() {
        Character c = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.layer("hat crown", Rigs.box(420, 340, 160, 60)),
                Rigs.layer("hat band", Rigs.box(415, 380, 170, 20)),
                Rigs.layer("hat badge", Rigs.box(440, 360, 10, 10)),
                Rigs.layer("hat ticket", Rigs.box(540, 360, 10, 14)),
                Rigs.layer("hat visor", Rigs.box(440, 395, 120, 15))));
        String cap = of(c, PartRole.CAP).get(0).id();
        for (PartRole role : List.of(PartRole.CAP_BAND, PartRole.CAP_BADGE, PartRole.CAP_PEAK)) {
            assertThat(of(c, role)).isNotEmpty().allSatisfy(p -> {
                assertThat(p.side()).isEqualTo(Side.NONE);
                assertThat(c.rig().follows(p.id(), cap)).isTrue();
            });
        }
    }

    @Test
    void drawingsOfABlinkComeOverTheEyeOneAfterTheOther() {
        Character c = Rigs.hung(Rigs.group(
                "",
                FACE,
                white("L", 540),
                white("R", 460),
                Rigs.layer("blink L 1", Rigs.ellipse(540, 490, 25, 21)).asHidden(),
                Rigs.layer("blink L 2", Rigs.ellipse(540, 490, 25, 21)).asHidden()));
        Part blink = of(c, PartRole.BLINK).get(0);
        assertThat(blink.drawings()).hasSize(2);
        Evaluator e = new Evaluator(c);
        assertThat(e.frame(Pose.REST).of(blink.id())).isEmpty();
        assertThat(e.frame(Pose.of(Map.of("blink", 0.5))).of(blink.id()).map(Frame.Placed::drawing))
                .contains(blink.drawings().get(0).id());
        assertThat(e.frame(Pose.of(Map.of("blink", 1.0))).of(blink.id()).map(Frame.Placed::drawing))
                .contains(blink.drawings().get(1).id());
        // the eye without drawings of its own shuts by its contours
        assertThat(c.origin().notes()).noneMatch(n -> n.code().startsWith("blink-"));
    }

    @Test
    void whatIsDrawnOfALidBeyondItsEyeStaysWhereItWas() {
        Layer lid = dark("upper lid L", Rigs.box(514, 438, 52, 47));
        Character c = Rigs.hung(Rigs.group("", FACE, white("L", 540), white("R", 460), lid));
        Part fold = c.rig().parts().stream()
                .filter(p -> p.name().endsWith("fold"))
                .findFirst()
                .orElseThrow();
        assertThat(fold.pastEdges())
                .containsExactly(c.part(PartRole.WHITE, Side.LEFT).orElseThrow().id());
        Frame rest = new Evaluator(c).frame(Pose.REST);
        Frame shut = new Evaluator(c).frame(Pose.of(Map.of("blink", 1.0)));
        assertThat(shut.of(fold.id()).map(Frame.Placed::matrix))
                .isEqualTo(rest.of(fold.id()).map(Frame.Placed::matrix));
        Layer wide = dark("upper lid L", Rigs.box(490, 380, 100, 100));
        assertThat(Rigs.hung(Rigs.group("", FACE, white("L", 540), white("R", 460), wide))
                        .rig()
                        .parts())
                .as("made to travel behind the eye's edge")
                .noneMatch(p -> p.name().endsWith("fold"));
    }

    @Test
    void theFaceCutsOffNothingThatWasDrawnPastItsEdge() {
        Character c = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.layer("cheek L", Rigs.ellipse(598, 530, 20, 10)),
                Rigs.layer("cheek R", Rigs.ellipse(450, 530, 20, 10))));
        assertThat(c.rig().windows()).singleElement().satisfies(w -> assertThat(w.masked())
                .containsExactly(
                        c.part(PartRole.CHEEK, Side.RIGHT).orElseThrow().id()));
    }

    private static Layer view(String name, String prefix, double x) {
        return Rigs.group(
                name,
                Rigs.layer(prefix + " head", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer(prefix + " eye white near", Rigs.ellipse(x + 30, 490, 24, 20)),
                Rigs.layer(prefix + " eye white far", Rigs.ellipse(x - 30, 490, 18, 20)),
                Rigs.layer(prefix + " nose", Rigs.ellipse(x - 40, 520, 10, 14)),
                Rigs.layer(prefix + " mouth", Rigs.box(x - 20, 559, 40, 2)));
    }

    @Test
    void viewsAreKnownByPlainNamesAndNearAndFarAreSides() {
        Layer front = Rigs.group(
                "front",
                Rigs.layer("front/head", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("front/eye white L", Rigs.ellipse(540, 490, 24, 20)),
                Rigs.layer("front/eye white R", Rigs.ellipse(460, 490, 24, 20)),
                Rigs.layer("front/mouth", Rigs.box(480, 559, 40, 2)));
        Character c =
                Rigs.hung(Rigs.group("", front, view("3-4 left", "3-4 L", 460).asHidden()));
        assertThat(c.controls().views()).isPresent();
        assertThat(of(c, PartRole.VIEW)).hasSize(2);
        assertThat(of(c, PartRole.FACE)).as("a view's head is its skin").hasSize(2);
        Part near = c.rig().parts().stream()
                .filter(p ->
                        p.role() == PartRole.WHITE && p.drawings().get(0).name().contains("near"))
                .findFirst()
                .orElseThrow();
        assertThat(near.side()).as("of a head that looks to the screen's left").isEqualTo(Side.LEFT);
        assertThat(shown(c, Pose.REST)).doesNotContain(near.id());
        assertThat(shown(c, Pose.of(Map.of("turn", -45.0)))).contains(near.id());
    }

    @Test
    void aSingleGroupNamedForADirectionIsNoView() {
        Character c = Rigs.hung(Rigs.group("", Rigs.group("front", FACE, white("L", 540), white("R", 460))));
        assertThat(of(c, PartRole.VIEW)).isEmpty();
        assertThat(of(c, PartRole.WHITE)).hasSize(2);
    }

    private static Layer unnamed(int n, double x, double y, double rx, double ry) {
        return Rigs.layer("Layer " + n, Rigs.ellipse(x, y, rx, ry));
    }

    @Test
    void aFaceWithoutNamesIsFoundByItsPairsAndAHouseIsNone() {
        Layer face = Rigs.group(
                "",
                unnamed(1, 500, 500, 130, 150),
                unnamed(2, 395, 500, 12, 20),
                unnamed(3, 605, 500, 12, 20),
                unnamed(4, 500, 500, 100, 120),
                unnamed(5, 460, 490, 24, 20),
                unnamed(6, 540, 490, 24, 20),
                unnamed(7, 500, 560, 30, 6));
        Character c = Rigs.hung(face);
        assertThat(of(c, PartRole.FACE))
                .singleElement()
                .satisfies(p -> assertThat(p.bounds().orElseThrow().width()).isEqualTo(200));
        assertThat(c.origin().notes()).extracting(Note::code).contains("face-by-place");
        Layer house = Rigs.group(
                "",
                Rigs.layer("wall", Rigs.box(400, 400, 200, 200)),
                Rigs.layer("window one", Rigs.box(430, 450, 40, 40)),
                Rigs.layer("window two", Rigs.box(530, 450, 40, 40)));
        assertThat(Assembler.assemble("House", new Canvas(1000, 1000), 24, house, List.of()))
                .isInstanceOf(IntakeResult.Unusable.class);
    }

    @Test
    void aLayerNamedForASecondTimeIsOneGroup() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.group("head", FACE),
                Rigs.group(
                        "left eye",
                        Rigs.layer("white", Rigs.ellipse(540, 490, 24, 20)),
                        Rigs.layer("pupil", Rigs.ellipse(540, 490, 6, 6))),
                Rigs.group("head_3", Rigs.layer("nose", Rigs.ellipse(500, 520, 10, 14)))));
        assertThat(of(c, PartRole.HEAD)).hasSize(1);
        assertThat(of(c, PartRole.NOSE).get(0).parent())
                .isEqualTo(Optional.of(of(c, PartRole.HEAD).get(0).id()));
    }

    @Test
    void mouthsLaidOutBesideTheFigureComeOntoTheirPlace() {
        Character c = Rigs.hung(Rigs.group(
                "",
                FACE,
                Rigs.layer("mouth rest", Rigs.box(480, 559, 40, 2)),
                Rigs.layer("mouth A", Rigs.box(700, 200, 36, 20)),
                Rigs.layer("mouth O", Rigs.box(490, 552, 20, 20))));
        Part mouth = of(c, PartRole.MOUTH).get(0);
        assertThat(mouth.drawings()).hasSize(3);
        assertThat(mouth.drawings().get(1).art().bounds().orElseThrow().centre().x())
                .isEqualTo(500);
        assertThat(mouth.drawings().get(1).art().bounds().orElseThrow().minY()).isEqualTo(556);
        assertThat(mouth.drawings().get(2).art().bounds().orElseThrow().minY())
                .as("where it was drawn")
                .isEqualTo(552);
        assertThat(c.origin().notes()).extracting(Note::code).contains("laid-out");
    }
}
