package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeDial;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** What the dials do is measured on the evaluated frame, in numbers worked out by hand. */
class ReadyMadeTest {
    private static final Character FACE = all(Rigs.hung(Rigs.face()));

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static Character all(Character c) {
        Character now = c;
        for (ReadyMade dial : ReadyMade.values()) {
            // the face has no cheeks
            now = dial.addTo(now).isPresent() ? done(now, new MakeDial(dial)) : now;
        }
        return now;
    }

    private static Box box(Map<String, Double> dials, String part) {
        Frame.Placed p = new Evaluator(FACE).frame(Pose.of(dials)).of(part).orElseThrow();
        return FACE.part(part)
                .orElseThrow()
                .drawing(p.drawing())
                .orElseThrow()
                .art()
                .transform(p.matrix())
                .bounds()
                .orElseThrow();
    }

    @Test
    void aSquintNarrowsWhiteAndLidsAboutTheEyesMiddle() {
        Box white = box(Map.of("squint", 1.0), "eye-white-left");
        // drawn 40 tall about y 490
        assertThat(white.height()).isCloseTo(20, within(1e-6));
        assertThat(white.centre().y()).isCloseTo(490, within(1e-6));
        assertThat(white.width()).isCloseTo(48, within(1e-6));
        // the upper lid's edge lay 2 over the white's top and stays so
        assertThat(box(Map.of("squint", 1.0), "upper-lid-left").maxY()).isCloseTo(482, within(1e-6));
        assertThat(box(Map.of("squint", 1.0), "pupil-left").height()).isCloseTo(10, within(1e-6));
    }

    @Test
    void aWideEyeGrowsAndItsPupilDoesNot() {
        Box white = box(Map.of("squint", -1.0), "eye-white-left");
        assertThat(white.height()).isCloseTo(40 * 1.14, within(1e-6));
        assertThat(white.centre().y()).isCloseTo(490, within(1e-6));
        Box pupil = box(Map.of("squint", -1.0), "pupil-left");
        assertThat(pupil.height()).isCloseTo(10, within(1e-6));
        assertThat(pupil.centre().y()).isCloseTo(490, within(1e-6));
    }

    /** Squint and blink add up: shut is shut, at any squint, look and turn. */
    @Test
    void aFullBlinkShowsNoWhiteHoweverTheEyeIsSquinted() {
        Evaluator e = new Evaluator(FACE);
        Fills fills = new Fills(FACE);
        for (double squint = -1; squint <= 1; squint += 0.25) {
            for (double turn : new double[] {-60, 0, 60}) {
                Frame f = e.frame(Pose.of(Map.of("blink", 1.0, "squint", squint, "turn", turn, "gaze-across", 1.0)));
                for (String side : new String[] {"left", "right"}) {
                    Geometry open = fills.in(f, "eye-white-" + side)
                            .orElseThrow()
                            .difference(fills.in(f, "upper-lid-" + side).orElseThrow())
                            .difference(fills.in(f, "lower-lid-" + side).orElseThrow());
                    assertThat(open.getArea())
                            .as("squint %s turn %s", squint, turn)
                            .isLessThan(0.5);
                }
            }
        }
    }

    @Test
    void theGazeFieldFollowsTheSquint() {
        double open = height(Pose.REST);
        assertThat(height(Pose.of(Map.of("squint", 1.0)))).isLessThan(0.75 * open);
    }

    /** Areas by JTS. Half and full are measured; in between and together nothing may be lost either. */
    @Test
    void noLookLosesThePupilInNarrowedOrTurnedEyes() {
        Evaluator e = new Evaluator(FACE);
        Fills fills = new Fills(FACE);
        double least = 1;
        for (double squint : new double[] {-1, 0, 0.3, 0.6, 1}) {
            for (double turn : new double[] {-60, -20, 0, 45}) {
                for (int i = 0; i < 16; i++) {
                    double x = Math.cos(i * Math.PI / 8);
                    double y = Math.sin(i * Math.PI / 8);
                    Frame f = e.frame(Pose.of(Map.of(
                            "squint",
                            squint,
                            "turn",
                            turn,
                            "convergence",
                            (i % 3) / 2.0,
                            GazeMaker.ACROSS,
                            1.4 * x,
                            GazeMaker.DOWN,
                            1.4 * y)));
                    double kept = kept(fills, f);
                    assertThat(kept)
                            .as("squint %s turn %s looking %s, %s", squint, turn, x, y)
                            .isGreaterThan(GazeField.KEPT);
                    least = Math.min(least, kept);
                }
            }
        }
        assertThat(least).as("the field is used up").isLessThan(GazeField.KEPT + 0.05);
    }

    private static double kept(Fills fills, Frame f) {
        double least = 1;
        for (String side : new String[] {"left", "right"}) {
            Geometry pupil = fills.in(f, "pupil-" + side).orElseThrow();
            Geometry white = fills.in(f, "eye-white-" + side).orElseThrow();
            least = Math.min(least, white.intersection(pupil).getArea() / pupil.getArea());
        }
        return least;
    }

