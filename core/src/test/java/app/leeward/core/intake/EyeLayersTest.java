package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Layers at eyes that are called by no word of the trade. */
class EyeLayersTest {
    private static Layer filled(String name, Path path, String colour) {
        return new Layer(name, false, List.of(new Layer.Leaf(Shape.filled("", path, colour))));
    }

    private static Character hung(Layer... more) {
        List<Layer> all = new ArrayList<>(List.of(filled("head", Rigs.ellipse(500, 500, 100, 120), "#55aa55")));
        all.addAll(List.of(more));
        all.add(filled("mouth", Rigs.ellipse(500, 560, 30, 8), "#501018"));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static Part only(Character c, PartRole role) {
        List<Part> all = c.rig().parts().stream().filter(p -> p.role() == role).toList();
        assertThat(all).as(role.words()).hasSize(1);
        return all.get(0);
    }

    @Test
    void aWhitePatchCalledEyeWithAPupilOnItIsTheWhite() {
        Character c = hung(
                filled("eye L", Rigs.ellipse(540, 480, 22, 16), "#ffffff"),
                filled("pupil L", Rigs.ellipse(540, 480, 7, 7), "#101010"));
        assertThat(only(c, PartRole.EYE).drawings()).isEmpty();
        assertThat(only(c, PartRole.WHITE).side()).isEqualTo(Side.LEFT);
        assertThat(only(c, PartRole.WHITE).parent())
                .contains(only(c, PartRole.EYE).id());
        assertThat(c.rig().windows()).anySatisfy(w -> assertThat(w.masked())
                .contains(only(c, PartRole.PUPIL).id()));
        assertThat(c.origin().notes()).extracting(Note::code).doesNotContain("blink-squashed");
        assertThat(c.dial(BlinkMaker.DIAL)).isPresent();
    }

    @Test
    void aColouredPatchCalledEyeIsNoWhite() {
        Character c = hung(
                filled("eye L", Rigs.ellipse(540, 480, 22, 16), "#c02020"),
                filled("pupil L", Rigs.ellipse(540, 480, 7, 7), "#101010"));
        assertThat(c.part(PartRole.WHITE)).isEmpty();
        assertThat(only(c, PartRole.EYE).drawings()).hasSize(1);
    }

    @Test
    void theBumpAnEyeSitsInStaysWhenItShutsAndGoesWhereItGoes() {
        Character c = hung(
                filled("left eye bump", Rigs.ellipse(560, 390, 40, 40), "#55aa55"),
                filled("left eye", Rigs.ellipse(560, 388, 28, 28), "#f8f4d8"),
                filled("left pupil", Rigs.ellipse(560, 388, 10, 6), "#101010"));
        Part bump = c.part("left-eye-bump").orElseThrow();
        assertThat(bump.role()).isEqualTo(PartRole.OTHER);
        assertThat(bump.parent()).contains(only(c, PartRole.EYE).id());
        assertThat(only(c, PartRole.WHITE).bounds().orElseThrow().width()).isEqualTo(56);
        assertThat(c.rig().order())
                .containsSubsequence(
                        bump.id(),
                        only(c, PartRole.WHITE).id(),
                        only(c, PartRole.PUPIL).id());
        assertThat(c.origin().notes()).extracting(Note::code).contains("eye-socket");
    }

    @Test
    void whatShinesInAWhiteIsAHighlightAndWhatLiesOnAnIrisAPieceOfIt() {
        Character c = hung(
                filled("eye white L", Rigs.ellipse(540, 480, 24, 20), "#ffffff"),
                filled("iris L", Rigs.ellipse(540, 480, 14, 14), "#4080c0"),
                filled("Schimmer", Rigs.ellipse(540, 488, 8, 4), "#80b0e0"),
                filled("pupil L", Rigs.ellipse(540, 480, 6, 6), "#101010"),
                filled("Tupfen", Rigs.ellipse(545, 474, 3, 3), "#ffffff"),
                filled("wart", Rigs.ellipse(440, 540, 5, 5), "#ffffff"));
        assertThat(only(c, PartRole.HIGHLIGHT).side()).isEqualTo(Side.LEFT);
        List<Part> irises =
                c.rig().parts().stream().filter(p -> p.role() == PartRole.IRIS).toList();
        assertThat(irises).hasSize(2);
        assertThat(irises.get(1).parent()).contains(irises.get(0).id());
        assertThat(c.part("wart").orElseThrow().role()).as("it lies in no eye").isEqualTo(PartRole.OTHER);
        assertThat(c.origin().notes())
                .filteredOn(n -> n.code().equals("eye-piece"))
                .extracting(Note::place)
                .containsExactlyInAnyOrder("Schimmer", "Tupfen");
    }
}
