package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

class SvgReaderTest {
    private static LayeredArt read(String body) {
        return SvgReader.read(svg(body));
    }

    private static byte[] svg(String body) {
        return ("<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' viewBox='0 0 100 80'>"
                        + body + "</svg>")
                .getBytes(StandardCharsets.UTF_8);
    }

    private static Shape only(String body) {
        return read(body).root().shapes().get(0);
    }

    @Test
    void transformsAreResolvedInOrder() {
        Box b =
                only("<g transform='translate(10 20)'><rect transform='rotate(90) scale(2)' x='0' y='0' width='5' height='3'/></g>")
                        .path()
                        .bounds()
                        .orElseThrow();
        assertThat(b.minX()).isCloseTo(4, within(1e-6));
        assertThat(b.maxX()).isCloseTo(10, within(1e-6));
        assertThat(b.minY()).isCloseTo(20, within(1e-6));
        assertThat(b.maxY()).isCloseTo(30, within(1e-6));
    }

    @Test
    void theViewBoxIsTheCanvas() {
        LayeredArt art = SvgReader.read(
                "<svg viewBox='-50 -50 200 100'><circle cx='0' cy='0' r='5'/></svg>".getBytes(StandardCharsets.UTF_8));
        assertThat(art.canvas().width()).isEqualTo(200);
        assertThat(art.root()
                        .shapes()
                        .get(0)
                        .path()
                        .bounds()
                        .orElseThrow()
                        .centre()
                        .x())
                .isCloseTo(50, within(1e-6));
    }

    @Test
    void paintComesFromAttributesClassesStylesAndParents() {
        String css = "<style>.skin{fill:#ABC} #eye{fill:rgb(10, 20, 30)} path{stroke:navy}</style>";
        assertThat(only(css + "<rect class='skin' width='4' height='4'/>").fill())
                .isEqualTo(Paint.flat("#aabbcc"));
        assertThat(only(css + "<rect id='eye' class='skin' width='4' height='4'/>")
                        .fill())
                .as("an id weighs more")
                .isEqualTo(Paint.flat("#0a141e"));
        assertThat(only(css + "<rect class='skin' style='fill:white' width='4' height='4'/>")
                        .fill())
                .isEqualTo(Paint.flat("#ffffff"));
        Shape path = only(css + "<g fill='none' stroke-width='3' stroke-linecap='round'><path d='M0 0L9 9'/></g>");
        assertThat(path.fill()).isEqualTo(Paint.NONE);
        assertThat(path.stroke().width()).isEqualTo(3);
        assertThat(path.stroke().cap().name()).isEqualTo("ROUND");
        assertThat(path.stroke().paint()).isEqualTo(Paint.flat("#000080"));
        assertThat(only("<g opacity='.5'><rect opacity='.5' width='4' height='4'/></g>")
                        .opacity())
                .isEqualTo(0.25);
    }

    @Test
    void lineWidthsGrowWithTheTransform() {
        assertThat(only("<path transform='scale(3)' stroke='red' stroke-width='2' d='M0 0L5 5'/>")
                        .stroke()
                        .width())
                .isCloseTo(6, within(1e-9));
    }

    @Test
    void groupsAreLayersNamedAsPeopleNamedThem() {
        Layer root =
                read("<g id='eye_x20_left_1_'><rect width='1' height='1'/></g><g id='g12' xmlns:i='x' i:label='Brow R'><title>no</title><rect width='1' height='1'/></g><g><title>Nose</title><rect width='1' height='1'/></g><g id='off' display='none'><rect width='1' height='1'/></g>")
                        .root();
        assertThat(root.layers()).extracting(Layer::name).containsExactly("eye left", "Brow R", "Nose", "off");
        assertThat(root.layers()).extracting(Layer::hidden).containsExactly(false, false, false, true);
    }

