package app.leeward.core.hand;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Wrist;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.BendWrist;
import app.leeward.core.edit.CopyDrawing;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.NewDial;
import app.leeward.core.edit.WeighPoint;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.WristBend;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.geometry.euclidean.twod.AffineTransformMatrix2D;
import org.apache.commons.geometry.euclidean.twod.Vector2D;
import org.apache.commons.geometry.euclidean.twod.rotation.Rotation2D;
import org.junit.jupiter.api.Test;

/**
 * Wrists that bend. Where a point should be is worked out with Apache Commons Geometry: on the arm, with the hand, or between the
 * two by its weight.
 */
class WristBendTest {
    /** A forearm from the right that ends at x = 500, and a hand to the left of it: 40 high at the wrist, 100 long. */
    private static final Point PIVOT = new Point(500, 500);

    private static Path hand() {
        return Path.of(
                new Segment.Move(new Point(500, 480)),
                new Segment.Line(new Point(490, 479)),
                new Segment.Cubic(new Point(470, 476), new Point(455, 472), new Point(440, 470)),
                new Segment.Line(new Point(400, 500)),
                new Segment.Line(new Point(440, 530)),
                new Segment.Line(new Point(490, 521)),
                new Segment.Line(new Point(500, 520)),
                new Segment.Close());
    }

    private static final Character RIG = rig();

