package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.faces.Face;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.render.FramePainter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * A face as it comes in.
 *
 * @param refused why it could not be read; empty when it was
 */
record Trial(Face face, Optional<Character> character, String refused) {
    /** Wide enough to tell an eye's highlight. */
    static final int WIDTH = 400;

    static Trial of(Face face) {
        try {
            LayeredArt art = ArtReader.read(face.svg().getBytes(StandardCharsets.UTF_8));
            IntakeResult result = art.assembled("Face " + face.seed(), 24);
            return result instanceof IntakeResult.Hung hung
                    ? new Trial(face, Optional.of(hung.character()), "")
                    : new Trial(face, Optional.empty(), ((IntakeResult.Unusable) result).message());
        } catch (ArtProblem e) {
            return new Trial(face, Optional.empty(), e.getMessage());
        }
    }

    static BufferedImage drawn(Character c, Pose pose) throws IOException {
        return Likeness.png(FramePainter.of(c, WIDTH, ImageShelf.NONE).png(new Evaluator(c).frame(pose)));
    }

    /**
     * How it looks at rest beside the file, as another program draws that. What is laid out beside the figure may be taken for drawings that
     * replace each other, or stay where it is.
     */
    Likeness.Unlike unlike() throws IOException {
        if (character.isEmpty()) {
            return new Likeness.Unlike(1, 1);
        }
        BufferedImage ours = drawn(character.get(), Pose.REST);
        Likeness.Unlike figure = Likeness.of(Likeness.foreign(face.figure(), WIDTH), ours);
        return face.svg().equals(face.figure())
                ? figure
                : figure.least(Likeness.of(Likeness.foreign(face.svg(), WIDTH), ours));
    }
}
