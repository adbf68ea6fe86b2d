package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A bend against its definition: what is asked at the three places, a raised cosine between them. */
class BendTest {
    private static final Bend BEND = new Bend(3, -8, 5);

    @Test
    void goesThroughItsThreePlacesAndHoldsOutside() {
        assertThat(BEND.at(0)).isEqualTo(3);
        assertThat(BEND.at(0.5)).isEqualTo(-8);
        assertThat(BEND.at(1)).isEqualTo(5);
        assertThat(BEND.at(-2)).isEqualTo(3);
        assertThat(BEND.at(7)).isEqualTo(5);
        // half of the way between two neighbours at a quarter: the cosine's own middle
        assertThat(BEND.at(0.25)).isCloseTo((3 - 8) / 2.0, within(1e-12));
    }

    @Seeded(tries = 200)
    void neverLeavesItsNeighbours(
            @Between(min = -20, max = 20) double a,
            @Between(min = -20, max = 20) double b,
            @Between(min = 0, max = 0.5) double t) {
        assertThat(new Bend(a, b, 0).at(t)).isBetween(Math.min(a, b) - 1e-9, Math.max(a, b) + 1e-9);
    }

    @Seeded(tries = 100)
    void bendsAddUpAndMirrorTwiceIsTheSame(
            @Between(min = -20, max = 20) double a,
            @Between(min = -20, max = 20) double b,
            @Between(min = 0, max = 1) double t) {
        Bend one = new Bend(a, b, a - b);
        Bend sum = new Bend(a + 3, b - 8, a - b + 5);
        assertThat(sum.at(t)).isCloseTo(one.at(t) + BEND.at(t), within(1e-9));
        assertThat(one.mirrored().mirrored()).isEqualTo(one);
        assertThat(one.mirrored().at(t)).isCloseTo(one.at(1 - t), within(1e-9));
    }

    @Test
    void threeEqualNumbersAreAShift() {
        Path round = Rigs.ellipse(40, 30, 20, 10);
        List<Path> bent = new Bend(4, 4, 4).of(Artwork.of(Shape.filled("", round, "#000000")));
        assertThat(bent).containsExactly(round.transform(Matrix.translate(0, 4)));
    }

    @Test
    void theShapesOfADrawingAreBentTogetherAndCommandsStay() {
        Path wide = Rigs.box(0, 0, 100, 10);
        Path half = Rigs.box(0, 20, 50, 10);
        List<Path> bent =
                new Bend(0, 6, 0).of(Artwork.of(Shape.filled("", wide, "#000000"), Shape.filled("", half, "#000000")));
        assertThat(bent.get(1).segments()).hasSameSizeAs(half.segments());
        // x = 50 is the middle of the whole drawing, and the right end of the second shape
        assertThat(bent.get(1).segments().get(1)).isEqualTo(new Segment.Line(new Point(50, 26)));
        assertThat(bent.get(0).segments().get(1)).isEqualTo(new Segment.Line(new Point(100, 0)));
    }
}
