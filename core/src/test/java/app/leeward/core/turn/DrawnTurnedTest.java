package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Point;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Pose;
import app.leeward.core.solid.HeadSolids;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A head drawn turned. What it should do is known, since it is drawn by turning one that was drawn from the front: the angle is found,
 * nothing moves at rest, and turned on or back it is where the first one is.
 */
class DrawnTurnedTest {
    private static final Character FRONT = Rigs.hung(Rigs.face());

    /** The head as it is at an angle of its turn, as if it had been drawn like that. */
    private static Character drawnAt(double yaw) {
        Frame frame = new Evaluator(FRONT).frame(Pose.of(Map.of("turn", yaw)));
        Character out = FRONT.withDials(List.of(), List.of()).withControls(k -> k.withTurn(Optional.empty()));
        for (Part p : FRONT.rig().parts()) {
            Optional<Frame.Placed> placed = frame.of(p.id());
            out = out.withPart(p.id(), q -> {
                Part flat = q.with(b -> b.rest(Placement.REST).earlierPivots(List.of()));
                return placed.flatMap(f -> q.drawing(f.drawing())
                                .map(d -> flat.withDrawings(
                                        List.of(new Drawing(
                                                d.id(),
                                                d.name(),
                                                f.shown(d.art()).transform(f.matrix()))),
                                        d.id())))
                        .orElseGet(() -> flat.withDrawings(List.of(), Part.NOTHING));
            });
        }
        return out;
    }

    private static HeadShape drawn(Character c, double yaw) {
        return HeadShape.HUMAN.withDrawn(yaw);
    }

    private static Point middle(Character c, String part, double yaw) {
        Frame.Placed p =
                new Evaluator(c).frame(Pose.of(Map.of("turn", yaw))).of(part).orElseThrow();
        return p.shown(c.part(part)
                        .orElseThrow()
                        .drawing(p.drawing())
                        .orElseThrow()
                        .art())
                .transform(p.matrix())
                .bounds()
                .orElseThrow()
                .centre();
    }

    @ParameterizedTest
    @ValueSource(doubles = {-40, -30, -20, 20, 30, 40})
    void theAngleIsFound(double yaw) {
        Character c = drawnAt(yaw);
        Optional<Double> found = HeadSolids.drawnAngle(c, TurnMaker.fitted(c).orElseThrow());
        assertThat(found).isPresent();
        assertThat(found.get()).isCloseTo(yaw, within(8.0));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-8, 0, 5})
    void aHeadFromTheFrontIsNotTakenForATurnedOne(double yaw) {
        Character c = drawnAt(yaw);
        assertThat(HeadSolids.drawnAngle(c, TurnMaker.fitted(c).orElseThrow())).isEmpty();
    }

    /** The dial rests at the angle it was drawn at, where nothing is moved, and elsewhere it is where the first head is. */
    @ParameterizedTest
    @ValueSource(doubles = {-30, 20, 35})
    void itTurnsToEitherSideOfHowItWasDrawn(double yaw) {
        Character c = drawnAt(yaw);
        Character turned = TurnMaker.make(c, drawn(c, yaw));
        assertThat(turned.dial("turn").orElseThrow().rest()).isEqualTo(yaw);
        assertThat(turned.dial("turn").orElseThrow().from()).isEqualTo(-45);
        assertThat(turned.dial("turn").orElseThrow().to()).isEqualTo(45);
        Frame rest = new Evaluator(turned).frame(Pose.REST);
        for (Frame.Placed p : rest.placed()) {
            assertThat(p.matrix())
                    .as(p.part())
                    .isEqualTo(new Evaluator(c)
                            .frame(Pose.REST)
                            .of(p.part())
                            .orElseThrow()
                            .matrix());
        }
        for (String part : new String[] {"eye-white-left", "eye-white-right", "nose", "mouth"}) {
            for (double to : new double[] {-45, -20, 0, 20, 45}) {
                // shares of the head's width, which is 200; further round more of the art was out of sight
                double far = Math.abs(to - yaw) > 45 ? 0.05 : 0.035;
                assertThat(middle(turned, part, to).distance(middle(FRONT, part, to)))
                        .as("%s at %s° drawn at %s°", part, to, yaw)
                        .isLessThan(200 * far);
            }
        }
    }

    /** One drawn further round than the usual turn still turns a little beyond that, and it nods. */
    @ParameterizedTest
    @ValueSource(doubles = {44, -48})
    void drawnFarRoundItTurnsBeyondThat(double yaw) {
        Character c = drawnAt(Math.signum(yaw) * 44);
        Outcome made = Edits.apply(c, new MakeTurn(Optional.of(drawn(c, yaw)), Optional.empty()));
        Character turned = ((Outcome.Done) made).character();
        double end = Math.abs(yaw) + 10;
        assertThat(turned.dial("turn").orElseThrow().to()).isEqualTo(end);
        assertThat(turned.dial("turn").orElseThrow().from()).isEqualTo(-end);
        Outcome nods = Edits.apply(turned, new MakeHeadDial(HeadDial.NOD));
        assertThat(((Outcome.Done) nods).character().dial("nod")).isPresent();
    }
}
