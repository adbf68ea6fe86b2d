package app.leeward.core.eval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Driver;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.FollowDial;
import app.leeward.core.edit.ForgetCorner;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RecordCorner;
import app.leeward.core.edit.Unfollow;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Look;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Dials that follow others, corrections between two, and who of all claimants decides. */
class FollowersTest {
    private static final Part BODY =
            Rigs.part("body", null, new Point(50, 50), Rigs.drawing("body", Rigs.box(40, 40, 20, 20)));

    private static Dial dial(String id, double reach) {
        return new Dial(
                id,
                id,
                Purpose.OWN,
                -10,
                10,
                0,
                "",
                List.of(
                        new Stop(-10, Map.of("body", Offset.shift(-reach, 0))),
                        new Stop(10, Map.of("body", Offset.shift(reach, 0)))),
                List.of());
    }

    private static final Character PLAIN =
            Rigs.character(List.of(BODY), List.of(), dial("turn", 100), dial("chin", 10), dial("hair", 1));

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static String refused(Character c, Edit e) {
        return ((Outcome.Refused) Edits.apply(c, e)).message();
    }

    private static double x(Character c, Pose pose) {
        return new Evaluator(c).frame(pose).of("body").orElseThrow().matrix().e();
    }

    @Test
    void aFollowerAddsWhatItsLeaderAsksAndIsStillFree() {
        Character c = done(PLAIN, new FollowDial("chin", new Driver("turn", 4, 4, 0)));
        Evaluator e = new Evaluator(c);
        assertThat(e.setting("chin", Pose.of(Map.of("turn", 5.0)))).isEqualTo(2);
        assertThat(e.setting("chin", Pose.of(Map.of("turn", -10.0))))
                .as("tips alike both ways")
                .isEqualTo(4);
        assertThat(e.setting("chin", Pose.of(Map.of("turn", 10.0, "chin", -3.0))))
                .isEqualTo(1);
        assertThat(e.setting("chin", Pose.of(Map.of("turn", 10.0, "chin", 9.0))))
                .as("its end holds")
                .isEqualTo(10);
        assertThat(e.why("body", Pose.of(Map.of("turn", 10.0))).get(1).heard())
                .extracting(Contribution::message)
                .contains("chin at 4 (with turn) + 4");
        Character free = done(c, new Unfollow("chin", "turn", 0));
        assertThat(free).isEqualTo(PLAIN);
    }

    @Test
    void leadersComeFirstWhateverTheOrderOfTheList() {
        Character c = done(PLAIN, new FollowDial("turn", new Driver("chin", -5, 5, 0)));
        c = done(c, new FollowDial("chin", new Driver("hair", -10, 10, 0)));
        assertThat(new Evaluator(c).setting("turn", Pose.of(Map.of("hair", 10.0))))
                .isEqualTo(5);
    }

    @Test
    void aRoundIsRefusedByName() {
        Character c = done(PLAIN, new FollowDial("chin", new Driver("turn", 0, 1, 0)));
        c = done(c, new FollowDial("hair", new Driver("chin", 0, 1, 3)));
        assertThat(refused(c, new FollowDial("turn", new Driver("hair", 0, 1, 0))))
                .contains("turn follows hair follows chin follows turn");
        assertThat(refused(c, new FollowDial("turn", new Driver("turn", 0, 1, 0))))
                .contains("turn follows turn");
        assertThat(refused(c, new FollowDial("turn", new Driver("gone", 0, 1, 0))))
                .contains("no dial 'gone'");
    }

    @Test
    void aLeaderThatIsTakenAwayIsForgotten() {
        Character c = done(PLAIN, new FollowDial("chin", new Driver("turn", 4, 4, 0)));
        Character less = done(c, new DropDial("turn"));
        assertThat(less.dial("chin").orElseThrow().follows()).isEmpty();
    }

