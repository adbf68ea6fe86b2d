package app.leeward.core.hand;

import static app.leeward.core.Made.done;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.Told;
import app.leeward.core.art.Grip;
import app.leeward.core.art.Point;
import app.leeward.core.art.Wrist;
import app.leeward.core.edit.BendWrist;
import app.leeward.core.edit.BreakLink;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.SetGrip;
import app.leeward.core.edit.SetWrist;
import app.leeward.core.edit.ShowPast;
import app.leeward.core.edit.StackDrawing;
import app.leeward.core.edit.WeighPoint;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Two linked hands are alike in everything that is known of them, not only in what is drawn. */
class LinkedHandsTest {
    private static final String LEFT = "hand-left";

    private Character both;
    private String right;
    private double axis;

    @BeforeEach
    void aPair() {
        Character one = Rigs.hung(Rigs.group(
                "",
                Rigs.face(),
                Rigs.layer("forearm left", Rigs.box(650, 690, 30, 110)),
                Rigs.group(
                        "hand left",
                        Rigs.layer("open", Rigs.box(640, 800, 50, 60)),
                        Rigs.layer("fist", Rigs.box(640, 800, 50, 40)))));
        both = done(one, new MirrorSide(LEFT));
        right = both.part(PartRole.HAND, Side.RIGHT).orElseThrow().id();
        axis = both.sheet().model().axis();
    }

    private static Part part(Character c, String id) {
        return c.part(id).orElseThrow();
    }

    @Test
    void aGripOfOneIsTheOthersReflected() {
        Character c = done(both, new SetGrip(LEFT, "fist", Optional.of(new Point(660, 820)), 30));
        Grip twin = c.grip(right, "fist").orElseThrow();
        assertThat(twin.at().x()).isCloseTo(2 * axis - 660, within(1e-9));
        assertThat(twin.at().y()).isEqualTo(820);
        assertThat(twin.angle()).isEqualTo(-30);
        Character back = done(c, new SetGrip(right, "fist", Optional.empty(), 0));
        assertThat(Told.grips(back)).as("and taken away on both").isEmpty();
    }

    @Test
    void theWristBendsOnBothWithTheSameWeights() {
        Character c = done(both, new BendWrist(LEFT, 0.5));
        assertThat(part(c, right).wristBend())
                .isEqualTo(part(c, LEFT).wristBend())
                .isPresent();
        Wrist own = c.wrist(LEFT, "open").orElseThrow();
        Wrist twin = c.wrist(right, "open").orElseThrow();
        assertThat(twin.middle().x()).isCloseTo(2 * axis - own.middle().x(), within(1e-9));
        Character weighed = done(c, new WeighPoint(right, "open", 0, 1, 0.75, false));
        assertThat(part(weighed, LEFT).wristBend().orElseThrow().weights()).hasSize(1);
        assertThat(Told.wrists(done(c, new SetWrist(LEFT, "fist", new Point(640, 810), new Point(690, 810)))))
                .as("a wrist put by hand is put on both")
                .hasSize(4);
    }

    @Test
    void whereItLiesIsSaidOfTheOthersNeighbours() {
        Character c = done(both, new StackDrawing(LEFT, "fist", Optional.of("ear-left")));
        assertThat(Told.overs(c)).containsEntry(right + "/fist", "ear-right");
        Character edge = done(both, new ShowPast(LEFT, Optional.of("ear-left")));
        assertThat(part(edge, right).pastEdges()).containsExactly("ear-right");
    }

    @Test
    void unlinkedEachKeepsItsOwn() {
        Character c = done(both, new BreakLink(LEFT));
        c = done(c, new SetGrip(LEFT, "fist", Optional.of(new Point(660, 820)), 30));
        assertThat(Told.grips(c)).containsOnlyKeys(LEFT + "/fist");
    }
}
