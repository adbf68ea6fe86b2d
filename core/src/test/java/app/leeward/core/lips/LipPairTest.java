package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Mouths of two lips, each a patch of its own. Areas by JTS. */
class LipPairTest {
    private static final Path UPPER =
            Rigs.path("M430 640 C455 622 480 612 490 616 C497 620 503 620 510 616 C520 612 545 622 570 640"
                    + " C545 642 520 646 500 646 C480 646 455 642 430 640 Z");
    private static final Path LOWER = Rigs.path("M430 640 C455 656 480 660 500 660 C520 660 545 656 570 640"
            + " C555 680 520 692 500 692 C480 692 445 680 430 640 Z");

    private static Shape lip(String name, Path path) {
        return Shape.filled(name, path, "#b04a55")
                .painted("#b04a55", "#201018", 3)
                .withRole(ShapeRole.LIPS, false);
    }

    private static final Shape INSIDE =
            Shape.filled("inside", Rigs.box(440, 638, 120, 26), "#5e1c26").withRole(ShapeRole.INSIDE, false);
    private static final Artwork OPEN = Artwork.of(INSIDE, lip("upper lip", UPPER), lip("lower lip", LOWER));

    @Test
    void whatOpensLiesBetweenTheLips() {
        Shape opening = LipPair.opening(OPEN).orElseThrow();
        Box b = opening.path().bounds().orElseThrow();
        assertThat(b.minX()).isEqualTo(430);
        assertThat(b.maxX()).isEqualTo(570);
        var area = Regions.of(opening.path());
        assertThat(Regions.both(area, Regions.of(UPPER)).getArea()).isLessThan(0.01 * area.getArea());
        assertThat(Regions.both(area, Regions.of(LOWER)).getArea()).isLessThan(0.01 * area.getArea());
        // all that the lips leave of what is inside, to its hull's edges
        assertThat(area.getArea()).isBetween(0.5 * 14 * 140, 14 * 140.0);
        assertThat(opening.stroke().width()).isEqualTo(3);
        assertThat(opening.fill()).isEqualTo(INSIDE.fill());
    }

    @Test
    void lipsThatLieOnEachOtherAreShutAlongTheOneInFront() {
        Path over = LOWER.transform(app.leeward.core.art.Matrix.translate(0, -24));
        Shape opening = LipPair.opening(Artwork.of(lip("lower lip", over), lip("upper lip", UPPER)))
                .orElseThrow();
        assertThat(Regions.of(opening.path()).getArea()).isCloseTo(0, within(1.0));
        assertThat(opening.path().bounds().orElseThrow().maxY())
                .as("the upper lip's lower edge")
                .isCloseTo(646, within(1.0));
        assertThat(new MouthMaker(Artwork.of(lip("lower lip", over), lip("upper lip", UPPER))).closed())
                .isTrue();
    }

    @Test
    void oneLipOrALineThatSaysWhatOpensMakesNoPair() {
        assertThat(LipPair.opening(Artwork.of(lip("upper lip", UPPER)))).isEmpty();
        Shape line =
                Shape.filled("line", Rigs.box(440, 645, 120, 10), "#201018").withRole(ShapeRole.OUTLINE, false);
        assertThat(LipPair.opening(Artwork.of(lip("upper lip", UPPER), lip("lower lip", LOWER), line)))
                .isEmpty();
    }

    /** Both lips are there in every mouth, still above and below what opens, and nearly as thick as they were drawn. */
    @ParameterizedTest
    @EnumSource(
            value = Viseme.class,
            names = {"AH", "EE", "OH", "PBM", "REST", "SMILE"})
    void everyMouthHasBothLipsRoundItsOpening(Viseme v) {
        Artwork made = new MouthMaker(OPEN).make(v, MouthRulers.AS_ASKED, 0, 0);
        List<Box> lips = made.shapes().stream()
                .filter(s -> s.role() == ShapeRole.LIPS)
                .map(s -> s.path().bounds().orElseThrow())
                .toList();
        assertThat(lips).hasSize(2);
        Box hole = made.shapes().stream()
                .filter(s -> s.role() == ShapeRole.OUTLINE)
                .findFirst()
                .flatMap(s -> s.path().bounds())
                .orElseThrow();
        assertThat(lips.get(0).minY()).isLessThan(hole.minY());
        assertThat(lips.get(1).maxY()).isGreaterThan(hole.maxY() + 10);
        assertThat(lips.get(0).width()).isBetween(0.85 * hole.width(), 1.3 * hole.width() + 8);
    }

    @Test
    void teethDrawnOneByOneAreARow() {
        Artwork start = Artwork.of(
                Shape.filled("window", Rigs.ellipse(500, 650, 60, 25), "#501018")
                        .withRole(ShapeRole.WINDOW, false),
                Shape.filled("t", Rigs.box(470, 630, 18, 10), "#ffffff").withRole(ShapeRole.UPPER_TEETH, false),
                Shape.filled("t", Rigs.box(490, 630, 18, 10), "#ffffff").withRole(ShapeRole.UPPER_TEETH, false),
                Shape.filled("t", Rigs.box(510, 630, 18, 10), "#ffffff").withRole(ShapeRole.UPPER_TEETH, false));
        Artwork made = new MouthMaker(start).make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        List<Shape> teeth = made.shapes().stream()
                .filter(s -> s.role() == ShapeRole.UPPER_TEETH)
                .toList();
        assertThat(teeth).hasSize(1);
        assertThat(teeth.get(0).path().subPaths()).hasSize(3);
    }
}
