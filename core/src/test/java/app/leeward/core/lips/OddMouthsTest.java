package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Beaks of one patch and mouths of dots. Areas by JTS. */
class OddMouthsTest {
    private static final Path BEAK =
            Rigs.path("M460 420 C480 400 520 400 540 420 C530 450 510 468 500 470 C490 468 470 450 460 420 Z");

    private static Shape beak(Path path) {
        return Shape.filled("beak", path, "#f0a030")
                .painted("#f0a030", "#201018", 4)
                .withRole(ShapeRole.UPPER_BEAK, false);
    }

    private static Shape line(String data) {
        return Shape.filled("beak", Rigs.path(data), "#000000")
                .painted("", "#201018", 3)
                .withRole(ShapeRole.UPPER_BEAK, false);
    }

    private static Shape only(Artwork art, ShapeRole role) {
        List<Shape> all = art.shapes().stream().filter(s -> s.role() == role).toList();
        assertThat(all).as(role.name()).hasSize(1);
        return all.get(0);
    }

    @Test
    void aBeakOfOnePatchIsPartedAlongTheLineAcrossIt() {
        Artwork halves = BeakHalves.of(Artwork.of(beak(BEAK), line("M462 424 C485 434 515 434 538 424")))
                .orElseThrow();
        var upper = Regions.of(only(halves, ShapeRole.UPPER_BEAK).path());
        var lower = Regions.of(only(halves, ShapeRole.LOWER_BEAK).path());
        assertThat(Regions.both(upper, lower).getArea()).isLessThan(0.1);
        assertThat(Regions.either(upper, lower).symDifference(Regions.of(BEAK)).getArea())
                .isLessThan(2);
        assertThat(lower.getEnvelopeInternal().getMinY()).isCloseTo(420, within(0.1));
        assertThat(upper.getEnvelopeInternal().getMaxY())
                .as("down to the line's middle")
                .isCloseTo(431, within(1.5));
    }

    @Test
    void withoutALineItIsPartedStraightAcrossAndNostrilsStayAbove() {
        Artwork halves = BeakHalves.of(Artwork.of(beak(BEAK), line("M490 412 L494 414"), line("M506 412 L510 414")))
                .orElseThrow();
        assertThat(halves.shapes().stream().filter(s -> s.role() == ShapeRole.UPPER_BEAK))
                .hasSize(3);
        assertThat(only(halves, ShapeRole.LOWER_BEAK)
                        .path()
                        .bounds()
                        .orElseThrow()
                        .minY())
                .isCloseTo(420, within(0.1));
    }

