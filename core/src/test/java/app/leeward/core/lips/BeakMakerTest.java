package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Beaks: closed forms of a shift seen from the front and of a turn seen from the side. */
class BeakMakerTest {
    /** From the front, 100 wide; the lower beak 30 tall. */
    private static final Artwork FRONT = Artwork.of(
            piece(ShapeRole.TONGUE, "M480 560 C490 550 510 550 520 560 C510 570 490 570 480 560 Z"),
            piece(ShapeRole.LOWER_BEAK, "M450 550 L550 550 L550 580 L450 580 Z"),
            piece(ShapeRole.UPPER_BEAK, "M445 500 L555 500 L555 560 L445 560 Z"));
    /** From the side: root at the left, tip at the right. */
    private static final Artwork SIDE = Artwork.of(
            piece(ShapeRole.LOWER_BEAK, "M400 550 L600 550 L400 600 Z"),
            piece(ShapeRole.UPPER_BEAK, "M400 480 L620 550 L400 550 Z"));

    private static Shape piece(ShapeRole role, String data) {
        return Shape.filled(role.name(), MouthMakerTest.path(data), "#cc9922").withRole(role, false);
    }

    private static Artwork make(Artwork start, Viseme v) {
        return SetMaker.of(start).make(v, MouthRulers.AS_ASKED, 0, 0);
    }

    private static Box box(Artwork art, ShapeRole role) {
        return MouthMakerTest.of(art, role).bounds().orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(Viseme.class)
    void theUpperBeakNeverMovesAndTheStructureStays(Viseme v) {
        for (Artwork start : new Artwork[] {FRONT, SIDE}) {
            if (v == Viseme.SMILE) {
                // it lifts the corners, see below
                continue;
            }
            Artwork made = make(start, v);
            Artwork first = SetMaker.of(start).starting();
            assertThat(MouthMakerTest.of(made, ShapeRole.UPPER_BEAK))
                    .isEqualTo(MouthMakerTest.of(start, ShapeRole.UPPER_BEAK));
            assertThat(made.shapes()).hasSameSizeAs(first.shapes());
            for (int i = 0; i < made.shapes().size(); i++) {
                assertThat(made.shapes().get(i).path().segments())
                        .hasSameSizeAs(first.shapes().get(i).path().segments());
            }
        }
    }

    /** The corners of the upper beak and of the lower one go together, the middle and the tip stay. */
    @ParameterizedTest
    @ValueSource(doubles = {-1, -0.4, 0.5, 1})
    void moodsLiftTheCornersAndNothingElse(double corners) {
        Artwork front = SetMaker.of(FRONT).make(Viseme.PBM, MouthRulers.AS_ASKED, corners, 0);
        List<Point> was = MouthMakerTest.of(FRONT, ShapeRole.LOWER_BEAK).path().sampled(2);
        List<Point> is = MouthMakerTest.of(front, ShapeRole.LOWER_BEAK).path().sampled(2);
        assertThat(is.get(0).y() - was.get(0).y()).as("0.12 of its width").isCloseTo(-12 * corners, within(1e-9));
        assertThat(is.get(0).x()).isEqualTo(was.get(0).x());
        Artwork side = SetMaker.of(SIDE).make(Viseme.PBM, MouthRulers.AS_ASKED, corners, 0);
        Box tip = box(side, ShapeRole.UPPER_BEAK);
        assertThat(tip.maxX()).isEqualTo(620);
        assertThat(MouthMakerTest.of(side, ShapeRole.UPPER_BEAK).path().sampled(2))
                .contains(new Point(620, 550));
    }

    @Test
    void fromTheFrontTheLowerBeakGoesDownAndDrawsIn() {
        Box shut = box(make(FRONT, Viseme.PBM), ShapeRole.LOWER_BEAK);
        Box ah = box(make(FRONT, Viseme.AH), ShapeRole.LOWER_BEAK);
        Box oo = box(make(FRONT, Viseme.OO), ShapeRole.LOWER_BEAK);
        assertThat(shut).isEqualTo(box(FRONT, ShapeRole.LOWER_BEAK));
        assertThat(ah.minY() - shut.minY()).as("0.42 of its width").isCloseTo(42, within(1e-9));
        assertThat(ah.width()).isCloseTo(100, within(1e-9));
        assertThat(oo.width()).isCloseTo(65, within(1e-9));
        assertThat(box(make(FRONT, Viseme.AH), ShapeRole.INSIDE).maxY())
                .as("what is seen between them reaches behind the lower one")
                .isBetween(ah.minY(), ah.maxY());
        assertThat(box(make(FRONT, Viseme.TH), ShapeRole.TONGUE).height())
                .isGreaterThan(
                        1.5 * box(make(FRONT, Viseme.AH), ShapeRole.TONGUE).height());
    }

    /** The tip of a turned beak lies on a circle about its root. */
    @Test
    void fromTheSideItTurnsAboutItsRoot() {
        Shape ah = MouthMakerTest.of(make(SIDE, Viseme.AH), ShapeRole.LOWER_BEAK);
        Shape turned = MouthMakerTest.of(SIDE, ShapeRole.LOWER_BEAK)
                .transform(Matrix.translate(400, 550).times(Matrix.rotate(32)).times(Matrix.translate(-400, -550)));
        assertThat(ah.path().toSvg()).isEqualTo(turned.path().toSvg());
        assertThat(box(make(SIDE, Viseme.AH), ShapeRole.LOWER_BEAK).maxY()).isGreaterThan(630);
    }
}
