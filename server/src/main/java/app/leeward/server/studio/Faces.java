package app.leeward.server.studio;

import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eval.HeadBox;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.render.FramePainter;
import app.leeward.server.store.FacePictures;
import app.leeward.server.store.FaceRow;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Service;

/** Pictures by which somebody finds a character or a shot again: the head, alone or some moments of it beside each other. */
@Service
public class Faces {
    /** By which rules a kept picture was drawn: raised when one would look otherwise now. */
    private static final int FORM = 1;
    /** Pixels of a picture; one of a face is on a clear ground. */
    private static final int WIDE = 420;

    private static final int TALL = 300;
    private static final int STRIP_WIDE = 112;
    private static final int STRIP_TALL = 112;
    /** Moments of a shot that are shown: one in the middle of each third. */
    private static final int MOMENTS = 3;
    /** Air round the head, as a share of it. */
    private static final double AIR = 0.05;

    private final Characters characters;
    private final Lines lines;
    private final StoredImages images;
    private final FacePictures kept;

    Faces(Characters characters, Lines lines, StoredImages images, FacePictures kept) {
        this.kept = kept;
        this.characters = characters;
        this.lines = lines;
        this.images = images;
    }

    /** The head at rest, as a PNG file; drawn once for a revision. */
    public byte[] face(Snapshot<Character> c) {
        return kept.findByCharacterAndRevisionAndForm(c.id(), c.revision(), FORM)
                .map(FaceRow::png)
                .orElseGet(() -> {
                    byte[] png = drawn(c);
                    kept.keep(c.id(), c.revision(), FORM, png);
                    return png;
                });
    }

    private byte[] drawn(Snapshot<Character> c) {
        Evaluator evaluator = characters.evaluator(c);
        return png(strip(c.state(), evaluator, List.of(evaluator.frame(Pose.REST)), WIDE, TALL));
    }

    /** Three moments of a shot, as one PNG file. */
    public byte[] moments(Snapshot<Character> c, Snapshot<Shot> shot) {
        Playhead playhead = lines.playhead(shot, c);
        int frames = Math.max(1, shot.state().frames());
        List<Frame> shown = IntStream.range(0, MOMENTS)
                .mapToObj(i ->
                        playhead.evaluator().frame(playhead.poseAt(frames * (2 * i + 1) / (2 * MOMENTS), Pose.REST)))
                .toList();
        return png(strip(c.state(), characters.evaluator(c), shown, STRIP_WIDE, STRIP_TALL));
    }

    /** Heads beside each other, each as large as its place allows; all stand where the head is at rest, wherever the canvas is. */
    private BufferedImage strip(Character c, Evaluator evaluator, List<Frame> frames, int wide, int tall) {
        Canvas canvas = c.sheet().canvas();
        Box head = HeadBox.of(c, evaluator, Pose.REST).orElse(new Box(0, 0, canvas.width(), canvas.height()));
        double air = AIR * Math.max(head.width(), head.height());
        double unit = Math.max((head.width() + 2 * air) / wide, (head.height() + 2 * air) / tall);
        Canvas seen = new Canvas(wide * unit, tall * unit);
        Matrix moved = Matrix.translate(
                seen.width() / 2 - head.centre().x(),
                seen.height() / 2 - head.centre().y());
        FramePainter painter = FramePainter.of(c.withSheet(sheet -> sheet.withCanvas(seen)), wide, images);
        BufferedImage out = new BufferedImage(wide * frames.size(), tall, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = out.createGraphics();
        for (int i = 0; i < frames.size(); i++) {
            g.drawImage(decoded(painter.png(moved(frames.get(i), moved))), i * wide, 0, null);
        }
        g.dispose();
        return out;
    }

    private static Frame moved(Frame frame, Matrix by) {
        return new Frame(frame.placed().stream()
                .map(p -> p.withMatrix(by.times(p.matrix())))
                .toList());
    }

    private static BufferedImage decoded(byte[] png) {
        try {
            return ImageIO.read(new ByteArrayInputStream(png));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] png(BufferedImage picture) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
