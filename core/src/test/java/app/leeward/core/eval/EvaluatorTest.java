package app.leeward.core.eval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Window;
import java.awt.geom.AffineTransform;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Placement against java.awt.geom.AffineTransform; who decides against the order of 03, "Channels and who decides". */
class EvaluatorTest {
    private static final Part BODY =
            Rigs.part("body", null, new Point(50, 90), Rigs.drawing("body", Rigs.box(30, 50, 40, 40)));
    private static final Part ARM =
            Rigs.part("arm", "body", new Point(60, 55), Rigs.drawing("arm", Rigs.box(60, 50, 30, 10)));
    private static final Part HAND = Rigs.part(
            "hand",
            "arm",
            new Point(90, 55),
            Rigs.drawing("open", Rigs.box(90, 50, 10, 10)),
            Rigs.drawing("fist", Rigs.box(90, 52, 8, 8)),
            Rigs.drawing("point", Rigs.box(90, 53, 14, 4)));

    private static Dial dial(String id, Stop stop, Bands... bands) {
        return new Dial(id, id, Purpose.OWN, -10, 10, 0, "", List.of(stop), List.of(bands));
    }

    private static Character rig(Dial... dials) {
        return Rigs.character(List.of(BODY, ARM, HAND), List.of(), dials);
    }

    private static Matrix matrixOf(Character c, String part, Pose pose) {
        return new Evaluator(c).frame(pose).of(part).orElseThrow().matrix();
    }