    /** A step: the follower takes it as many frames later as it was told, and stands still before. */
    @Test
    void whatFollowsLaterFollowsLater() {
        Character c = done(PLAIN, new FollowDial("hair", new Driver("turn", -10, 10, 3)));
        Evaluator e = new Evaluator(c);
        List<Pose> poses = new ArrayList<>();
        for (int f = 0; f < 10; f++) {
            poses.add(Pose.of(Map.of("turn", f < 4 ? 0.0 : 10.0)));
        }
        List<Double> hair = new DelayLine(e)
                .over(poses).stream().map(p -> e.setting("hair", p)).toList();
        assertThat(hair).containsExactly(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 10.0, 10.0, 10.0);
        assertThat(e.setting("hair", Pose.of(Map.of("turn", 10.0))))
                .as("a pose that knows of none before has stood still")
                .isEqualTo(10);
        assertThat(new DelayLine(new Evaluator(PLAIN)).over(poses)).isSameAs(poses);
    }

    /** What drags behind is where the leader was less where it is: nothing once all stands still. */
    @Test
    void dragIsNothingOnceAllStandsStill() {
        Character c = done(PLAIN, new FollowDial("hair", new Driver("turn", 10, -10, 0)));
        c = done(c, new FollowDial("hair", new Driver("turn", -10, 10, 2)));
        Evaluator e = new Evaluator(c);
        List<Pose> poses = new ArrayList<>();
        for (double turn : new double[] {0, 5, 10, 10, 10, 10}) {
            poses.add(Pose.of(Map.of("turn", turn)));
        }
        assertThat(new DelayLine(e).over(poses).stream().map(p -> e.setting("hair", p)))
                .containsExactly(0.0, -5.0, -10.0, -5.0, 0.0, 0.0);
    }

    /** A chain of two, each two frames later: the end is four frames behind. */
    @Test
    void laterAddsUpAlongAChain() {
        Character c = done(PLAIN, new FollowDial("chin", new Driver("turn", -10, 10, 2)));
        c = done(c, new FollowDial("hair", new Driver("chin", -10, 10, 2)));
        Evaluator e = new Evaluator(c);
        List<Pose> poses = new ArrayList<>();
        for (int f = 0; f < 8; f++) {
            poses.add(Pose.of(Map.of("turn", f == 0 ? 0.0 : 10.0)));
        }
        DelayLine trails = new DelayLine(e);
        assertThat(trails.over(poses).stream().map(p -> e.setting("hair", p)))
                .containsExactly(0.0, 0.0, 0.0, 0.0, 0.0, 10.0, 10.0, 10.0);
        assertThat(trails.reach()).isGreaterThanOrEqualTo(4);
    }

    /** The weight is the product of two even ways, so it is nothing on either axis and all of it in the corner. */
    @Seeded(tries = 200)
    void aCorrectionIsFeltOnlyWhereBothDialsAreAway(
            @Between(min = -10, max = 10) double a, @Between(min = -10, max = 10) double b) {
        Character c = done(PLAIN, new RecordCorner("turn", 10, "chin", -5, new Nudge("body", 6, 8)));
        Pose pose = Pose.of(Map.of("turn", a, "chin", b));
        double weight = Math.max(0, a / 10) * Math.max(0, Math.min(1, b / -5));
        assertThat(x(c, pose)).isCloseTo(x(PLAIN, pose) + 6 * weight, within(1e-9));
        assertThat(x(c, Pose.of(Map.of("turn", a)))).isEqualTo(x(PLAIN, Pose.of(Map.of("turn", a))));
        assertThat(x(c, Pose.of(Map.of("chin", b)))).isEqualTo(x(PLAIN, Pose.of(Map.of("chin", b))));
    }

    @Test
    void correctionsAddUpAreExplainedAndTakenBack() {
        Character c = done(PLAIN, new RecordCorner("turn", 10, "chin", 10, new Nudge("body", 6, 0)));
        c = done(c, new RecordCorner("chin", 10, "turn", 10, new Nudge("body", 1, 0)));
        assertThat(c.controls().correctives())
                .singleElement()
                .satisfies(k -> assertThat(k.offsets().get("body").x()).isEqualTo(7));
        Pose corner = Pose.of(Map.of("turn", 10.0, "chin", 10.0));
        assertThat(new Evaluator(c).why("body", corner).get(1).heard())
                .extracting(Contribution::message)
                .contains("correction for turn at 10 together with chin at 10 + 7");
        assertThat(done(c, new ForgetCorner("chin", 10, "turn", 10, "body"))).isEqualTo(PLAIN);
        assertThat(refused(PLAIN, new RecordCorner("turn", 0, "chin", 10, new Nudge("body", 1, 0))))
                .contains("away from their rest");
        assertThat(refused(PLAIN, new RecordCorner("turn", 1, "turn", 10, new Nudge("body", 1, 0))))
                .contains("between two dials");
        assertThat(refused(PLAIN, new RecordCorner("turn", 40, "chin", 10, new Nudge("body", 1, 0))))
                .contains("there is no 40 on it");
    }