    private static double height(Pose pose) {
        return GazeField.of(FACE, pose).stream().mapToDouble(Point::y).max().orElseThrow();
    }

    @Test
    void pupilsGrowAboutTheirMiddlesAndConvergeOnTheNose() {
        Box large = box(Map.of("pupil-size", 1.6), "pupil-left");
        assertThat(large.width()).isCloseTo(16, within(1e-6));
        assertThat(large.centre().x()).isCloseTo(540, within(1e-6));
        double left = box(Map.of("convergence", 1.0), "pupil-left").centre().x();
        double right = box(Map.of("convergence", 1.0), "pupil-right").centre().x();
        assertThat(left).isLessThan(540);
        assertThat(left + right).as("alike on both sides of the axis").isCloseTo(1000, within(1e-6));
    }

    @Test
    void browsAreRaisedAndTiltedAboutTheirOuterCornersAlike() {
        assertThat(box(Map.of("brow-raise", 1.0), "brow-left").centre().y()).isCloseTo(458 - 0.3 * 40, within(1e-6));
        Matrix left = new Evaluator(FACE)
                .frame(Pose.of(Map.of("brow-tilt", 1.0)))
                .of("brow-left")
                .orElseThrow()
                .matrix();
        Matrix right = new Evaluator(FACE)
                .frame(Pose.of(Map.of("brow-tilt", 1.0)))
                .of("brow-right")
                .orElseThrow()
                .matrix();
        // worry: the inner ends go up by the sine of 22 degrees, the outer corners stay
        assertThat(left.apply(new Point(520, 458)).y())
                .isCloseTo(458 - 40 * Math.sin(Math.toRadians(22)), within(1e-6));
        assertThat(left.apply(new Point(560, 458)).distance(new Point(560, 458)))
                .isLessThan(1e-9);
        Point inner = right.apply(new Point(480, 458));
        assertThat(inner.x()).isCloseTo(1000 - left.apply(new Point(520, 458)).x(), within(1e-6));
        assertThat(inner.y()).isCloseTo(left.apply(new Point(520, 458)).y(), within(1e-6));
    }

    @Test
    void aDialIsTakenAwayAndOneWithoutPiecesIsRefused() {
        assertThat(done(FACE, new DropDial("squint")).dial("squint")).isEmpty();
        assertThat(done(FACE, new DropDial("gaze-down")).controls().pads()).isEmpty();
        assertThat(Edits.apply(FACE, new DropDial("elbow"))).isInstanceOf(Outcome.Refused.class);
        Character bare = Rigs.hung(Rigs.group("", Rigs.layer("face", Rigs.ellipse(500, 500, 90, 90))));
        assertThat(Edits.apply(bare, new MakeDial(ReadyMade.SQUINT))).isInstanceOf(Outcome.Refused.class);
        assertThat(Edits.apply(bare, new MakeDial(ReadyMade.BROW_TILT))).isInstanceOf(Outcome.Refused.class);
    }

    /** A single brow has an inner end on either side of its middle: it arches and frowns alike on both sides, and never leans. */
    @Test
    void oneBrowForTheWholeFaceMovesAlikeOnBothSides() {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("head", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("eye white", Rigs.ellipse(500, 490, 40, 36)),
                Rigs.layer("pupil", Rigs.ellipse(500, 490, 10, 10)),
                Rigs.layer("brow", Rigs.ellipse(500, 440, 50, 8))));
        for (ReadyMade dial : new ReadyMade[] {
            ReadyMade.BROW_RAISE,
            ReadyMade.BROW_TILT,
            ReadyMade.BROW_INNER,
            ReadyMade.BROW_OUTER,
            ReadyMade.BROW_TOGETHER
        }) {
            Character made = done(c, new MakeDial(dial));
            for (double value : new double[] {-1, 1}) {
                Frame.Placed p = new Evaluator(made)
                        .frame(Pose.of(Map.of(dial.id(), value)))
                        .of("brow")
                        .orElseThrow();
                assertThat(p.matrix().b()).as(dial.id()).isCloseTo(0, within(1e-9));
                Path outline = (p.outlines().isEmpty()
                                ? Rigs.ellipse(500, 440, 50, 8)
                                : p.outlines().get(0))
                        .transform(p.matrix());
                assertThat(outline.bounds().orElseThrow().centre().x())
                        .as(dial.id())
                        .isCloseTo(500, within(1e-6));
                List<Point> ends = outline.segments().stream()
                        .flatMap(s -> s instanceof Segment.Cubic curve ? Stream.of(curve.to()) : Stream.empty())
                        .toList();
                Point left =
                        ends.stream().min(Comparator.comparingDouble(Point::x)).orElseThrow();
                Point right =
                        ends.stream().max(Comparator.comparingDouble(Point::x)).orElseThrow();
                assertThat(left.y()).as(dial.id()).isCloseTo(right.y(), within(1e-6));
            }
        }
    }
}
