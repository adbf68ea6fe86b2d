package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A bend against its definition: what is asked at the three places, between them a raised cosine or a parabola. */
class BendTest {
    private static final Bend BEND = new Bend(3, -8, 5);

    @Test
    void goesThroughItsThreePlacesAndHoldsOutside() {
        assertThat(BEND.eased(0)).isEqualTo(3);
        assertThat(BEND.eased(0.5)).isEqualTo(-8);
        assertThat(BEND.eased(1)).isEqualTo(5);
        assertThat(BEND.eased(-2)).isEqualTo(3);
        assertThat(BEND.eased(7)).isEqualTo(5);
        // half of the way between two neighbours at a quarter: the cosine's own middle
        assertThat(BEND.eased(0.25)).isCloseTo((3 - 8) / 2.0, within(1e-12));
    }

    @Seeded(tries = 200)
    void neverLeavesItsNeighbours(
            @Between(min = -20, max = 20) double a,
            @Between(min = -20, max = 20) double b,
            @Between(min = 0, max = 0.5) double t) {
        assertThat(new Bend(a, b, 0).eased(t)).isBetween(Math.min(a, b) - 1e-9, Math.max(a, b) + 1e-9);
    }

    @Seeded(tries = 100)
    void bendsAddUpAndMirrorTwiceIsTheSame(
            @Between(min = -20, max = 20) double a,
            @Between(min = -20, max = 20) double b,
            @Between(min = 0, max = 1) double t) {
        Bend one = new Bend(a, b, a - b);
        Bend sum = new Bend(a + 3, b - 8, a - b + 5);
        assertThat(sum.eased(t)).isCloseTo(one.eased(t) + BEND.eased(t), within(1e-9));
        assertThat(one.mirrored().mirrored()).isEqualTo(one);
        assertThat(one.mirrored().eased(t)).isCloseTo(one.eased(1 - t), within(1e-9));
    }

    @Test
    void threeEqualNumbersAreAShift() {
        Path round = Rigs.ellipse(40, 30, 20, 10);
        List<Path> bent = new Bend(4, 4, 4).of(Artwork.of(Shape.filled("", round, "#000000")), Bending.EASED);
        assertThat(bent).containsExactly(round.transform(Matrix.translate(0, 4)));
    }

    @Test
    void theShapesOfADrawingAreBentTogetherAndCommandsStay() {
        Path wide = Rigs.box(0, 0, 100, 10);
        Path half = Rigs.box(0, 20, 50, 10);
        List<Path> bent = new Bend(0, 6, 0)
                .of(Artwork.of(Shape.filled("", wide, "#000000"), Shape.filled("", half, "#000000")), Bending.EASED);
        assertThat(bent.get(1).segments()).hasSameSizeAs(half.segments());
        // x = 50 is the middle of the whole drawing, and the right end of the second shape
        assertThat(bent.get(1).segments().get(1)).isEqualTo(new Segment.Line(new Point(50, 26)));
        assertThat(bent.get(0).segments().get(1)).isEqualTo(new Segment.Line(new Point(100, 0)));
    }

    /** Lagrange's interpolation, checked by what defines it: a polynomial of degree two whose values at three places are given. */
    @Test
    void aCurvedBendIsTheParabolaThroughItsThreePlaces() {
        assertThat(BEND.curved(0)).isEqualTo(3);
        assertThat(BEND.curved(0.5)).isCloseTo(-8, within(1e-12));
        assertThat(BEND.curved(1)).isEqualTo(5);
        double step = 0.05;
        for (double t = step; t < 1 - step; t += step) {
            double second = BEND.curved(t - step) - 2 * BEND.curved(t) + BEND.curved(t + step);
            assertThat(second / step / step).isCloseTo(4 * (3 + 2 * 8 + 5), within(1e-6));
        }
        assertThat(BEND.curved(-1)).isEqualTo(3);
        assertThat(BEND.curved(2)).isEqualTo(5);
    }

    /** A level mouth in two curves, its corners lifted: the parabola itself, without a kink in its middle. */
    @Test
    void aLevelMouthBecomesTheParabola() {
        Path level =
                PathReader.read("M0 50 C10 50 30 50 50 50 C70 50 90 50 100 50").path();
        Path smile = new Bend(-20, 0, -20).of(level, new Box(0, 50, 100, 50), Bending.CURVED);
        for (Point p : smile.sampled(20)) {
            double t = p.x() / 100;
            assertThat(p.y()).as("at %s", p.x()).isCloseTo(50 - 20 * (2 * t - 1) * (2 * t - 1), within(0.35));
        }
        Segment.Cubic before = (Segment.Cubic) smile.segments().get(1);
        Segment.Cubic after = (Segment.Cubic) smile.segments().get(2);
        assertThat(before.c2().y()).isCloseTo(50, within(1e-9));
        assertThat(after.c1().y()).isCloseTo(50, within(1e-9));
    }

    /** Where a curve went on smoothly it does so bent, round the start of a closed outline as well. */
    @Seeded(tries = 100)
    void whatWasSmoothStaysSmooth(
            @Between(min = -15, max = 15) double a,
            @Between(min = -15, max = 15) double b,
            @Between(min = -15, max = 15) double c) {
        Path round = Rigs.ellipse(40, 30, 20, 10);
        List<Segment> bent = new Bend(a, b, c)
                .of(Artwork.of(Shape.filled("", round, "#000000")), Bending.CURVED)
                .get(0)
                .segments();
        List<Segment.Cubic> curves = bent.stream()
                .filter(Segment.Cubic.class::isInstance)
                .map(Segment.Cubic.class::cast)
                .toList();
        assertThat(curves).hasSize(4);
        for (int i = 0; i < 4; i++) {
            Segment.Cubic in = curves.get(i);
            Segment.Cubic out = curves.get((i + 1) % 4);
            Point p = in.to().minus(in.c2());
            Point q = out.c1().minus(in.to());
            assertThat(p.x() * q.y() - p.y() * q.x()).as("point %d", i).isCloseTo(0, within(1e-6));
            assertThat(p.x() * q.x() + p.y() * q.y()).as("point %d", i).isPositive();
        }
    }

    /** What a bend does to every single place of an outline, by its definition, against what the bent curves pass through. */
    @Seeded(tries = 100)
    void freeCurvesPassWhereEveryPlaceIsTaken(
            @Between(min = -15, max = 15) double a,
            @Between(min = -15, max = 15) double b,
            @Between(min = -15, max = 15) double c,
            @Between(min = -30, max = 30) double arch) {
        Path brow =
                PathReader.read("M0 0 C30 " + arch + " 70 " + arch + " 100 0").path();
        Bend bend = new Bend(a, b, c);
        Path bent = bend.of(brow, new Box(0, 0, 100, 1), Bending.CURVED);
        List<Point> places = brow.sampled(40);
        List<Point> taken = bent.sampled(40);
        for (int i = 0; i < places.size(); i++) {
            Point p = places.get(i);
            assertThat(taken.get(i).x()).isCloseTo(p.x(), within(1e-9));
            assertThat(taken.get(i).y())
                    .isCloseTo(
                            p.y() + bend.curved(p.x() / 100),
                            within(0.06 * (Math.abs(a) + Math.abs(b) + Math.abs(c)) + 1e-9));
        }
    }
}
