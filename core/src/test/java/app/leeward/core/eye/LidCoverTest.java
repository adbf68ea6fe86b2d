package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Regions;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Boxes and ellipses whose travel can be worked out by hand. */
class LidCoverTest {
    private static final Geometry WHITE = Regions.of(Rigs.box(0, 0, 100, 40));

    @Test
    void aBoxOverABoxTravelsTheGapAndTheOverlap() {
        Geometry lid = Regions.of(Rigs.box(-10, -60, 120, 50));
        // its lower edge stands at -10 and must reach 40
        assertThat(LidCover.travel(WHITE, lid, 1).orElseThrow()).isCloseTo(50 + LidCover.OVERLAP, within(0.05));
    }

    @Test
    void aLidComesUpAsOneGoesDown() {
        Geometry lid = Regions.of(Rigs.box(-10, 55, 120, 60));
        assertThat(LidCover.travel(WHITE, lid, -1).orElseThrow()).isCloseTo(55 + LidCover.OVERLAP, within(0.05));
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
    void theMeetingLinePartsTheWhiteWithoutLossOrOverlap() {
        Geometry eye = Regions.of(Rigs.ellipse(50, 50, 40, 30));
        Geometry above = LidCover.beyondMeeting(eye, true);
        Geometry below = LidCover.beyondMeeting(eye, false);
        assertThat(above.getArea() + below.getArea()).isCloseTo(eye.getArea(), within(1e-6));
        assertThat(above.intersection(below).getArea()).isZero();
        assertThat(above.getEnvelopeInternal().getMaxY()).isCloseTo(20 + 60 * LidCover.MEETING, within(0.1));
    }
}
