package app.leeward.core.lips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.mouth.MouthRulers;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Mouths made from one. Lengths by walking the outlines with the exact length of {@link Path}, not the maker's own. */
class MouthMakerTest {
    /** A smiling closed mouth, 100 wide, drawn as a line there and back. */
    static final Artwork SMILE = Artwork.of(line("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z"));
    /** An open mouth with a bow in its upper lip. */
    static final Artwork BOW = Artwork.of(line("M430 540 C450 528 480 522 490 528 C496 532 504 532 510 528"
            + " C520 522 550 528 570 540 C550 566 520 576 500 576 C480 576 450 566 430 540 Z"));

    /** Absolute M, C and Z only. */
    static Path path(String data) {
        return Rigs.path(data);
    }

    static Shape line(String data) {
        return Shape.filled("outline", path(data), "#802030")
                .withRole(ShapeRole.OUTLINE, false)
                .painted("#802030", "#201018", 4);
    }

    static Shape of(Artwork art, ShapeRole role) {
        return art.shapes().stream().filter(s -> s.role() == role).findFirst().orElseThrow();
    }

    private static Artwork make(Artwork start, Viseme v) {
        return new MouthMaker(start).make(v, MouthRulers.AS_ASKED, 0, 0);
    }

    private static Box opening(Artwork art) {
        return of(art, ShapeRole.WINDOW).path().bounds().orElseThrow();
    }

    @Seeded(tries = 150)
    void upperTeethNeverMoveAndOutlinesKeepTheirLength(
            Viseme v,
            @Between(min = 0, max = 2) double jaw,
            @Between(min = 0, max = 2) double width,
            @Between(min = 0, max = 2) double round,
            @Between(min = 0, max = 2) double tooth,
            @Between(min = 0, max = 1) double flat,
            @Between(min = -1, max = 1) double corners,
            @Between(min = 0, max = 1) double tension,
            boolean bow) {
        MouthMaker maker = new MouthMaker(bow ? BOW : SMILE);
        MouthRulers rulers = new MouthRulers(jaw, width, round, tooth, 1, flat);
        Artwork made = maker.make(v, rulers, corners, tension);
        Path teeth = of(maker.starting(), ShapeRole.UPPER_TEETH).path();
        assertThat(of(made, ShapeRole.UPPER_TEETH).path()).isEqualTo(teeth);
        double length = of(made, ShapeRole.OUTLINE).path().length();
        assertThat(length / maker.wanted(v, rulers)).isBetween(1 - MouthMaker.KEEPS, 1 + MouthMaker.KEEPS);
        // the window and the outline are one curve
        assertThat(of(made, ShapeRole.WINDOW).path())
                .isEqualTo(of(made, ShapeRole.OUTLINE).path());
    }

    /** Any two blend: the same shapes by role, the same commands. */
    @ParameterizedTest
    @EnumSource(Viseme.class)
    void everyMouthHasThePointsOfTheStartingOne(Viseme v) {
        for (Artwork start : List.of(SMILE, BOW)) {
            Artwork first = new MouthMaker(start).starting();
            Artwork made = make(start, v);
            for (ShapeRole role : ShapeRole.values()) {
                List<List<String>> one = commands(first, role);
                assertThat(commands(made, role)).as("%s of %s", role, v).isEqualTo(one);
            }
        }
    }

    private static List<List<String>> commands(Artwork art, ShapeRole role) {
        return art.shapes().stream()
                .filter(s -> s.role() == role)
                .map(s -> s.path().segments().stream()
                        .map(x -> x.getClass().getSimpleName())
                        .toList())
                .toList();
    }

