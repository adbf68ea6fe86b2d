package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Blend;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Kits that are worn along a shot, and drawings that come over from one another. */
class WornAndBlendedTest {
    private static final Path ROUND = Rigs.ellipse(100, 100, 40, 40);
    private static final Path WIDE = Rigs.ellipse(100, 100, 80, 20);
    private static final Character COAT = Rigs.character(
                    List.of(
                            Rigs.part(
                                    "coat",
                                    null,
                                    new Point(0, 0),
                                    Rigs.drawing("plain", ROUND),
                                    Rigs.drawing("wide", WIDE),
                                    Rigs.drawing("square", Rigs.box(60, 60, 80, 80))),
                            Rigs.part(
                                    "hood",
                                    null,
                                    new Point(0, 0),
                                    Rigs.drawing("down", ROUND),
                                    Rigs.drawing("up", WIDE))),
                    List.of())
            .withLibrary(l -> l.withKits(List.of(
                    new Kit("rain", "Rain", "Clothes", Map.of("coat", "square", "hood", "up"), ""),
                    new Kit("party", "Party", "Clothes", Map.of("coat", "wide"), ""),
                    new Kit("hooded", "Hooded", "", Map.of("hood", "up"), ""))));
    private static final Shot SHOT = Shot.silent("walk", TrackRules.at(24), 60);

    private static String drawing(Shot shot, int frame, String part) {
        return new Playhead(new Evaluator(COAT), shot)
                .frameAt(frame, Pose.REST)
                .of(part)
                .map(Frame.Placed::drawing)
                .orElse("");
    }

    private static Shot worn(Shot shot, int from, int to, String kit) {
        return new ActingEdit.WearKit(-1, new KitSpan(from, to, kit)).apply(shot);
    }

    @Test
    void aKitIsWornForAStretchAndADrawingHeldCountsBeforeIt() {
        Shot rain = worn(SHOT, 10, 30, "rain");
        assertThat(drawing(rain, 9, "coat")).isEqualTo("plain");
        assertThat(drawing(rain, 10, "coat")).isEqualTo("square");
        assertThat(drawing(rain, 29, "hood")).isEqualTo("up");
        assertThat(drawing(rain, 30, "hood")).isEqualTo("down");
        Shot held = new ActingEdit.HoldDrawing("coat", new HeldDrawing(15, 20, "wide")).apply(rain);
        assertThat(drawing(held, 15, "coat")).isEqualTo("wide");
        assertThat(drawing(held, 15, "hood")).isEqualTo("up");
        Playhead head = new Playhead(new Evaluator(COAT), held);
        assertThat(head.why(12, "coat", Pose.REST).toString()).contains("kit Rain worn from frame 11 to 30");
        assertThat(head.why(16, "coat", Pose.REST).toString())
                .contains("held from frame 16 to 20")
                .doesNotContain("worn");
    }

    @Test
    void ofOneSetTheKitThatBeginsLastIsWornAlone() {
        Shot both = worn(worn(SHOT, 0, 40, "rain"), 20, 30, "party");
        assertThat(drawing(both, 19, "hood")).isEqualTo("up");
        assertThat(drawing(both, 20, "coat")).isEqualTo("wide");
        assertThat(drawing(both, 20, "hood")).as("no hood goes with a party").isEqualTo("down");
        Shot hooded = worn(both, 22, 24, "hooded");
        assertThat(drawing(hooded, 22, "hood"))
                .as("a kit of no set goes with any")
                .isEqualTo("up");
        assertThat(drawing(hooded, 22, "coat")).isEqualTo("wide");
        assertThat(drawing(worn(SHOT, 0, 40, "gone"), 20, "coat")).isEqualTo("plain");
    }

