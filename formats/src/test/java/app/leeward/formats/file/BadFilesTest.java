package app.leeward.formats.file;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Files nobody wanted, each with the sentence it must get: why it is refused, or what of it was left out and where. */
class BadFilesTest {
    private static final String OPEN =
            "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' viewBox='0 0 100 100'>";
    private static final String FACE = "<g id='face'><circle cx='50' cy='50' r='40' fill='#ecc'/></g>";

    private record Row(String what, byte[] file, String sentence) {}

    /** Refused as a whole. */
    static Stream<Arguments> refused() throws IOException {
        byte[] sound = zip("face.png", png(900));
        return of(
                row("nothing at all", "", "The file is empty."),
                row("words", "hello", "This is not an SVG drawing: it holds no XML."),
                row(
                        "a web page",
                        "<html><body/></html>",
                        "This is XML, but not an SVG drawing: it begins with <html>."),
                row(
                        "cut off",
                        OPEN + FACE + "<g id='nose'><circle r='3'/>",
                        "column 195: it ends in the middle. The file was cut off."),
                svg("wrongly nested", "<g></h>", "is broken at line 1, column 172: The element type \"g\" must be"),
                svg("an attribute twice", "<g id='a' id='b'/>", "<g> has 'id' twice."),
                svg("a zero byte", "\0", "An invalid XML character"),
                row("entities", "<!DOCTYPE svg [<!ENTITY a 'b'>]>" + OPEN + "&a;</svg>", "uses XML entities at line 1"),
                svg(
                        "a picture elsewhere",
                        "<image href='http://x/y.png'/>",
                        "refers to another file at line 1 (http://x/y.png)"),
                svg(
                        "a style sheet elsewhere",
                        "<style>@import 'http://x';</style>",
                        "The style sheet at line 1 refers to another file"),
                svg(
                        "300 groups deep",
                        "<g>".repeat(300) + "</g>".repeat(300),
                        "nests groups more than 200 deep at line 1"),
                svg("25,000 shapes", "<circle r='1'/>".repeat(25_000), "would draw 25001 shapes"),
                svg("uses of uses of uses", useBomb(), "would draw 100000000001 shapes, counting what is used again"),
                new Row("gzip", new byte[] {31, (byte) 139, 8, 0, 0}, "The file is packed with gzip: unpack it"),
                new Row("one flat picture", png(9), "This is one flat picture."),
                new Row(
                        "an archive cut off",
                        Arrays.copyOf(sound, sound.length / 2),
                        "The archive is broken or cut off"),
                new Row(
                        "an archive of letters",
                        zip("readme.txt", bytes("hi")),
                        "neither an OpenRaster stack nor PNG layers"),
                new Row("no PNG", zip("face.png", bytes("hello")), "'face.png' is not a PNG or JPEG picture."),
                new Row("a bomb", zip("face.png", new byte[250_000_000]), "The archive unpacks to more than 192 MB"),
                new Row(
                        "a layer elsewhere",
                        ora("src='../../etc/passwd' name='face'"),
                        "The layer 'face' refers to '../../etc/passwd', which leads out of the archive."),
                new Row(
                        "a layer missing",
                        ora("src='data/y.png' name='face'"),
                        "The layer 'face' refers to 'data/y.png', which is not in the file."),
                new Row(
                        "a place that is none",
                        ora("src='x.png' name='face' x='abc'"),
                        "The x of 'face' at line 1 of stack.xml is not a number: 'abc'."),
                new Row(
                        "a place far away",
                        ora("src='x.png' name='face' x='2000000000'"),
                        "The x of 'face' at line 1 of stack.xml is out of all bounds: '2000000000'."),
                new Row(
                        "an opacity that is none",
                        ora("src='x.png' name='face' opacity='NaN'"),
                        "The opacity of 'face' at line 1 of stack.xml is not a number: 'NaN'."),
                new Row(
                        "a stack without a size",
                        zip("stack.xml", bytes("<image><stack/></image>")),
                        "The file says it is 0.0 × 0.0 pixels, which cannot be."),
                new Row(
                        "a stack cut off",
                        zip("stack.xml", bytes("<image w='9' h='9'><stack>")),
                        "The OpenRaster stack is broken at line 1, column 27: it ends in the middle."));
    }

