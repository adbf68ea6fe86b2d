package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.file.ArtReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Drawings as pixels, read again. */
class OpenRasterTest {
    private static final Map<String, byte[]> IMAGES = new HashMap<>();

    private static Character read(byte[] file) {
        LayeredArt art = ArtReader.read(file);
        IMAGES.putAll(art.images());
        return ((IntakeResult.Hung) art.assembled("Face", 24)).character();
    }

    private static byte[] written(Exporter exporter, Character c) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ExportSource source = new ExportSource(
                c, new Evaluator(c).frame(Pose.REST), Optional.empty(), Optional.empty(), IMAGES::get, Optional::empty);
        exporter.write(source, Choices.of(exporter.options(), Map.of("art-width", 1000.0)), out);
        return out.toByteArray();
    }

    private static BufferedImage rest(Character c) throws IOException {
        return ImageIO.read(
                new ByteArrayInputStream(FramePainter.of(c, 500, IMAGES::get).png(new Evaluator(c).frame(Pose.REST))));
    }

    @Test
    void layersOfPixelsAreReadAgainAsThePartsTheyWere() throws IOException {
        Character first = read(DemoFiles.maren());
        byte[] file = written(new OpenRaster(), first);
        // mimetype first, as it is: the name begins behind the 30 bytes of a local header, the content behind that
        assertThat(new String(file, 30, 8 + 16, StandardCharsets.US_ASCII)).isEqualTo("mimetypeimage/openraster");
        Character second = read(file);
        for (Part p : first.rig().parts()) {
            if (!p.drawings().isEmpty()) {
                assertThat(second.part(p.id())).as(p.id()).isPresent();
                assertThat(second.part(p.id()).orElseThrow().drawings())
                        .as(p.id())
                        .extracting(d -> d.id())
                        .containsExactlyInAnyOrderElementsOf(
                                p.drawings().stream().map(d -> d.id()).toList());
            }
        }
        BufferedImage a = rest(first);
        BufferedImage b = rest(second);
        long apart = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                for (int s = 0; s < 32; s += 8) {
                    apart += Math.abs((a.getRGB(x, y) >> s & 255) - (b.getRGB(x, y) >> s & 255));
                }
            }
        }
        assertThat(apart / 4.0 / a.getWidth() / a.getHeight())
                .as("mean difference of the pictures at rest, of 255")
                .isLessThan(2);
    }

    @Test
    void everyDrawingIsAPictureInTheFolderOfItsPart() throws IOException {
        Character c = read(DemoFiles.maren());
        Map<String, BufferedImage> pictures = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(written(new DrawingsZip(), c)))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                pictures.put(e.getName(), ImageIO.read(new ByteArrayInputStream(zip.readAllBytes())));
            }
        }
        assertThat(pictures)
                .hasSize(c.rig().parts().stream()
                        .mapToInt(p -> p.drawings().size())
                        .sum())
                .containsKeys("hand-left/fist.png", "mouth/m-b-p.png");
        BufferedImage fist = pictures.get("hand-left/fist.png");
        assertThat(fist.getWidth()).isEqualTo(1000);
        assertThat(fist.getRGB(540, 910) >>> 24).as("where the fist is").isEqualTo(255);
        assertThat(fist.getRGB(500, 400) >>> 24).as("where the face is").isZero();
    }
}