    @Test
    void usedShapesAreDrawnWhereTheyAreUsed() {
        LayeredArt art = read(
                "<defs><g id='dot'><circle r='2' cx='0' cy='0'/></g></defs><use xlink:href='#dot' x='30' y='40' id='ear left'/>");
        assertThat(art.root().layers()).extracting(Layer::name).containsExactly("ear left");
        assertThat(art.root()
                        .shapes()
                        .get(0)
                        .path()
                        .bounds()
                        .orElseThrow()
                        .centre()
                        .y())
                .isCloseTo(40, within(1e-6));
        assertThat(read("<g id='a'><rect width='1' height='1'/><use href='#a'/></g>")
                        .notes())
                .extracting(Note::code)
                .contains("use-missing");
    }

    @Test
    void whatCannotBeKeptIsSaid() {
        LayeredArt art = read(
                "<linearGradient id='g'><stop stop-color='red'/><stop stop-color='lime'/></linearGradient><rect fill='url(#g)' width='4' height='4'/><text>hi</text><image href='data:image/png;base64,AA'/><path d='M0 0L5 5L oops'/><rect fill='glitter' width='4' height='4'/>");
        assertThat(art.notes())
                .extracting(Note::code)
                .containsExactlyInAnyOrder("flattened", "element-not-read", "path-broken", "colour-unknown");
        assertThat(art.root().shapes()).hasSize(3);
    }

    @Test
    void styleRulesReachWhatTheyNameByWeight() {
        String css = "<style>path{fill:#010101} .skin{fill:#020202} g > .skin{fill:#030303} #nose path{fill:#040404}"
                + " #nose .skin.dark{fill:#050505} rect:hover{fill:#060606}</style>";
        assertThat(fill(css + "<path d='M0 0h9v9z'/>")).isEqualTo("#010101");
        assertThat(fill(css + "<path class='skin' d='M0 0h9v9z'/>")).isEqualTo("#020202");
        assertThat(fill(css + "<g><path class='skin' d='M0 0h9v9z'/></g>")).isEqualTo("#030303");
        assertThat(fill(css + "<g id='nose'><g><path d='M0 0h9v9z'/></g></g>")).isEqualTo("#040404");
        assertThat(fill(css + "<g id='nose'><path class='dark skin' d='M0 0h9v9z'/></g>"))
                .isEqualTo("#050505");
        assertThat(fill(css + "<rect width='4' height='4' fill='hsl(120, 100%, 25%)'/>"))
                .isEqualTo("#008000");
    }

    private static String fill(String body) {
        return ((Paint.Flat) only(body).fill()).colour();
    }

    @Test
    void gradientsKeepTheirPlaceWhateverTheirUnitsAndTransforms() {
        Paint.Gradient across = (Paint.Gradient)
                only("<linearGradient id='a'><stop offset='10%' stop-color='red'/><stop offset='1' stop-color='#00f' stop-opacity='.5'/></linearGradient>"
                                + "<linearGradient id='b' href='#a' x1='0' y1='0' x2='0' y2='1' spreadMethod='reflect'/>"
                                + "<g transform='translate(5 0) scale(2)'><rect fill='url(#b)' x='10' y='20' width='30' height='8'/></g>")
                        .fill();
        // from the top of the box to its bottom: SVG 1.1, 13.2.2, objectBoundingBox units
        assertThat(across.place().apply(new Point(0, 0))).isEqualTo(new Point(25, 40));
        assertThat(across.place().apply(new Point(1, 0))).isEqualTo(new Point(25, 56));
        assertThat(across.spread()).isEqualTo(Paint.Spread.REFLECT);
        assertThat(across.stops())
                .containsExactly(new GradientStop(0.1, "#ff0000", 1), new GradientStop(1, "#0000ff", 0.5));
        Paint.Gradient round = (Paint.Gradient)
                only("<radialGradient id='r' gradientUnits='userSpaceOnUse' cx='50' cy='40' r='20' gradientTransform='translate(1 2)'><stop stop-color='red'/><stop offset='1' stop-color='lime'/></radialGradient><circle fill='url(#r)' cx='50' cy='40' r='9'/>")
                        .fill();
        assertThat(round.radial()).isTrue();
        assertThat(round.place().apply(new Point(0, 0))).isEqualTo(new Point(51, 42));
        assertThat(round.place().apply(new Point(0, 1))).isEqualTo(new Point(51, 62));
        assertThat(
                        read("<linearGradient id='a' href='#b'/><linearGradient id='b' href='#a'/><rect fill='url(#a)' width='4' height='4'/>")
                                .notes())
                .extracting(Note::code)
                .containsExactly("paint-missing");
    }

