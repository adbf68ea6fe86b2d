package app.leeward.formats.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** OpenRaster against the layout published by freedesktop.org; silhouettes against the areas of the shapes drawn by the JDK. */
class ArchiveReaderTest {
    private static byte[] ellipse(int w, int h, int x, int y, int dx, int dy, Color colour) {
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setColor(colour);
        g.fillOval(x, y, dx, dy);
        g.dispose();
        return png(image);
    }

    private static byte[] png(BufferedImage image) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] zip(Map<String, byte[]> files) {
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try (ZipOutputStream zip = new ZipOutputStream(out)) {
                zip.setLevel(Deflater.BEST_COMPRESSION);
                for (Map.Entry<String, byte[]> e : files.entrySet()) {
                    zip.putNextEntry(new ZipEntry(e.getKey()));
                    zip.write(e.getValue());
                }
            }
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] ora(String stack, Map<String, byte[]> data) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("mimetype", "image/openraster".getBytes(StandardCharsets.US_ASCII));
        files.put("stack.xml", stack.getBytes(StandardCharsets.UTF_8));
        files.putAll(data);
        return zip(files);
    }

    private static Box box(Shape s) {
        return s.path().bounds().orElseThrow();
    }

    @Test
    void openRasterGivesItsLayersTheirPlacesNamesAndOrder() {
        byte[] file = ora(
                "<?xml version='1.0'?><image version='0.0.3' w='400' h='300'><stack>"
                        + "<layer name='nose' src='data/a.png' x='30' y='40' opacity='0.5'/>"
                        + "<stack name='mouth' x='5' y='0'>"
                        + "  <layer name='ah' src='data/b.png' x='100' y='200' visibility='hidden'/>"
                        + "  <layer name='rest' src='data/b.png' x='100' y='210' composite-op='svg:multiply'/>"
                        + "</stack>"
                        + "<layer name='face' src='data/c.png'/>"
                        + "</stack></image>",
                Map.of(
                        "data/a.png", ellipse(60, 60, 10, 20, 40, 30, Color.RED),
                        "data/b.png", ellipse(50, 20, 0, 0, 50, 20, Color.BLUE),
                        "data/c.png", ellipse(400, 300, 100, 50, 200, 220, Color.PINK)));
        LayeredArt art = ArchiveReader.read(file);
        assertThat(art.canvas().width()).isEqualTo(400);
        assertThat(art.root().layers()).extracting(Layer::name).containsExactly("face", "mouth", "nose");
        Layer mouth = art.root().layers().get(1);
        assertThat(mouth.layers()).extracting(Layer::name).containsExactly("rest", "ah");
        assertThat(mouth.layers()).extracting(Layer::hidden).containsExactly(false, true);
        assertThat(box(mouth.layers().get(1).shapes().get(0)).minX()).isCloseTo(105, within(1.5));
        assertThat(box(mouth.layers().get(1).shapes().get(0)).minY()).isCloseTo(200, within(1.5));
        Shape nose = art.root().layers().get(2).shapes().get(0);
        assertThat(nose.opacity()).isEqualTo(0.5);
        Paint.Picture picture = (Paint.Picture) nose.fill();
        assertThat(picture.place().e()).as("cropped to what is seen").isEqualTo(40);
        assertThat(picture.place().f()).isEqualTo(60);
        assertThat(picture.average()).isEqualTo("#ff0000");
        assertThat(art.images()).containsKey(picture.image());
        assertThat(art.notes()).extracting(Note::code).containsExactly("blending-flattened");
    }

    /** Blue times pink is a dark blue, where there is pink; over nothing it stays blue. */
    @Test
    void aLayerThatIsMixedWithWhatLiesBeneathIsKeptAsItLooksThere() {
        byte[] file = ora(
                "<?xml version='1.0'?><image version='0.0.3' w='100' h='100'><stack>"
                        + "<layer name='hue' src='data/b.png' x='60' y='60' composite-op='svg:color'/>"
                        + "<layer name='blush' src='data/b.png' x='20' y='20' composite-op='svg:multiply'/>"
                        + "<layer name='old' src='data/d.png' visibility='hidden'/>"
                        + "<layer name='face' src='data/c.png'/>"
                        + "</stack></image>",
                Map.of(
                        "data/b.png", ellipse(20, 20, 0, 0, 20, 20, Color.BLUE),
                        "data/d.png", ellipse(100, 100, 0, 0, 100, 100, Color.BLACK),
                        "data/c.png", ellipse(100, 100, -100, -100, 300, 300, Color.PINK)));
        LayeredArt art = ArchiveReader.read(file);
        Paint.Picture blush =
                (Paint.Picture) art.root().layers().get(2).shapes().get(0).fill();
        assertThat(blush.average()).as("#0000ff times #ffafaf, rounded").isIn("#0000ae", "#0000af");
        Paint.Picture hue =
                (Paint.Picture) art.root().layers().get(3).shapes().get(0).fill();
        assertThat(hue.average()).isEqualTo("#0000ff");
        assertThat(art.notes()).extracting(Note::code).containsExactly("blending-flattened", "blending-not-kept");
    }

    /** By hand from the formulas of W3C, Compositing and Blending Level 1, 9.1. */
    @ParameterizedTest
    @CsvSource({
        "svg:multiply, 0.5, 0.4, 0.2",
        "svg:screen, 0.5, 0.4, 0.7",
        "svg:overlay, 0.25, 0.4, 0.2",
        "svg:overlay, 0.75, 0.4, 0.7",
        "svg:darken, 0.5, 0.4, 0.4",
        "svg:lighten, 0.5, 0.4, 0.5",
        "svg:color-dodge, 0.3, 0.4, 0.5",
        "svg:color-dodge, 0.9, 0.4, 1",
        "svg:color-burn, 0.8, 0.4, 0.5",
        "svg:color-burn, 0.2, 0.4, 0",
        "svg:hard-light, 0.25, 0.4, 0.2",
        "svg:soft-light, 0.25, 0.4, 0.2125",
        "svg:soft-light, 0.64, 0.75, 0.72",
        "svg:difference, 0.5, 0.4, 0.1"
    })
    void coloursAreMixedByTheStandard(String op, double backdrop, double source, double mixed) {
        assertThat(BlendMode.called(op).orElseThrow().mixed(backdrop, source)).isCloseTo(mixed, within(1e-12));
    }

    /** The outline that masks and hangs a picture covers what the JDK filled, to within a pixel along its edge. */
    @Test
    void aSilhouetteHasTheAreaOfWhatWasDrawn() throws IOException {
        byte[] png = ellipse(300, 200, 20, 30, 240, 120, Color.GREEN);
        Shape s = new Pixels()
                .shape(png, "x", "x", app.leeward.core.art.Matrix.IDENTITY, 1)
                .orElseThrow();
        double exact = Math.PI * 120 * 60;
        assertThat(Regions.of(s.path()).getArea()).isCloseTo(exact, within(exact * 0.01));
        assertThat(box(s).width()).isCloseTo(240, within(1.5));
        BufferedImage ring = ImageIO.read(new ByteArrayInputStream(png));
        Graphics2D g = ring.createGraphics();
        g.setComposite(java.awt.AlphaComposite.Clear);
        g.fillOval(80, 60, 120, 60);
        g.dispose();
        Shape holed = new Pixels()
                .shape(png(ring), "x", "x", app.leeward.core.art.Matrix.IDENTITY, 1)
                .orElseThrow();
        assertThat(Regions.of(holed.path()).getArea())
                .as("holes stay open")
                .isCloseTo(exact - Math.PI * 60 * 30, within(exact * 0.015));
    }

    @Test
    void pngFilesInAnArchiveAreLayersByNameAndFoldersGroups() {
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put("03_nose.png", ellipse(90, 90, 40, 40, 10, 10, Color.RED));
        files.put("02_mouth/01 rest.png", ellipse(90, 90, 30, 60, 30, 4, Color.RED));
        files.put("01_face.png", ellipse(90, 90, 5, 5, 80, 80, Color.PINK));
        files.put("__MACOSX/._face.png", new byte[] {1});
        files.put("readme.txt", new byte[] {1});
        LayeredArt art = ArchiveReader.read(zip(files));
        assertThat(art.stacked()).isTrue();
        assertThat(art.root().layers()).extracting(Layer::name).containsExactly("02_mouth", "face", "nose");
        assertThat(art.notes()).extracting(Note::place).containsExactly("readme.txt");
        assertThat(ArchiveReader.read(zip(Map.of("face.png", files.get("01_face.png"))))
                        .stacked())
                .as("without numbers roles decide")
                .isFalse();
    }

    private static void refused(String code, byte[] file) {
        assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> ArchiveReader.read(file))
                .satisfies(e -> {
                    assertThat(e.code()).isEqualTo(code);
                    assertThat(e.place()).isNotBlank();
                });
    }

    @Test
    void bombsAndBrokenArchivesAreRefusedWithTheirOwnReason() {
        // 250 MB of nothing in a quarter of a megabyte, in pieces so that the test itself stays small
        Map<String, byte[]> bomb = new LinkedHashMap<>();
        byte[] nothing = new byte[25 * 1024 * 1024];
        List.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10).forEach(i -> bomb.put(i + ".png", nothing));
        byte[] packed = zip(bomb);
        assertThat(packed.length).isLessThan(400_000);
        refused("zip-large", packed);
        Map<String, byte[]> many = new LinkedHashMap<>();
        for (int i = 0; i < 2_100; i++) {
            many.put("f" + i + ".png", new byte[0]);
        }
        refused("zip-large", zip(many));
        refused("zip-broken", new byte[] {'P', 'K', 3, 4});
        refused("zip-without-art", zip(Map.of("a.txt", new byte[3])));
        refused("image-not", zip(Map.of("face.png", "no picture".getBytes(StandardCharsets.UTF_8))));
        byte[] png = ellipse(90, 90, 5, 5, 80, 80, Color.PINK);
        refused("image-broken", zip(Map.of("face.png", java.util.Arrays.copyOf(png, 200))));
        refused("image-large", zip(Map.of("face.png", huge())));
        refused(
                "ora-missing",
                ora("<image w='9' h='9'><stack><layer name='x' src='data/x.png'/></stack></image>", Map.of()));
        refused(
                "ora-broken",
                ora("<image w='9' h='9'><stack><layer name='x' src='a' x='NaN'/></stack></image>", Map.of()));
        refused("ora-size", ora("<image w='1e308' h='9'><stack/></image>".replace("1e308", "999999"), Map.of()));
        refused("ora-not", ora("<svg/>", Map.of()));
        refused("ora-entities", ora("<!DOCTYPE image [<!ENTITY a 'b'>]><image>&a;</image>", Map.of()));
    }

    /** A picture that says it is 60000 × 60000: refused by its header, before a pixel is unpacked. */
    private static byte[] huge() {
        byte[] png = ellipse(4, 4, 0, 0, 4, 4, Color.RED);
        java.nio.ByteBuffer b = java.nio.ByteBuffer.wrap(png);
        b.putInt(16, 60_000).putInt(20, 60_000);
        java.util.zip.CRC32 crc = new java.util.zip.CRC32();
        crc.update(png, 12, 17);
        b.putInt(29, (int) crc.getValue());
        return png;
    }
}