    @Test
    void ofTwoDialsTakenAwayTheCorrectionsGoToo() {
        Character c = done(PLAIN, new RecordCorner("turn", 10, "chin", 10, new Nudge("body", 6, 0)));
        assertThat(done(c, new DropDial("chin")).controls().correctives()).isEmpty();
    }

    /**
     * Who wins of every two who speak: pin, look, speech, dial away from rest, pick, default, in this order. The table is the
     * one of the model's document.
     */
    @Test
    void ofAllPairsOfClaimantsTheEarlierInTheOrderWins() {
        Part hand = Rigs.part(
                "hand",
                null,
                new Point(0, 0),
                Rigs.drawing("default", Rigs.box(0, 0, 1, 1)),
                Rigs.drawing("pin", Rigs.box(0, 0, 1, 1)),
                Rigs.drawing("look", Rigs.box(0, 0, 1, 1)),
                Rigs.drawing("speech", Rigs.box(0, 0, 1, 1)),
                Rigs.drawing("dial", Rigs.box(0, 0, 1, 1)),
                Rigs.drawing("pick", Rigs.box(0, 0, 1, 1)));
        Dial d = new Dial(
                "d",
                "D",
                Purpose.OWN,
                0,
                1,
                0,
                "",
                List.of(),
                List.of(new Bands("hand", List.of(new Band(0.5, 1, "dial")))));
        Character c = Rigs.character(List.of(hand), List.of(), d)
                .withLibrary(library ->
                        library.withLooks(List.of(new Look("l", "L", "", Map.of(), Map.of("hand", "look")))));
        Evaluator e = new Evaluator(c);
        List<String> order = List.of("pin", "look", "speech", "dial", "pick", "default");
        for (int i = 0; i < order.size(); i++) {
            for (int k = i; k < order.size(); k++) {
                List<String> speak = List.of(order.get(i), order.get(k));
                Map<String, Map<String, String>> by = new HashMap<>();
                for (String s : order) {
                    by.put(s, speak.contains(s) ? Map.of("hand", s) : Map.of());
                }
                Pose pose = new Pose(
                        speak.contains("dial") ? Map.of("d", 1.0) : Map.of(),
                        by.get("pick"),
                        by.get("pin"),
                        by.get("speech"),
                        speak.contains("look") ? Map.of("l", 1.0) : Map.of(),
                        Map.of(),
                        Map.of());
                assertThat(e.frame(pose).of("hand").orElseThrow().drawing())
                        .as("%s against %s", order.get(i), order.get(k))
                        .isEqualTo(order.get(i));
            }
        }
    }

    /** A dial at rest changes nothing, and outside its range it is its end. */
    @Seeded(tries = 100)
    void restChangesNothingAndTheEndsHold(@Between(min = 10, max = 1e6) double beyond) {
        Character bare = Rigs.character(List.of(BODY), List.of());
        Evaluator e = new Evaluator(PLAIN);
        assertThat(e.frame(Pose.of(Map.of("turn", 0.0, "chin", 0.0)))).isEqualTo(new Evaluator(bare).frame(Pose.REST));
        assertThat(e.frame(Pose.of(Map.of("turn", beyond)))).isEqualTo(e.frame(Pose.of(Map.of("turn", 10.0))));
        assertThat(e.frame(Pose.of(Map.of("turn", -beyond)))).isEqualTo(e.frame(Pose.of(Map.of("turn", -10.0))));
    }

    @Test
    void aCornerNeedsTwoDials() {
        assertThat(new Corrective("a", 1, "b", 2, Map.of()).at("b", 2, "a", 1)).isTrue();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> new Corrective("a", 1, "a", 2, Map.of()))
                .hasMessageContaining("two dials");
    }
}
