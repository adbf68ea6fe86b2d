package app.leeward.render;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;

/** Skia is there on the machines these tests run on. */
class SkiaPainterTest extends PainterContract {
    @Override
    FramePainter painter(Character c, int width) {
        return new SkiaPainter(c, width, ImageShelf.NONE);
    }
}
