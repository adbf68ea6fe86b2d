package app.leeward.core.eval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Channel;
import app.leeward.core.dial.Corrective;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A channel nobody thought of works wherever channels do, without any other change. */
class ChannelTest {
    /** Degrees, added, with the other sign on the other side. */
    private static final Channel LEAN =
            new Channel("lean", "leaned", Aspect.SLANT, Channel.Combining.ADDED, Channel.Unit.DEGREES, "lean", -1);

    /** A factor. */
    private static final Channel BLUR =
            new Channel("blur", "blur", Aspect.OPACITY, Channel.Combining.MULTIPLIED, Channel.Unit.SHARE, "blur", 1);

    private static final Part PART = Rigs.part("p", null, new Point(5, 5), Rigs.drawing("d", Rigs.box(0, 0, 10, 10)));

    private static Dial dial(String id, double lean, double blur) {
        Offset o = Offset.shift(3, 0).with(LEAN, lean).with(BLUR, blur);
        return new Dial(id, id, Purpose.OWN, -10, 10, 0, "", List.of(new Stop(10, Map.of("p", o))), List.of());
    }

    private static Reason why(Character c, Pose pose, Channel channel) {
        return new Evaluator(c)
                .why("p", pose).stream()
                        .filter(r -> r.channel().equals(channel.id()))
                        .findFirst()
                        .orElseThrow();
    }

    @Test
    void isPosedAndExplained() {
        Character c = Rigs.character(List.of(PART), List.of(), dial("one", 8, 0.5), dial("two", -2, 0.4));
        Pose half = Pose.of(Map.of("one", 5.0, "two", 10.0));
        assertThat(why(c, half, LEAN).amount()).isCloseTo(4 - 2, within(1e-12));
        assertThat(why(c, half, LEAN).heard())
                .extracting(Contribution::message)
                .containsExactly("stands at 0°", "one at 5 + 4°", "two at 10 − 2°");
        assertThat(why(c, half, BLUR).amount()).isCloseTo(0.75 * 0.4, within(1e-12));
        assertThat(why(c, half, BLUR).words()).isEqualTo("blur");
        assertThat(why(c, Pose.REST, BLUR).amount()).isEqualTo(1);
    }

    @Test
    void followsAnEaseAndACorrection() {
        Dial eased = dial("one", 8, 0.5);
        eased = eased.withStops(List.of(eased.stops().get(0).withEase(Ease.SMOOTH)));
        Character c = Rigs.character(List.of(PART), List.of(), eased, dial("two", 0, 1))
                .withControls(controls -> controls.withCorrectives(
                        List.of(new Corrective("one", 10, "two", 10, Map.of("p", Offset.NONE.with(LEAN, 6))))));
        assertThat(why(c, Pose.of(Map.of("one", 10.0, "two", 5.0)), LEAN).amount())
                .isCloseTo(8 + 3, within(1e-12));
        assertThat(why(c, Pose.of(Map.of("one", 4.0)), LEAN).amount()).isBetween(0.0, 8.0);
    }

    /** Both begin at the same dial and weigh the same, so only what they are tells them apart. */
    @Test
    void twoCorrectionsOfOneDialAreToldApart() {
        Character c = Rigs.character(
                        List.of(PART), List.of(), dial("one", 0, 1), dial("two", 0, 1), dial("three", 0, 1))
                .withControls(controls -> controls.withCorrectives(List.of(
                        new Corrective("one", 10, "two", 10, Map.of("p", Offset.NONE.with(LEAN, 6))),
                        new Corrective("one", 10, "three", 10, Map.of("p", Offset.NONE.with(LEAN, 2))))));
        assertThat(why(c, Pose.of(Map.of("one", 10.0, "two", 10.0, "three", 10.0)), LEAN)
                        .heard())
                .extracting(Contribution::message)
                .containsExactly(
                        "stands at 0°",
                        "correction for one at 10 together with two at 10 + 6°",
                        "correction for one at 10 together with three at 10 + 2°");
    }

    @Test
    void isMirroredRecordedForgottenAndScaled() {
        Offset o = Offset.NONE.with(LEAN, 7).with(BLUR, 0.5).with(Channel.X, 2);
        assertThat(o.mirrored())
                .isEqualTo(Offset.NONE.with(LEAN, -7).with(BLUR, 0.5).with(Channel.X, -2));
        assertThat(o.mirrored().mirrored()).isEqualTo(o);
        assertThat(o.and(o))
                .isEqualTo(Offset.NONE.with(LEAN, 14).with(BLUR, 0.25).with(Channel.X, 4));
        assertThat(o.scaled(3))
                .isEqualTo(Offset.NONE.with(LEAN, 7).with(BLUR, 0.5).with(Channel.X, 6));
        Dial recorded = Recorder.posed(dial("one", 8, 0.5), 5, "p", Offset.NONE.with(LEAN, 1));
        assertThat(recorded.stop(5).orElseThrow().offsets().get("p").of(LEAN)).isCloseTo(5, within(1e-12));
        Dial forgotten = Recorder.forgotten(recorded, 5, "p", Aspect.SLANT);
        assertThat(forgotten.stop(5).orElseThrow().offsets().get("p").channels())
                .doesNotContain(LEAN);
    }
}