    @Test
    void itOpensAndTheDrawingAtRestIsLeftAlone() {
        Artwork start = Artwork.of(beak(BEAK), line("M462 424 C485 434 515 434 538 424"));
        SetMaker maker = SetMaker.of(start);
        assertThat(maker).isInstanceOf(BeakMaker.class);
        assertThat(maker.unseen()).isFalse();
        Artwork ah = maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(ah, ShapeRole.LOWER_BEAK).path().bounds().orElseThrow().maxY())
                .isGreaterThan(480);
        assertThat(only(ah, ShapeRole.UPPER_BEAK).path())
                .isEqualTo(only(maker.starting(), ShapeRole.UPPER_BEAK).path());
        assertThat(BeakHalves.of(Artwork.of(Shape.filled("mouth", BEAK, "#501018"))))
                .isEmpty();
    }

    @Test
    void aRowOfDotsIsAMouthAsThickAsTheyAre() {
        int[] y = {450, 468, 475, 470, 455};
        Artwork dots = new Artwork(IntStream.range(0, 5)
                .mapToObj(i -> Shape.filled("mouth", Rigs.ellipse(440 + 29 * i, y[i], 7, 7), "#202020"))
                .toList());
        Shape line = DottedMouth.line(dots).orElseThrow();
        assertThat(line.stroke().width()).isCloseTo(14, within(1e-9));
        Box b = line.path().bounds().orElseThrow();
        assertThat(b.minX()).isEqualTo(440);
        assertThat(b.maxX()).isEqualTo(556);
        MouthMaker maker = new MouthMaker(dots);
        assertThat(maker.closed()).isTrue();
        assertThat(maker.unseen()).as("the dots stay").isFalse();
        Artwork ah = maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(ah, ShapeRole.OUTLINE).path().bounds().orElseThrow().height())
                .isGreaterThan(25);
        assertThat(ah.shapes()).as("no dot is left over").hasSize(6);
    }

    @Test
    void twoDotsOrDotsBesideAMouthAreNoMouth() {
        Shape dot = Shape.filled("a", Rigs.ellipse(440, 450, 7, 7), "#202020");
        Shape other = Shape.filled("b", Rigs.ellipse(540, 450, 7, 7), "#202020");
        assertThat(DottedMouth.line(Artwork.of(dot, other))).isEmpty();
        Shape mouth = Shape.filled("c", Rigs.ellipse(490, 450, 40, 12), "#501018");
        assertThat(DottedMouth.line(
                        Artwork.of(mouth, dot, other, Shape.filled("d", Rigs.ellipse(490, 450, 5, 5), "#202020"))))
                .isEmpty();
    }

    /** A white patch with a line round it bares teeth: open, the mouth is dark behind them. A pink one is a pink mouth. */
    @Test
    void aGrinOfOneWhitePatchIsTeeth() {
        Path grin = Rigs.path("M440 420 C470 425 530 425 560 420 C545 460 455 460 440 420 Z");
        Artwork white = maker(grin, "#ffffff").make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(white, ShapeRole.INSIDE).fill().mainColour()).contains(MouthColours.USUAL.inside());
        assertThat(only(white, ShapeRole.WINDOW).fill().mainColour()).contains(MouthColours.USUAL.inside());
        assertThat(only(white, ShapeRole.UPPER_TEETH).fill().mainColour()).contains("#ffffff");
        Artwork pink = maker(grin, "#d06a78").make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(pink, ShapeRole.INSIDE).fill().mainColour()).contains("#d06a78");
    }

    private static SetMaker maker(Path edge, String colour) {
        return SetMaker.of(Artwork.of(Shape.filled("grin", edge, colour).painted(colour, "#201018", 4)));
    }

    /** In shade white is grey: a grin as grey as the whites of the eyes is bared teeth, and made teeth are as grey. */
    @Test
    void whitesOfAFacePaintedInShadeAreTeeth() {
        Artwork grin = Artwork.of(
                MouthMakerTest.line("M450 540 C470 570 530 570 550 540 Z").withFill(Paint.flat("#b2b1b4")));
        Artwork made = SetMaker.of(grin, List.of(), Optional.of("#b0b0b0"), Double.POSITIVE_INFINITY)
                .make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(made, ShapeRole.UPPER_TEETH).fill()).isEqualTo(Paint.flat("#b2b1b4"));
        assertThat(dark(only(made, ShapeRole.INSIDE))).isTrue();
        Artwork robot = SetMaker.of(grin, List.of(), Optional.of("#ffffff"), Double.POSITIVE_INFINITY)
                .make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(robot, ShapeRole.INSIDE).fill())
                .as("beside white eyes it is grey")
                .isEqualTo(Paint.flat("#b2b1b4"));
        Artwork shut = SetMaker.of(
                        Artwork.of(MouthMakerTest.line("M450 540 C470 556 530 556 550 540")
                                .withFill(Paint.NONE)),
                        List.of(),
                        Optional.of("#b0b0b0"),
                        Double.POSITIVE_INFINITY)
                .make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(only(shut, ShapeRole.UPPER_TEETH).fill()).isEqualTo(Paint.flat("#b0b0b0"));
    }

    private static boolean dark(Shape s) {
        return s.fill().mainColour().filter(c -> Lab.of(c).l() < 40).isPresent();
    }
}
