package app.leeward.render;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;

/** What draws where Skia has no natives. */
class Java2dPainterTest extends PainterContract {
    @Override
    FramePainter painter(Character c, int width) {
        return new Java2dPainter(c, width, ImageShelf.NONE);
    }
}
