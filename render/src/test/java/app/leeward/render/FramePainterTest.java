package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Controls;
import app.leeward.core.rig.Library;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Rig;
import app.leeward.core.rig.Sheet;
import app.leeward.core.rig.Voice;
import java.util.List;
import org.junit.jupiter.api.Test;

class FramePainterTest {
    private static final Character EMPTY = new Character(
            "Test",
            new Sheet(new Canvas(100, 50), 24, List.of(), null),
            new Rig(List.of(), List.of(), List.of(), List.of()),
            Controls.NONE,
            Library.EMPTY,
            Voice.NONE,
            Origin.NONE);

    @Test
    void sizesBeyondReasonAreRefused() {
        assertThatThrownBy(() -> FramePainter.of(EMPTY, 0, ImageShelf.NONE)).hasMessageContaining("1 to 8000");
        assertThatThrownBy(() -> FramePainter.of(EMPTY, 9000, ImageShelf.NONE)).hasMessageContaining("9000");
    }

    @Test
    void theFastPainterIsTakenWhereItLoads() {
        assertThat(FramePainter.of(EMPTY, 100, ImageShelf.NONE)).isInstanceOf(SkiaPainter.class);
    }
}
