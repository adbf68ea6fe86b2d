package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Muzzles drawn in one layer with what lies on them, and what only looks like one. */
class MuzzlePartingTest {
    private static final Shape PATCH = Shape.filled("", Rigs.ellipse(500, 560, 80, 60), "#e8c49a");
    private static final Shape NOSE = Shape.filled("", Rigs.ellipse(500, 530, 24, 14), "#2a1a14");
    private static final Shape LINES =
            stroke("M500 544 L500 570 M465 570 C475 590 490 590 500 570 C510 590 525 590 535 570");

    private static Shape stroke(String data) {
        Path path = PathReader.read(data).path();
        return Shape.filled("", path, "#000000").painted("", "#2a1a14", 4);
    }

    private static Layer layer(String name, Shape... shapes) {
        return new Layer(
                name,
                false,
                Arrays.stream(shapes).map(s -> (Layer.Node) new Layer.Leaf(s)).toList());
    }

    private static Character hung(Layer... more) {
        Layer[] all = new Layer[more.length + 1];
        all[0] = Rigs.layer("face", Rigs.ellipse(500, 500, 200, 200));
        System.arraycopy(more, 0, all, 1, more.length);
        return Rigs.hung(Rigs.group("", all));
    }

    private static List<PartRole> onFace(Character c) {
        return c.rig().parts().stream()
                .map(Part::role)
                .filter(r -> r != PartRole.HEAD && r != PartRole.FACE)
                .toList();
    }

    @Test
    void noseAndMouthOnAMuzzleArePartsOfTheirOwn() {
        for (String name : List.of("muzzle", "snout", "mouth")) {
            Character c = hung(layer(name, PATCH, NOSE, LINES));
            assertThat(onFace(c)).as(name).containsExactly(PartRole.MUZZLE, PartRole.NOSE, PartRole.MOUTH);
            assertThat(c.origin().notes()).extracting(Note::code).contains("muzzle-parted");
            assertThat(c.voice().mouths().part())
                    .contains(c.part(PartRole.MOUTH).orElseThrow().id());
        }
    }

    @Test
    void aNoseAloneIsPartedFromAMuzzleAndNotFromAMouth() {
        assertThat(onFace(hung(layer("muzzle", PATCH, NOSE)))).containsExactly(PartRole.MUZZLE, PartRole.NOSE);
        // a mole on a mouth is no nose
        assertThat(onFace(hung(layer("mouth", PATCH, NOSE)))).containsExactly(PartRole.MOUTH);
    }

    @Test
    void whatIsThereAlreadyIsNotMadeTwiceAndWhatLiesBetweenStaysBetween() {
        Character twice = hung(layer("muzzle", PATCH, NOSE, LINES), Rigs.layer("nose", Rigs.ellipse(500, 480, 20, 14)));
        assertThat(twice.part(PartRole.MUZZLE)
                        .orElseThrow()
                        .drawings()
                        .get(0)
                        .art()
                        .shapes())
                .hasSize(3);
        // a line, the nose over it, and a line again: taken apart, one of the lines would lie elsewhere in the stack
        Character between = hung(layer("muzzle", PATCH, LINES, NOSE, stroke("M470 580 L530 580")));
        assertThat(onFace(between)).containsExactly(PartRole.MUZZLE);
    }

    /** An open mouth: dark, with teeth and a tongue in it. */
    @Test
    void anOpenMouthIsNoMuzzle() {
        Character c = hung(layer(
                "mouth",
                Shape.filled("", Rigs.ellipse(500, 560, 60, 30), "#501018"),
                Shape.filled("", Rigs.box(460, 536, 80, 12), "#ffffff"),
                Shape.filled("", Rigs.ellipse(500, 576, 30, 12), "#cc5566")));
        assertThat(onFace(c)).containsExactly(PartRole.MOUTH);
    }
}
