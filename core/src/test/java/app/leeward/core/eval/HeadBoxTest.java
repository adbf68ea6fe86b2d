package app.leeward.core.eval;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Window;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Where the head is, against boxes that are read off the numbers of the art. */
class HeadBoxTest {
    private static final Point ORIGIN = new Point(0, 0);

    private static Part piece(String id, String parent, PartRole role, double x, double y, double w, double h) {
        return Rigs.part(id, parent, ORIGIN, Rigs.drawing("d", Rigs.box(x, y, w, h)))
                .withRole(role);
    }

    private static Optional<Box> of(Character c, Pose pose) {
        return HeadBox.of(c, new Evaluator(c), pose);
    }

    private static Part head() {
        return Rigs.part("head", null, ORIGIN).withRole(PartRole.HEAD);
    }

    @Test
    void whatHangsOnTheHeadCountsAndTheBodyDoesNot() {
        Character c = Rigs.character(
                List.of(
                        piece("torso", null, PartRole.TORSO, 0, 60, 100, 40),
                        piece("nose", "face", PartRole.NOSE, 48, 30, 4, 4),
                        head(),
                        piece("face", "head", PartRole.FACE, 30, 20, 40, 40),
                        piece("cap", "face", PartRole.CAP, 25, 10, 50, 15)),
                List.of());
        assertThat(of(c, Pose.REST)).contains(new Box(25, 10, 75, 60));
    }

    @Test
    void whatIsMaskedOrHiddenOrOfNoKnownRoleDoesNotCount() {
        Character c = Rigs.character(
                List.of(
                        head(),
                        piece("face", "head", PartRole.FACE, 30, 20, 40, 40),
                        piece("lid", "head", PartRole.UPPER_LID, 30, -500, 40, 10),
                        piece("sign", "head", PartRole.OTHER, 300, 0, 40, 40),
                        piece("cap", "head", PartRole.CAP, 25, 10, 50, 15)),
                List.of(new Window("face", List.of("lid"))));
        Pose bare = new Pose(Map.of(), Map.of(), Map.of("cap", Part.NOTHING), Map.of());
        assertThat(of(c, bare)).contains(new Box(30, 20, 70, 60));
    }

    @Test
    void artThatLiesOffItsCanvasHasItsHeadThere() {
        Character c = Rigs.character(
                List.of(head(), piece("face", "head", PartRole.FACE, -2500, -3000, 6000, 6100)), List.of());
        assertThat(of(c, Pose.REST)).contains(new Box(-2500, -3000, 3500, 3100));
    }

    @Test
    void piecesOfNoKnownRoleAreBetterThanNothingAndNothingIsTold() {
        Character c = Rigs.character(List.of(head(), piece("blob", "head", PartRole.OTHER, 1, 2, 3, 4)), List.of());
        assertThat(of(c, Pose.REST)).contains(new Box(1, 2, 4, 6));
        assertThat(of(Rigs.character(List.of(head()), List.of()), Pose.REST)).isEmpty();
    }
}