    @Test
    void lowerTeethAndTongueGoWithTheJaw() {
        for (Artwork start : List.of(SMILE, BOW)) {
            MouthMaker maker = new MouthMaker(start);
            double drop = 0;
            for (double jaw : new double[] {0.4, 0.8, 1.2}) {
                Artwork made = maker.make(Viseme.AH, new MouthRulers(jaw, 1, 1, 1, 1, 0), 0, 0);
                Box teeth = of(made, ShapeRole.LOWER_TEETH).bounds().orElseThrow();
                Box tongue = of(made, ShapeRole.TONGUE).bounds().orElseThrow();
                double now = teeth.minY() - maker.start().lowerTeethEdge();
                assertThat(now).isGreaterThan(drop + 5);
                assertThat(tongue.maxY()
                                - maker.start().tongue().bounds().orElseThrow().maxY())
                        .isCloseTo(now, within(1e-9));
                drop = now;
            }
        }
    }

    @Test
    void theWiderTheJawTheNarrowerTheMouth() {
        MouthMaker maker = new MouthMaker(SMILE);
        Box little = opening(maker.make(Viseme.AH, new MouthRulers(0.4, 1, 1, 1, 1, 0), 0, 0));
        Box wide = opening(maker.make(Viseme.AH, new MouthRulers(1.2, 1, 1, 1, 1, 0), 0, 0));
        assertThat(wide.height()).isGreaterThan(1.6 * little.height());
        assertThat(wide.width()).isLessThan(0.95 * little.width());
    }

    @Test
    void soundsLookAsTheyAreSpoken() {
        for (Artwork start : List.of(SMILE, BOW)) {
            assertThat(opening(make(start, Viseme.PBM)).height()).isLessThan(6);
            assertThat(opening(make(start, Viseme.OO)).width())
                    .isLessThan(0.5 * opening(make(start, Viseme.EE)).width());
            assertThat(opening(make(start, Viseme.AH)).height())
                    .isGreaterThan(1.5 * opening(make(start, Viseme.EE)).height());
            assertThat(opening(make(start, Viseme.OH)).height())
                    .isGreaterThan(1.5 * opening(make(start, Viseme.OO)).height());
        }
    }

    /** The lower lip comes up to the edge of the upper teeth, which are before it and no longer masked. */
    @Test
    void fBitesTheLowerLip() {
        Artwork f = make(BOW, Viseme.FV);
        Shape teeth = of(f, ShapeRole.UPPER_TEETH);
        assertThat(teeth.masked()).isFalse();
        assertThat(f.shapes().indexOf(teeth)).isGreaterThan(f.shapes().indexOf(of(f, ShapeRole.OUTLINE)));
        double edge = teeth.path().bounds().orElseThrow().maxY();
        assertThat(opening(f).maxY()).isCloseTo(edge, within(6.0));
        assertThat(make(BOW, Viseme.AH).shapes())
                .filteredOn(s -> s.role() == ShapeRole.UPPER_TEETH)
                .allMatch(Shape::masked);
    }

    /** L and th: the tip of the tongue is at the edge of the upper teeth; for th before the teeth. */
    @Test
    void theTongueComesUpForLAndTh() {
        MouthMaker maker = new MouthMaker(SMILE);
        double edge = maker.start().teethEdge();
        for (Viseme v : List.of(Viseme.NL, Viseme.TH)) {
            Box tongue = of(make(SMILE, v), ShapeRole.TONGUE).bounds().orElseThrow();
            assertThat(tongue.minY()).as(v.words()).isLessThan(edge + 5);
        }
        assertThat(of(make(SMILE, Viseme.AH), ShapeRole.TONGUE)
                        .bounds()
                        .orElseThrow()
                        .minY())
                .isGreaterThan(edge + 20);
        List<ShapeRole> th =
                make(SMILE, Viseme.TH).shapes().stream().map(Shape::role).toList();
        assertThat(th.indexOf(ShapeRole.TONGUE)).isGreaterThan(th.indexOf(ShapeRole.UPPER_TEETH));
    }

    @Test
    void theStartingMouthKeepsItsOutlineAndIsMadeTheSameTwice() {
        for (Artwork start : List.of(SMILE, BOW)) {
            Artwork once = new MouthMaker(start).starting();
            assertThat(of(once, ShapeRole.OUTLINE).path().length())
                    .isCloseTo(start.shapes().get(0).path().length(), within(0.01));
            assertThat(outlines(new MouthMaker(once).starting())).isEqualTo(outlines(once));
            assertThat(outlines(make(once, Viseme.AH))).isEqualTo(outlines(make(start, Viseme.AH)));
        }
    }

