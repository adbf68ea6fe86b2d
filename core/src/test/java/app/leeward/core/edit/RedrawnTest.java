package app.leeward.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.rig.Character;
import org.junit.jupiter.api.Test;

class RedrawnTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character after(Edit edit) {
        return ((Outcome.Done) Edits.draft(FACE, edit)).character();
    }

    @Test
    void aPlacementRedrawsNothing() {
        assertThat(Redrawn.between(FACE, FACE)).isEmpty();
        assertThat(Redrawn.between(FACE, after(new Nudge("nose", 3, 1)))).isEmpty();
    }

    @Test
    void aRecolouredDrawingIsToldWithItsShapes() {
        String colour = FACE.part("nose")
                .orElseThrow()
                .drawings()
                .get(0)
                .art()
                .colours()
                .get(0);
        Character after = after(new Recolour(colour, "#123456"));
        assertThat(Redrawn.between(FACE, after))
                .isNotEmpty()
                .allSatisfy(r -> assertThat(r.shapes())
                        .isEqualTo(after.drawing(r.part(), r.drawing())
                                .orElseThrow()
                                .art()
                                .shapes()))
                .extracting(Redrawn::part)
                .contains("nose");
    }

    /** But for how far the eyes can look, which waits until the hand lets go. */
    @Test
    void aDraftIsWhatTheEditWillMake() {
        for (Edit edit : new Edit[] {new Nudge("nose", 3, 1), new Nudge("pupil-left", 1, 0)}) {
            Character made = ((Outcome.Done) Edits.apply(FACE, edit)).character();
            assertThat(after(edit).rig()).isEqualTo(made.rig());
            assertThat(after(edit).controls().dials()).isEqualTo(made.controls().dials());
        }
        assertThat(Edits.draft(FACE, new Nudge("gone", 1, 1))).isInstanceOf(Outcome.Refused.class);
    }
}
