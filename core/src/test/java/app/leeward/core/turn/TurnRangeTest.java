package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.Record;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.TurnPlan;
import app.leeward.core.solid.HeadSolids;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How far a head bears to be turned, a turn made so far, and what it is without the stops. */
class TurnRangeTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as("%s", outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static TurnRange range(Character c, HeadShape shape) {
        return TurnRange.of(c, HeadSolids.of(c, shape).orElseThrow());
    }

    /** Eyes further out give way earlier, and the sentence says which and where. */
    @Test
    void theRangeEndsWhereAFeatureGetsTooNarrow() {
        TurnRange usual = range(FACE, HeadShape.HUMAN);
        assertThat(usual.degrees()).isBetween(40.0, 55.0);
        assertThat(usual.stops()).get().asString().contains("° ").containsAnyOf("brow", "eye");
        Character wide = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("brow L", Rigs.box(545, 440, 40, 8)),
                Rigs.layer("brow R", Rigs.box(415, 440, 40, 8))));
        assertThat(range(wide, HeadShape.HUMAN).degrees()).isLessThan(usual.degrees());
        Character bare = Rigs.hung(Rigs.group("", Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120))));
        assertThat(range(bare, HeadShape.HUMAN)).isEqualTo(new TurnRange(TurnRange.WIDEST, Optional.empty()));
    }

    /** A plate of a head loses its volume: it is the first thing that gives way. */
    @Test
    void theRangeEndsWhereTheHeadLosesItsVolume() {
        Character bare = Rigs.hung(Rigs.group("", Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120))));
        HeadShape plate = new HeadShape(0.2, 0.2, 0.2, 0.2, 2, 0, 0);
        assertThat(range(bare, plate).degrees()).isLessThanOrEqualTo(35);
        assertThat(range(bare, plate).stops()).get().asString().contains("of its size");
    }

    @Test
    void aTurnIsMadeSoFar() {
        Character wide = done(FACE, new MakeTurn(Optional.empty(), Optional.of(55.0)));
        assertThat(wide.dial("turn").orElseThrow().to()).isEqualTo(55);
        assertThat(TurnMaker.keptByHand(wide)).isZero();
        // what was shaped by hand keeps its place
        Character shaped = done(FACE, new Record("turn", 45, new Nudge("nose", 9, -3)));
        Character wider = done(shaped, new MakeTurn(Optional.empty(), Optional.of(55.0)));
        assertThat(wider.dial("turn").orElseThrow().stop(45).orElseThrow().offsets())
                .containsKey("nose");
        assertThat(TurnMaker.keptByHand(wider)).isGreaterThan(0);
        Outcome narrower = Edits.apply(shaped, new MakeTurn(Optional.empty(), Optional.of(30.0)));
        assertThat(((Outcome.Refused) narrower).message()).contains("beyond 30°");
        assertThatThrownBy(() -> new MakeTurn(Optional.empty(), Optional.of(75.0)))
                .hasMessageContaining("15° to 60°");
        // back and forth is as it was
        Character back = done(wide, new MakeTurn(Optional.empty(), Optional.of(45.0)));
        assertThat(back.dial("turn").orElseThrow().stops())
                .isEqualTo(FACE.dial("turn").orElseThrow().stops());
    }

    /** At a stop both ways are one; between stops they are apart by as little as was asked for. */
    @Test
    void theExactWayIsTheStopsAtTheStops() {
        double step = FACE.dial("turn").orElseThrow().stops().stream()
                .mapToDouble(s -> s.at())
                .filter(at -> at > 0)
                .min()
                .orElseThrow();
        List<ExactTurn.Step> steps = ExactTurn.of(FACE, Pose.REST, List.of(-45.0, 0.0, step / 2, step, 45.0));
        assertThat(steps).hasSize(5);
        for (int stop : new int[] {0, 1, 3, 4}) {
            assertThat(steps.get(stop).strays())
                    .as("at %s", steps.get(stop).at())
                    .isLessThan(1e-4);
        }
        assertThat(steps.get(2).strays()).isBetween(1e-4, 0.02);
        assertThat(steps.get(2).furthest()).isPresent();
        Character shaped = done(FACE, new Record("turn", 45, new Nudge("nose", 20, 0)));
        ExactTurn.Step end = ExactTurn.of(shaped, Pose.REST, List.of(45.0)).get(0);
        assertThat(end.furthest()).contains("nose");
        assertThat(end.strays()).isCloseTo(0.1, within(0.01));
        assertThat(end.frame().of("nose").orElseThrow().matrix())
                .isEqualTo(new Evaluator(FACE)
                        .frame(Pose.of(Map.of("turn", 45.0)))
                        .of("nose")
                        .orElseThrow()
                        .matrix());
        Character views = FACE.withControls(k -> k.withTurn(Optional.<TurnPlan>empty()));
        assertThat(ExactTurn.of(views, Pose.REST, List.of(10.0))).isEmpty();
    }
}
