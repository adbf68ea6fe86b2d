package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TurnMakerTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final Evaluator EVALUATOR = new Evaluator(FACE);

    private static Frame at(double turn) {
        return EVALUATOR.frame(Pose.of(Map.of(TurnMaker.DIAL, turn)));
    }

    private static Matrix of(double turn, String part) {
        return at(turn).of(part).orElseThrow().matrix();
    }

    @Test
    void atRestTheFaceIsAsDrawn() {
        assertThat(at(0).placed()).allSatisfy(p -> assertThat(p.matrix()).isEqualTo(Matrix.IDENTITY));
    }

    /** Common practice, no source: about 0.78. */
    @Test
    void theFarEyeNarrowsAsIsCommonPractice() {
        assertThat(of(60, "eye-white-left").a())
                .as("its left eye is far when it turns to screen right")
                .isCloseTo(0.78, within(1e-6));
        assertThat(of(-60, "eye-white-right").a()).isCloseTo(0.78, within(1e-6));
    }

    /** Common practice, no source: the same shift on both sides. */
    @Test
    void leftAndRightExtremesMirror() {
        double axis = 500;
        for (String name : new String[] {"eye-white", "brow", "ear"}) {
            String left = FACE.parts().stream()
                    .filter(p -> p.id().equals(name + "-left"))
                    .findFirst()
                    .orElseThrow()
                    .id();
            for (double x : new double[] {430, 500, 560}) {
                Point one = of(60, left).apply(new Point(x, 480));
                Point other = of(-60, name + "-right").apply(new Point(2 * axis - x, 480));
                assertThat(one.x() - axis).as("%s at %s", name, x).isCloseTo(axis - other.x(), within(1e-6));
                assertThat(one.y()).isCloseTo(other.y(), within(1e-6));
            }
        }
    }

    @Test
    void whatFollowsAnEyeGoesWithIt() {
        Matrix white = of(37, "eye-white-left");
        assertThat(of(37, "pupil-left")).isEqualTo(white);
        assertThat(FACE.part(PartRole.PUPIL, Side.LEFT).orElseThrow().parent()).contains("eye-left");
    }

    @Test
    void anEndOfTheDialHoldsAndNothingVanishes() {
        assertThat(at(60)).isEqualTo(at(1e9));
        assertThat(at(60).placed()).hasSameSizeAs(at(0).placed());
    }

    @Test
    void aFaceWithoutAHeadIsLeftAlone() {
        Character c = Rigs.character(java.util.List.of(Rigs.part("box", null, new Point(0, 0))), java.util.List.of());
        assertThat(TurnMaker.addTo(c)).isSameAs(c);
    }
}