    /** Read, with a note. */
    static Stream<Arguments> told() {
        return of(
                svg(
                        "NaN in a transform",
                        nose("<circle r='3'/>", "transform='translate(NaN 3)'"),
                        "The transform 'translate(NaN 3)' of 'nose' (line 1) cannot be read; what it moves is left out."),
                svg(
                        "no such transform",
                        nose("<circle r='3'/>", "transform='flurb(3)'"),
                        "The transform 'flurb(3)' of 'nose' (line 1) cannot be read"),
                svg(
                        "a transform without bounds",
                        nose("<circle r='3'/>", "transform='scale(1e400)'"),
                        "The transform 'scale(1e400)' of 'nose' (line 1) cannot be read"),
                svg("no number", nose("<circle r='abc'/>", ""), "The r of 'nose' (line 1) is no number: 'abc'."),
                svg(
                        "a number far away",
                        nose("<circle r='2000000000'/>", ""),
                        "The r of 'nose' (line 1) is out of all bounds: '2000000000'."),
                svg(
                        "a width in words",
                        nose("<circle r='3' stroke-width='wide'/>", ""),
                        "The stroke-width of 'nose' (line 1) is no number: 'wide'."),
                svg(
                        "a broken path",
                        nose("<path d='M 3 3 L 5 q'/>", ""),
                        "The path of 'nose' (line 1) is broken at character 10: a number is missing; it is drawn up to there."),
                svg(
                        "a path far away",
                        nose("<path d='M2000000000 0 L3 3 Z'/>", ""),
                        "is broken at character 11: the number 2000000000 is out of all bounds"),
                svg(
                        "a million points",
                        nose("<path d='M0 0" + " L1 1".repeat(1_000_000) + "'/>", ""),
                        "The path of 'nose' (line 1) is broken after 20000 segments, the most one path may have"),
                row(
                        "a viewBox of words",
                        OPEN.replace("0 0 100 100", "a b c d") + FACE + "</svg>",
                        "The viewBox 'a b c d' is not four numbers with a width and a height"),
                row(
                        "a viewBox turned inside out",
                        OPEN.replace("0 0 100 100", "0 0 -5 10") + FACE + "</svg>",
                        "The viewBox '0 0 -5 10' is not four numbers"),
                row(
                        "a viewBox of two milliards",
                        OPEN.replace("0 0 100 100", "0 0 2000000000 2000000000") + FACE + "</svg>",
                        "The viewBox '0 0 2000000000 2000000000' is not"),
                row(
                        "a pattern and no size",
                        OPEN.replace(" viewBox='0 0 100 100'", "") + FACE + "<pattern id='m' width='9' height='9'/>"
                                + nose("<circle r='9' fill='url(#m)'/>", "") + "</svg>",
                        "'nose' (line 1) has a pattern, which is left out: the file does not say how large it is."),
                svg("what uses itself", "<g id='x'><use href='#x'/></g>", "What 'x' (line 1) uses, #x, uses itself."),
                svg(
                        "two that use each other",
                        "<g id='x'><use href='#y'/></g><g id='y'><use href='#x'/></g>",
                        "What 'y' (line 1) uses, #x, uses itself."),
                svg(
                        "what is used and missing",
                        "<use id='brow' href='#nothing'/>",
                        "What 'brow' (line 1) uses, #nothing, is not in the file."),
                svg(
                        "a program",
                        "<script>alert(1)</script>",
                        "A script at line 1 was left out: art holds no programs."),
                svg(
                        "a link to a program",
                        "<a id='lnk' href='javascript:alert(1)'><circle r='4'/></a>",
                        "The link on 'lnk' at line 1 runs a program and was left out."),
                svg(
                        "a handler",
                        "<g id='nose' onclick='x()'><circle r='4'/></g>",
                        "The event handler 'onclick' at line 1 was left out."),
                svg("another vocabulary", "<foreignObject id='fo'/>", "<foreignObject> of 'fo' (line 1) is not read."),
                svg(
                        "a broken picture",
                        "<image id='pic' width='9' height='9' href='data:image/png;base64,AAAA'/>",
                        "The image at line 1 cannot be read."),
                svg(
                        "a clip clipped by itself",
                        "<clipPath id='c' clip-path='url(#c)'><circle r='4'/></clipPath>"
                                + nose("<circle r='9'/>", "clip-path='url(#c)'"),
                        "The clip on 'nose' is not kept as it is"),
                svg(
                        "gradients of each other",
                        "<linearGradient id='g1' href='#g2'/><linearGradient id='g2' href='#g1'/>"
                                + nose("<circle r='9' fill='url(#g1)'/>", ""),
                        "The paint 'g1' is not in the file, or has no colours"),
                svg(
                        "a mask masked by itself",
                        "<mask id='m'><circle r='9' mask='url(#m)' fill='#888'/></mask>"
                                + nose("<circle r='9' mask='url(#m)'/>", ""),
                        "'nose' (line 1) has a mask and could not be painted."),
                svg(
                        "a pattern of itself",
                        "<pattern id='m' width='9' height='9'><circle r='9' fill='url(#m)'/></pattern>"
                                + nose("<circle r='9' fill='url(#m)'/>", ""),
                        "'nose' (line 1) has a pattern and could not be painted."),
                svg(
                        "a blur without bounds",
                        "<filter id='f'><feGaussianBlur stdDeviation='1e9'/></filter>"
                                + nose("<circle r='9' filter='url(#f)'/>", ""),
                        "'nose' (line 1) has a filter and could not be painted."),
                svg(
                        "mixed with what lies beneath",
                        "<g id='blush' style='mix-blend-mode:multiply'><circle r='9'/></g>",
                        "'blush' is mixed with what lies beneath it (multiply); it is drawn over it instead."));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    @Timeout(20)
    void refused(String what, byte[] file, String sentence) {
        String said = "";
        try {
            ArtReader.read(file);
        } catch (ArtProblem e) {
            said = e.getMessage();
        }
        assertThat(said).contains(sentence);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    @Timeout(20)
    void told(String what, byte[] file, String sentence) {
        LayeredArt art = ArtReader.read(file);
        assertThat(art.root().shapes()).as("the face comes in").isNotEmpty();
        assertThat(art.notes()).anySatisfy(n -> assertThat(n.message()).contains(sentence));
    }

    private static Stream<Arguments> of(Row... rows) {
        return Stream.of(rows).map(r -> Arguments.of(r.what, r.file, r.sentence));
    }

    private static Row row(String what, String text, String sentence) {
        return new Row(what, bytes(text), sentence);
    }

    private static Row svg(String what, String body, String sentence) {
        return row(what, OPEN + FACE + body + "</svg>", sentence);
    }

    private static String nose(String shape, String attributes) {
        return "<g id='nose' " + attributes + ">" + shape + "</g>";
    }

    private static String useBomb() {
        StringBuilder out = new StringBuilder("<defs><g id='a0'><circle r='1'/></g>");
        for (int i = 1; i < 12; i++) {
            out.append("<g id='a").append(i).append("'>");
            out.append(("<use xlink:href='#a" + (i - 1) + "'/>").repeat(10)).append("</g>");
        }
        return out + "</defs><use xlink:href='#a11'/>";
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] ora(String layer) throws IOException {
        return zip(
                "stack.xml",
                bytes("<image w='9' h='9'><stack><layer " + layer + "/></stack></image>"),
                "x.png",
                png(9));
    }

    private static byte[] zip(Object... names) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (int i = 0; i < names.length; i += 2) {
                zip.putNextEntry(new ZipEntry((String) names[i]));
                zip.write((byte[]) names[i + 1]);
            }
        }
        return out.toByteArray();
    }

    private static byte[] png(int size) throws IOException {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        image.setRGB(size / 2, size / 2, -1);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }
}
