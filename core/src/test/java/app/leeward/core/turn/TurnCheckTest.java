package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.TurnPlan.BallSetting;
import java.util.List;
import org.junit.jupiter.api.Test;

class TurnCheckTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static TurnCheck.Position at(Character c, double turn) {
        return TurnCheck.of(c, List.of(turn)).get(0);
    }

    /** With hair behind all of the head nothing is bald, and everything can be seen. */
    @Test
    void aHeadWithHairAllRoundIsFine() {
        assertThat(TurnCheck.of(FACE, List.of(-60.0, -30.0, 0.0, 30.0, 60.0))).allSatisfy(p -> {
            assertThat(p.message()).isEmpty();
            assertThat(p.bald()).isCloseTo(0, within(1.0));
        });
        assertThat(at(FACE, 0).hidden()).isEmpty();
    }

    /**
     * Without any hair all that came round is bald. Closed form: between the rim and the rim drawn in by cos θ, from the top
     * down to the hairline, lie rx·ry·(1 - cos θ)·∫√(1-v²)dv square units.
     */
    @Test
    void withoutHairAllThatCameRoundIsBald() {
        Character shaved = FACE.withoutPart("ear-left")
                .withoutPart("ear-right")
                .withPart(
                        "back-hair",
                        p -> p.withDrawings(List.of(Rigs.drawing("wisp", Rigs.box(490, 700, 20, 20))), "wisp"));
        BallSetting ball = TurnMaker.fitted(shaved).orElseThrow();
        double cos = Math.cos(Math.toRadians(TurnMaker.yawAtFull(shaved, ball)));
        double h = 0.2;
        double integral = (h * Math.sqrt(1 - h * h) + Math.asin(h)) / 2 + Math.PI / 4;
        double area = 100 * 120 * (1 - cos) * integral;
        assertThat(at(shaved, 60).bald()).isCloseTo(area, within(area * 0.01));
        assertThat(at(shaved, -60).bald()).isCloseTo(area, within(area * 0.01));
        assertThat(at(shaved, 0).bald()).isZero();
        assertThat(at(shaved, 60).message()).contains("screen's left").contains("Draw an extra piece");
        assertThat(at(shaved.withoutPart("back-hair"), 60).bald())
                .as("a head without any hair is not bald on one side")
                .isZero();
        assertThat(at(shaved, 60).share()).isCloseTo(at(shaved, 60).bald() / (Math.PI * 100 * 120), within(1e-12));
    }

    @Test
    void whatThePictureLosesIsNamed() {
        String ear = FACE.part(PartRole.EAR, app.leeward.core.rig.Side.LEFT)
                .orElseThrow()
                .id();
        Character c = FACE.withDials(
                FACE.controls().dials().stream()
                        .map(d -> !d.id().equals("turn")
                                ? d
                                : d.withStops(d.stops().stream()
                                        .map(s -> s.at() == 60 ? s.with(ear, Offset.shift(-90, 0)) : s)
                                        .toList()))
                        .toList(),
                FACE.controls().pads());
        List<String> order = new java.util.ArrayList<>(c.rig().order());
        order.remove(ear);
        order.add(order.indexOf("face-skin"), ear);
        Character behind = c.withRig(rig -> rig.withOrder(order));
        assertThat(at(behind, 60).hidden()).containsExactly(ear);
        assertThat(at(behind, 0).hidden()).isEmpty();
    }

    @Test
    void withoutATurnThereIsNothingToSay() {
        Character still = ((Outcome.Done) Edits.apply(FACE, new DropDial("turn"))).character();
        assertThat(TurnCheck.of(still, List.of(0.0))).isEmpty();
    }
}
