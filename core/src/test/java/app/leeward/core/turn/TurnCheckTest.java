package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.dial.Offset;
import app.leeward.core.edit.DropDial;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TurnCheckTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static TurnCheck.Position at(Character c, double turn) {
        return TurnCheck.of(c, List.of(turn)).get(0);
    }

    /** With hair behind all of the head nothing is bald, and everything can be seen. */
    @Test
    void aHeadWithHairAllRoundIsFine() {
        assertThat(TurnCheck.of(FACE, List.of(-45.0, -30.0, 0.0, 30.0, 45.0))).allSatisfy(p -> {
            assertThat(p.message()).isEmpty();
            assertThat(p.bald()).isCloseTo(0, within(1.0));
        });
        assertThat(at(FACE, 0).hidden()).isEmpty();
    }

    /**
     * Without any hair all that came round is bald. For every height the limb of the slice, √(a²c²+d²s²) for an ellipse, lies so
     * much further out than the drawn edge, a·c; summed over the heights from the top down to the hairline.
     */
    @Test
    void withoutHairAllThatCameRoundIsBald() {
        Character shaved = FACE.withoutPart("ear-left")
                .withoutPart("ear-right")
                .withPart(
                        "back-hair",
                        p -> p.withDrawings(List.of(Rigs.drawing("wisp", Rigs.box(490, 700, 20, 20))), "wisp"));
        shaved = ((Outcome.Done)
                        Edits.apply(shaved, MakeTurn.of(Optional.of(new HeadShape(0.8, 0.8, 0.4, 0.4, 2, 0.5, 0.1)))))
                .character();
        double c = Math.cos(Math.toRadians(45));
        double area = 0;
        int rows = 20000;
        for (int i = 0; i < rows; i++) {
            double v = -1 + 1.2 * (i + 0.5) / rows;
            double e = Math.sqrt(1 - v * v);
            double a = 100 * e;
            double deep = v < 0 ? 80 * e : 40 + 40 * e;
            double most = 1.8 * a;
            double d = deep * most / Math.pow(Math.pow(deep, 4) + Math.pow(most, 4), 0.25);
            area += (Math.hypot(a * c, d * c) - a * c) * 1.2 * 120 / rows;
        }
        assertThat(at(shaved, 45).bald()).isCloseTo(area, within(area * 0.015));
        assertThat(at(shaved, -45).bald()).isCloseTo(area, within(area * 0.015));
        assertThat(at(shaved, 0).bald()).isZero();
        assertThat(at(shaved, 45).message()).contains("screen's left").contains("Draw an extra piece");
        assertThat(at(shaved.withoutPart("back-hair"), 45).bald())
                .as("a head without any hair is not bald on one side")
                .isZero();
        assertThat(at(shaved, 45).share()).isCloseTo(at(shaved, 45).bald() / (Math.PI * 100 * 120), within(1e-3));
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
                                        .map(s -> s.at() == 45 ? s.with(ear, Offset.shift(-90, 0)) : s)
                                        .toList()))
                        .toList(),
                FACE.controls().pads());
        List<String> order = new java.util.ArrayList<>(c.rig().order());
        order.remove(ear);
        order.add(order.indexOf("face-skin"), ear);
        Character behind = c.withRig(rig -> rig.withOrder(order));
        assertThat(at(behind, 45).hidden()).containsExactly(ear);
        assertThat(at(behind, 0).hidden()).isEmpty();
    }

    @Test
    void withoutATurnThereIsNothingToSay() {
        Character still = ((Outcome.Done) Edits.apply(FACE, new DropDial("turn"))).character();
        assertThat(TurnCheck.of(still, List.of(0.0))).isEmpty();
    }
}
