package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Regions;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Boxes and ellipses whose travel can be worked out by hand. */
class LidCoverTest {
    private static final Geometry WHITE = Regions.of(Rigs.box(0, 0, 100, 40));

    @Test
    void aBoxOverABoxTravelsTheGapAndTheOverlap() {
        Geometry lid = Regions.of(Rigs.box(-10, -60, 120, 50));
        // its lower edge stands at -10 and must reach 40
        assertThat(LidCover.travel(WHITE, lid, 1).orElseThrow())
                .isCloseTo(50 + LidCover.OVERLAP * LidCover.larger(WHITE), within(0.05));
    }

    @Test
    void aLidComesUpAsOneGoesDown() {
        Geometry lid = Regions.of(Rigs.box(-10, 55, 120, 60));
        assertThat(LidCover.travel(WHITE, lid, -1).orElseThrow())
                .isCloseTo(55 + LidCover.OVERLAP * LidCover.larger(WHITE), within(0.05));
    }

    @Test
    void aLidThatJustFitsIsNotPushedPastWhatItCovers() {
        Geometry lid = Regions.of(Rigs.box(0, -60, 100, 40.4));
        double travel = LidCover.travel(WHITE, lid, 1).orElseThrow();
        assertThat(WHITE.difference(LidCover.moved(lid, travel)).getArea()).isLessThan(0.5);
    }

    @Test
    void aLidThatIsTooLowOrTooNarrowNeverCovers() {
        assertThat(LidCover.travel(WHITE, Regions.of(Rigs.box(-10, -60, 120, 30)), 1))
                .isEmpty();
        assertThat(LidCover.travel(WHITE, Regions.of(Rigs.box(10, -60, 80, 60)), 1))
                .isEmpty();
    }

    @Test
    void nothingToCoverNeedsNoTravel() {
        assertThat(LidCover.travel(Regions.of(Rigs.box(0, 0, 0, 0)), WHITE, 1)).contains(0.0);
    }

    @Test
    void whatLiesBelowTheMeetingLineIsTheRestOfTheWhite() {
        Geometry eye = Regions.of(Rigs.ellipse(50, 50, 40, 30));
        Geometry below = LidCover.beyond(eye, LidCover.MEETING);
        assertThat(below.getEnvelopeInternal().getMinY()).isCloseTo(20 + 60 * LidCover.MEETING, within(0.1));
        assertThat(below.getEnvelopeInternal().getMaxY()).isCloseTo(80, within(0.1));
        // a segment of an ellipse: half its axes times the angle less its sine, at the cosine of how far it lies from
        // the middle
        double angle = 2 * Math.acos((60 * LidCover.MEETING - 30) / 30);
        assertThat(below.getArea()).isCloseTo(40 * 30 / 2.0 * (angle - Math.sin(angle)), within(2.0));
    }

    /** Against looking everywhere in small steps: no shorter way covers, and where none is found none does. */
    @Seeded(tries = 60)
    void theWayFoundIsTheShortestThatCovers(
            @Between(min = 10, max = 60) int wide,
            @Between(min = 5, max = 40) int high,
            @Between(min = 20, max = 90) int lidWide,
            @Between(min = 5, max = 60) int lidHigh,
            @Between(min = -70, max = 70) int away,
            @Between(min = 0, max = 1) int up) {
        int direction = up == 1 ? -1 : 1;
        Geometry white = Regions.of(Rigs.ellipse(100, 100, wide, high));
        Geometry lid = Regions.of(Rigs.ellipse(100, 100 + away, lidWide, lidHigh));
        double far = 2.0 * high + 2 * lidHigh;
        double shortest = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= 400 && shortest > far; i++) {
            double way = far * i / 400;
            if (Regions.without(white, LidCover.moved(lid, direction * way)).getArea() <= white.getArea() * 1e-5) {
                shortest = way;
            }
        }
        Optional<Double> found = LidCover.travel(white, lid, direction);
        if (shortest > far) {
            assertThat(found).isEmpty();
        } else {
            double overlap = LidCover.OVERLAP * LidCover.larger(white);
            assertThat(found.orElseThrow()).isBetween(shortest - far / 400, shortest + far / 200 + overlap);
        }
    }
}
