package app.leeward.render;

import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Option;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;

/** Single drawings as pictures, as they were drawn: alone, in their place on the canvas, on a clear ground. */
final class DrawingPictures {
    static final Option WIDTH = new Option("art-width", "Canvas width", "pixels", 16, 4000, 2000);

    private final FramePainter painter;

    DrawingPictures(ExportSource source, int width) {
        this.painter = FramePainter.of(source.character(), width, source.images());
    }

    int width() {
        return painter.width();
    }

    int height() {
        return painter.height();
    }

    /**
     * A picture cut down to what is seen.
     *
     * @param x pixels to the right of the canvas's corner
     * @param y pixels below it
     */
    record Cut(byte[] png, int x, int y) {}

    /** All of the canvas with one drawing on it. */
    byte[] whole(Part part, Drawing drawing) {
        return painter.png(
                new Frame(List.of(new Frame.Placed(part.id(), drawing.id(), Matrix.IDENTITY, 1, List.of()))));
    }

    /** Empty when nothing of it is seen on the canvas. */
    Optional<Cut> cut(Part part, Drawing drawing) {
        try {
            BufferedImage all = ImageIO.read(new ByteArrayInputStream(whole(part, drawing)));
            int left = all.getWidth();
            int top = all.getHeight();
            int right = 0;
            int bottom = 0;
            int[] row = new int[all.getWidth()];
            for (int y = 0; y < all.getHeight(); y++) {
                all.getRGB(0, y, row.length, 1, row, 0, row.length);
                for (int x = 0; x < row.length; x++) {
                    if (row[x] >>> 24 != 0) {
                        left = Math.min(left, x);
                        right = Math.max(right, x + 1);
                        top = Math.min(top, y);
                        bottom = y + 1;
                    }
                }
            }
            if (right == 0) {
                return Optional.empty();
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(all.getSubimage(left, top, right - left, bottom - top), "png", out);
            return Optional.of(new Cut(out.toByteArray(), left, top));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
