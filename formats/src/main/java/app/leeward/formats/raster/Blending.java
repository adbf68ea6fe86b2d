package app.leeward.formats.raster;

import app.leeward.formats.art.ArtProblem;
import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import javax.imageio.ImageIO;

/**
 * Makes layers that are mixed with what lies beneath them into plain ones that look the same there. Layers are laid one after the other,
 * the backmost first; the ground grows with each.
 */
final class Blending {
    /** Of the picture as a whole and of a layer; a larger one is laid over plainly, since it would take too much memory. */
    static final long MOST_PIXELS = 9_000_000;

    private final BufferedImage ground;

    private Blending(int width, int height) {
        ground = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    }

    /** Empty for a picture that is too large. */
    static Optional<Blending> over(double width, double height) {
        return width * height > MOST_PIXELS
                ? Optional.empty()
                : Optional.of(new Blending((int) Math.ceil(width), (int) Math.ceil(height)));
    }

    /** Lays a layer over the ground. */
    void lay(byte[] file, String place, double x, double y, double opacity) {
        Graphics2D g = ground.createGraphics();
        g.setComposite(AlphaComposite.SrcOver.derive((float) opacity));
        g.drawImage(picture(file, place), (int) Math.rint(x), (int) Math.rint(y), null);
        g.dispose();
    }

    /** A PNG of the layer's own opacity whose colours are mixed with the ground. */
    byte[] mixed(byte[] file, String place, double x, double y, BlendMode mode) {
        BufferedImage layer = picture(file, place);
        int left = (int) Math.rint(x);
        int top = (int) Math.rint(y);
        BufferedImage out = new BufferedImage(layer.getWidth(), layer.getHeight(), BufferedImage.TYPE_INT_ARGB);
        for (int py = 0; py < out.getHeight(); py++) {
            for (int px = 0; px < out.getWidth(); px++) {
                out.setRGB(px, py, pixel(layer.getRGB(px, py), ground(left + px, top + py), mode));
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        try {
            ImageIO.write(out, "png", png);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return png.toByteArray();
    }

    private int ground(int x, int y) {
        boolean on = x >= 0 && y >= 0 && x < ground.getWidth() && y < ground.getHeight();
        return on ? ground.getRGB(x, y) : 0;
    }

    /** Section 5.6 of the same: where the ground is clear the source keeps its colour. */
    private static int pixel(int source, int backdrop, BlendMode mode) {
        double cover = (backdrop >>> 24) / 255.0;
        int out = source & 0xff000000;
        for (int shift = 0; shift < 24; shift += 8) {
            double s = (source >> shift & 0xff) / 255.0;
            double b = (backdrop >> shift & 0xff) / 255.0;
            double mixed = (1 - cover) * s + cover * mode.mixed(b, s);
            out |= (int) Math.round(255 * Math.max(0, Math.min(1, mixed))) << shift;
        }
        return out;
    }

    private static BufferedImage picture(byte[] file, String place) {
        try {
            BufferedImage read = ImageIO.read(new ByteArrayInputStream(file));
            if (read != null) {
                return read;
            }
        } catch (IOException | RuntimeException e) {
            throw new ArtProblem("image-broken", place, "The picture '" + place + "' is broken or cut off.");
        }
        throw new ArtProblem("image-not", place, "'" + place + "' is not a PNG or JPEG picture.");
    }
}
