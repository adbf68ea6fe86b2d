package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Matrix;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Asymmetry;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.StopChange;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Dials of one's own, and poses recorded at their stops. */
class RecordingTest {
    private static final Character FACE = Rigs.hung(Rigs.face());
    private static final Character DIALLED = done(FACE, new NewDial("Sneer", -10, 10, 0, ""));

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static String refused(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Refused.class);
        return ((Outcome.Refused) outcome).message();
    }

    private static Dial dial(Character c) {
        return c.dial("sneer").orElseThrow();
    }

    private static Frame at(Character c, double sneer) {
        return new Evaluator(c).frame(Pose.of(Map.of("sneer", sneer)));
    }

    private static Matrix nose(Character c, double sneer) {
        return at(c, sneer).of("nose").orElseThrow().matrix();
    }

    /** At the stop the picture is the one the same edit of the rest pose would make; at rest nothing has changed. */
    @Seeded(tries = 150)
    void whatIsRecordedIsSeenAtTheStopAndOnlyThere(
            @Between(min = -10, max = 10) double value,
            @Between(min = -80, max = 80) double x,
            @Between(min = -170, max = 170) double turn,
            @Between(min = 0.3, max = 3) double size,
            @Between(min = -40, max = 40) double skew) {
        double at = Math.abs(value) < 0.01 ? 5 : value;
        Place place = new Place("nose", new Placement(x, 7, turn, size, 1.2, skew, 0.5));
        // something else is there already, and the part does not rest where it was drawn
        Character before = done(
                done(DIALLED, new Place("nose", new Placement(3, -4, 20, 1.5, 0.8, 5, 1))),
                new Record("sneer", at > 0 ? 10 : -10, new Nudge("nose", 6, 2)));
        Character recorded = done(before, new Record("sneer", at, place));
        assertThat(nose(recorded, 0)).isEqualTo(nose(before, 0));
        Matrix wanted = nose(done(before, place), at);
        Matrix got = nose(recorded, at);
        assertThat(new double[] {got.a(), got.b(), got.c(), got.d(), got.e(), got.f()})
                .containsExactly(
                        new double[] {wanted.a(), wanted.b(), wanted.c(), wanted.d(), wanted.e(), wanted.f()},
                        within(1e-9));
        assertThat(at(recorded, at).of("nose").orElseThrow().opacity())
                .isCloseTo(at(done(before, place), at).of("nose").orElseThrow().opacity(), within(1e-9));
        assertThat(recorded.part("nose")).isEqualTo(before.part("nose"));
        assertThat(nose(recorded, 99)).as("its ends hold").isEqualTo(nose(recorded, 10));
    }

    @Seeded(tries = 30)
    void theOrderOfRecordingDoesNotMatter(@Between(min = 1, max = 9) double at) {
        Edit one = new Record("sneer", at, new Nudge("nose", 5, 1));
        Edit two = new Record("sneer", at, new Nudge("brow-left", -2, 3));
        Edit three = new Record("sneer", -at, new Show("mouth", Part.NOTHING));
        Character forth = done(done(done(DIALLED, one), two), three);
        assertThat(done(done(done(DIALLED, three), two), one)).isEqualTo(forth);
    }

    @Test
    void everyChangeIsSaidInWordsAndTakenBackAlone() {
        Character c =
                done(DIALLED, new Record("sneer", 10, new Place("nose", new Placement(12, -3, 5, 1.1, 1.1, 0, 1))));
        c = done(c, new Record("sneer", 10, new Show("mouth", Part.NOTHING)));
        List<StopChange> all = StopChange.of(c, dial(c));
        assertThat(all)
                .extracting(StopChange::message)
                .containsExactlyInAnyOrder("goes 12 to the right and 3 up", "turns 5°", "110 % large", "shows nothing");
        for (StopChange change : all) {
            c = done(c, new Forget("sneer", 10, change.part(), change.aspect()));
            assertThat(StopChange.of(c, dial(c))).doesNotContain(change);
        }
        assertThat(dial(c)).as("nothing is left").isEqualTo(dial(DIALLED));
    }

    @Test
    void aPickRecordedAtAStopIsABandHalfwayToItsNeighbours() {
        Character c = done(DIALLED, new Record("sneer", 4, new Nudge("nose", 1, 0)));
        c = done(c, new Record("sneer", 10, new Show("mouth", Part.NOTHING)));
        assertThat(dial(c).bandsOf("mouth")).containsExactly(new Band(7, 10, Part.NOTHING));
        String drawing = c.part("mouth").orElseThrow().shown();
        c = done(c, new Record("sneer", 4, new Show("mouth", drawing)));
        assertThat(dial(c).bandsOf("mouth")).containsExactly(new Band(2, 7, drawing), new Band(7, 10, Part.NOTHING));
        assertThat(at(c, 9).of("mouth")).isEmpty();
        c = done(c, new MoveBandEdge("sneer", "mouth", 7, 9.5, false));
        assertThat(dial(c).bandsOf("mouth"))
                .containsExactly(new Band(2, 9.5, drawing), new Band(9.5, 10, Part.NOTHING));
        assertThat(at(c, 9).of("mouth")).isPresent();
        assertThat(refused(c, new MoveBandEdge("sneer", "mouth", 9.5, 1, false)))
                .contains("needs some room");
        assertThat(refused(c, new MoveBandEdge("sneer", "mouth", 3, 1, false))).contains("any more");
    }

    @Test
    void gapsAndDrawingsThatAreGoneAreFound() {
        Character c = done(DIALLED, new Record("sneer", 10, new Show("mouth", Part.NOTHING)));
        assertThat(StopChange.findings(c, dial(c))).isEmpty();
        Character gone = done(
                c,
                new SetDial(
                        dial(c).withBands("mouth", List.of(new Band(1, 3, "lost"), new Band(5, 10, Part.NOTHING)))));
        assertThat(StopChange.findings(gone, dial(gone)))
                .anyMatch(f -> f.contains("'lost', which is gone"))
                .anyMatch(f -> f.contains("Between 3 and 5 no band"));
        assertThat(at(gone, 2).of("mouth")).as("it shows its own").isPresent();
    }

    /** Mirrored about the axis: the brow of the other side, at the other side of rest. */
    @Test
    void aMirroredStopPosesTheOtherSide() {
        Character c =
                done(DIALLED, new Record("sneer", 10, new Place("brow-left", new Placement(4, -6, 8, 1, 1, 0, 1))));
        c = done(c, new MirrorStop("sneer", 10));
        Matrix left = at(c, 10).of("brow-left").orElseThrow().matrix();
        Matrix right = at(c, -10).of("brow-right").orElseThrow().matrix();
        Matrix axis = Matrix.mirror(c.sheet().model().axis());
        Matrix reflected = axis.times(left).times(axis);
        assertThat(right.e()).isCloseTo(reflected.e(), within(1e-9));
        assertThat(right.f()).isCloseTo(reflected.f(), within(1e-9));
        assertThat(right.b()).isCloseTo(reflected.b(), within(1e-9));
        assertThat(at(c, -10).of("brow-left").orElseThrow().matrix()).isEqualTo(Matrix.IDENTITY);
        assertThat(done(c, new MirrorStop("sneer", -10))).as("twice is once").isEqualTo(c);
    }

    @Test
    void halvesThatDifferAreMeasured() {
        Character c = done(DIALLED, new Record("sneer", 10, new Nudge("brow-left", 4, -3)));
        assertThat(Asymmetry.of(c, dial(c))).get().satisfies(u -> {
            assertThat(u.part()).isIn("brow-left", "brow-right");
            assertThat(u.at()).isEqualTo(10);
            assertThat(u.by()).as("3-4-5").isCloseTo(5, within(1e-9));
        });
        Character even = done(c, new MirrorStop("sneer", 10));
        assertThat(Asymmetry.of(even, dial(even))).isEmpty();
        assertThat(Asymmetry.of(FACE, FACE.dial("turn").orElseThrow())).isEmpty();
    }

    @Test
    void stopsAreMovedCopiedAndTakenAway() {
        Character c = done(DIALLED, new Record("sneer", 10, new Nudge("nose", 8, 0)));
        Character moved = done(c, new MoveStop("sneer", 10, 4));
        assertThat(nose(moved, 4)).isEqualTo(nose(c, 10));
        assertThat(nose(moved, 10)).isEqualTo(nose(c, 10));
        Character copied = done(c, new CopyStop("sneer", 10, 5));
        assertThat(nose(copied, 5)).isEqualTo(nose(c, 10));
        assertThat(refused(copied, new MoveStop("sneer", 10, 5))).contains("already");
        assertThat(refused(copied, new MoveStop("sneer", 10, 0))).contains("rest keeps its own");
        assertThat(refused(copied, new MoveStop("sneer", 10, 11))).contains("goes from -10 to 10");
        assertThat(done(done(copied, new DropStop("sneer", 10)), new DropStop("sneer", 5))
                        .controls()
                        .dials())
                .isEqualTo(DIALLED.controls().dials());
    }

    @ParameterizedTest
    @CsvSource({"5,5,5,needs some way", "5,1,2,needs some way", "0,1,2,Rest lies inside", "NaN,1,0,from a number"})
    void aRangeThatIsNoneIsRefused(double from, double to, double rest, String message) {
        assertThat(refused(FACE, new NewDial("Sneer", from, to, rest, ""))).contains(message);
        assertThat(refused(DIALLED, new ChangeDial("sneer", "Sneer", from, to, rest, "")))
                .contains(message);
    }

    @Test
    void whatCannotBeRecordedSaysWhy() {
        assertThat(refused(DIALLED, new Record("sneer", 0, new Nudge("nose", 1, 0))))
                .contains("At rest");
        assertThat(refused(DIALLED, new Record("sneer", 11, new Nudge("nose", 1, 0))))
                .contains("no 11 on it");
        assertThat(refused(DIALLED, new Record("sneer", 5, new Nudge("tail", 1, 0))))
                .contains("no part");
        assertThat(refused(DIALLED, new Record("none", 5, new Nudge("nose", 1, 0))))
                .contains("no dial");
        assertThat(refused(DIALLED, new Record("sneer", 5, new Rename("x")))).contains("can be recorded");
        Character c = done(DIALLED, new Record("sneer", 10, new Nudge("nose", 8, 0)));
        assertThat(refused(c, new ChangeDial("sneer", "Sneer", -5, 5, 0, ""))).contains("something at 10");
        assertThat(dial(done(c, new ChangeDial("sneer", "Snarl", -20, 20, 0, "°")))
                        .stops())
                .isEqualTo(dial(c).stops());
    }
}
