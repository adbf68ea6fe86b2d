package app.leeward.core.turn;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.Told;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.ShowPast;
import app.leeward.core.edit.SplitNose;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A nose whose profile grows out of the face. */
class NosePiecesTest {
    private static Shape lined(Path path) {
        Stroke line = new Stroke(Paint.flat("#222222"), 3, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        return new Shape("", ShapeRole.OTHER, path, Paint.flat("#e0b090"), FillRule.NONZERO, line, 1, false);
    }

    private static final Character FACE = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
            Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.layer("eye white L", Rigs.ellipse(540, 490, 24, 20)),
            Rigs.layer("eye white R", Rigs.ellipse(460, 490, 24, 20)),
            Rigs.group(
                    "nose",
                    Rigs.layer("front", Rigs.ellipse(500, 520, 10, 14)),
                    new Layer(
                            "profile",
                            false,
                            List.<Layer.Node>of(new Layer.Leaf(lined(Rigs.ellipse(525, 520, 40, 14))))))));

    private static Frame at(Character c, double turn) {
        return new Evaluator(c).frame(Pose.of(Map.of("turn", turn)));
    }

    @Test
    void fillingAndLineFollowTheNoseAndOnlyTheLineIsCut() {
        Character c = done(done(FACE, MakeTurn.of(Optional.empty())), new SplitNose());
        List<Part> noses =
                c.rig().parts().stream().filter(p -> p.role() == PartRole.NOSE).toList();
        assertThat(noses).hasSize(3);
        Part nose = noses.get(0);
        assertThat(nose.drawings()).extracting(d -> d.name()).containsExactly("front");
        String face = c.part(PartRole.FACE).orElseThrow().id();
        String filling = noses.get(1).id();
        String line = noses.get(2).id();
        assertThat(Told.pastEdges(c)).containsExactly(Map.entry(line, List.of(face)));
        assertThat(noses.get(1).parent()).contains(nose.id());
        assertThat(noses.get(1).drawings()).allMatch(d -> d.art().shapes().stream()
                .noneMatch(s -> s.stroke().visible()));
        assertThat(noses.get(2).drawings())
                .allMatch(d -> d.art().shapes().stream().allMatch(s -> s.fill() instanceof Paint.None));

        assertThat(at(c, 0).of(filling)).as("from the front").isEmpty();
        for (double turn : new double[] {-60, -3, 3, 60}) {
            Frame frame = at(c, turn);
            assertThat(frame.of(nose.id()).orElseThrow().drawing())
                    .as("the front stays")
                    .isEqualTo("front");
            assertThat(frame.of(nose.id()).orElseThrow().windows()).containsExactly(face);
            assertThat(frame.of(line).orElseThrow().windows()).isEmpty();
            assertThat(frame.of(line).orElseThrow().drawing()).endsWith(turn > 0 ? "-to-right" : "-to-left");
            assertThat(frame.of(line).orElseThrow().outside()).containsExactly(face);
            assertThat(frame.of(filling).orElseThrow().outside()).isEmpty();
            assertThat(frame.of(line).orElseThrow().matrix())
                    .isEqualTo(frame.of(nose.id()).orElseThrow().matrix());
            List<String> stack = frame.placed().stream().map(Frame.Placed::part).toList();
            assertThat(stack.indexOf(filling)).isEqualTo(stack.indexOf(face) + 1);
        }
    }

    @Test
    void bothSidesAreMirrorImages() {
        Character c = done(done(FACE, MakeTurn.of(Optional.empty())), new SplitNose());
        String line = Told.pastEdges(c).keySet().iterator().next();
        Part part = c.part(line).orElseThrow();
        double axis = c.sheet().model().axis();
        var right = at(c, 40).of(line).orElseThrow();
        var left = at(c, -40).of(line).orElseThrow();
        var a = part.drawing(right.drawing())
                .orElseThrow()
                .art()
                .transform(right.matrix())
                .bounds()
                .orElseThrow();
        var b = part.drawing(left.drawing())
                .orElseThrow()
                .art()
                .transform(left.matrix())
                .bounds()
                .orElseThrow();
        assertThat(a.minX() + b.maxX()).isCloseTo(2 * axis, within(1e-6));
        assertThat(a.maxX() + b.minX()).isCloseTo(2 * axis, within(1e-6));
    }

    @Test
    void takenApartBeforeOrAfterTheTurnIsMadeItIsTheSame() {
        Character after = done(done(FACE, MakeTurn.of(Optional.empty())), new SplitNose());
        assertThat(TurnMaker.keptByHand(after))
                .as("nobody's hand has been there")
                .isZero();
        Character before = done(done(FACE, new SplitNose()), MakeTurn.of(Optional.empty()));
        for (double turn = -45; turn <= 45; turn += 7.5) {
            assertThat(at(before, turn).placed())
                    .as("at %s", turn)
                    .containsExactlyElementsOf(at(after, turn).placed());
        }
        Character again = done(
                after,
                MakeTurn.of(Optional.of(after.controls().turn().orElseThrow().shape())));
        assertThat(at(again, 45)).isEqualTo(at(after, 45));
    }

    @Test
    void aNoseWithoutAProfileStaysWhole() {
        assertThat(refused(Rigs.hung(Rigs.face()), new SplitNose())).isEqualTo("no-profile");
        Character c = done(FACE, new SplitNose());
        assertThat(refused(c, new SplitNose())).as("apart already").isEqualTo("no-profile");
        assertThat(NosePieces.canBe(FACE)).isTrue();
    }

    @Test
    void anyPartCanBeKeptPastAnEdge() {
        Character c = done(FACE, new ShowPast("torso", Optional.of("face-skin")));
        assertThat(at(c, 0).of("torso").orElseThrow().outside()).containsExactly("face-skin");
        Character free = done(c, new ShowPast("torso", Optional.empty()));
        assertThat(at(free, 0).of("torso").orElseThrow().outside()).isEmpty();
        assertThat(refused(FACE, new ShowPast("torso", Optional.of("torso")))).isEqualTo("own-edge");
        assertThat(refused(FACE, new ShowPast("torso", Optional.of("head")))).isEqualTo("no-window");
        assertThat(refused(FACE, new ShowPast("torso", Optional.of("gone")))).isEqualTo("no-part");
    }
}
