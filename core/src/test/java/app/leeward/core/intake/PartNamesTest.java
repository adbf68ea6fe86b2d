package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PartNamesTest {
    @ParameterizedTest
    @CsvSource({
        "eye white left, WHITE, LEFT, ''",
        "Left_Eye_White, WHITE, LEFT, ''",
        "L eye white, WHITE, LEFT, ''",
        "EyeWhite-R, WHITE, RIGHT, ''",
        "sclera.r, WHITE, RIGHT, ''",
        "EYEBROW_L, BROW, LEFT, ''",
        "brows, BROW, NONE, ''",
        "Upper Eyelid (right), UPPER_LID, RIGHT, ''",
        "hand_02, HAND, NONE, 02",
        "handLeft fist, HAND, LEFT, fist",
        "hair back, BACK_HAIR, NONE, ''",
        "hair_shine, FRINGE, NONE, ''",
        "left cheek highlight, CHEEK, LEFT, ''",
        "shine L, HIGHLIGHT, LEFT, ''",
        "Back Hair copy, BACK_HAIR, NONE, ''",
        "bangs, FRINGE, NONE, ''",
        "Layer: PUPIL l, PUPIL, LEFT, ''",
        "mouth l n, MOUTH, NONE, l n",
        "mouth smile, MOUTH, NONE, smile",
        "beanie, CAP, NONE, ''",
        "lower arm r, FOREARM, RIGHT, ''",
    })
    void readsTheTradesSpellings(String name, PartRole role, Side side, String rest) {
        assertThat(PartNames.read(name)).contains(new PartName(role, side, rest));
    }

    @ParameterizedTest
    @CsvSource({"Layer 1", "Ebene 3", "path1234", "shadow", "r"})
    void leavesTheRestAlone(String name) {
        assertThat(PartNames.read(name)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "m b p, PBM",
        "MBP, PBM",
        "closed, PBM",
        "viseme 3, TH",
        "v12, EE",
        "Mouth-AA, AH",
        "oo, OO",
        "f_v, FV",
        "ʃ, CHSH",
        "rest, REST",
        "surprised, SURPRISE"
    })
    void readsWhichSoundAMouthIsFor(String name, Viseme viseme) {
        assertThat(MouthNames.read(name)).contains(viseme);
    }

    @Test
    void oneMouthMayServeSeveralClasses() {
        assertThat(MouthNames.read("t d n l")).containsExactly(Viseme.TD, Viseme.NL);
        assertThat(MouthNames.read("grumble 7")).isEmpty();
    }
}
