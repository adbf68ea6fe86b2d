package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.faces.Face;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Random;

/**
 * A seeded face brought in, with all that is offered taken.
 *
 * @param images its pictures made of pixels
 */
record SeededHead(Character character, ImageShelf images) {
    /** Empty for a face that is refused. */
    static Optional<SeededHead> of(long seed) throws Exception {
        LayeredArt art = ArtReader.read(Face.of(seed).svg().getBytes(StandardCharsets.UTF_8));
        ImageShelf images = hash -> art.images().get(hash);
        IntakeResult result = art.assembled("face", 24);
        return result instanceof IntakeResult.Hung hung
                ? Optional.of(new SeededHead(
                        Clicks.all(hung.character(), new Random(1), images).character(), images))
                : Optional.empty();
    }
}
