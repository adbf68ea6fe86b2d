package app.leeward.bench.faces;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import javax.imageio.ImageIO;

/** How unlike two pictures are, and how another program draws an SVG. */
final class Likeness {
    /** A channel apart by more is seen; less is what two ways of smoothing an edge come to. */
    private static final int SEEN = 48;

    private static final int TILE = 20;

    private Likeness() {}

    /** Drawn by librsvg's command, which shares no code with ours. */
    static BufferedImage foreign(String svg, int width) throws IOException {
        Process p = new ProcessBuilder("rsvg-convert", "-w", String.valueOf(width), "-u")
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        Thread feeding = new Thread(() -> {
            try (OutputStream in = p.getOutputStream()) {
                in.write(svg.getBytes(StandardCharsets.UTF_8));
            } catch (IOException e) {
                p.destroy();
            }
        });
        feeding.start();
        try (InputStream out = p.getInputStream()) {
            return Optional.ofNullable(ImageIO.read(new ByteArrayInputStream(out.readAllBytes())))
                    .orElseThrow(() -> new IOException("librsvg drew nothing"));
        }
    }

    static BufferedImage png(byte[] file) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(file));
    }

    /**
     * How unlike two pictures are.
     *
     * @param share of all pixels that look otherwise
     * @param worst the same of the worst of all tiles, so that nothing small is lost in a large picture
     */
    record Unlike(double share, double worst) {
        /** The less of each. */
        Unlike least(Unlike other) {
            return new Unlike(Math.min(share, other.share), Math.min(worst, other.worst));
        }
    }

    /** Compared on a middling ground; the one picture may be a pixel lower than the other. */
    static Unlike of(BufferedImage a, BufferedImage b) {
        int[] tiles = tiles(a, b);
        return tiles.length == 0
                ? new Unlike(1, 1)
                : new Unlike(
                        Arrays.stream(tiles).sum() / (double) (a.getWidth() * a.getHeight()),
                        Arrays.stream(tiles).max().orElse(0) / (double) (TILE * TILE));
    }

    /** The share of pixels that look otherwise. */
    static double unlike(BufferedImage a, BufferedImage b) {
        return of(a, b).share();
    }

    /** The same of the worst tile. */
    static double worstTile(BufferedImage a, BufferedImage b) {
        return of(a, b).worst();
    }

    /** How many pixels of each tile look otherwise; none where the pictures are of different sizes. */
    private static int[] tiles(BufferedImage a, BufferedImage b) {
        int width = Math.min(a.getWidth(), b.getWidth());
        int height = Math.min(a.getHeight(), b.getHeight());
        if (Math.abs(a.getWidth() - b.getWidth()) > 1 || Math.abs(a.getHeight() - b.getHeight()) > 1) {
            return new int[0];
        }
        int[] one = onGrey(a, width, height);
        int[] two = onGrey(b, width, height);
        int across = (width + TILE - 1) / TILE;
        int[] tiles = new int[across * ((height + TILE - 1) / TILE)];
        for (int i = 0; i < one.length; i++) {
            int most = 0;
            for (int s = 0; s < 24; s += 8) {
                most = Math.max(most, Math.abs((one[i] >> s & 0xff) - (two[i] >> s & 0xff)));
            }
            tiles[i / width / TILE * across + i % width / TILE] += most > SEEN ? 1 : 0;
        }
        return tiles;
    }

    private static int[] onGrey(BufferedImage image, int width, int height) {
        BufferedImage flat = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = flat.createGraphics();
        g.setColor(new Color(0x808080));
        g.fillRect(0, 0, width, height);
        g.drawImage(image, 0, 0, null);
        g.dispose();
        return flat.getRGB(0, 0, width, height, null, 0, width);
    }
}
