package app.leeward.formats.raster;

import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Silhouette;
import app.leeward.core.art.Stroke;
import app.leeward.core.trace.Tracer;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.Sha256;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Iterator;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Reads pictures into shapes: cropped to what can be seen, outlined by their silhouette, kept as PNG. */
public final class Pixels {
    /** Most pixels of one picture; larger ones are refused before they are unpacked. */
    static final long MOST = 40_000_000;
    /** Most pixels of one file's pictures together. */
    static final long MOST_TOGETHER = 240_000_000;
    /** A silhouette is traced no finer than this many pixels across. */
    private static final int TRACED = 1_024;

    private final Map<String, byte[]> images = new HashMap<>();
    private long together;

    /** What was kept so far: SHA-256 to PNG. */
    public Map<String, byte[]> images() {
        return images;
    }

    /** Width and height of a picture, without unpacking it. */
    public int[] size(byte[] file, String place) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new ArtProblem("image-not", place, "'" + place + "' is not a PNG or JPEG picture.");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                return new int[] {reader.getWidth(0), reader.getHeight(0)};
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof ArtProblem p ? p : broken(place, e);
        }
    }

    private static ArtProblem broken(String place, Exception e) {
        return new ArtProblem(
                "image-broken", place, "The picture '" + place + "' is broken or cut off: " + e.getMessage() + ".");
    }

    /**
     * One picture as a shape named {@code name}; empty when nothing of it can be seen.
     *
     * @param at from the picture's pixels to the canvas
     */
    public Optional<Shape> shape(byte[] file, String place, String name, Matrix at, double opacity) {
        return shape(read(file, place), name, at, opacity);
    }

    /**
     * Counts a picture that is to be unpacked.
     *
     * @throws ArtProblem when it is too large, or too many pixels with those before it
     */
    void expect(int[] size, String place) {
        long pixels = (long) size[0] * size[1];
        together += pixels;
        if (pixels > MOST || together > MOST_TOGETHER) {
            throw new ArtProblem(
                    "image-large",
                    place,
                    "The picture '" + place + "' has " + size[0] + " × " + size[1] + " pixels"
                            + (pixels > MOST ? "" : ", and with the others there are too many")
                            + "; scale the layers down and drop the file again.");
        }
    }

    /** A picture, unpacked. */
    BufferedImage read(byte[] file, String place) {
        expect(size(file, place), place);
        BufferedImage whole;
        try {
            whole = ImageIO.read(new ByteArrayInputStream(file));
        } catch (IOException | RuntimeException e) {
            throw broken(place, e);
        }
        if (whole == null) {
            throw new ArtProblem("image-not", place, "'" + place + "' is not a PNG or JPEG picture.");
        }
        return whole;
    }

    /** A picture that was painted here. */
    public Optional<Shape> shape(BufferedImage whole, String name, Matrix at, double opacity) {
        Rectangle seen = seen(whole);
        return seen.isEmpty() ? Optional.empty() : Optional.of(kept(whole, seen, name, at, opacity));
    }

    private Shape kept(BufferedImage whole, Rectangle seen, String name, Matrix at, double opacity) {
        BufferedImage crop = new BufferedImage(seen.width, seen.height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = crop.createGraphics();
        g.drawImage(whole, -seen.x, -seen.y, null);
        g.dispose();
        byte[] png = png(crop);
        String hash = Sha256.of(png);
        images.put(hash, png);
        Matrix place = at.times(Matrix.translate(seen.x, seen.y));
        Paint picture = new Paint.Picture(
                hash, seen.width, seen.height, place, average(crop), Tracer.of(crop::getRGB, seen.width, seen.height));
        return new Shape(
                name,
                ShapeRole.OTHER,
                outline(crop).transform(place),
                picture,
                FillRule.EVENODD,
                Stroke.NONE,
                opacity,
                false);
    }

    private static byte[] png(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new IllegalStateException("a picture in memory could not be written", e);
        }
        return out.toByteArray();
    }

    /** The smallest rectangle that holds every pixel that is not clear. */
    private static Rectangle seen(BufferedImage image) {
        // an indexed picture has no raster of its own for alpha, and few enough colours to be looked up
        Raster alpha = image.getAlphaRaster();
        boolean indexed = alpha == null && image.getColorModel().hasAlpha();
        if (alpha == null && !indexed) {
            return new Rectangle(image.getWidth(), image.getHeight());
        }
        int bits = indexed ? 8 : alpha.getSampleModel().getSampleSize(0);
        int clear = (1 << bits) / 32;
        Rectangle seen = new Rectangle();
        int[] row = new int[image.getWidth()];
        for (int y = 0; y < image.getHeight(); y++) {
            if (indexed) {
                image.getRGB(0, y, row.length, 1, row, 0, row.length);
                for (int x = 0; x < row.length; x++) {
                    row[x] >>>= 24;
                }
            } else {
                alpha.getSamples(0, y, row.length, 1, 0, row);
            }
            int first = -1;
            int last = -1;
            for (int x = 0; x < row.length; x++) {
                if (row[x] > clear) {
                    first = first < 0 ? x : first;
                    last = x;
                }
            }
            if (first >= 0) {
                Rectangle line = new Rectangle(first, y, last - first + 1, 1);
                seen = seen.isEmpty() ? line : seen.union(line);
            }
        }
        return seen;
    }

    private static Path outline(BufferedImage image) {
        int step = Math.max(1, (Math.max(image.getWidth(), image.getHeight()) + TRACED - 1) / TRACED);
        int w = (image.getWidth() + step - 1) / step;
        int h = (image.getHeight() + step - 1) / step;
        byte[] alpha = new byte[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                alpha[y * w + x] = (byte) (image.getRGB(x * step, y * step) >>> 24);
            }
        }
        Path traced = Silhouette.of(alpha, w, h).transform(Matrix.scale(step, step));
        return traced.isEmpty() ? box(image.getWidth(), image.getHeight()) : traced;
    }

    private static Path box(double w, double h) {
        return Path.of(
                new Segment.Move(new Point(0, 0)),
                new Segment.Line(new Point(w, 0)),
                new Segment.Line(new Point(w, h)),
                new Segment.Line(new Point(0, h)),
                new Segment.Close());
    }

    private static String average(BufferedImage image) {
        long r = 0;
        long g = 0;
        long b = 0;
        long weight = 0;
        int step = Math.max(1, Math.max(image.getWidth(), image.getHeight()) / 128);
        for (int y = 0; y < image.getHeight(); y += step) {
            for (int x = 0; x < image.getWidth(); x += step) {
                int argb = image.getRGB(x, y);
                int a = argb >>> 24;
                r += (long) a * (argb >> 16 & 255);
                g += (long) a * (argb >> 8 & 255);
                b += (long) a * (argb & 255);
                weight += a;
            }
        }
        return weight == 0 ? "#808080" : String.format("#%02x%02x%02x", r / weight, g / weight, b / weight);
    }
}