    private static Character rig() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face", Rigs.ellipse(500, 200, 80, 90)),
                Rigs.layer("forearm L", Rigs.box(500, 480, 200, 40)),
                Rigs.group("hand L", Rigs.layer("open", hand()))));
        Part hand = c.part(PartRole.HAND).orElseThrow();
        c = c.withPart(hand.id(), p -> p.withPivot(PIVOT, List.of()));
        c = done(c, new NewDial("swing", -60, 60, 0, "°"));
        String dial = c.controls().dials().get(c.controls().dials().size() - 1).id();
        return c.withDials(
                c.controls().dials().stream()
                        .map(d -> d.id().equals(dial)
                                ? d.withStops(List.of(
                                        new Stop(-60, Map.of(hand.id(), Offset.placed(0, 0, -60, 1, 1, 0, 1))),
                                        new Stop(60, Map.of(hand.id(), Offset.placed(0, 0, 60, 1, 1, 0, 1)))))
                                : d)
                        .toList(),
                c.controls().pads());
    }

    private static String hand(Character c) {
        return c.part(PartRole.HAND, Side.LEFT).orElseThrow().id();
    }

    private static String swing(Character c) {
        return c.controls().dials().get(c.controls().dials().size() - 1).id();
    }

    /** Where the hand's outline is seen on the canvas, point by point. */
    private static List<Point> seen(Character c, double by) {
        Frame.Placed p = new Evaluator(c)
                .frame(Pose.of(Map.of(swing(c), by)))
                .of(hand(c))
                .orElseThrow();
        var art =
                c.part(hand(c)).orElseThrow().drawing(p.drawing()).orElseThrow().art();
        return p.shown(art).transform(p.matrix()).shapes().get(0).path().points();
    }

    /** The rotation by Apache Commons Geometry. */
    private static Point rotated(Point p, double by) {
        AffineTransformMatrix2D turn = AffineTransformMatrix2D.createRotation(
                Vector2D.of(PIVOT.x(), PIVOT.y()), Rotation2D.of(Math.toRadians(by)));
        Vector2D v = turn.apply(Vector2D.of(p.x(), p.y()));
        return new Point(v.getX(), v.getY());
    }

    @Seeded(tries = 80)
    void pointsOfTheWristStayOnTheArmAndFingersTurnWithTheHand(@Between(min = -60, max = 60) double by) {
        Character bent = done(RIG, new BendWrist(hand(RIG), 0.5));
        List<Point> drawn = hand().points();
        List<Point> at = seen(bent, by);
        // the wrist's line is found 0.15 of its width inside the end; 40 high, so 20 past it nothing bends any more
        for (int stays : new int[] {0, 8}) {
            assertThat(at.get(stays).distance(drawn.get(stays)))
                    .as("point %s at %s", stays, by)
                    .isLessThan(1e-9);
        }
        for (int goes : new int[] {4, 5, 6}) {
            assertThat(at.get(goes).distance(rotated(drawn.get(goes), by))).isLessThan(1e-9);
        }
    }

    @Seeded(tries = 80)
    void aPointOfHalfTheWeightLiesHalfWay(
            @Between(min = -60, max = 60) double by, @Between(min = 0, max = 1) double weight) {
        Character bent = done(RIG, new BendWrist(hand(RIG), 0.5));
        String open = bent.part(hand(bent)).orElseThrow().shown();
        bent = done(bent, new WeighPoint(hand(bent), open, 0, 3, weight, false));
        Point drawn = new Point(400, 500);
        Point goes = rotated(drawn, by);
        Point wanted =
                new Point((1 - weight) * goes.x() + weight * drawn.x(), (1 - weight) * goes.y() + weight * drawn.y());
        assertThat(seen(bent, by).get(5).distance(wanted)).isLessThan(1e-9);
    }

    @Test
    void weightsFallFromTheWristsLineAsHermitesStepDoes() {
        Wrist wrist = new Wrist(new Point(500, 520), new Point(500, 480));
        WristBend bend = new WristBend(0.5, List.of());
        assertThat(wrist.past(new Point(480, 300))).isCloseTo(0.5, within(1e-12));
        assertThat(bend.weight(wrist, new Point(520, 500))).as("on the arm").isEqualTo(1);
        assertThat(bend.weight(wrist, new Point(490, 500))).as("half way").isCloseTo(0.5, within(1e-12));
        // a quarter of the way: 1 - (3 - 2/4) / 16
        assertThat(bend.weight(wrist, new Point(495, 500))).isCloseTo(1 - 2.5 / 16, within(1e-12));
        assertThat(bend.weight(wrist, new Point(480, 500))).isZero();
    }

    @Test
    void atRestAndWithoutABendNothingIsReshaped() {
        Character bent = done(RIG, new BendWrist(hand(RIG), 0.5));
        assertThat(new Evaluator(bent)
                        .frame(Pose.REST)
                        .of(hand(bent))
                        .orElseThrow()
                        .outlines())
                .isEmpty();
        Character stiff = done(bent, new BendWrist(hand(bent), 0));
        assertThat(new Evaluator(stiff)
                        .frame(Pose.of(Map.of(swing(stiff), 40.0)))
                        .of(hand(stiff))
                        .orElseThrow()
                        .outlines())
                .isEmpty();
    }

    @Test
    void theSamePointOnEveryDrawingIsGivenTheSame() {
        Character c = done(RIG, new BendWrist(hand(RIG), 0.5));
        String open = c.part(hand(c)).orElseThrow().shown();
        c = done(c, new CopyDrawing(hand(c), open, "half as large", Optional.empty()));
        Part now = c.part(hand(c)).orElseThrow();
        String copy = now.drawings().get(1).id();
        // drawn elsewhere, turned and half as large: its wrist tells which point is which
        Matrix m = Matrix.translate(100, 40).times(Matrix.rotate(35)).times(Matrix.scale(0.5, 0.5));
        c = c.withPart(now.id(), p -> p.withDrawing(copy, d -> d.transform(m)).withShown(open));
        c = done(c, new WeighPoint(now.id(), open, 0, 4, 0.7, true));
        assertThat(c.wristBend(now.id()).orElseThrow().weights())
                .containsExactlyInAnyOrder(
                        new WristBend.PointWeight(open, 0, 4, 0.7), new WristBend.PointWeight(copy, 0, 4, 0.7));
        Character undone = done(c, new WeighPoint(now.id(), open, 0, 4, 0.2, false));
        assertThat(undone.wristBend(now.id()).orElseThrow().weights()).hasSize(2);
    }

    @Test
    void theOtherHandBendsAlike() {
        Character c = done(RIG, new BendWrist(hand(RIG), 0.5));
        c = done(
                c,
                new MirrorSide(c.part(PartRole.FOREARM, Side.LEFT).orElseThrow().id()));
        Part right = c.part(PartRole.HAND, Side.RIGHT).orElseThrow();
        assertThat(c.wristBend(right.id()).orElseThrow().reach()).isEqualTo(0.5);
        Frame.Placed turned = new Evaluator(c)
                .frame(Pose.of(Map.of(swing(c), 40.0)))
                .of(right.id())
                .orElseThrow();
        List<Point> left = seen(c, 40);
        List<Point> seen = turned.shown(
                        right.drawing(turned.drawing()).orElseThrow().art())
                .transform(turned.matrix())
                .shapes()
                .get(0)
                .path()
                .points();
        for (int i = 0; i < left.size(); i++) {
            assertThat(seen.get(i).x())
                    .isCloseTo(2 * c.sheet().model().axis() - left.get(i).x(), within(1e-9));
            assertThat(seen.get(i).y()).isCloseTo(left.get(i).y(), within(1e-9));
        }
    }

    @Test
    void whatCannotBeIsRefusedWithAReason() {
        String hand = hand(RIG);
        assertThat(refused(RIG, new BendWrist(hand, -0.1))).isEqualTo("reach");
        assertThat(refused(RIG, new BendWrist(hand, Double.NaN))).isEqualTo("reach");
        assertThat(refused(RIG, new BendWrist("gone", 0.5))).isEqualTo("no-part");
        assertThat(refused(RIG, new WeighPoint(hand, "open", 0, 1, 0.5, false))).isEqualTo("no-bend");
        Character c = done(RIG, new BendWrist(hand, 0.5));
        String open = c.part(hand).orElseThrow().shown();
        assertThat(refused(c, new WeighPoint(hand, open, 0, 1, 1.5, false))).isEqualTo("weight");
        assertThat(refused(c, new WeighPoint(hand, open, 0, 7, 0.5, false))).isEqualTo("no-point");
        assertThat(refused(c, new WeighPoint(hand, open, 4, 1, 0.5, false))).isEqualTo("no-point");
        assertThatThrownBy(() -> new WristBend(3, List.of())).hasMessageContaining("not 3.0");
    }
}