    /** As they are written out, to the digits that are written. */
    static List<String> outlines(Artwork art) {
        return art.shapes().stream().map(s -> s.role() + s.path().toSvg()).toList();
    }

    /** A bow in the lip is what the designer drew, so every mouth has one. */
    @Test
    void theBowOfTheUpperLipStays() {
        Lips made = Lips.of(of(make(BOW, Viseme.AH), ShapeRole.OUTLINE).path());
        Point middle = made.upper().middlePoint();
        double top = of(make(BOW, Viseme.AH), ShapeRole.OUTLINE)
                .path()
                .bounds()
                .orElseThrow()
                .minY();
        assertThat(middle.y() - top).as("the middle dips under the two crests").isGreaterThan(1.5);
    }

    @Test
    void moodsLiftAndLowerTheCorners() {
        MouthMaker maker = new MouthMaker(SMILE);
        for (Viseme v : List.of(Viseme.REST, Viseme.EE, Viseme.AH)) {
            double happy = corner(maker.make(v, MouthRulers.AS_ASKED, 0.8, 0));
            double plain = corner(maker.make(v, MouthRulers.AS_ASKED, 0, 0));
            double sad = corner(maker.make(v, MouthRulers.AS_ASKED, -0.8, 0));
            assertThat(happy).as(v.words()).isLessThan(plain - 5);
            assertThat(sad).as(v.words()).isGreaterThan(plain + 5);
        }
    }

    private static double corner(Artwork art) {
        return Lips.of(of(art, ShapeRole.OUTLINE).path()).upper().start().y();
    }

    @Test
    void aStartingMouthThatCannotBeUsedSaysWhy() {
        assertThatThrownBy(() -> new MouthMaker(new Artwork(List.of()))).hasMessageContaining("no outline");
        assertThatThrownBy(() -> new MouthMaker(Artwork.of(
                        line("M450 540 C480 500 520 500 500 540 C480 580 540 580 550 540 C520 500 480 500 500 540"
                                + " C520 580 480 580 450 540 Z"))))
                .isInstanceOf(MouthProblem.class)
                .hasMessageContaining("crosses itself");
        List<Segment> many = new ArrayList<>();
        many.add(new Segment.Move(new Point(600, 500)));
        for (int i = 1; i < 5000; i++) {
            double a = 2 * Math.PI * i / 5000;
            many.add(new Segment.Line(new Point(500 + 100 * Math.cos(a), 500 + 40 * Math.sin(a))));
        }
        many.add(new Segment.Close());
        Shape traced = Shape.filled("outline", new Path(many), "#802030");
        assertThatThrownBy(() -> new MouthMaker(Artwork.of(traced)))
                .isInstanceOf(MouthProblem.class)
                .hasMessageContaining("more than 200 points");
        assertThatThrownBy(() -> new MouthMaker(Artwork.of(Shape.filled("", Rigs.box(500, 500, 0, 20), "#000000"))))
                .isInstanceOf(MouthProblem.class);
        assertThatThrownBy(() -> new MouthRulers(3, 1, 1, 1, 1, 0)).hasMessageContaining("'jaw'");
    }

    /** A smile of one stroke, and one with a cusp under the nose. */
    @ParameterizedTest
    @ValueSource(
            strings = {"M450 540 C470 556 530 556 550 540", "M450 540 C468 560 492 556 500 540 C508 556 532 560 550 540"
            })
    void aMouthOfOneStrokeIsShutAndOpensUnderItsLine(String stroke) {
        Artwork drawn = Artwork.of(line(stroke).withFill(Paint.NONE));
        MouthMaker maker = new MouthMaker(drawn);
        assertThat(maker.closed()).isTrue();
        assertThat(maker.unseen()).as("left as it was drawn").isFalse();
        Artwork open = maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        Lips lips = Lips.of(of(open, ShapeRole.OUTLINE).path());
        assertThat(lips.lower().middlePoint().y() - lips.upper().middlePoint().y())
                .isGreaterThan(20);
        // the lower lip has no cusp: its middle is its lowest place
        double lowest =
                of(open, ShapeRole.OUTLINE).path().bounds().orElseThrow().maxY();
        assertThat(lips.lower().middlePoint().y()).isCloseTo(lowest, within(0.5));
        Lips shut = Lips.of(of(maker.make(Viseme.PBM, MouthRulers.AS_ASKED, 0, 0), ShapeRole.OUTLINE)
                .path());
        assertThat(shut.lower().middlePoint().distance(shut.upper().middlePoint()))
                .isLessThan(1);
        assertThat(widest(shut)).as("nowhere between the lips is an opening").isLessThan(1.5);
    }

