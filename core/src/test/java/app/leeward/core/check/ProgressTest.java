package app.leeward.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.shot.Shot;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How far a rig is: each stage is counted by what it leaves, and by nothing else. */
class ProgressTest {
    private static Part part(String id, PartRole role, int drawings) {
        Part bare = Rigs.part(id, null, new Point(0, 0)).withRole(role);
        return bare.withDrawings(java.util.stream.IntStream.range(0, drawings)
                .mapToObj(i -> Rigs.drawing(id + i, Rigs.box(0, 0, 9, 9)))
                .toList());
    }

    private static Progress of(Character c) {
        return Progress.of(c, List.of(), false);
    }

    @Test
    void artThatOnlyCameInWaitsForItsParts() {
        Progress p = of(Rigs.character(List.of(part("x", PartRole.OTHER, 1)), List.of()));
        assertThat(p.done()).containsExactly(RigStep.INTAKE);
        assertThat(p.next()).contains(RigStep.PARTS);
    }

    @Test
    void handsAreWaitedForOnlyWhereThereAreHands() {
        Character bare = Rigs.character(List.of(part("head", PartRole.HEAD, 0)), List.of());
        assertThat(of(bare).done()).containsExactly(RigStep.INTAKE, RigStep.PARTS);
        Character one =
                Rigs.character(List.of(part("head", PartRole.HEAD, 0), part("hand", PartRole.HAND, 1)), List.of());
        assertThat(of(one).done()).doesNotContain(RigStep.HANDS);
        Character two =
                Rigs.character(List.of(part("head", PartRole.HEAD, 0), part("hand", PartRole.HAND, 2)), List.of());
        assertThat(of(two).done()).contains(RigStep.HANDS);
    }

    @Test
    void aShotWithoutWordsIsNoLineAndOneWithoutKeysIsNotActed() {
        Character c = Rigs.character(List.of(part("head", PartRole.HEAD, 0)), List.of());
        Shot silent = Shot.silent("Pause", TrackRules.at(24), 48);
        Progress p = Progress.of(c, List.of(silent), true);
        assertThat(p.done()).doesNotContain(RigStep.LINES, RigStep.SHOT).contains(RigStep.HAND_OVER);
        assertThat(p.next()).contains(RigStep.EYES);
    }
}
