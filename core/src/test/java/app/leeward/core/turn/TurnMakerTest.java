package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.ChangeDial;
import app.leeward.core.edit.EaseStop;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.Flip;
import app.leeward.core.edit.Forget;
import app.leeward.core.edit.Hang;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Record;
import app.leeward.core.edit.RecordCorner;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TurnMakerTest {
    private static final Character PLAIN = Rigs.hung(Rigs.face());
    private static final Evaluator EVALUATOR = new Evaluator(PLAIN);

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

    /** Common practice, no source: about 0.78 where the head turned 20 degrees. */
    @Test
    void theFarEyeNarrowsAsIsCommonPractice() {
        assertThat(of(20, "eye-white-left").a())
                .as("its left eye is far when it turns to screen right")
                .isCloseTo(0.78, within(0.08));
        assertThat(of(-20, "eye-white-right").a())
                .isCloseTo(of(20, "eye-white-left").a(), within(1e-6));
        assertThat(of(45, "eye-white-left").a())
                .isLessThan(of(30, "eye-white-left").a());
    }

    /** Common practice, no source: the same shift on both sides. */
    @Test
    void leftAndRightExtremesMirror() {
        double axis = 500;
        for (String name : new String[] {"eye-white", "brow", "ear"}) {
            String left = PLAIN.rig().parts().stream()
                    .filter(p -> p.id().equals(name + "-left"))
                    .findFirst()
                    .orElseThrow()
                    .id();
            for (double x : new double[] {430, 500, 560}) {
                Point one = of(45, left).apply(new Point(x, 480));
                Point other = of(-45, name + "-right").apply(new Point(2 * axis - x, 480));
                assertThat(one.x() - axis).as("%s at %s", name, x).isCloseTo(axis - other.x(), within(1e-6));
                assertThat(one.y()).isCloseTo(other.y(), within(1e-6));
            }
        }
    }

    @Test
    void whatFollowsAnEyeGoesWithIt() {
        Matrix white = of(37, "eye-white-left");
        assertThat(of(37, "pupil-left")).isEqualTo(white);
        assertThat(PLAIN.part(PartRole.PUPIL, Side.LEFT).orElseThrow().parent()).contains("eye-left");
    }

    @Test
    void anEndOfTheDialHoldsAndNothingVanishes() {
        assertThat(at(45)).isEqualTo(at(1e9));
        assertThat(at(45).placed()).hasSameSizeAs(at(0).placed());
    }

    @Test
    void aFaceWithoutAHeadIsLeftAlone() {
        Character c = Rigs.character(java.util.List.of(Rigs.part("box", null, new Point(0, 0))), java.util.List.of());
        assertThat(TurnMaker.addTo(c)).isSameAs(c);
    }

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static final HeadShape FITTED = TurnMaker.fitted(PLAIN).orElseThrow();

    private static HeadShape deeper() {
        return new HeadShape(
                0.95, FITTED.back(), FITTED.chin(), FITTED.nape(), FITTED.roundness(), FITTED.muzzle(), FITTED.pivot());
    }

    private static Offset offset(Character c, double at, String part) {
        return c.dial(TurnMaker.DIAL)
                .orElseThrow()
                .stop(at)
                .orElseThrow()
                .offsets()
                .get(part);
    }

    @Test
    void madeAgainFromTheSameShapeItIsTheSame() {
        assertThat(done(PLAIN, MakeTurn.of(java.util.Optional.empty()))
                        .controls()
                        .dials())
                .isEqualTo(PLAIN.controls().dials());
        assertThat(MakeTurn.of(java.util.Optional.empty()).describe(PLAIN)).isEqualTo("Rebuilt the head turn");
    }

    @Test
    void anotherShapeTurnsMoreAndWhatWasShapedByHandIsKept() {
        double first = PLAIN.dial("turn").orElseThrow().stops().stream()
                .mapToDouble(s -> s.at())
                .filter(at -> at > 0)
                .min()
                .orElseThrow();
        Character shaped = done(PLAIN, new Record("turn", 45, new Nudge("nose", 7, 0)));
        shaped = done(shaped, new Forget("turn", first, "mouth", Aspect.PLACE));
        shaped = done(shaped, new EaseStop("turn", 45, Ease.SMOOTH));
        assertThat(TurnMaker.keptByHand(shaped)).isEqualTo(2);
        Character again = done(shaped, MakeTurn.of(java.util.Optional.of(deeper())));
        assertThat(offset(again, 45, "nose")).isEqualTo(offset(shaped, 45, "nose"));
        assertThat(offset(again, first, "mouth")).isEqualTo(offset(shaped, first, "mouth"));
        assertThat(again.dial("turn").orElseThrow().stop(45).orElseThrow().ease())
                .isEqualTo(Ease.SMOOTH);
        assertThat(offset(again, -45, "nose")).as("nobody touched that").isNotEqualTo(offset(shaped, -45, "nose"));
        assertThat(offset(again, 45, "eye-left").x())
                .as("a deeper head carries its features further")
                .isGreaterThan(offset(shaped, 45, "eye-left").x() + 5);
        assertThat(MakeTurn.of(java.util.Optional.of(deeper())).describe(shaped))
                .contains("keeping 2 things shaped by hand");
    }

    @Test
    void aStopOfOnesOwnAndARangeOfOnesOwnAreKept() {
        Character own = done(PLAIN, new Record("turn", 40, new Nudge("nose", 3, 1)));
        Character again = done(own, MakeTurn.of(java.util.Optional.of(deeper())));
        assertThat(again.dial("turn").orElseThrow().stop(40))
                .isEqualTo(own.dial("turn").orElseThrow().stop(40));
        Character named = done(PLAIN, new ChangeDial("turn", "Head", -70, 70, 0, "°"));
        Character wide = done(named, MakeTurn.of(java.util.Optional.of(deeper())));
        assertThat(wide.dial("turn").orElseThrow().name()).isEqualTo("Head");
        assertThat(wide.dial("turn").orElseThrow().to()).isEqualTo(70);
    }

    private static double degreesAtEnd(Character c) {
        Dial turn = c.dial("turn").orElseThrow();
        return TurnAngle.of(turn, FITTED).at(turn.to());
    }

    /** A dial as wide as drawings from the front bear tells the angle of the head; a wider one ends at the usual angle. */
    @Test
    void theDialTellsTrueDegrees() {
        assertThat(degreesAtEnd(PLAIN)).isEqualTo(45);
        Dial turn = PLAIN.dial("turn").orElseThrow();
        Character narrow = PLAIN.withDials(
                java.util.List.of(turn.withStops(java.util.List.of()).ranged("Turn", -30, 30, 0, "°")),
                java.util.List.of());
        assertThat(degreesAtEnd(narrow)).isEqualTo(30);
        Character again = TurnMaker.make(narrow.withControls(k -> k.withTurn(java.util.Optional.empty())), FITTED);
        Matrix there = new Evaluator(again)
                .frame(Pose.of(Map.of("turn", 30.0)))
                .of("eye-white-left")
                .orElseThrow()
                .matrix();
        assertThat(there.apply(new Point(540, 490)).x())
                .as("thirty degrees are thirty degrees on any dial")
                .isCloseTo(of(30, "eye-white-left").apply(new Point(540, 490)).x(), within(1.0));
        Character wide = done(PLAIN, new ChangeDial("turn", "Turn", -55, 55, 0, "°"));
        assertThat(degreesAtEnd(wide)).isEqualTo(55);
        Character tooWide = done(PLAIN, new ChangeDial("turn", "Turn", -70, 70, 0, "°"));
        assertThat(degreesAtEnd(tooWide)).isEqualTo(45);
        assertThat(TurnAngle.of(turn.ranged("Turn", -45, 45, 0, ""), FITTED).at(45))
                .isEqualTo(45);
    }

    /** A dial that goes to one side only is made anew on that side, ears, hair and the nose's profile included. */
    @Test
    void aDialMayGoToOneSideOnly() {
        Dial turn = PLAIN.dial("turn").orElseThrow();
        Dial right = turn.with(d ->
                        d.stops(java.util.List.of()).bands(java.util.List.of()).layers(java.util.List.of()))
                .ranged("Turn", 0, 45, 0, "°");
        Character one = PLAIN.withDials(java.util.List.of(right), java.util.List.of())
                .withControls(k -> k.withTurn(java.util.Optional.empty()));
        Character made = TurnMaker.make(one, FITTED);
        Dial now = made.dial("turn").orElseThrow();
        assertThat(now.from()).isZero();
        assertThat(now.stops()).allMatch(s -> s.at() > 0);
        assertThat(now.stop(45)).isEqualTo(turn.stop(45));
        assertThat(now.layersOf("ear-left")).isEqualTo(turn.layersOf("ear-left"));
        assertThat(now.layersOf("ear-right")).isEmpty();
    }

    @Test
    void shapes() {
        assertThatThrownBy(() -> new HeadShape(9, 1, 0.4, 0, 2, 0.5, 0)).hasMessageContaining("0.2 to 1.6, not 9");
        assertThatThrownBy(() -> new HeadShape(1, Double.NaN, 0.4, 0, 2, 0.5, 0))
                .hasMessageContaining("head");
        assertThatThrownBy(() -> new HeadShape(1, 1, -0.3, 0.3, 2, 0.5, 0)).hasMessageContaining("apart");
    }

    /** ±θ are mirror images, of the outline of the face too. */
    @Test
    void theFaceItselfTurnsAndBothHalvesAreAlike() {
        assertThat(Asymmetry.of(PLAIN, PLAIN.dial("turn").orElseThrow())).isEmpty();
        Path right = outline(PLAIN, 45);
        Path left = outline(PLAIN, -45);
        assertThat(Regions.of(right)
                        .symDifference(Regions.of(left.transform(Matrix.mirror(500))))
                        .getArea())
                .as("the left extreme in a mirror against the right one, square units")
                .isLessThan(1);
        assertThat(Regions.of(right)
                        .symDifference(Regions.of(outline(PLAIN, 0)))
                        .getArea())
                .isGreaterThan(200);
        assertThat(at(0).of("face-skin").orElseThrow().outlines()).isEmpty();
    }

    private static Path outline(Character c, double turn) {
        Frame.Placed p = at(turn).of("face-skin").orElseThrow();
        Artwork drawn = c.part("face-skin")
                .orElseThrow()
                .drawing(p.drawing())
                .orElseThrow()
                .art();
        return p.shown(drawn).shapes().get(0).path().transform(p.matrix());
    }

    @Test
    void theNodComesBesideTheTurnAndBothAreAPad() {
        Character c = done(PLAIN, new MakeHeadDial(HeadDial.NOD));
        assertThat(c.controls().dials()).extracting(Dial::id).startsWith("turn", "nod");
        assertThat(c.controls().pads())
                .anyMatch(p -> p.across().equals("turn") && p.down().equals("nod"));
        Evaluator e = new Evaluator(c);
        Frame down = e.frame(Pose.of(Map.of("nod", 20.0)));
        Frame up = e.frame(Pose.of(Map.of("nod", -20.0)));
        for (String part : new String[] {"eye-white-left", "nose", "mouth"}) {
            assertThat(down.of(part)
                            .orElseThrow()
                            .matrix()
                            .apply(new Point(500, 500))
                            .y())
                    .as("%s goes down", part)
                    .isGreaterThan(up.of(part)
                                    .orElseThrow()
                                    .matrix()
                                    .apply(new Point(500, 500))
                                    .y()
                            + 10);
        }
        Character nudged = done(c, new Record("nod", 20, new Nudge("nose", 0, 2)));
        assertThat(TurnMaker.keptByHand(nudged)).isEqualTo(1);
        assertThat(done(nudged, MakeTurn.of(java.util.Optional.of(deeper())))
                        .dial("nod")
                        .orElseThrow()
                        .stop(20)
                        .orElseThrow()
                        .offsets()
                        .get("nose"))
                .isEqualTo(nudged.dial("nod")
                        .orElseThrow()
                        .stop(20)
                        .orElseThrow()
                        .offsets()
                        .get("nose"));
    }

    /** Squash and stretch keeps the area at any place of the dial; the jaw opens the chin and leaves the forehead. */
    @Test
    void dialsAroundTheHead() {
        Character c = done(PLAIN, new MakeHeadDial(HeadDial.SQUASH));
        c = done(c, new MakeHeadDial(HeadDial.JAW));
        c = done(c, new MakeHeadDial(HeadDial.TILT));
        c = done(c, new MakeHeadDial(HeadDial.HAIR_DRAG));
        Evaluator e = new Evaluator(c);
        for (double at = -1; at <= 1; at += 0.05) {
            Matrix m = e.frame(Pose.of(Map.of("squash", at)))
                    .of("nose")
                    .orElseThrow()
                    .matrix();
            assertThat(m.determinant()).as("at %s", at).isCloseTo(1, within(5e-4));
        }
        Frame open = e.frame(Pose.of(Map.of("jaw", 1.0)));
        Frame.Placed face = open.of("face-skin").orElseThrow();
        Box shut = Rigs.ellipse(500, 500, 100, 120).bounds().orElseThrow();
        Box dropped = face.outlines().get(0).bounds().orElseThrow();
        assertThat(dropped.minY()).isCloseTo(shut.minY(), within(1e-9));
        assertThat(dropped.maxY()).isCloseTo(shut.maxY() + 0.16 * 120, within(0.5));
        assertThat(e.frame(Pose.of(Map.of("tilt", 15.0)))
                        .of("nose")
                        .orElseThrow()
                        .matrix()
                        .b())
                .isCloseTo(Math.sin(Math.toRadians(15)), within(1e-9));
        assertThat(e.setting("hair-drag", Pose.of(Map.of("turn", 45.0))))
                .as("still")
                .isZero();
        assertThat(((Outcome.Refused) Edits.apply(
                                Rigs.character(
                                        java.util.List.of(Rigs.part("box", null, new Point(0, 0))),
                                        java.util.List.of()),
                                new MakeHeadDial(HeadDial.HAIR_DRAG)))
                        .message())
                .contains("needs a head turn first");
    }

    @Test
    void aTurnIsPlayedThereAndBack() {
        Dial turn = PLAIN.dial("turn").orElseThrow();
        java.util.List<Double> ones = TurnPlay.of(EVALUATOR, turn, Pose.REST, 24, 1, false).stream()
                .map(p -> p.dials().get("turn"))
                .toList();
        assertThat(ones).hasSize(2 * (24 + 8)).startsWith(-45.0).endsWith(-45.0).contains(45.0);
        java.util.List<Double> twos = TurnPlay.of(EVALUATOR, turn, Pose.REST, 24, 2, true).stream()
                .map(p -> p.dials().get("turn"))
                .toList();
        for (int f = 0; f + 1 < twos.size(); f += 2) {
            assertThat(twos.get(f)).isEqualTo(twos.get(f + 1));
        }
        Refused.because(RefusalCode.PLAY_LENGTH, () -> TurnPlay.of(EVALUATOR, turn, Pose.REST, 5, 1, false));
    }

    /** What shapes no dial by hand counts as nobody's hand, though it changes every number. */
    @Test
    void scalingFlippingAndHangingLeaveNoTraceOfAHand() {
        Character shaped = done(PLAIN, new Record("turn", 45, new Nudge("nose", 7, 0)));
        for (Edit e : java.util.List.<Edit>of(
                new Fit(1.5, 20, -30, new app.leeward.core.rig.Canvas(1600, 1500)),
                new Flip(),
                new Hang(java.util.List.of("nose"), java.util.Optional.of("torso")))) {
            Character after = done(shaped, e);
            assertThat(TurnMaker.keptByHand(after)).as("%s", e).isLessThanOrEqualTo(1);
        }
        Character fitted = done(shaped, new Fit(1.5, 20, -30, new app.leeward.core.rig.Canvas(1600, 1500)));
        Character again = done(fitted, MakeTurn.of(java.util.Optional.empty()));
        assertThat(offset(again, 45, "nose")).isEqualTo(offset(fitted, 45, "nose"));
    }

    /** A correction of one eye at a turn to one side is, mirrored, one of the other eye at the turn to the other side. */
    @Test
    void correctionsAreMirroredWithTheirSide() {
        Character c = done(PLAIN, new RecordCorner("turn", 45, "gaze-down", 1, new Nudge("brow-left", 3, -2)));
        c = done(c, new MirrorSide("brow-left"));
        assertThat(c.controls().correctives()).hasSize(2);
        assertThat(c.controls().correctives()).anySatisfy(k -> {
            assertThat(k.at("turn", -45, "gaze-down", 1)).isTrue();
            assertThat(k.offsets()).containsOnlyKeys("brow-right");
            assertThat(k.offsets().get("brow-right")).isEqualTo(Offset.shift(-3, -2));
        });
        assertThat(done(c, new MirrorSide("brow-left")).controls().correctives())
                .containsExactlyInAnyOrderElementsOf(c.controls().correctives());
    }
}
