package app.leeward.formats.raster;

import app.leeward.core.rig.Note;
import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.Optional;

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

    static boolean fits(BufferedImage layer) {
        return (long) layer.getWidth() * layer.getHeight() <= MOST_PIXELS;
    }

    /** What is told of a layer that was mixed with the ground. */
    static Note note(String layer, String mode) {
        return new Note(
                "blending-flattened",
                layer,
                "'" + layer + "' is mixed with what lies beneath it (" + mode + "); it is kept as it looks there.");
    }

    /** What is told of one that was not. */
    static Note lost(String layer, String mode) {
        return new Note(
                "blending-not-kept",
                layer,
                "The blending '" + mode + "' of '" + layer + "' is not kept; it is laid over plainly.");
    }

    /** Lays a layer over the ground. */
    void lay(BufferedImage layer, double x, double y, double opacity) {
        Graphics2D g = ground.createGraphics();
        g.setComposite(AlphaComposite.SrcOver.derive((float) opacity));
        g.drawImage(layer, (int) Math.rint(x), (int) Math.rint(y), null);
        g.dispose();
    }

    /** The layer, of its own opacity, with its colours mixed with the ground. */
    BufferedImage mixed(BufferedImage layer, double x, double y, BlendMode mode) {
        int left = (int) Math.rint(x);
        int top = (int) Math.rint(y);
        BufferedImage out = new BufferedImage(layer.getWidth(), layer.getHeight(), BufferedImage.TYPE_INT_ARGB);
        for (int py = 0; py < out.getHeight(); py++) {
            for (int px = 0; px < out.getWidth(); px++) {
                out.setRGB(px, py, pixel(layer.getRGB(px, py), ground(left + px, top + py), mode));
            }
        }
        return out;
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
}
