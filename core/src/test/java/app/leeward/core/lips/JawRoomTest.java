package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A face of 200 by 240 about (500, 500): its chin is at 620. */
class JawRoomTest {
    private static Character face(double half) {
        return Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("white left", Rigs.ellipse(540, 480, 20, 15)),
                Rigs.layer("white right", Rigs.ellipse(460, 480, 20, 15)),
                Rigs.lined("mouth", Rigs.box(500 - half, 559, 2 * half, 2))));
    }

    @ParameterizedTest
    @ValueSource(doubles = {20, 45, 70, 90})
    void noMouthOpensPastTheChin(double half) {
        Character c = face(half);
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        Artwork start = mouth.drawings().get(0).art();
        assertThat(JawRoom.chin(c, mouth, start)).isCloseTo(620, within(0.1));
        for (MouthSet.Made m : MouthSet.preview(c, MouthRulers.AS_ASKED, Map.of())) {
            double low = lowest(m.art());
            assertThat(low).as(m.viseme() + " of " + half).isLessThan(620);
        }
        Artwork ah = MouthSet.preview(c, MouthRulers.AS_ASKED, Map.of()).stream()
                .filter(m -> m.viseme() == Viseme.AH && m.mood().isEmpty())
                .findFirst()
                .orElseThrow()
                .art();
        assertThat(lowest(ah)).as("it opens all the same").isGreaterThan(575);
    }

    private static double lowest(Artwork art) {
        return art.shapes().stream()
                .filter(s -> s.role() == ShapeRole.OUTLINE)
                .map(Shape::path)
                .flatMap(p -> p.bounds().stream())
                .mapToDouble(app.leeward.core.art.Box::maxY)
                .max()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"no face", "beside it"})
    void withoutAFaceUnderItNothingHoldsTheJaw(String where) {
        Character c = where.equals("no face")
                ? Rigs.hung(Rigs.group(
                        "",
                        Rigs.layer("head", new app.leeward.core.art.Path[0]),
                        Rigs.layer("mouth", Rigs.box(480, 559, 40, 2))))
                : face(40);
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        Artwork beside = Artwork.of(Shape.filled("", Rigs.box(900, 559, 40, 2), "#000000"));
        assertThat(List.of(JawRoom.chin(c, mouth, beside))).containsExactly(Double.POSITIVE_INFINITY);
    }
}
