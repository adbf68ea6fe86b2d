package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.turn.TurnMaker;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.render.FramePainter;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** A head that turns there and back, as a moving picture (GIF) for the README. Arguments: a file of art and where to write. */
public final class MovingTurn {
    private static final int WIDE = 320;
    private static final int FRAMES = 32;
    /** Hundredths of a second for each frame. */
    private static final String DELAY = "7";

    private static final Color GROUND = new Color(0xf3ede0);

    private MovingTurn() {}

    public static void main(String[] args) throws Exception {
        write(Files.readAllBytes(Path.of(args[0])), Path.of(args[1]));
    }

    /**
     * @param file layered art with one head
     * @throws IllegalArgumentException when nothing in it turns
     */
    public static void write(byte[] file, Path to) throws IOException {
        LayeredArt art = ArtReader.read(file);
        ImageShelf images = hash -> art.images().get(hash);
        IntakeResult result = art.assembled("moving", 24);
        if (!(result instanceof IntakeResult.Hung hung)) {
            throw new IllegalArgumentException(((IntakeResult.Unusable) result).message());
        }
        Character c = Clicks.all(hung.character(), new Random(1), images).character();
        double end = c.dial(TurnMaker.DIAL)
                .orElseThrow(() -> new IllegalArgumentException("nothing in it turns"))
                .to();
        Evaluator evaluator = new Evaluator(c);
        FramePainter painter = FramePainter.of(c, 900, images);
        Rectangle crop = FilmStrips.head(c, 900);
        ImageWriter writer = ImageIO.getImageWritersByFormatName("gif").next();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(to.toFile())) {
            writer.setOutput(out);
            writer.prepareWriteSequence(null);
            for (int i = 0; i < FRAMES; i++) {
                double at = end * Math.sin(2 * Math.PI * i / FRAMES);
                BufferedImage frame = Likeness.png(painter.png(evaluator.frame(Pose.of(Map.of(TurnMaker.DIAL, at)))));
                BufferedImage picture = cropped(frame, crop);
                writer.writeToSequence(new IIOImage(picture, null, timed(writer, picture, i == 0)), null);
            }
            writer.endWriteSequence();
        }
        writer.dispose();
    }

    private static BufferedImage cropped(BufferedImage frame, Rectangle crop) {
        Rectangle in = crop.intersection(new Rectangle(0, 0, frame.getWidth(), frame.getHeight()));
        int high = WIDE * in.height / in.width;
        BufferedImage out = new BufferedImage(WIDE, high, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.setColor(GROUND);
        g.fillRect(0, 0, WIDE, high);
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.drawImage(frame.getSubimage(in.x, in.y, in.width, in.height), 0, 0, WIDE, high, null);
        g.dispose();
        return out;
    }

    /** How long a frame stays, and with the first one that they go round for ever. */
    private static IIOMetadata timed(ImageWriter writer, BufferedImage picture, boolean first) throws IOException {
        IIOMetadata data = writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(picture), null);
        String format = data.getNativeMetadataFormatName();
        IIOMetadataNode root = (IIOMetadataNode) data.getAsTree(format);
        IIOMetadataNode control = child(root, "GraphicControlExtension");
        control.setAttribute("disposalMethod", "none");
        control.setAttribute("userInputFlag", "FALSE");
        control.setAttribute("transparentColorFlag", "FALSE");
        control.setAttribute("transparentColorIndex", "0");
        control.setAttribute("delayTime", DELAY);
        if (first) {
            IIOMetadataNode loop = new IIOMetadataNode("ApplicationExtension");
            loop.setAttribute("applicationID", "NETSCAPE");
            loop.setAttribute("authenticationCode", "2.0");
            loop.setUserObject(new byte[] {1, 0, 0});
            child(root, "ApplicationExtensions").appendChild(loop);
        }
        data.setFromTree(format, root);
        return data;
    }

    private static IIOMetadataNode child(IIOMetadataNode root, String name) {
        for (int i = 0; i < root.getLength(); i++) {
            if (root.item(i).getNodeName().equals(name)) {
                return (IIOMetadataNode) root.item(i);
            }
        }
        IIOMetadataNode made = new IIOMetadataNode(name);
        root.appendChild(made);
        return made;
    }
}
