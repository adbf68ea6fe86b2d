package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.formats.file.ArtReader;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A lid that is drawn over the line of its white is masked inside it and shows a fold past it: the line must not shine through where both meet. */
class SeamTest {
    @ParameterizedTest
    @EnumSource(
            value = Side.class,
            names = {"LEFT", "RIGHT"})
    void noHairLineRunsAcrossALid(Side side) throws Exception {
        byte[] file = Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", "skipper.svg"));
        Character c = ((IntakeResult.Hung) ArtReader.read(file).assembled("skipper", 24)).character();
        Box lid = c.part(PartRole.UPPER_LID, side).orElseThrow().bounds().orElseThrow();
        BufferedImage ours = Trial.drawn(c, Pose.REST);
        BufferedImage foreign = Likeness.foreign(new String(file, StandardCharsets.UTF_8), Trial.WIDTH);
        double scale = ours.getWidth() / c.sheet().canvas().width();
        int darker = 0;
        for (int y = (int) (lid.minY() * scale); y < lid.maxY() * scale; y++) {
            for (int x = (int) (lid.minX() * scale); x < lid.maxX() * scale; x++) {
                darker += light(foreign.getRGB(x, y)) - light(ours.getRGB(x, y)) > 24 ? 1 : 0;
            }
        }
        assertThat(darker).isLessThan(4);
    }

    private static int light(int rgb) {
        return ((rgb >> 16 & 255) + (rgb >> 8 & 255) + (rgb & 255)) / 3;
    }
}
