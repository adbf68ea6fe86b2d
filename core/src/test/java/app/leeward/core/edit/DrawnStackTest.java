package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.Told;
import app.leeward.core.art.Point;
import app.leeward.core.art.Wrist;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which hand is before the body, drawing by drawing. */
class DrawnStackTest {
    private static final Character MAN = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
            Rigs.group(
                    "hand left",
                    Rigs.layer("fist", Rigs.box(640, 800, 40, 40)),
                    Rigs.layer("open", Rigs.box(640, 790, 50, 60))),
            Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.layer("cap", Rigs.box(420, 340, 160, 60))));

    private static List<String> stacked(Character c, Map<String, String> picks) {
        return new Evaluator(c)
                .frame(new Pose(Map.of(), picks, Map.of(), Map.of())).placed().stream()
                        .map(Frame.Placed::part)
                        .toList();
    }

    @Test
    void aDrawingLiesOverAnotherPartWhileItIsShownAndNoLonger() {
        List<String> before = stacked(MAN, Map.of());
        Character c = done(MAN, new StackDrawing("hand-left", "fist", Optional.of("cap")));
        List<String> fist = stacked(c, Map.of("hand-left", "fist"));
        assertThat(fist.indexOf("hand-left")).isEqualTo(fist.indexOf("cap") + 1);
        assertThat(fist.stream().filter(p -> !p.equals("hand-left")))
                .as("the others keep their order")
                .isEqualTo(before.stream().filter(p -> !p.equals("hand-left")).toList());
        assertThat(stacked(c, Map.of("hand-left", "open"))).isEqualTo(before);
        Character under = done(c, new StackDrawing("hand-left", "fist", Optional.of("torso")));
        List<String> low = stacked(under, Map.of("hand-left", "fist"));
        assertThat(low.indexOf("hand-left")).isEqualTo(low.indexOf("torso") + 1);
        assertThat(Told.overs(under)).hasSize(1);
        Character back = done(under, new StackDrawing("hand-left", "fist", Optional.empty()));
        assertThat(back).isEqualTo(MAN);
    }

    @Test
    void whatALayerLiesOverMayBeHiddenOrTakenAway() {
        Character c = done(MAN, new StackDrawing("hand-left", "fist", Optional.of("cap")));
        List<String> bare = stacked(c, Map.of("hand-left", "fist", "cap", "nothing"));
        assertThat(bare.get(bare.size() - 1)).isEqualTo("hand-left");
        assertThat(Told.overs(done(c, new Discard(List.of("cap"))))).isEmpty();
        assertThat(Told.overs(done(c, new Discard(List.of("hand-left"))))).isEmpty();
        assertThat(Told.overs(done(c, new DropDrawing("hand-left", "fist")))).isEmpty();
    }

    @Test
    void theOtherHandMadeByMirrorHasItsWristsAndPlacesToo() {
        Character c = done(MAN, new StackDrawing("hand-left", "fist", Optional.of("cap")));
        c = done(c, new SetWrist("hand-left", "fist", new Point(650, 800), new Point(670, 800)));
        Wrist w = Told.wrists(c).get("hand-left/fist");
        Character both = done(c, new MirrorSide("hand-left"));
        String right = both.part(PartRole.HAND, Side.RIGHT).orElseThrow().id();
        assertThat(Told.overs(both)).containsEntry(right + "/fist", "cap").containsEntry("hand-left/fist", "cap");
        double axis = both.sheet().model().axis();
        Wrist twin = Told.wrists(both).get(right + "/fist");
        assertThat(twin.middle().x()).isEqualTo(2 * axis - w.middle().x());
        assertThat(twin.middle().y()).isEqualTo(w.middle().y());
        // made again, nothing is said twice
        Character again = done(both, new MirrorSide("hand-left"));
        assertThat(Told.wrists(again)).hasSize(2);
        assertThat(Told.overs(again)).hasSize(2);
    }

    @Test
    void unsoundPlacesAreRefused() {
        for (Edit bad : List.of(
                new StackDrawing("hand-left", "gone", Optional.of("cap")),
                new StackDrawing("gone", "fist", Optional.of("cap")),
                new StackDrawing("hand-left", "fist", Optional.of("gone")),
                new StackDrawing("hand-left", "fist", Optional.of("hand-left")))) {
            assertThat(Edits.apply(MAN, bad)).isInstanceOf(Outcome.Refused.class);
        }
    }
}
