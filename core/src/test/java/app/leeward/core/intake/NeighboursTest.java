package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import org.junit.jupiter.api.Test;

/** Art as people name it who have no rig in mind: a head that is a drawing, pieces nobody has a word for. */
class NeighboursTest {
    private static Layer head() {
        return Rigs.layer("Head", Rigs.ellipse(500, 500, 100, 120));
    }

    private static Layer eye(String side, double x) {
        return Rigs.layer("eye white " + side, Rigs.ellipse(x, 480, 20, 15));
    }

    private static Character hung(Layer... layers) {
        return Rigs.hung(Rigs.group("", layers));
    }

    private static String parent(Character c, String part) {
        return c.part(part)
                .orElseThrow()
                .parent()
                .flatMap(c::part)
                .map(Part::name)
                .orElse("nothing");
    }

    @Test
    void whatIsDrawnAsTheHeadIsItsSkinAndCutsWhatLiesOnIt() {
        Character c =
                hung(head(), Rigs.layer("spots", Rigs.ellipse(440, 430, 12, 12)), eye("left", 540), eye("right", 460));
        Part skin = c.part(PartRole.FACE).orElseThrow();
        assertThat(skin.bounds().orElseThrow().width()).isEqualTo(200);
        assertThat(c.part(PartRole.HEAD).orElseThrow().drawings()).isEmpty();
        assertThat(parent(c, skin.id())).isEqualTo("head");
        assertThat(parent(c, "spots")).isEqualTo("head");
        assertThat(c.rig().windows()).anySatisfy(w -> {
            assertThat(w.by()).isEqualTo(skin.id());
            assertThat(w.masked()).contains("eye-white-left");
        });
    }

    @Test
    void shapesKeptBesideTheLayersOfAHeadAreItsSkinWhenAnEyeLiesOnThem() {
        Layer.Node loose =
                Rigs.layer("", Rigs.ellipse(500, 500, 100, 120)).nodes().get(0);
        Layer group = new Layer(
                "head",
                false,
                java.util.List.of(loose, new Layer.Group(eye("left", 540)), new Layer.Group(eye("right", 460))));
        Character c = hung(group);
        assertThat(c.part(PartRole.FACE).orElseThrow().bounds().orElseThrow().height())
                .isEqualTo(240);
        // a face that has its name keeps it
        Character both = hung(Rigs.layer("face skin", Rigs.ellipse(500, 500, 90, 110)), group);
        assertThat(both.part(PartRole.FACE).orElseThrow().bounds().orElseThrow().height())
                .isEqualTo(220);
    }