    @Test
    void placementsMultiplyDownTheTreeAsTheJdkSays() {
        Random random = new Random(4);
        for (int round = 0; round < 200; round++) {
            Placement[] at = new Placement[3];
            for (int i = 0; i < 3; i++) {
                at[i] = new Placement(
                        random.nextDouble() * 40 - 20,
                        random.nextDouble() * 40 - 20,
                        random.nextDouble() * 720 - 360,
                        0.2 + random.nextDouble() * 2,
                        0.2 + random.nextDouble() * 2,
                        random.nextDouble() * 60 - 30,
                        1);
            }
            Character c =
                    Rigs.character(List.of(BODY.withRest(at[0]), ARM.withRest(at[1]), HAND.withRest(at[2])), List.of());
            AffineTransform expected = new AffineTransform();
            List<Part> chain = List.of(BODY, ARM, HAND);
            for (int i = 0; i < 3; i++) {
                Point p = chain.get(i).pivot();
                expected.translate(at[i].x(), at[i].y());
                expected.translate(p.x(), p.y());
                expected.rotate(Math.toRadians(at[i].rotation()));
                expected.shear(Math.tan(Math.toRadians(at[i].skewX())), 0);
                expected.scale(at[i].scaleX(), at[i].scaleY());
                expected.translate(-p.x(), -p.y());
            }
            Matrix m = matrixOf(c, "hand", Pose.REST);
            double[] theirs = new double[6];
            expected.getMatrix(theirs);
            assertThat(new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()})
                    .as("seed 4, round %d", round)
                    .containsExactly(theirs, within(1e-8));
        }
    }

    @Test
    void twoDialsAddShiftsAndMultiplyScales() {
        Dial one = dial("one", new Stop(10, Map.of("body", Offset.placed(4, 0, 10, 0.5, 1, 0, 0.5))));
        Dial two = dial("two", new Stop(10, Map.of("body", Offset.placed(6, 2, 20, 0.5, 1, 0, 0.5))));
        Frame.Placed body = new Evaluator(rig(one, two))
                .frame(Pose.of(Map.of("one", 10.0, "two", 10.0)))
                .of("body")
                .orElseThrow();
        Matrix expected = new Placement(10, 2, 30, 0.25, 1, 0, 1).matrix(BODY.pivot());
        assertThat(body.matrix().e()).isCloseTo(expected.e(), within(1e-9));
        assertThat(body.matrix().a()).isCloseTo(expected.a(), within(1e-9));
        assertThat(body.opacity()).isCloseTo(0.25, within(1e-12));
    }

    @Test
    void betweenStopsTheWayIsEvenAndOutsideTheRangeItHolds() {
        Character c = rig(dial("d", new Stop(10, Map.of("body", Offset.shift(40, 0)))));
        assertThat(matrixOf(c, "body", Pose.of(Map.of("d", 2.5))).e()).isCloseTo(10, within(1e-9));
        assertThat(matrixOf(c, "body", Pose.of(Map.of("d", 999.0))).e()).isCloseTo(40, within(1e-9));
        assertThat(matrixOf(c, "body", Pose.of(Map.of("d", -7.0))).e())
                .as("no stop on that side")
                .isZero();
    }

    @Test
    void whoDecidesADrawing() {
        Bands bands = new Bands("hand", List.of(new Band(5, 10, "fist")));
        Character c = rig(dial("d", new Stop(10, Map.of()), bands));
        Evaluator e = new Evaluator(c);
        Map<String, Double> away = Map.of("d", 6.0);
        assertThat(shown(e, Pose.REST)).as("default").isEqualTo("open");
        assertThat(shown(e, new Pose(Map.of(), Map.of("hand", "point"), Map.of(), Map.of())))
                .as("a pick while the dial rests")
                .isEqualTo("point");
        assertThat(shown(e, new Pose(away, Map.of("hand", "point"), Map.of(), Map.of())))
                .as("the dial over the pick")
                .isEqualTo("fist");
        assertThat(shown(e, new Pose(away, Map.of(), Map.of(), Map.of("hand", "point"))))
                .as("speech over the dial")
                .isEqualTo("point");
        assertThat(shown(e, new Pose(away, Map.of(), Map.of("hand", "open"), Map.of("hand", "point"))))
                .as("a pin over everything")
                .isEqualTo("open");
        assertThat(shown(e, new Pose(away, Map.of(), Map.of("hand", "gone"), Map.of())))
                .as("a pin to a drawing that is not there says nothing")
                .isEqualTo("fist");
    }

    @Test
    void ofTwoDialsTheOneFurtherFromRestWins() {
        Dial a = dial("a", new Stop(10, Map.of()), new Bands("hand", List.of(new Band(1, 10, "fist"))));
        Dial b = dial("b", new Stop(10, Map.of()), new Bands("hand", List.of(new Band(1, 10, "point"))));
        Evaluator e = new Evaluator(rig(a, b));
        assertThat(shown(e, Pose.of(Map.of("a", 9.0, "b", 3.0)))).isEqualTo("fist");
        assertThat(shown(e, Pose.of(Map.of("a", 3.0, "b", 9.0)))).isEqualTo("point");
        assertThat(shown(e, Pose.of(Map.of("a", 5.0, "b", 5.0))))
                .as("the later in the list")
                .isEqualTo("point");
    }

    @Test
    void reasonsNameTheWinnerAndEveryoneOverruled() {
        Bands bands = new Bands("hand", List.of(new Band(5, 10, "fist")));
        Evaluator e = new Evaluator(rig(dial("Swing", new Stop(10, Map.of("hand", Offset.shift(8, 0))), bands)));
        Pose pose = new Pose(Map.of("Swing", 10.0), Map.of("hand", "point"), Map.of("hand", "open"), Map.of());
        Reason drawing = reason(e, pose, Reason.DRAWING);
        assertThat(drawing.value()).isEqualTo("open");
        assertThat(drawing.heard()).extracting(Contribution::kind).containsExactly(Contribution.Kind.PIN);
        assertThat(drawing.overruled())
                .extracting(Contribution::kind)
                .containsExactly(Contribution.Kind.DIAL, Contribution.Kind.PICK, Contribution.Kind.REST);
        assertThat(drawing.overruled().get(0).message()).isEqualTo("Swing at 10 asks for fist");
        Reason across = reason(e, pose, Channel.X.id());
        assertThat(across.value()).isEqualTo("8");
        assertThat(across.heard()).extracting(Contribution::message).containsExactly("stands at 0", "Swing at 10 + 8");
    }

    @Test
    void everyReasonAgreesWithTheFrame() {
        Bands bands = new Bands("hand", List.of(new Band(2, 6, "fist"), new Band(6, 10, "point")));
        Evaluator e = new Evaluator(rig(dial("d", new Stop(10, Map.of()), bands)));
        for (double v = -10; v <= 10; v += 0.5) {
            Pose pose = Pose.of(Map.of("d", v));
            assertThat(reason(e, pose, Reason.DRAWING).value()).as("at %s", v).isEqualTo(shown(e, pose));
        }
    }

    @Test
    void windowsNestAndOneThatShowsNothingMasksNothing() {
        Part pupil = Rigs.part("pupil", "eye", new Point(0, 0), Rigs.drawing("p", Rigs.box(0, 0, 2, 2)));
        Part eye = Rigs.part("eye", "face", new Point(0, 0), Rigs.drawing("e", Rigs.box(0, 0, 9, 9)));
        Part face = Rigs.part("face", null, new Point(0, 0), Rigs.drawing("f", Rigs.box(0, 0, 20, 20)));
        List<Window> windows = List.of(new Window("eye", List.of("pupil")), new Window("face", List.of("eye")));
        Character c = Rigs.character(List.of(face, eye, pupil), windows);
        assertThat(new Evaluator(c).frame(Pose.REST).of("pupil").orElseThrow().windows())
                .containsExactly("eye", "face");
        Character without = c.withPart("eye", p -> p.withShown(Part.NOTHING));
        assertThat(new Evaluator(without)
                        .frame(Pose.REST)
                        .of("pupil")
                        .orElseThrow()
                        .windows())
                .containsExactly("face");
    }

    private static String shown(Evaluator e, Pose pose) {
        return e.frame(pose).of("hand").orElseThrow().drawing();
    }

    private static Reason reason(Evaluator e, Pose pose, String channel) {
        return e.why("hand", pose).stream()
                .filter(r -> r.channel().equals(channel))
                .findFirst()
                .orElseThrow();
    }
}
