package app.leeward.core.hand;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.Told;
import app.leeward.core.art.Grip;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Wrist;
import app.leeward.core.edit.Discard;
import app.leeward.core.edit.DropDrawing;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.Hang;
import app.leeward.core.edit.Hold;
import app.leeward.core.edit.MarkFingers;
import app.leeward.core.edit.OrderShape;
import app.leeward.core.edit.Place;
import app.leeward.core.edit.ReadAs;
import app.leeward.core.edit.RegisterHand;
import app.leeward.core.edit.SetGrip;
import app.leeward.core.edit.SetWrist;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.intake.Offer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.geometry.euclidean.twod.AffineTransformMatrix2D;
import org.apache.commons.geometry.euclidean.twod.Vector2D;
import org.junit.jupiter.api.Test;

/** Things in hands. Where they hang is worked out with Apache Commons Geometry. */
class GripsTest {
    private static final Character RIG = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face", Rigs.ellipse(500, 200, 80, 90)),
            Rigs.layer("forearm L", Rigs.box(500, 480, 200, 40)),
            Rigs.group(
                    "hand L",
                    Rigs.layer("fist", Rigs.box(440, 470, 60, 60), Rigs.box(440, 470, 20, 60)),
                    Rigs.layer("open", Rigs.box(400, 470, 100, 60))),
            Rigs.layer("bell", Rigs.box(100, 100, 30, 50))));
    private static final String HAND = RIG.part(PartRole.HAND).orElseThrow().id();
    private static final String BELL = "bell";
    private static final Point GRIP = new Point(450, 500);

    private static Character held(double angle) {
        Character c = RIG.withPart(BELL, p -> p.withPivot(new Point(115, 145), List.of()));
        return done(done(c, new Hold(BELL, Optional.of(HAND))), new SetGrip(HAND, "fist", Optional.of(GRIP), angle));
    }

    private static Frame.Placed bell(Character c, Pose pose) {
        return new Evaluator(c).frame(pose).of(BELL).orElseThrow();
    }

    @Seeded(tries = 80)
    void thePivotOfWhatIsHeldLiesOnTheGripHoweverTheHandIsTurned(
            @Between(min = -170, max = 170) double turned,
            @Between(min = -90, max = 90) double angle,
            @Between(min = -40, max = 40) double x) {
        Character c = done(held(angle), new Place(HAND, new Placement(x, 7, turned, 1, 1, 0, 1)));
        Point pivot = c.part(HAND).orElseThrow().pivot();
        AffineTransformMatrix2D hand = AffineTransformMatrix2D.identity()
                .translate(-pivot.x(), -pivot.y())
                .rotate(Math.toRadians(turned))
                .translate(pivot.x() + x, pivot.y() + 7);
        Frame.Placed b = bell(c, Pose.REST);
        Vector2D wanted = hand.apply(Vector2D.of(GRIP.x(), GRIP.y()));
        Point is = b.matrix().apply(new Point(115, 145));
        assertThat(is.x()).isCloseTo(wanted.getX(), within(1e-9));
        assertThat(is.y()).isCloseTo(wanted.getY(), within(1e-9));
        // what points up on the bell is turned by hand and grip together
        Point up = b.matrix().apply(new Point(115, 45)).minus(is);
        double way = Math.toDegrees(Math.atan2(up.x(), -up.y()));
        double differs = (way - turned - angle) % 360;
        assertThat(Math.abs(differs) % 360)
                .satisfiesAnyOf(d -> assertThat(d).isCloseTo(0, within(1e-6)), d -> assertThat(d)
                        .isCloseTo(360, within(1e-6)));
    }

    @Test
    void aDrawingWithoutAGripHoldsNothing() {
        Character c = held(0);
        assertThat(new Evaluator(c).frame(Pose.REST).of(BELL)).isPresent();
        Pose open = new Pose(Map.of(), Map.of(HAND, "open"), Map.of(), Map.of());
        assertThat(new Evaluator(c).frame(open).of(BELL)).isEmpty();
        assertThat(new Evaluator(c)
                        .why(BELL, open).stream()
                                .filter(r -> r.channel().equals(Reason.DRAWING))
                                .findFirst()
                                .orElseThrow()
                                .toString())
                .contains("no grip");
        Character both = done(c, new SetGrip(HAND, "open", Optional.of(new Point(420, 500)), 90));
        assertThat(bell(both, open).matrix().apply(new Point(115, 145)).x()).isCloseTo(420, within(1e-9));
        Character none = done(c, new SetGrip(HAND, "fist", Optional.empty(), 0));
        assertThat(new Evaluator(none).frame(Pose.REST).of(BELL)).isEmpty();
    }

    @Test
    void itLiesOverTheHandAndBehindItsFingers() {
        Character c = done(held(0), new MarkFingers(HAND, "fist", 1, true));
        Frame frame = new Evaluator(c).frame(Pose.REST);
        List<String> stack = frame.placed().stream().map(Frame.Placed::part).toList();
        assertThat(stack.indexOf(BELL)).isEqualTo(stack.indexOf(HAND) + 1);
        assertThat(frame.of(BELL).orElseThrow().behind()).containsExactly(HAND);
        assertThat(fingers(c)).hasSize(1);
        // a shape stays what it is wherever it lies in its drawing
        Character moved = done(c, new OrderShape(HAND, "fist", 1, 0));
        assertThat(fingers(moved)).isEqualTo(fingers(c));
        assertThat(fingers(done(c, new MarkFingers(HAND, "fist", 1, false)))).isEmpty();
    }

    private static List<Shape> fingers(Character c) {
        List<Shape> out =
                c.part(HAND).flatMap(p -> p.drawing("fist")).orElseThrow().art().fingers();
        assertThat(out).allMatch(s -> s.role() == ShapeRole.FINGERS);
        return out;
    }

    @Test
    void lettingGoTakingAwayAndFlippingKeepWhatIsThere() {
        Character c = held(30);
        Character free = done(c, new Hold(BELL, Optional.empty()));
        assertThat(Told.held(free)).isEmpty();
        assertThat(free.part(BELL).orElseThrow().parent())
                .isEqualTo(c.part(HAND).orElseThrow().parent());
        assertThat(Told.grips(free)).as("the grip waits for the next thing").hasSize(1);
        Character flipped = done(c, new Flip());
        double axis = flipped.sheet().model().axis();
        assertThat(flipped.grip(HAND, "fist").orElseThrow().at().x()).isCloseTo(2 * axis - GRIP.x(), within(1e-9));
        assertThat(flipped.grip(HAND, "fist").orElseThrow().angle()).isEqualTo(-30);
        assertThat(bell(flipped, Pose.REST)
                        .matrix()
                        .apply(new Point(2 * axis - 115, 145))
                        .x())
                .isCloseTo(2 * axis - GRIP.x(), within(1e-6));
        assertThat(Told.grips(done(c, new DropDrawing(HAND, "fist")))).isEmpty();
        Character without = done(c, new Discard(List.of(BELL)));
        assertThat(Told.held(without)).isEmpty();
    }

    @Test
    void whatIsHungElsewhereIsSeenAgain() {
        Character c = held(0);
        Character hung = done(c, new Hang(List.of(BELL), Optional.of("head")));
        assertThat(Told.held(hung)).isEmpty();
        assertThat(new Evaluator(hung)
                        .frame(new Pose(Map.of(), Map.of(HAND, "open"), Map.of(), Map.of()))
                        .of(BELL))
                .isPresent();
        Character noHand = done(c, new ReadAs(List.of(new Offer(HAND, PartRole.OTHER, Side.LEFT))));
        assertThat(Told.held(noHand)).isEmpty();
    }

    /** The open hand drawn a quarter turn off and twice as large: brought onto the wrist, its grip goes along. */
    @Test
    void aGripGoesAlongWhenItsDrawingIsBroughtOntoTheWrist() {
        Character c = done(RIG, new SetGrip(HAND, "open", Optional.of(new Point(420, 500)), 30));
        Wrist there = new Wrist(new Point(500, 520), new Point(500, 480));
        // the similarity from (0, 0)-(0, 80) onto it: half as large, turned by 180°
        Wrist drawn = new Wrist(new Point(0, 0), new Point(0, 80));
        c = done(c, new SetWrist(HAND, "fist", there.first(), there.second()));
        c = done(c, new SetWrist(HAND, "open", drawn.first(), drawn.second()));
        Character mended = done(c, new RegisterHand(HAND, "open", false));
        Grip grip = mended.grip(HAND, "open").orElseThrow();
        assertThat(grip.at().x()).isCloseTo(500 - 420 / 2.0, within(1e-9));
        assertThat(grip.at().y()).isCloseTo(520 - 500 / 2.0, within(1e-9));
        assertThat(Math.abs(grip.angle() - 30)).isCloseTo(180, within(1e-9));
    }

    @Test
    void badThingsAreRefused() {
        assertThat(refused(RIG, new Hold("gone", Optional.of(HAND)))).isEqualTo("no-part");
        String arm = RIG.part(PartRole.FOREARM).orElseThrow().id();
        assertThat(refused(RIG, new Hold(BELL, Optional.of(arm)))).isEqualTo("no-hand");
        assertThat(refused(RIG, new Hold(arm, Optional.of(HAND)))).isEqualTo("circle");
        assertThat(refused(RIG, new Hold(BELL, Optional.empty()))).isEqualTo("not-held");
        assertThat(refused(RIG, new SetGrip(HAND, "gone", Optional.of(GRIP), 0)))
                .isEqualTo("no-drawing");
        assertThat(refused(RIG, new SetGrip(HAND, "fist", Optional.of(new Point(1e9, 0)), 0)))
                .isEqualTo("too-far");
        assertThat(refused(RIG, new SetGrip(HAND, "fist", Optional.of(GRIP), Double.NaN)))
                .isEqualTo("no-number");
        assertThat(refused(RIG, new MarkFingers(HAND, "fist", 2, true))).isEqualTo("no-shape");
    }
}