    @Test
    void whatNobodyKnowsFollowsWhatItLiesOn() {
        Character c = hung(
                Rigs.layer("torso", Rigs.box(400, 680, 200, 200)),
                Rigs.layer("neck", Rigs.box(470, 600, 60, 90)),
                Rigs.layer("ear left", Rigs.ellipse(605, 500, 15, 30)),
                Rigs.layer("bangle left", Rigs.ellipse(608, 540, 6, 6)),
                head(),
                Rigs.layer("wart", Rigs.ellipse(570, 530, 6, 6)),
                Rigs.layer("brooch", Rigs.ellipse(440, 720, 10, 10)),
                Rigs.layer("knot", Rigs.box(460, 640, 80, 30)),
                Rigs.layer("kite", Rigs.box(50, 50, 40, 40)),
                eye("left", 540),
                eye("right", 460));
        assertThat(parent(c, "bangle-left"))
                .as("it hangs on the ear, beside the face")
                .isEqualTo("left ear");
        assertThat(parent(c, "wart"))
                .as("it lies on the face, however near the ear")
                .isEqualTo("head");
        assertThat(parent(c, "brooch")).isEqualTo("torso");
        assertThat(parent(c, "knot")).isEqualTo("neck");
        assertThat(parent(c, "kite")).isEqualTo("nothing");
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("layer-not-recognised"))
                .extracting(Note::message)
                .anyMatch(m -> m.contains("'knot'") && m.endsWith("follows neck."));
    }

    @Test
    void aScarfOverTheHeadIsWornOnItAndOneRoundTheNeckIsNot() {
        Character c = hung(
                Rigs.layer("headscarf back", Rigs.ellipse(500, 520, 140, 180)),
                head(),
                Rigs.layer("headscarf front", Rigs.box(400, 370, 200, 60)),
                eye("left", 540),
                eye("right", 460));
        assertThat(c.part(PartRole.COLLAR)).isEmpty();
        assertThat(c.part(PartRole.CAP).orElseThrow().bounds().orElseThrow().height())
                .isEqualTo(60);
        assertThat(c.part(PartRole.BACK_HAIR)
                        .orElseThrow()
                        .bounds()
                        .orElseThrow()
                        .width())
                .isEqualTo(280);
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("worn-on-head"))
                .hasSize(2);
        Character round =
                hung(head(), Rigs.layer("scarf", Rigs.box(430, 600, 140, 40)), eye("left", 540), eye("right", 460));
        assertThat(round.part(PartRole.COLLAR)).isPresent();
        assertThat(round.part(PartRole.CAP)).isEmpty();
    }

    /** Both halves are to be seen in the file, so both are after it came in. */
    @Test
    void halvesOfABeakAreOneMouthAndTheOpenOneReplacesBoth() {
        Character c = hung(
                head(),
                eye("left", 540),
                eye("right", 460),
                Rigs.layer("lower_beak", Rigs.box(480, 560, 40, 20)),
                Rigs.layer("beak", Rigs.box(470, 540, 60, 25)),
                Rigs.layer("beak_open", Rigs.box(470, 540, 60, 60)).asHidden());
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        assertThat(mouth.drawings()).hasSize(2);
        assertThat(mouth.drawing(mouth.shown()).orElseThrow()).satisfies(d -> {
            assertThat(d.name()).isEqualTo("rest");
            assertThat(d.art().shapes())
                    .extracting(s -> s.role())
                    .containsExactly(ShapeRole.LOWER_BEAK, ShapeRole.UPPER_BEAK);
        });
        assertThat(c.voice().mouths().drawn())
                .containsEntry(Viseme.REST, mouth.shown())
                .containsEntry(Viseme.AH, mouth.drawings().get(1).id());
        assertThat(c.origin().notes()).extracting(Note::code).doesNotContain("mouth-without-sound");
    }

    @Test
    void mouthsNamedForSoundsReplaceEachOtherThoughAllAreToBeSeen() {
        Character c = hung(
                head(),
                eye("left", 540),
                eye("right", 460),
                Rigs.layer("lips closed", Rigs.box(470, 560, 60, 4)),
                Rigs.layer("lips ah", Rigs.box(470, 550, 60, 30)));
        assertThat(c.part(PartRole.MOUTH).orElseThrow().drawings()).hasSize(2);
        Character pieces = hung(
                head(),
                eye("left", 540),
                eye("right", 460),
                Rigs.layer("mouth", Rigs.box(470, 550, 60, 30)),
                Rigs.layer("mouth teeth", Rigs.box(480, 550, 40, 8)));
        assertThat(pieces.part(PartRole.MOUTH).orElseThrow().drawings())
                .singleElement()
                .satisfies(d -> assertThat(d.art().shapes()).hasSize(2));
    }

    @Test
    void wingsAreArms() {
        Character c = hung(
                Rigs.layer("torso", Rigs.box(400, 680, 200, 200)),
                head(),
                eye("left", 540),
                eye("right", 460),
                Rigs.layer("wing_left", Rigs.box(600, 690, 40, 120)),
                Rigs.layer("wing_right", Rigs.box(360, 690, 40, 120)));
        assertThat(c.rig().parts().stream().filter(p -> p.role() == PartRole.UPPER_ARM))
                .hasSize(2)
                .allSatisfy(p -> assertThat(parent(c, p.id())).isEqualTo("torso"));
    }
}
