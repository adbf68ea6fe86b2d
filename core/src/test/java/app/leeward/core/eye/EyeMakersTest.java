package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Note;
import app.leeward.core.rig.Pose;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Cover and loss measured with JTS on the evaluated frame; circles against closed forms. */
class EyeMakersTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Geometry fill(Character c, Frame frame, String part) {
        Frame.Placed p = frame.of(part).orElseThrow();
        Matrix m = p.matrix();
        return c.part(part).orElseThrow().drawing(p.drawing()).orElseThrow().art().shapes().stream()
                .map(s -> Regions.of(s.path().transform(m)))
                .reduce(Geometry::union)
                .orElseThrow();
    }

    private static double uncovered(double turn, double across, double down) {
        Map<String, Double> dials = new TreeMap<>();
        dials.put("blink", 1.0);
        dials.put("turn", turn);
        dials.put("gaze-across", across);
        dials.put("gaze-down", down);
        Frame frame = new Evaluator(FACE).frame(Pose.of(dials));
        double worst = 0;
        for (String side : new String[] {"left", "right"}) {
            Geometry white = fill(FACE, frame, "eye-white-" + side);
            Geometry lids = fill(FACE, frame, "upper-lid-" + side).union(fill(FACE, frame, "lower-lid-" + side));
            worst = Math.max(worst, white.difference(lids).getArea());
        }
        return worst;
    }

    @Test
    void aFullBlinkShowsNoWhiteAtAnyTurnOrGaze() {
        for (double turn = -60; turn <= 60; turn += 15) {
            for (double gaze = -1; gaze <= 1; gaze += 1) {
                assertThat(uncovered(turn, gaze, -gaze))
                        .as("turn %s gaze %s", turn, gaze)
                        .isLessThan(0.5);
            }
        }
    }

    @Test
    void anOpenEyeIsNotCovered() {
        Frame open = new Evaluator(FACE).frame(Pose.REST);
        double white = fill(FACE, open, "eye-white-left").getArea();
        double left = fill(FACE, open, "eye-white-left")
                .difference(fill(FACE, open, "upper-lid-left"))
                .getArea();
        assertThat(left / white).isGreaterThan(0.9);
    }

    @Test
    void fullThrowOfTheGazeKeepsThePupilInEveryCorner() {
        for (double x : new double[] {-1, 0, 1}) {
            for (double y : new double[] {-1, 0, 1}) {
                Frame f = new Evaluator(FACE).frame(Pose.of(Map.of("gaze-across", x, "gaze-down", y)));
                Geometry pupil = fill(FACE, f, "pupil-left");
                double kept =
                        fill(FACE, f, "eye-white-left").intersection(pupil).getArea() / pupil.getArea();
                assertThat(kept).as("%s, %s", x, y).isGreaterThan(GazeField.KEPT - 0.01);
            }
        }
    }

    /** Two circles: the pupil's centre may go to where the lens they share is KEPT of its area. */
    @Test
    void theThrowOfRoundEyesAgreesWithTheAreaOfALens() {
        double big = 24;
        double small = 6;
        Geometry white = Regions.of(Rigs.ellipse(0, 0, big, big));
        Geometry pupil = Regions.of(Rigs.ellipse(0, 0, small, small));
        for (double d : new double[] {10, 18, 20, 22, 24}) {
            assertThat(new Overlap(white, pupil).kept(d, 0))
                    .as("at %s", d)
                    .isCloseTo(lens(big, small, d) / (Math.PI * small * small), within(0.01));
        }
    }

    private static double lens(double r, double s, double d) {
        if (d <= r - s) {
            return Math.PI * s * s;
        }
        double a = s * s * Math.acos((d * d + s * s - r * r) / (2 * d * s));
        double b = r * r * Math.acos((d * d + r * r - s * s) / (2 * d * r));
        double c = 0.5 * Math.sqrt((-d + s + r) * (d + s - r) * (d - s + r) * (d + s + r));
        return a + b - c;
    }

    @Test
    void anEyeWithoutALowerLidBlinksWithTheUpperOneAndSaysSo() {
        Character c = Rigs.hung(eyeOf(
                Rigs.layer("white", Rigs.ellipse(540, 490, 24, 20)),
                Rigs.layer("pupil", Rigs.ellipse(540, 490, 5, 5)),
                Rigs.layer("upper lid", Rigs.box(510, 400, 60, 72))));
        assertThat(c.origin().notes()).extracting(Note::code).contains("blink-upper-only");
        Frame shut = new Evaluator(c).frame(Pose.of(Map.of("blink", 1.0)));
        assertThat(fill(c, shut, "eye-white")
                        .difference(fill(c, shut, "upper-lid"))
                        .getArea())
                .isLessThan(0.5);
    }

    @Test
    void anEyeWithoutLidsOrWithTooSmallOnesShutsByItsContours() {
        Layer white = Rigs.layer("white", Rigs.ellipse(540, 490, 24, 20));
        Character without = Rigs.hung(eyeOf(white));
        Character small = Rigs.hung(eyeOf(white, Rigs.layer("upper lid", Rigs.box(535, 460, 8, 8))));
        for (Character c : new Character[] {without, small}) {
            assertThat(c.origin().notes()).extracting(Note::code).noneMatch(n -> n.startsWith("blink-"));
            Frame shut = new Evaluator(c).frame(Pose.of(Map.of("blink", 1.0)));
            assertThat(new Fills(c).in(shut, "eye-white").orElseThrow().getArea())
                    .isLessThan(0.5);
            assertThat(EyeCheck.of(c)).isEmpty();
        }
    }

    @Test
    void drawnLidsAreSteppedThroughFromOpenToClosed() {
        Layer lids = Rigs.group(
                "upper lid",
                Rigs.layer("blink 1", Rigs.box(510, 400, 60, 75)),
                Rigs.layer("blink 2", Rigs.box(510, 400, 60, 90)),
                Rigs.layer("blink 3", Rigs.box(510, 400, 60, 115)));
        Character c = Rigs.hung(eyeOf(Rigs.layer("white", Rigs.ellipse(540, 490, 24, 20)), lids));
        Evaluator e = new Evaluator(c);
        assertThat(new double[] {0.1, 0.5, 0.9, 1}).satisfies(v -> {
            String[] shown = new String[4];
            for (int i = 0; i < 4; i++) {
                shown[i] = e.frame(Pose.of(Map.of("blink", v[i])))
                        .of("upper-lid")
                        .orElseThrow()
                        .drawing();
            }
            assertThat(shown).containsExactly("blink-1", "blink-2", "blink-3", "blink-3");
        });
    }

    private static Layer eyeOf(Layer... pieces) {
        Path skin = Rigs.ellipse(500, 500, 100, 120);
        return Rigs.group("", Rigs.layer("face", skin), Rigs.group("eye", pieces));
    }
}