    @Test
    void aKitIsMovedJoinedAndLifted() {
        Shot shot = worn(worn(SHOT, 0, 10, "rain"), 10, 20, "rain");
        assertThat(shot.tracks().kits()).containsExactly(new KitSpan(0, 20, "rain"));
        Shot moved = new ActingEdit.WearKit(0, new KitSpan(5, 12, "rain")).apply(shot);
        assertThat(moved.tracks().kits()).containsExactly(new KitSpan(5, 12, "rain"));
        ShotEdit lift = new ActingEdit.LiftKit(5, "rain");
        assertThat(lift.apply(moved)).isEqualTo(SHOT);
        assertThat(lift.describe()).isEqualTo("Took the kit 'rain' out at frame 6");
        assertThat(new ActingEdit.WearKit(0, new KitSpan(5, 12, "rain")).describe())
                .isEqualTo("The kit 'rain' is worn from frame 6 to 12");
        assertThat(lift.touches()).isEqualTo(new ActingEdit.WearKit(0, new KitSpan(5, 12, "rain")).touches());
        Refused.because(RefusalCode.GONE, () -> lift.apply(SHOT));
        Refused.because(RefusalCode.BEYOND_SHOT, () -> worn(SHOT, 60, 70, "rain"));
        assertThatThrownBy(() -> new KitSpan(3, 3, "rain")).hasMessageContaining("frame 3");
        assertThatThrownBy(() -> new KitSpan(3, 4, " ")).hasMessageContaining("which one");
    }

    /** On its second of three frames a drawing is halfway: 3t² − 2t³ of t = 2/4. */
    @Test
    void aDrawingComesOverFromWhatWasShown() {
        Shot shot = new ActingEdit.HoldDrawing("coat", new HeldDrawing(10, 30, "wide", 3)).apply(SHOT);
        Evaluator coat = new Evaluator(COAT);
        Playhead head = new Playhead(coat, shot);
        Path half =
                head.frameAt(11, Pose.REST).of("coat").orElseThrow().outlines().get(0);
        List<Point> round = ROUND.points();
        List<Point> wide = WIDE.points();
        for (int k = 0; k < round.size(); k++) {
            Point middle = round.get(k).towards(wide.get(k), 0.5);
            assertThat(half.points().get(k).distance(middle)).isCloseTo(0, within(1e-9));
        }
        assertThat(head.frameAt(11, Pose.REST).of("coat").orElseThrow().drawing())
                .isEqualTo("wide");
        assertThat(head.frameAt(9, Pose.REST).of("coat").orElseThrow().outlines())
                .isEmpty();
        assertThat(head.frameAt(13, Pose.REST).of("coat").orElseThrow().outlines())
                .as("it has come over")
                .isEmpty();
        Evaluator face = head.evaluator();
        assertThat(face.frame(head.poseAt(11, Pose.REST).withPins(Map.of("coat", "square")))
                        .of("coat")
                        .orElseThrow()
                        .outlines())
                .as("what wins over the held drawing is as it was drawn")
                .isEmpty();
        assertThat(head.poseAt(11, Pose.REST.withPicks(Map.of("coat", "square")))
                        .blends())
                .as("the hand shows another")
                .isEmpty();
    }

    @Test
    void drawingsWithOtherPointsAreExchanged() {
        Shot square = new ActingEdit.HoldDrawing("coat", new HeldDrawing(10, 20, "square", 4)).apply(SHOT);
        Shot after = new ActingEdit.HoldDrawing("coat", new HeldDrawing(20, 30, "wide", 4)).apply(square);
        Playhead head = new Playhead(new Evaluator(COAT), after);
        assertThat(head.poseAt(21, Pose.REST).blends().get("coat").from()).isEqualTo("square");
        for (int f : new int[] {10, 21}) {
            assertThat(head.frameAt(f, Pose.REST).of("coat").orElseThrow().outlines())
                    .isEmpty();
        }
        assertThatThrownBy(() -> new HeldDrawing(1, 2, "x", -1)).hasMessageContaining("-1");
        assertThatThrownBy(() -> new Blend("x", "y", 1.5)).hasMessageContaining("1.5");
    }
}
