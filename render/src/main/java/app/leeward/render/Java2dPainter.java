package app.leeward.render;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.formats.svg.SvgWriter;
import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.renderer.SVGRenderingHints;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;

/** Draws the frame's SVG with Java's own graphics, on machines that Skia has no natives for. */
final class Java2dPainter implements FramePainter {
    private final Character character;
    private final int width;
    private final ImageShelf images;

    Java2dPainter(Character character, int width, ImageShelf images) {
        this.character = character;
        this.width = width;
        this.images = images;
    }

    @Override
    public int width() {
        return width;
    }

    @Override
    public int height() {
        Canvas canvas = character.sheet().canvas();
        return Math.max(1, (int) Math.round(canvas.height() * width / canvas.width()));
    }

    @Override
    public byte[] png(Frame frame) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(drawn(frame, layer()), "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    @Override
    public byte[] pixels(Frame frame, boolean ground) {
        BufferedImage picture = layer();
        if (ground) {
            Graphics2D g = picture.createGraphics();
            g.setColor(Color.WHITE);
            g.fillRect(0, 0, picture.getWidth(), picture.getHeight());
            g.dispose();
        }
        int[] all = ((DataBufferInt) drawn(frame, picture).getRaster().getDataBuffer()).getData();
        byte[] out = new byte[4 * all.length];
        for (int i = 0; i < all.length; i++) {
            out[4 * i] = (byte) (all[i] >> 16);
            out[4 * i + 1] = (byte) (all[i] >> 8);
            out[4 * i + 2] = (byte) all[i];
            out[4 * i + 3] = (byte) (all[i] >> 24);
        }
        return out;
    }

    private BufferedImage drawn(Frame frame, BufferedImage picture) {
        List<Frame.Placed> all = frame.placed();
        int from = 0;
        while (from < all.size()) {
            int to = from + 1;
            // the library lets what is drawn twice in a group shine through twice, so such a part is laid on as one
            // layer
            double opacity = all.get(from).opacity();
            while (opacity >= 1 && to < all.size() && all.get(to).opacity() >= 1) {
                to++;
            }
            lay(picture, only(frame, from, to), opacity);
            from = to;
        }
        return picture;
    }

    private BufferedImage layer() {
        return new BufferedImage(width, height(), BufferedImage.TYPE_INT_ARGB);
    }

    /** The frame with some of its parts to be seen, and whole; the others are there for what they mask. */
    private static Frame only(Frame frame, int from, int to) {
        List<Frame.Placed> parts = new ArrayList<>();
        for (int i = 0; i < frame.placed().size(); i++) {
            parts.add(frame.placed().get(i).withOpacity(i >= from && i < to ? 1 : 0));
        }
        return new Frame(parts);
    }

    private void lay(BufferedImage picture, Frame frame, double opacity) {
        if (opacity <= 0) {
            return;
        }
        BufferedImage layer = opacity < 1 ? layer() : picture;
        draw(layer, frame);
        if (opacity < 1) {
            Graphics2D g = picture.createGraphics();
            g.setComposite(AlphaComposite.SrcOver.derive((float) opacity));
            g.drawImage(layer, 0, 0, null);
            g.dispose();
        }
    }

    private void draw(BufferedImage picture, Frame frame) {
        byte[] svg = SvgWriter.write(character, frame, images).getBytes(StandardCharsets.UTF_8);
        SVGDocument document = new SVGLoader().load(new ByteArrayInputStream(svg), null, LoaderContext.createDefault());
        if (document == null) {
            throw new IllegalStateException("the SVG of a frame could not be read again");
        }
        Graphics2D g = picture.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.setRenderingHint(SVGRenderingHints.KEY_SOFT_CLIPPING, SVGRenderingHints.VALUE_SOFT_CLIPPING_ON);
        document.render((Component) null, g, new ViewBox(0, 0, picture.getWidth(), picture.getHeight()));
        g.dispose();
    }
}