    /** The furthest the lips are apart, measured upright at a hundred places. */
    private static double widest(Lips lips) {
        List<Point> upper = traced(lips.upper());
        List<Point> lower = traced(lips.lower());
        double most = 0;
        for (Point p : upper) {
            double y = lower.stream()
                    .min(java.util.Comparator.comparingDouble(q -> Math.abs(q.x() - p.x())))
                    .orElseThrow()
                    .y();
            most = Math.max(most, Math.abs(y - p.y()));
        }
        return most;
    }

    private static List<Point> traced(Arc arc) {
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < arc.curves(); i++) {
            for (int k = 0; k <= 200; k++) {
                out.add(arc.at(i, k / 200.0));
            }
        }
        return out;
    }

    /** An upper lip with a cusp over a round lower one, as on a muzzle: shut, it shows no teeth. */
    @Test
    void lipsThatAreDrawnDifferentlyMeetWhenTheyShut() {
        MouthMaker maker = new MouthMaker(Artwork.of(
                line("M450 540 C468 560 492 556 500 540 C508 556 532 560 550 540 C540 600 460 600 450 540 Z")));
        for (Viseme v : List.of(Viseme.PBM, Viseme.REST)) {
            Lips shut = Lips.of(of(maker.make(v, MouthRulers.AS_ASKED, 0, 0), ShapeRole.OUTLINE)
                    .path());
            assertThat(widest(shut)).as(v.words()).isLessThan(1.5);
        }
        Lips open = Lips.of(of(maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0), ShapeRole.OUTLINE)
                .path());
        assertThat(widest(open)).isGreaterThan(20);
    }

    @Test
    void aCuspUnderTheNoseStaysACuspInAnOpenMouth() {
        MouthMaker maker = new MouthMaker(Artwork.of(line("M450 540 C468 560 492 556 500 540 C508 556 532 560 550 540")
                .withFill(Paint.NONE)));
        Lips lips = Lips.of(of(maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0), ShapeRole.OUTLINE)
                .path());
        // to both sides of its middle the upper lip hangs lower
        double middle = lips.upper().middlePoint().y();
        double left = lips.upper().at(0, 0.6).y();
        double right = lips.upper().at(lips.upper().curves() - 1, 0.4).y();
        assertThat(left - middle).isGreaterThan(4);
        assertThat(right - middle).isGreaterThan(4);
    }

    @Test
    void anOutlineWithASmallGapIsClosed() {
        Artwork gap = Artwork.of(line("M450 540 C460 520 540 520 550 540 C540 565 460 565 452 545"));
        Lips lips =
                Lips.of(of(new MouthMaker(gap).starting(), ShapeRole.OUTLINE).path());
        assertThat(lips.line()).isFalse();
        assertThat(lips.width()).isCloseTo(100, within(1.0));
    }

    @Test
    void whatIsInsideHasTheColoursOfMouthsDrawnOpen() {
        Artwork open = new Artwork(List.of(
                Shape.filled("inside", Rigs.ellipse(500, 560, 40, 20), "#4a0d18")
                        .withRole(ShapeRole.INSIDE, true),
                Shape.filled("tongue", Rigs.ellipse(500, 570, 20, 8), "#aa3355").withRole(ShapeRole.TONGUE, true)));
        Artwork made = SetMaker.of(
                        Artwork.of(line("M450 540 C470 556 530 556 550 540").withFill(Paint.NONE)),
                        List.of(open),
                        Optional.empty(),
                        Double.POSITIVE_INFINITY)
                .make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        assertThat(of(made, ShapeRole.INSIDE).fill()).isEqualTo(Paint.flat("#4a0d18"));
        assertThat(of(made, ShapeRole.TONGUE).fill()).isEqualTo(Paint.flat("#aa3355"));
    }

    @Test
    void anyPlainShapeCanBeAStartingMouth() {
        for (Path p : List.of(Rigs.ellipse(500, 540, 40, 12), Rigs.box(450, 530, 100, 20))) {
            Artwork made = make(Artwork.of(Shape.filled("", p, "#802030")), Viseme.AH);
            assertThat(made.shapes()).hasSize(6);
            assertThat(opening(made).height()).isGreaterThan(25);
            assertThat(of(made, ShapeRole.INSIDE)
                            .bounds()
                            .orElseThrow()
                            .contains(new Point(500, opening(made).maxY())))
                    .isTrue();
        }
    }

    /** A beak or lips that are one patch of colour: no line of another colour comes to them, and they open onto a dark inside. */
    @Test
    void aPatchWithoutALineKeepsItsColour() {
        String patch = "M450 540 C470 520 530 520 550 540 C530 562 470 562 450 540 Z";
        Artwork beak = make(Artwork.of(Shape.filled("mouth", path(patch), "#e8a33a")), Viseme.AH);
        assertThat(of(beak, ShapeRole.OUTLINE).stroke().paint().colours()).containsExactly("#e8a33a");
        assertThat(of(beak, ShapeRole.WINDOW).fill().colours()).doesNotContain("#e8a33a");
        Artwork dark = make(Artwork.of(Shape.filled("mouth", path(patch), "#4a1420")), Viseme.AH);
        assertThat(of(dark, ShapeRole.OUTLINE).stroke().paint().colours()).containsExactly("#4a1420");
        assertThat(of(dark, ShapeRole.WINDOW).fill().colours()).containsExactly("#4a1420");
        Artwork lined = make(SMILE, Viseme.AH);
        assertThat(of(lined, ShapeRole.OUTLINE).stroke().paint().colours()).containsExactly("#201018");
    }

    @Test
    void linesOfChinAndCheekAreNoOutlineAndGoWithTheJawAndTheCorners() {
        Shape chin = Shape.filled("chin line", path("M470 590 C490 600 510 600 530 590"), "#802030")
                .painted("#802030", "#201018", 3);
        // longer than the mouth itself
        Shape cheek = Shape.filled("cheek line", path("M420 440 C400 520 400 560 420 640"), "#802030")
                .painted("#802030", "#201018", 3);
        Shape mouth = line("M450 540 C470 556 530 556 550 540 C530 557 470 557 450 540 Z")
                .withRole(ShapeRole.OTHER, false);
        MouthMaker maker = new MouthMaker(new Artwork(List.of(cheek, chin, mouth)));
        Artwork shut = maker.make(Viseme.PBM, MouthRulers.AS_ASKED, 0, 0);
        Artwork open = maker.make(Viseme.AH, MouthRulers.AS_ASKED, 0, 0);
        double dropped = opening(open).maxY() - opening(shut).maxY();
        assertThat(dropped).isGreaterThan(10);
        assertThat(detail(open, "chin line").maxY() - detail(shut, "chin line").maxY())
                .isCloseTo(dropped, within(0.25 * dropped));
        assertThat(detail(open, "cheek line").maxY()
                        - detail(shut, "cheek line").maxY())
                .as("beside the mouth, so it goes with the corner")
                .isLessThan(0.5 * dropped);
        assertThat(of(open, ShapeRole.OUTLINE).path().bounds().orElseThrow().width())
                .isLessThan(120);
    }

    private static Box detail(Artwork art, String name) {
        return art.shapes().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow()
                .bounds()
                .orElseThrow();
    }

    /** A fang on a mouth of one stroke is no opening, and stands on the lower lip wherever that goes. */
    @ParameterizedTest
    @EnumSource(
            value = Viseme.class,
            names = {"AH", "OO", "EE", "OH", "SMILE"})
    void aLoneToothIsNoMouthAndGoesWithItsLip(Viseme v) {
        Shape lip = Shape.filled("lip", path("M410 540 C450 564 550 564 590 540"), "#802030")
                .painted("", "#201018", 5);
        Shape fang = Shape.filled(
                        "fang", path("M440 553 C443 546 447 539 450 533 C453 541 457 549 460 557 Z"), "#ffffff")
                .painted("#ffffff", "#201018", 5);
        Artwork made = make(Artwork.of(lip, fang), v);
        assertThat(of(made, ShapeRole.OUTLINE).path().bounds().orElseThrow().width())
                .isGreaterThan(40);
        Shape tooth = made.shapes().stream()
                .filter(s -> s.name().equals("fang"))
                .findFirst()
                .orElseThrow();
        Box at = tooth.path().bounds().orElseThrow();
        assertThat(at.width()).as("it is not scaled").isCloseTo(20, within(1e-6));
        Box mouth = of(made, ShapeRole.OUTLINE).path().bounds().orElseThrow();
        double share = (450 - 410) / 180.0;
        assertThat(at.centre().x()).isCloseTo(mouth.minX() + share * mouth.width(), within(0.02 * 180));
        assertThat(at.maxY()).isBetween(mouth.minY(), mouth.maxY() + 10);
    }

    private static Shape stroke(String name, String data) {
        return Shape.filled(name, path(data), "#802030").painted("", "#201018", 4);
    }

    /** Two arcs under a nose, as one path of two strokes or as three shapes: one mouth as wide as both, none of it lost. */
    @Test
    void strokesThatMeetAreOneMouthAndTheFoldUnderTheNoseGoesWithTheUpperLip() {
        String left = "M450 550 C460 566 488 566 500 546";
        String right = "M500 546 C512 566 540 566 550 550";
        Artwork three = Artwork.of(
                stroke("fold", "M500 526 C500 532 500 540 500 546"), stroke("left", left), stroke("right", right));
        Artwork one =
                Artwork.of(stroke("mouth", "M500 526 C500 532 500 540 500 546 C488 566 460 566 450 550 " + right));
        for (Artwork start : List.of(three, one)) {
            MouthMaker maker = new MouthMaker(start);
            assertThat(maker.closed()).isTrue();
            assertThat(maker.unseen())
                    .as("the mouth at rest stays as it was drawn")
                    .isFalse();
            for (Viseme v : List.of(Viseme.AH, Viseme.EE, Viseme.PBM)) {
                Artwork made = maker.make(v, MouthRulers.AS_ASKED, 0, 0);
                Box mouth = of(made, ShapeRole.OUTLINE).path().bounds().orElseThrow();
                assertThat(mouth.width()).isBetween(60.0, 125.0);
                Shape fold = made.shapes().get(made.shapes().size() - 1);
                Box at = fold.path().bounds().orElseThrow();
                assertThat(at.height()).isCloseTo(20, within(1e-6));
                assertThat(at.centre().x()).isCloseTo(500, within(2.0));
                assertThat(at.maxY())
                        .as(v + ": it ends at the upper lip")
                        .isBetween(mouth.minY() - 3, mouth.minY() + 0.3 * mouth.height() + 4);
            }
        }
    }

    @Test
    void aDimpleAtTheCornerIsNoPartOfTheLine() {
        Artwork start = Artwork.of(
                stroke("lip", "M450 540 C470 556 530 556 550 540"),
                stroke("dimple", "M550 534 C554 537 554 543 550 546"));
        assertThat(of(make(start, Viseme.AH), ShapeRole.OUTLINE)
                        .path()
                        .bounds()
                        .orElseThrow()
                        .width())
                .isLessThan(110);
        assertThat(make(start, Viseme.AH).shapes()).extracting(Shape::name).contains("dimple");
    }
}
