package app.leeward.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.util.Arrays;

/** How much two pictures of one thing differ. */
final class Pictures {
    /** Pixels along the side of a tile. */
    private static final int TILE = 10;
    /** Edges are smoothed differently by each renderer; a part that is missing or elsewhere differs by more in some tile. */
    static final double ALIKE = 9;

    private Pictures() {}

    /**
     * A picture over white with each pixel the mean of the nine about it: how edges are smoothed, which one renderer does differently
     * from frame to frame, weighs less then, and what is elsewhere does not.
     */
    static BufferedImage soft(BufferedImage sharp) {
        BufferedImage white = new BufferedImage(sharp.getWidth(), sharp.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = white.createGraphics();
        g.drawImage(sharp, 0, 0, Color.WHITE, null);
        g.dispose();
        float[] ninth = new float[9];
        Arrays.fill(ninth, 1 / 9f);
        return new ConvolveOp(new Kernel(3, 3, ninth), ConvolveOp.EDGE_NO_OP, null).filter(white, null);
    }

    /**
     * How far two pictures are apart over white in the tile where they are furthest apart: mean difference of the colour channels,
     * 0 to 255. A mean over the whole picture would not notice a missing part.
     */
    static double apart(BufferedImage a, BufferedImage b) {
        assertThat(b.getWidth()).isEqualTo(a.getWidth());
        assertThat(b.getHeight()).isEqualTo(a.getHeight());
        double worst = 0;
        for (int y = 0; y < a.getHeight(); y += TILE) {
            for (int x = 0; x < a.getWidth(); x += TILE) {
                worst = Math.max(worst, tile(a, b, x, y));
            }
        }
        return worst;
    }

    private static double tile(BufferedImage a, BufferedImage b, int left, int top) {
        int right = Math.min(left + TILE, a.getWidth());
        int bottom = Math.min(top + TILE, a.getHeight());
        long all = 0;
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                int p = overWhite(a.getRGB(x, y));
                int q = overWhite(b.getRGB(x, y));
                for (int s = 0; s < 3; s++) {
                    all += Math.abs((p >> 8 * s & 255) - (q >> 8 * s & 255));
                }
            }
        }
        return all / 3.0 / (right - left) / (bottom - top);
    }

    private static int overWhite(int argb) {
        int alpha = argb >>> 24;
        int out = 0;
        for (int s = 0; s <= 16; s += 8) {
            out |= ((argb >> s & 255) * alpha + 255 * (255 - alpha)) / 255 << s;
        }
        return out;
    }
}
