package app.leeward.core.shot;

import static app.leeward.core.Made.done;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.Rigs;
import app.leeward.core.edit.DropRun;
import app.leeward.core.edit.KeepRun;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawnRun;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.speech.DialogueLine;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Runs of drawings along a line; what shows at each frame is written out by hand here. */
class GestureTest {
    private static final Character RIG = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face", Rigs.ellipse(500, 200, 80, 90)),
            Rigs.layer("forearm L", Rigs.box(500, 480, 200, 40)),
            Rigs.group(
                    "hand L",
                    Rigs.layer("relaxed", Rigs.box(400, 470, 100, 60)),
                    Rigs.layer("a", Rigs.box(410, 470, 90, 60)),
                    Rigs.layer("b", Rigs.box(420, 470, 80, 60)),
                    Rigs.layer("c", Rigs.box(430, 470, 70, 60)))));
    private static final String HAND = RIG.part(PartRole.HAND).orElseThrow().id();
    private static final Shot SHOT = new Shot(
            "quiet",
            new DialogueLine("", "hash", 1.0, List.of(), List.of(), List.of(), 0),
            TrackRules.at(24),
            Map.of());

    /** a for 2 frames, b for 1, c for 2. */
    private static Character with(DrawnRun.Way way) {
        return done(RIG, new KeepRun(HAND, "Wave", List.of("a", "b", "c"), List.of(2, 1, 2), way));
    }

    private static String played(Character c, Shot shot, Pose live) {
        Playhead head = new Playhead(new Evaluator(c), shot);
        StringBuilder out = new StringBuilder();
        for (int f = 0; f < shot.frames(); f++) {
            out.append(head.frameAt(f, live).of(HAND).orElseThrow().drawing().charAt(0));
        }
        return out.toString();
    }

    private static Shot playing(Shot shot, int from, int to) {
        return new ShotEdit.SetGesture(-1, new Gesture(from, to, "wave")).apply(shot);
    }

    @Test
    void itPlaysFromItsFirstFrameAndGoesOutBackwardsWhereItIsLetGo() {
        assertThat(played(with(DrawnRun.Way.ONCE), playing(SHOT, 3, 12), Pose.REST))
                .isEqualTo("rrr" + "aabcccccc" + "baa" + "rrrrrrrrr");
        assertThat(played(with(DrawnRun.Way.LOOP), playing(SHOT, 3, 12), Pose.REST))
                .isEqualTo("rrr" + "aabccaabc" + "baa" + "rrrrrrrrr");
        assertThat(played(with(DrawnRun.Way.THERE_AND_BACK), playing(SHOT, 3, 12), Pose.REST))
                .isEqualTo("rrr" + "aabccbaab" + "aa" + "rrrrrrrrrr");
        assertThat(played(with(DrawnRun.Way.ONCE), playing(SHOT, 20, 24), Pose.REST))
                .as("cut by the shot's end")
                .isEqualTo("r".repeat(20) + "aabc");
    }

    @Test
    void onTwosEveryOtherFrameOfItIsSeen() {
        Shot twos = new ShotEdit.Expose(2, 0, 2).apply(playing(SHOT, 3, 12));
        assertThat(played(with(DrawnRun.Way.ONCE), twos, Pose.REST))
                .isEqualTo("rrrr" + "aacccccc" + "bbaa" + "rrrrrrrr");
    }

    @Test
    void whileItPlaysItIsThePickAndAPinStillWins() {
        Character c = with(DrawnRun.Way.ONCE);
        Pose picked = new Pose(Map.of(), Map.of(HAND, "c"), Map.of(), Map.of());
        assertThat(played(c, playing(SHOT, 3, 5), picked)).isEqualTo("ccc" + "aa" + "c".repeat(19));
        Pose pinned = new Pose(Map.of(), Map.of(), Map.of(HAND, "b"), Map.of());
        assertThat(played(c, playing(SHOT, 3, 5), pinned)).isEqualTo("b".repeat(24));
    }

    @Seeded
    void longBeforeAndLongAfterNothingOfItIsLeft(
            @Between(min = 0, max = 20) int from, @Between(min = 1, max = 4) int lasts) {
        Gesture g = new Gesture(from, from + lasts, "wave");
        for (DrawnRun.Way way : DrawnRun.Way.values()) {
            DrawnRun run = with(way).rig().runs().get(0);
            assertThat(g.at(from - 1, run)).isEmpty();
            assertThat(g.at(from, run)).contains("a");
            assertThat(g.at(from + lasts + 5, run)).isEmpty();
        }
    }

    @Test
    void itIsMovedTakenOutAndRefusedWhereItDoesNotFit() {
        Shot shot = playing(SHOT, 3, 12);
        Shot moved = new ShotEdit.SetGesture(3, new Gesture(5, 14, "wave")).apply(shot);
        assertThat(moved.tracks().gestures()).containsExactly(new Gesture(5, 14, "wave"));
        assertThat(playing(moved, 16, 20).tracks().gestures()).hasSize(2);
        assertThat(new ShotEdit.DropGesture(5, "wave").apply(moved).tracks().gestures())
                .isEmpty();
        assertThatThrownBy(() -> new ShotEdit.DropGesture(3, "wave").apply(moved))
                .hasMessageContaining("frame 3");
        assertThatThrownBy(() -> playing(SHOT, 20, 25)).hasMessageContaining("24 frames");
        assertThatThrownBy(() -> new Gesture(4, 4, "wave")).hasMessageContaining("a frame at least");
        assertThatThrownBy(() -> new Gesture(-1, 4, "wave")).hasMessageContaining("-1");
        // a run that was taken away since is skipped, and there again when that is undone
        Character without = done(with(DrawnRun.Way.ONCE), new DropRun("wave"));
        assertThat(played(without, shot, Pose.REST)).isEqualTo("r".repeat(24));
    }
}
