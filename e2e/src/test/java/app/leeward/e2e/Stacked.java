package app.leeward.e2e;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;

/** Several pictures as one. */
final class Stacked {
    private static final int GAP = 14;
    private static final Color PAPER = new Color(0xef, 0xe8, 0xd6);

    private Stacked() {}

    /**
     * @param pictures PNG files
     * @param below how many of them stand below each other; the others stand beside each other under those
     * @return a PNG file
     */
    static byte[] of(List<byte[]> pictures, int below) throws IOException {
        List<BufferedImage> all = new ArrayList<>();
        for (byte[] p : pictures) {
            all.add(ImageIO.read(new ByteArrayInputStream(p)));
        }
        int width = GAP;
        int height = GAP;
        int beside = GAP;
        int highest = 0;
        for (int i = 0; i < all.size(); i++) {
            BufferedImage p = all.get(i);
            if (i < below) {
                width = Math.max(width, p.getWidth() + 2 * GAP);
                height += p.getHeight() + GAP;
            } else {
                beside += p.getWidth() + GAP;
                highest = Math.max(highest, p.getHeight() + GAP);
            }
        }
        BufferedImage out = new BufferedImage(Math.max(width, beside), height + highest, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.setColor(PAPER);
        g.fillRect(0, 0, out.getWidth(), out.getHeight());
        int x = GAP;
        int y = GAP;
        for (int i = 0; i < all.size(); i++) {
            g.drawImage(all.get(i), x, y, null);
            if (i < below) {
                y += all.get(i).getHeight() + GAP;
            } else {
                x += all.get(i).getWidth() + GAP;
            }
        }
        g.dispose();
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(out, "png", png);
        return png.toByteArray();
    }
}
