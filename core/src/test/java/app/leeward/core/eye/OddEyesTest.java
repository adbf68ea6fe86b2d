package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Purpose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Eyes that are not two almonds apart: dots without a white, and whites that overlap each other. */
class OddEyesTest {
    private static final double R = 9;

    private static Character faceWith(Layer... eyes) {
        return Rigs.hung(Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.group("eyes", eyes),
                Rigs.layer("Nose", Rigs.ellipse(500, 520, 10, 14)),
                Rigs.group("mouth", Rigs.layer("rest", Rigs.box(480, 559, 40, 2)))));
    }

    private static Layer dot(String side, double x) {
        return Rigs.group("eye " + side, Rigs.layer("pupil " + side, Rigs.ellipse(x, 490, R, R)));
    }

    private static final Character DOTS = faceWith(dot("left", 540), dot("right", 460));

    private static Point middle(Character c, String part, Pose pose) {
        Box box = c.part(part).flatMap(Part::bounds).orElseThrow();
        return new Evaluator(c).frame(pose).of(part).orElseThrow().matrix().apply(box.centre());
    }

    /** Area two circles share at a distance, by the closed form of the lens (Weisstein, "Circle-Circle Intersection"). */
    private static double lens(double r, double big, double d) {
        if (d <= big - r) {
            return Math.PI * r * r;
        }
        double a = r * r * Math.acos((d * d + r * r - big * big) / (2 * d * r));
        double b = big * big * Math.acos((d * d + big * big - r * r) / (2 * d * big));
        return a + b - 0.5 * Math.sqrt((-d + r + big) * (d + r - big) * (d - r + big) * (d + r + big));
    }

    @Test
    void dotsLookRoundAndKeepAsMuchInTheirSocketAsAPupilInItsWhite() {
        for (double angle = 0; angle < 2 * Math.PI; angle += Math.PI / 7) {
            // far beyond the pad's edge, which holds it
            Pose look = Pose.of(Map.of("gaze-across", Math.cos(angle), "gaze-down", Math.sin(angle)));
            Point went = middle(DOTS, "pupil-left", look).minus(middle(DOTS, "pupil-left", Pose.REST));
            double kept = lens(R, 1.6 * R, Math.hypot(went.x(), went.y())) / (Math.PI * R * R);
            assertThat(kept).as("at %.2f", angle).isCloseTo(GazeField.KEPT, within(0.015));
        }
        assertThat(GazeField.of(DOTS, Pose.REST)).hasSize(72);
    }

    @Test
    void dotsBlinkTurnSquintAndFindNothingWrong() {
        Evaluator rest = new Evaluator(DOTS);
        double shut = rest.frame(Pose.of(Map.of("blink", 1.0)))
                .of("pupil-left")
                .orElseThrow()
                .matrix()
                .d();
        assertThat(shut).as("squashed flat").isBetween(0.01, 0.1);
        assertThat(DOTS.origin().notes()).anyMatch(n -> n.code().equals("blink-squashed"));
        assertThat(middle(DOTS, "pupil-left", Pose.of(Map.of("turn", 40.0))).x())
                .isNotCloseTo(540, within(5.0));
        assertThat(EyeCheck.of(DOTS)).isEmpty();

        Character squinting = ReadyMade.SQUINT.addTo(DOTS).orElseThrow();
        var narrow = new Evaluator(squinting)
                .frame(Pose.of(Map.of("squint", 1.0)))
                .of("pupil-left")
                .orElseThrow()
                .matrix();
        assertThat(narrow.d()).isCloseTo(0.5, within(1e-9));
        assertThat(narrow.apply(new Point(540, 490)).y()).as("about its middle").isCloseTo(490, within(1e-9));

        Character crossed = ReadyMade.CONVERGENCE.addTo(DOTS).orElseThrow();
        Pose in = Pose.of(Map.of("convergence", 1.0));
        assertThat(middle(crossed, "pupil-left", in).x()).isLessThan(540);
        assertThat(middle(crossed, "pupil-right", in).x()).isGreaterThan(460);
    }

    @Test
    void eyesThatTouchLookAndShutWithoutAFinding() {
        List<Layer> eyes = List.of(touching("left", 522), touching("right", 478));
        Character c = faceWith(eyes.toArray(Layer[]::new));
        assertThat(EyeCheck.of(c)).isEmpty();
        assertThat(c.controls().dials()).anyMatch(d -> d.purpose() == Purpose.GAZE_ACROSS);
        Point ahead = middle(c, "pupil-left", Pose.REST);
        Point looks = middle(c, "pupil-left", Pose.of(Map.of("gaze-across", 1.0)));
        assertThat(looks.x() - ahead.x()).isGreaterThan(10);
    }

    /** 24 wide each side of its middle, 44 apart: they overlap by 4. */
    private static Layer touching(String side, double x) {
        return Rigs.group(
                "eye " + side,
                Rigs.layer("white " + side, Rigs.ellipse(x, 490, 24, 26)),
                Rigs.layer("pupil " + side, Rigs.ellipse(x, 490, 6, 6)));
    }

    /** A screen from 470 to 590 across: the dot of the left eye, 18 wide, stays on it wherever it looks; so does one beside a cheek. */
    @Test
    void aDotStaysOnWhatItLiesOnAndTouchesNothingBesideIt() {
        Character plain = faceWith(dot("left", 540), dot("right", 460));
        Character held = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("screen", Rigs.box(440, 475, 120, 30)),
                dot("left", 540),
                dot("right", 460),
                Rigs.layer("cheek left", Rigs.ellipse(540, 515, 14, 8)),
                Rigs.layer("cheek right", Rigs.ellipse(460, 515, 14, 8)),
                Rigs.layer("mouth", Rigs.box(480, 559, 40, 2))));
        Pose down = Pose.of(Map.of("gaze-down", 1.0));
        double free = middle(plain, "pupil-left", down).y() - 490;
        double kept = middle(held, "pupil-left", down).y() - 490;
        assertThat(kept).isLessThan(free).isGreaterThan(0.1 * R);
        assertThat(490 + kept + R).as("its lower edge, on the screen").isLessThan(505 + 0.15 * R);
        Pose aside = Pose.of(Map.of("gaze-across", 1.0));
        assertThat(middle(held, "pupil-left", aside).x() + R).isLessThan(560 + 0.15 * R);
    }

    /** Eyes that stand half over the edge of the head lie on nothing, and look about all the same. */
    @Test
    void aDotThatLiesOnNothingLooksAboutToo() {
        Character over = faceWith(dot("left", 600), dot("right", 400));
        double across =
                middle(over, "pupil-left", Pose.of(Map.of("gaze-across", 1.0))).x() - 600;
        assertThat(across).isBetween(0.1 * 2 * R, 0.2 * 2 * R);
    }

    /** A dot as large as a bee's stays on the head also where it looks aslant. */
    @Test
    void aLargeDotStaysOnTheHead() {
        Character large = faceWith(
                Rigs.group("eye left", Rigs.layer("pupil left", Rigs.ellipse(550, 490, 38, 46))),
                Rigs.group("eye right", Rigs.layer("pupil right", Rigs.ellipse(450, 490, 38, 46))));
        Pose aslant = Pose.of(Map.of("gaze-across", 1.0, "gaze-down", -1.0));
        Point at = middle(large, "pupil-left", aslant);
        // by the ellipse of the head itself, around the dot's edge
        int outside = 0;
        for (int k = 0; k < 360; k++) {
            double x = at.x() + 38 * Math.cos(Math.toRadians(k)) - 500;
            double y = at.y() + 46 * Math.sin(Math.toRadians(k)) - 500;
            outside += x * x / 1e4 + y * y / 14_400 > 1 ? 1 : 0;
        }
        assertThat(outside).as("degrees of its edge outside").isLessThan(90);
        assertThat(at.x()).isGreaterThan(550);
    }
}
