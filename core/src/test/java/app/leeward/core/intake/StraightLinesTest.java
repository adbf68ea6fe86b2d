package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Features that take in no area at all: a nose is often one stroke. */
class StraightLinesTest {
    private static Layer stroke(String name, String data) {
        Path path = PathReader.read(data).path();
        Stroke line = new Stroke(Paint.flat("#202020"), 4, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        return new Layer(
                name,
                false,
                List.of(new Layer.Leaf(
                        new Shape("", ShapeRole.OTHER, path, Paint.NONE, FillRule.NONZERO, line, 1, false))));
    }

    @ParameterizedTest
    @CsvSource({
        "nose, M496 532 L506 542",
        "nose, M490 540 L510 540",
        "nose, M500 520 L500 545",
        "nose, M500 530 L500 530",
        "mouth, M480 570 L520 570",
        "brow left, M525 450 L560 450",
        "ear left, M602 480 L602 520",
        "muzzle, M480 540 L520 540",
        "whiskers left, M520 560 L600 560",
        "cheek left, M550 540 L560 545",
        "fringe, M420 420 L580 420",
        "back hair, M420 400 L580 400",
        "glasses, M440 490 L560 490",
        "cap, M400 390 L600 390",
        "horn left, M550 390 L570 340",
        "neck, M500 620 L500 660",
        "scratch, M470 560 L480 570"
    })
    void aFeatureOfOneStrokeComesInAndMovesWithTheRest(String name, String data) {
        Character c = Rigs.hung(Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                Rigs.layer("white left", Rigs.ellipse(540, 490, 20, 15)),
                Rigs.layer("pupil left", Rigs.ellipse(540, 490, 5, 5)),
                Rigs.layer("white right", Rigs.ellipse(460, 490, 20, 15)),
                Rigs.layer("pupil right", Rigs.ellipse(460, 490, 5, 5)),
                stroke(name, data)));
        for (var edit : List.of(
                MakeTurn.of(Optional.empty()), new MakeMouths("", null, null, true, List.of()), new MakeLooks())) {
            if (Edits.apply(c, edit) instanceof Outcome.Done done) {
                c = done.character();
            }
        }
        for (double turn : new double[] {-45, -20, 0, 20, 45}) {
            Frame frame = new Evaluator(c).frame(Pose.of(Map.of("turn", turn, "blink", 0.5)));
            assertThat(frame.placed()).isNotEmpty().allSatisfy(p -> {
                assertThat(Double.isFinite(
                                p.matrix().a() + p.matrix().e() + p.matrix().f()))
                        .isTrue();
                p.outlines().forEach(o -> assertThat(o.points())
                        .allMatch(q -> Double.isFinite(q.x()) && Double.isFinite(q.y())));
            });
        }
    }
}
