package app.leeward.render;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import io.github.humbleui.skija.impl.Library;

/** Draws frames of one character into PNG pictures on a transparent ground. Not to be shared between threads. */
public interface FramePainter {
    /** A frame as a PNG file. */
    byte[] png(Frame frame);

    /**
     * A frame as it is, four bytes a pixel: red, green, blue and how much of them, not mixed with it.
     *
     * @param ground whether it is drawn on white instead of a clear ground
     */
    byte[] pixels(Frame frame, boolean ground);

    int width();

    int height();

    /**
     * The fastest painter this machine has.
     *
     * @param width of the pictures, pixels, 1 to 8000; their height follows the canvas
     * @param images where the character's pictures made of pixels are
     */
    static FramePainter of(Character character, int width, ImageShelf images) {
        if (width < 1 || width > 8000) {
            throw new IllegalArgumentException("a picture is 1 to 8000 pixels wide, not " + width);
        }
        return Skia.LOADS ? new SkiaPainter(character, width, images) : new Java2dPainter(character, width, images);
    }

    /** Whether Skia has natives for this machine: looked for once, when the first picture is asked for. */
    final class Skia {
        private static final boolean LOADS = loads();

        private Skia() {}

        private static boolean loads() {
            try {
                Library.staticLoad();
                return true;
            } catch (RuntimeException | LinkageError e) {
                System.getLogger(FramePainter.class.getName())
                        .log(
                                System.Logger.Level.WARNING,
                                "Pictures are drawn by Java itself, more slowly: Skia does not load here",
                                e);
                return false;
            }
        }
    }
}