    private static void refused(String code, byte[] file) {
        Assertions.assertTimeoutPreemptively(Duration.ofSeconds(10), () -> assertThatExceptionOfType(ArtProblem.class)
                .isThrownBy(() -> SvgReader.read(file))
                .satisfies(e -> {
                    assertThat(e.code()).isEqualTo(code);
                    assertThat(e.getMessage()).isNotBlank();
                    assertThat(e.place()).isNotBlank();
                }));
    }

    @Test
    void harmfulAndBrokenFilesAreRefusedWithTheirOwnReason() {
        refused("svg-empty", new byte[0]);
        refused("svg-not", "just words".getBytes(StandardCharsets.UTF_8));
        refused("svg-not", "<html><body/></html>".getBytes(StandardCharsets.UTF_8));
        refused("svg-not", new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0});
        refused("svg-broken", svg("<g><rect></g>"));
        refused("svg-external", svg("<image href='http://example.org/a.png'/>"));
        refused("svg-external", svg("<use xlink:href='other.svg#a'/>"));
        refused("svg-external", svg("<style>@import url(x.css);</style>"));
        refused("svg-deep", svg("<g>".repeat(10_000) + "</g>".repeat(10_000)));
        refused("svg-large", svg("<g/>".repeat(60_000)));
        refused("svg-large", new byte[app.leeward.formats.art.LayeredArt.LARGEST_FILE + 1]);
    }

    @Test
    void scriptsAreLeftOutAndThatIsSaid() {
        LayeredArt art = read(
                "<script>alert('boo')</script><g id='nose'><rect onclick='x()' onLoad='y()' width='1' height='1'/><script><deep/></script></g>");
        assertThat(art.root().shapes()).hasSize(1);
        assertThat(art.notes())
                .extracting(Note::code)
                .containsOnly("script-removed")
                .hasSize(4);
        assertThat(art.notes()).extracting(Note::message).anyMatch(s -> s.contains("'onclick' at line 1"));
    }

    @Test
    void entitiesAreNeitherOpenedNorPassedOver() {
        String lol =
                "<?xml version='1.0'?><!DOCTYPE svg [<!ENTITY a 'ha'><!ENTITY b '&a;&a;&a;&a;'>]><svg><title>&b;</title></svg>";
        refused("svg-entities", lol.getBytes(StandardCharsets.UTF_8));
        String file = "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><svg><title>&x;</title></svg>";
        refused("svg-entities", file.getBytes(StandardCharsets.UTF_8));
        String plain =
                "<!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd'><svg viewBox='0 0 9 9'><rect width='1' height='1'/></svg>";
        assertThat(SvgReader.read(plain.getBytes(StandardCharsets.UTF_8)).root().shapes())
                .hasSize(1);
    }

    @Test
    void anythingCutShortIsRefusedOrReadButNeverAFault() {
        byte[] whole = svg(
                "<g id='eye left' transform='rotate(20)'><path d='M0 0c1 2 3 4 5 6a4 4 0 0 1 3 3z' fill='red'/></g>");
        for (int n = 0; n < whole.length; n++) {
            byte[] cut = java.util.Arrays.copyOf(whole, n);
            assertThatExceptionOfType(ArtProblem.class).as("first %d bytes", n).isThrownBy(() -> SvgReader.read(cut));
        }
    }
}
