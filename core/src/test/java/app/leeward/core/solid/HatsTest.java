package app.leeward.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.SolidKind;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Hats are turned about the head's axis, so where a point of one comes to lie is known from the circle it goes on. */
class HatsTest {
    private static final double HALF = 110;

    private static Character hung(Layer... hat) {
        List<Layer> all = new ArrayList<>(List.of(
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("white left", Rigs.ellipse(540, 480, 20, 15)),
                Rigs.layer("white right", Rigs.ellipse(460, 480, 20, 15)),
                Rigs.layer("mouth", Rigs.box(480, 570, 40, 4))));
        all.addAll(List.of(hat));
        return Rigs.hung(Rigs.group("", all.toArray(new Layer[0])));
    }

    private static Layer crown() {
        return Rigs.layer("cap", Rigs.box(500 - HALF, 340, 2 * HALF, 80));
    }

    /** A crown whose lower edge is the front half of an ellipse so far lower in the middle. */
    private static Layer hanging(double lower) {
        List<Segment> edge = new ArrayList<>(
                List.of(new Segment.Move(new Point(500 - HALF, 340)), new Segment.Line(new Point(500 + HALF, 340))));
        for (int i = 0; i <= 60; i++) {
            double a = Math.PI * i / 60;
            edge.add(new Segment.Line(new Point(500 + HALF * Math.cos(a), 400 + lower * Math.sin(a))));
        }
        edge.add(new Segment.Close());
        return Rigs.layer("cap", new Path(edge));
    }

    private static Box turned(Character c, String name, Path outline, double yaw) {
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        String id = c.rig().parts().stream()
                .filter(p -> p.name().equals(name))
                .map(Part::id)
                .findFirst()
                .orElseThrow();
        return solids.outline(id, outline).at(View.yaw(yaw)).bounds().orElseThrow();
    }

    /** How far the middle of the hat itself goes to the side: its axis lies before or behind that of the head. */
    private static double aside(Character c, double yaw) {
        return turned(c, "cap", Rigs.box(500 - HALF, 345, 2 * HALF, 20), yaw)
                        .centre()
                        .x()
                - 500;
    }

    @ParameterizedTest
    @ValueSource(doubles = {-40, -15, 15, 40})
    void aPeakGoesRoundWithTheFrontOfItsHat(double yaw) {
        Path peak = Rigs.box(500 - HALF, 410, 2 * HALF, 24);
        Character c = hung(crown(), Rigs.layer("cap peak", peak));
        double way = Math.signum(yaw);
        double aside = aside(c, yaw);
        Box now = turned(c, "cap peak", peak, yaw);
        double near = way > 0 ? now.minX() - 500 : 500 - now.maxX();
        double far = way > 0 ? now.maxX() - 500 : 500 - now.minX();
        // its near end was at the side and has come to the front by the angle; its far end stands out beyond the hat
        assertThat(near - way * aside).isCloseTo(-HALF * Math.cos(Math.toRadians(yaw)), within(0.01));
        assertThat(far - way * aside).isGreaterThan(HALF * 1.02).isLessThan(HALF * 1.38);
        assertThat(turned(c, "cap peak", peak, 0).width()).isCloseTo(2 * HALF, within(1e-9));
    }

    @Test
    void aBrimStandsOutAllRoundAndKeepsItsOutline() {
        Path brim = Rigs.box(500 - 1.4 * HALF, 410, 2.8 * HALF, 16);
        Character c = hung(crown(), Rigs.layer("hat brim", brim));
        String name = c.part(PartRole.CAP_PEAK).orElseThrow().name();
        Box now = turned(c, name, brim, 40);
        assertThat(now.width()).isCloseTo(2.8 * HALF, within(1e-6));
        assertThat(now.centre().x() - 500).isCloseTo(aside(c, 40), within(1e-6));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-40, -20, 20, 40})
    void aBadgeIsAStiffPlateThatIsSeenAsFarAsItIsTurnedToUs(double yaw) {
        Path badge = Rigs.box(500 - 12, 375, 24, 24);
        Character c = hung(crown(), Rigs.layer("brooch", badge));
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        assertThat(solids.kind("brooch")).isEqualTo(SolidKind.DECAL);
        assertThat(solids.onHat("brooch")).isTrue();
        double turn = Math.toRadians(yaw);
        Box now = turned(c, "brooch", badge, yaw);
        assertThat(now.centre().x() - 500 - aside(c, yaw)).isCloseTo(HALF * Math.sin(turn), within(0.01));
        assertThat(now.width()).isCloseTo(24 * Math.cos(turn), within(0.01));
        assertThat(now.height()).isCloseTo(24, within(1e-6));
    }

    /** A hat seen from above hangs in the middle; what is sewn on in front climbs as it goes aside, by the ellipse of its ring. */
    @ParameterizedTest
    @ValueSource(doubles = {-30, -15, 20, 40})
    void whatIsSewnOnFollowsTheRingItIsSewnTo(double lower) {
        Path badge = Rigs.box(500 - 6, 396 + Math.min(0, lower), 12, 8);
        Character c = hung(hanging(lower), Rigs.layer("brooch", badge));
        double before = turned(c, "brooch", badge, 0).centre().y();
        double after = turned(c, "brooch", badge, 35).centre().y();
        double expected = lower * (Math.cos(Math.toRadians(35)) - 1);
        // less towards the crown, where the outline is what is seen of a ring
        assertThat(Math.signum(after - before)).isEqualTo(Math.signum(expected));
        assertThat(Math.abs(after - before)).isBetween(0.4 * Math.abs(expected), 1.1 * Math.abs(expected));
    }

    @Test
    void anEdgeThatIsNoRingsLetsNothingClimb() {
        Path badge = Rigs.box(500 - 6, 396, 12, 8);
        Character c = hung(crown(), Rigs.layer("brooch", badge));
        assertThat(turned(c, "brooch", badge, 35).centre().y()).isCloseTo(400, within(1e-9));
    }

    @Test
    void whatSitsOnTopIsTurnedAboutItsOwnFoot() {
        Path ball = Rigs.ellipse(500, 330, 40, 36);
        Character c = hung(crown(), Rigs.layer("pompom", ball));
        HeadSolids solids = HeadSolids.of(c, HeadShape.HUMAN).orElseThrow();
        String id = c.rig().parts().stream()
                .filter(p -> p.bounds().filter(b -> b.minY() < 300).isPresent())
                .map(Part::id)
                .findFirst()
                .orElseThrow();
        assertThat(solids.kind(id)).isEqualTo(SolidKind.AXIS);
        Box now = solids.outline(id, ball).at(View.yaw(40)).bounds().orElseThrow();
        assertThat(now.width()).isCloseTo(80, within(0.5));
    }
}
