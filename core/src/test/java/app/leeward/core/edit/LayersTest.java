package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Dial;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.Reason;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.SolidKind;
import app.leeward.core.rig.StopChange;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The stacking order recorded at stops of a dial. The face's own order is that of {@link Rigs#face()}. */
class LayersTest {
    /** Its ears are plates, which a turn leaves where they were drawn. */
    private static final Character PLAIN =
            done(Rigs.hung(Rigs.face()), SetSolid.of("ear-left", Optional.of(SolidKind.PLATE), 0));

    private static Edit stack(String over, String... parts) {
        return new Record("turn", 45, new Stack(List.of(parts), Optional.of(over)));
    }

    private static List<String> order(Character c, Map<String, Double> dials) {
        return new Evaluator(c)
                .frame(Pose.of(dials)).placed().stream().map(Frame.Placed::part).toList();
    }

    private static List<String> order(Character c, double turn) {
        return order(c, Map.of("turn", turn));
    }

    @Test
    void aPartLiesElsewhereWhereTheDialSaysSoAndAtRestWhereItDid() {
        Character c = done(PLAIN, stack("nose", "ear-left"));
        assertThat(order(c, 0)).isEqualTo(order(PLAIN, 0));
        List<String> turned = order(c, 45);
        assertThat(turned.indexOf("ear-left")).isEqualTo(turned.indexOf("nose") + 1);
        assertThat(turned).containsExactlyInAnyOrderElementsOf(order(PLAIN, 45));
        // the made turn has stops at 33.75 and 45: the stretch begins half way between them
        Dial dial = c.dial("turn").orElseThrow();
        assertThat(dial.layersOf("ear-left")).containsExactly(new Band(39.375, 45, "nose"));
        assertThat(dial.edges()).contains(39.375);
        assertThat(order(c, 39.3)).isEqualTo(order(PLAIN, 39.3));
        assertThat(order(c, 39.375)).isEqualTo(turned);
        assertThat(c.rig().order())
                .as("the stacking order itself")
                .isEqualTo(PLAIN.rig().order());
    }

    @Seeded(tries = 60)
    void outsideItsStretchNothingChangesAndInsideOnlyWhereTheyLie(@Between(min = -45, max = 45) double turn) {
        Character c = done(PLAIN, stack("nose", "ear-left", "brow-left"));
        List<Frame.Placed> was =
                new Evaluator(PLAIN).frame(Pose.of(Map.of("turn", turn))).placed();
        List<Frame.Placed> is =
                new Evaluator(c).frame(Pose.of(Map.of("turn", turn))).placed();
        assertThat(is).containsExactlyInAnyOrderElementsOf(was);
        if (turn < 39.375) {
            assertThat(is).isEqualTo(was);
        }
    }

    @Test
    void severalPartsKeepTheirOrderAndOneGoesBehindEverything() {
        Character c = done(PLAIN, stack("nose", "ear-left", "brow-left"));
        List<String> turned = order(c, 45);
        boolean earFirst =
                PLAIN.rig().order().indexOf("ear-left") < PLAIN.rig().order().indexOf("brow-left");
        int nose = turned.indexOf("nose");
        assertThat(turned.subList(nose + 1, nose + 3))
                .isEqualTo(earFirst ? List.of("ear-left", "brow-left") : List.of("brow-left", "ear-left"));
        Character back = done(PLAIN, new Record("turn", 45, new Stack(List.of("nose"), Optional.empty())));
        assertThat(order(back, 45).get(0)).isEqualTo("nose");
    }

    @Test
    void itIsListedInWordsTakenBackMirroredAndItsEdgeMoved() {
        Character c = done(PLAIN, stack("brow-left", "ear-left"));
        Dial dial = c.dial("turn").orElseThrow();
        assertThat(StopChange.of(c, dial))
                .filteredOn(x -> x.aspect() == Aspect.ORDER)
                .singleElement()
                .satisfies(x -> {
                    assertThat(x.at()).isEqualTo(45);
                    assertThat(x.message())
                            .isEqualTo("lies over "
                                    + PLAIN.part("brow-left").orElseThrow().name());
                });
        Character both = done(c, new MirrorStop("turn", 45));
        assertThat(both.dial("turn").orElseThrow().layersOf("ear-right"))
                .containsExactly(new Band(-45, -39.375, "brow-right"));
        List<String> left = order(both, -45);
        assertThat(left.indexOf("ear-right")).isEqualTo(left.indexOf("brow-right") + 1);

        Character later = done(c, new MoveBandEdge("turn", "ear-left", 39.375, 40, true));
        assertThat(later.dial("turn").orElseThrow().layersOf("ear-left"))
                .containsExactly(new Band(40, 45, "brow-left"));
        assertThat(refused(c, new MoveBandEdge("turn", "ear-left", 39.375, 40, false)))
                .isNotBlank();
        Character gone = done(c, new Forget("turn", 45, "ear-left", Aspect.ORDER));
        assertThat(gone.dial("turn").orElseThrow().layers()).isEmpty();
        assertThat(refused(PLAIN, new Record("turn", 0, new Stack(List.of("nose"), Optional.empty()))))
                .isNotBlank();
    }

    @Test
    void whoDecidesIsTold() {
        Character c = done(PLAIN, stack("nose", "ear-left"));
        String ear = c.part("ear-left").orElseThrow().shown();
        c = c.withPart("ear-left", p -> p.withDrawing(ear, d -> d.withOver(Optional.of("brow-left"))));
        String brow = c.part("brow-left").orElseThrow().name();
        Optional<Reason> turned = order(c, Pose.of(Map.of("turn", 45.0)));
        assertThat(turned.orElseThrow().value()).isEqualTo("lies over nose");
        assertThat(turned.orElseThrow().heard().get(0).by()).isEqualTo("turn");
        assertThat(turned.orElseThrow().overruled()).hasSize(2);
        assertThat(turned.orElseThrow().overruled().get(0).message()).contains("lies over " + brow);
        Optional<Reason> rest = order(c, Pose.REST);
        assertThat(rest.orElseThrow().value()).isEqualTo("lies over " + brow);
        assertThat(order(PLAIN, Pose.of(Map.of("turn", 45.0))))
                .as("nobody but the order itself")
                .isEmpty();
    }

    private static Optional<Reason> order(Character c, Pose pose) {
        return new Evaluator(c)
                .why("ear-left", pose).stream()
                        .filter(r -> r.channel().equals(Reason.ORDER))
                        .findFirst();
    }

    @Test
    void aPartThatGoesAwayTakesItsPlacesAlongAndATurnMadeAnewKeepsThem() {
        Character c = done(PLAIN, stack("nose", "ear-left"));
        assertThat(done(c, new Discard(List.of("nose")))
                        .dial("turn")
                        .orElseThrow()
                        .layers())
                .isEmpty();
        assertThat(done(c, new Discard(List.of("ear-left")))
                        .dial("turn")
                        .orElseThrow()
                        .layers())
                .isEmpty();
        Character again = done(c, MakeTurn.of(c.controls().turn().map(t -> t.shape())));
        assertThat(order(again, 45)).isEqualTo(order(c, 45));
    }
}
