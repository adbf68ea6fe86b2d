package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Window;
import java.util.List;
import org.junit.jupiter.api.Test;

class AssemblerTest {
    private static final Character PLAIN = Rigs.hung(Rigs.face());

    private static Part part(Character c, String id) {
        return c.part(id)
                .orElseThrow(() -> new AssertionError(id + " of " + c.rig().order()));
    }

    @Test
    void hangsByRoleWhateverTheFileNested() {
        assertThat(part(PLAIN, "pupil-left").parent()).contains("eye-left");
        assertThat(part(PLAIN, "eye-left").parent()).contains("head");
        assertThat(part(PLAIN, "back-hair").parent()).contains("head");
        assertThat(part(PLAIN, "head").parent()).contains("neck");
        assertThat(part(PLAIN, "neck").parent()).contains("torso");
    }

    @Test
    void stacksAsPaintedSoBackHairLiesBehindTheBody() {
        List<String> order = PLAIN.rig().order();
        assertThat(order.indexOf("back-hair")).isLessThan(order.indexOf("torso"));
        assertThat(order.indexOf("face-skin")).isLessThan(order.indexOf("eye-white-left"));
        assertThat(order.indexOf("pupil-left")).isLessThan(order.indexOf("upper-lid-left"));
    }

    @Test
    void pivotsLieWhereTheTradePutsThem() {
        assertThat(part(PLAIN, "brow-left").pivot()).as("outer corner").isEqualTo(new Point(560, 458));
        assertThat(part(PLAIN, "brow-right").pivot()).isEqualTo(new Point(440, 458));
        assertThat(part(PLAIN, "pupil-left").pivot()).as("centre").isEqualTo(new Point(540, 490));
        assertThat(part(PLAIN, "eye-left").pivot()).as("bottom edge").isEqualTo(new Point(540, 510));
    }

    @Test
    void whitesMaskTheirOwnEyeAndTheFaceCutsFeaturesButNotTheNose() {
        Window white = PLAIN.rig().windows().stream()
                .filter(w -> w.by().equals("eye-white-left"))
                .findFirst()
                .orElseThrow();
        assertThat(white.masked())
                .containsExactlyInAnyOrder("iris-left", "pupil-left", "upper-lid-left", "lower-lid-left");
        Window face = PLAIN.rig().windows().stream()
                .filter(w -> w.by().equals("face-skin"))
                .findFirst()
                .orElseThrow();
        assertThat(face.masked()).contains("mouth", "eye-white-left").doesNotContain("nose", "ear-left");
    }

