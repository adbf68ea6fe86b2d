package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.DrawnRun.RunStep;
import app.leeward.core.rig.DrawnRun.Way;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Drawings that play. The expected frames are written out here. */
class RunsTest {
    private static final Character MAN = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.group(
                    "hand left",
                    Rigs.layer("a", Rigs.box(640, 800, 40, 40)),
                    Rigs.layer("b", Rigs.box(640, 790, 50, 60)),
                    Rigs.layer("c", Rigs.box(640, 780, 50, 70)))));

    private static DrawnRun run(Way way) {
        return new DrawnRun(
                "wave", "Wave", List.of(new RunStep("a", 2), new RunStep("b", 1), new RunStep("c", 3)), way, "");
    }

    @Test
    void oneRoundIsOneWayOrThereAndBackWithoutItsEndsTwice() {
        assertThat(String.join("", run(Way.ONCE).round())).isEqualTo("aabccc");
        assertThat(String.join("", run(Way.LOOP).round())).isEqualTo("aabccc");
        assertThat(String.join("", run(Way.THERE_AND_BACK).round())).isEqualTo("aabcccb");
        DrawnRun one = new DrawnRun("x", "One", List.of(new RunStep("a", 2)), Way.THERE_AND_BACK, "");
        assertThat(one.round()).containsExactly("a", "a");
        DrawnRun two =
                new DrawnRun("x", "Two", List.of(new RunStep("a", 1), new RunStep("b", 2)), Way.THERE_AND_BACK, "");
        assertThat(two.round()).containsExactly("a", "b", "b");
    }

    @Test
    void goesOutBackwardsFromWhatIsShown() {
        assertThat(String.join("", run(Way.ONCE).back("c"))).isEqualTo("baa");
        assertThat(String.join("", run(Way.ONCE).back("b"))).isEqualTo("aa");
        assertThat(run(Way.ONCE).back("a")).isEmpty();
        assertThat(run(Way.ONCE).back("gone")).isEmpty();
    }

    @Test
    void keptReplacedKeyedAndTakenAway() {
        Character c = done(MAN, new KeepRun("hand-left", "Wave", List.of("a", "b"), List.of(2, 2), Way.LOOP));
        String id = c.rig().runs().get(0).id();
        c = done(c, new KeyRun(id, "v"));
        Character again = done(c, new KeepRun("hand-left", "wave", List.of("c"), List.of(5), Way.ONCE));
        assertThat(again.rig().runs()).hasSize(1);
        assertThat(again.rig().runs().get(0).steps()).containsExactly(new RunStep("c", 5));
        assertThat(again.rig().runs().get(0).key()).isEqualTo("v");
        assertThat(done(c, new SetKey("hand-left", "a", "v"))
                        .rig()
                        .runs()
                        .get(0)
                        .key())
                .isEmpty();
        assertThat(done(c, new DropRun(id))).isEqualTo(MAN);
    }

    @Test
    void whatIsTakenAwayLeavesItsRuns() {
        Character c = done(MAN, new KeepRun("hand-left", "Wave", List.of("a", "b"), List.of(2, 3), Way.LOOP));
        c = done(c, new KeepRun("hand-left", "Only b", List.of("b"), List.of(2), Way.LOOP));
        Character left = done(c, new DropDrawing("hand-left", "b"));
        assertThat(left.rig().runs()).hasSize(1);
        assertThat(left.rig().runs().get(0).steps()).containsExactly(new RunStep("a", 2));
        assertThat(done(c, new Discard(List.of("hand-left"))).rig().runs()).isEmpty();
    }

    @Test
    void unsoundRunsAreRefusedWithTheirPlace() {
        assertThat(refused(MAN, new KeepRun("hand-left", "W", List.of("a", "b"), List.of(2, 0), Way.ONCE)))
                .isEqualTo("run-frames");
        Outcome o = Edits.apply(MAN, new KeepRun("hand-left", "W", List.of("a", "b"), List.of(2, 0), Way.ONCE));
        assertThat(((Outcome.Refused) o).message()).contains("Drawing 2");
        assertThat(refused(MAN, new KeepRun("hand-left", "W", List.of(), List.of(), Way.ONCE)))
                .isEqualTo("run-empty");
        assertThat(refused(MAN, new KeepRun("hand-left", "W", List.of("a"), List.of(1, 2), Way.ONCE)))
                .isEqualTo("run-empty");
        assertThat(refused(MAN, new KeepRun("hand-left", "W", List.of("a", "b"), List.of(240, 1), Way.ONCE)))
                .isEqualTo("run-long");
        assertThat(refused(
                        MAN,
                        new KeepRun(
                                "hand-left",
                                "W",
                                List.of("a", "b"),
                                List.of(Integer.MAX_VALUE, Integer.MAX_VALUE),
                                Way.ONCE)))
                .isEqualTo("run-long");
        assertThat(refused(MAN, new KeepRun("hand-left", "W", List.of("gone"), List.of(1), Way.ONCE)))
                .isEqualTo("no-drawing");
        assertThat(refused(MAN, new KeepRun("gone", "W", List.of("a"), List.of(1), Way.ONCE)))
                .isEqualTo("no-part");
        assertThat(refused(MAN, new DropRun("gone"))).isEqualTo("no-run");
        assertThat(refused(MAN, new KeyRun("gone", "g"))).isEqualTo("no-run");
    }
}