    @Test
    void aBeakOpensPastTheFaceAndIsNotCutByIt() {
        Layer beak = Rigs.group(
                "beak",
                Rigs.layer("upper beak", Rigs.box(470, 540, 60, 30)),
                Rigs.layer("lower beak", Rigs.box(475, 565, 50, 20)));
        Layer mouth = Rigs.group("mouth", Rigs.group("closed", beak));
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("freckles", Rigs.ellipse(460, 540, 9, 9)),
                mouth));
        assertThat(part(c, "mouth").drawings().get(0).art().shapes())
                .extracting(s -> s.role())
                .contains(app.leeward.core.art.ShapeRole.UPPER_BEAK);
        assertThat(c.rig().windows())
                .filteredOn(w -> w.by().equals("face-skin"))
                .allSatisfy(w -> assertThat(w.masked()).doesNotContain("mouth"));
    }

    @Test
    void aMouthNamedForASoundThatHasOneSaysWhichServes() {
        Layer mouths = Rigs.group(
                "mouth",
                Rigs.layer("ah", Rigs.ellipse(500, 560, 20, 10)),
                Rigs.layer("oh", Rigs.ellipse(500, 560, 12, 12)),
                Rigs.layer("open", Rigs.ellipse(500, 560, 30, 20)));
        Character c = Rigs.hung(Rigs.group("", Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)), mouths));
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("mouth-twice"))
                .singleElement()
                .satisfies(n -> {
                    assertThat(n.place()).isEqualTo("open");
                    assertThat(n.message()).contains("'ah' serves it");
                });
        assertThat(part(c, "mouth").drawings()).hasSize(3);
    }

    @Test
    void everyLayerIsKeptAndTheStrangeOnesAreListed() {
        Layer odd = Rigs.group(
                "", Rigs.face(), Rigs.layer("lantern", Rigs.box(10, 10, 5, 5)), Rigs.layer("", Rigs.box(0, 0, 3, 3)));
        Character c = Rigs.hung(odd);
        assertThat(c.origin().notes()).extracting(Note::place).contains("lantern", "unnamed layer");
        assertThat(part(c, "lantern").role()).isEqualTo(PartRole.OTHER);
        assertThat(c.rig().parts().stream().mapToInt(p -> p.drawings().size()).sum())
                .isEqualTo(PLAIN.rig().parts().stream()
                                .mapToInt(p -> p.drawings().size())
                                .sum()
                        + 2);
    }

    @Test
    void whatLiesOnTheFaceGoesWithTheHeadWhateverItIs() {
        Character c = Rigs.hung(Rigs.group("", Rigs.face(), Rigs.layer("scar", Rigs.ellipse(560, 515, 4, 4))));
        assertThat(part(c, "scar").parent()).contains("head");
        assertThat(c.origin().notes()).extracting(Note::message).anySatisfy(s -> assertThat(s)
                .endsWith("follows head."));
        assertThat(c.dial("turn").orElseThrow().effects())
                .extracting(e -> e.part())
                .contains("scar");
    }

    @Test
    void aFileThatMeansTheScreensLeftIsTurnedAndSaysSo() {
        Layer swapped = Rigs.group(
                "",
                Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("pupil left", Rigs.ellipse(460, 490, 5, 5)),
                Rigs.layer("pupil right", Rigs.ellipse(540, 490, 5, 5)));
        Character c = Rigs.hung(swapped);
        assertThat(c.origin().notes()).extracting(Note::code).contains("sides-turned");
        assertThat(c.part(PartRole.PUPIL, Side.LEFT).orElseThrow().pivot().x()).isEqualTo(540);
    }

    @Test
    void twinsWithoutASideGetTheirs() {
        Layer twins = Rigs.group(
                "",
                Rigs.layer("head", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("ear", Rigs.ellipse(390, 500, 9, 9)),
                Rigs.layer("ear", Rigs.ellipse(610, 500, 9, 9)));
        Character c = Rigs.hung(twins);
        assertThat(c.part(PartRole.EAR, Side.LEFT)
                        .orElseThrow()
                        .bounds()
                        .orElseThrow()
                        .centre()
                        .x())
                .isEqualTo(610);
        assertThat(c.part(PartRole.EAR, Side.RIGHT)).isPresent();
    }

    @Test
    void drawingsComeFromSubgroupsAndFromNumberedLayers() {
        assertThat(part(PLAIN, "mouth").drawings()).hasSize(3);
        assertThat(PLAIN.voice().mouths().drawn())
                .containsEntry(Viseme.PBM, "m-b-p")
                .containsEntry(Viseme.AH, "ah");
        Layer hands = Rigs.group(
                "",
                Rigs.layer("head", Rigs.ellipse(500, 500, 90, 90)),
                Rigs.layer("hand L fist", Rigs.box(0, 0, 9, 9)),
                Rigs.layer("hand L open", Rigs.box(0, 0, 9, 9)));
        assertThat(part(Rigs.hung(hands), "hand-left").drawings()).hasSize(2);
    }

    @Test
    void piecesOfOneMouthAreShapesWithRolesNotDrawings() {
        Layer mouth = Rigs.group(
                "mouth",
                Rigs.layer("window", Rigs.ellipse(500, 560, 20, 10)),
                Rigs.layer("tongue", Rigs.ellipse(500, 566, 12, 6)),
                Rigs.layer("upper teeth", Rigs.box(485, 550, 30, 5)),
                Rigs.layer("outline", Rigs.ellipse(500, 560, 20, 10)));
        Character c = Rigs.hung(Rigs.group("", Rigs.layer("face", Rigs.ellipse(500, 500, 90, 90)), mouth));
        assertThat(part(c, "mouth").drawings()).hasSize(1);
        assertThat(part(c, "mouth").drawings().get(0).art().shapes())
                .filteredOn(s -> s.masked())
                .extracting(s -> s.role().name())
                .containsExactly("TONGUE", "UPPER_TEETH");
    }

    @Test
    void whatIsNoFaceIsRefusedWithWhatWouldHelp() {
        IntakeResult house = Assembler.assemble(
                "x", new Canvas(9, 9), 24, Rigs.group("", Rigs.layer("roof", Rigs.box(0, 0, 5, 5))), List.of());
        assertThat(house).isInstanceOfSatisfying(IntakeResult.Unusable.class, u -> {
            assertThat(u.code()).isEqualTo("no-face");
            assertThat(u.message()).contains("name at least one");
        });
        assertThat(Assembler.assemble("x", new Canvas(9, 9), 24, Rigs.group(""), List.of()))
                .isInstanceOfSatisfying(
                        IntakeResult.Unusable.class, u -> assertThat(u.code()).isEqualTo("art-empty"));
    }
}
