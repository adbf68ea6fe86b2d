package app.leeward.core.rig;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import java.util.List;
import org.junit.jupiter.api.Test;

class BrowPlaceTest {
    private static Box brow(double middle, double width) {
        return new Box(middle - width / 2, 0, middle + width / 2, 10);
    }

    @Test
    void twoBrowsLieBesideEachOtherAlsoWhereTheHeadLooksAside() {
        // the near brow of a head that looks right lies on the middle of the skull
        Box near = brow(100, 40);
        Box far = brow(160, 25);
        assertThat(BrowPlace.of(near, List.of(near, far), 102)).isEqualTo(BrowPlace.SCREEN_LEFT);
        assertThat(BrowPlace.of(far, List.of(near, far), 102)).isEqualTo(BrowPlace.SCREEN_RIGHT);
    }

    @Test
    void aSingleBrowIsForBothEyesWhereItLiesInTheMiddle() {
        Box one = brow(100, 60);
        assertThat(BrowPlace.of(one, List.of(one), 104)).isEqualTo(BrowPlace.MIDDLE);
        assertThat(BrowPlace.of(one, List.of(one), 140)).isEqualTo(BrowPlace.SCREEN_LEFT);
        // drawn in two layers, the one on the other
        Box shade = brow(103, 58);
        assertThat(BrowPlace.of(one, List.of(one, shade), 100)).isEqualTo(BrowPlace.MIDDLE);
    }

    @Test
    void ofThreeTheMiddleOneIsForBoth() {
        Box left = brow(40, 30);
        Box middle = brow(101, 30);
        Box right = brow(160, 30);
        List<Box> all = List.of(left, middle, right);
        assertThat(BrowPlace.of(middle, all, 100)).isEqualTo(BrowPlace.MIDDLE);
        assertThat(BrowPlace.of(left, all, 100)).isEqualTo(BrowPlace.SCREEN_LEFT);
        assertThat(BrowPlace.of(right, all, 100)).isEqualTo(BrowPlace.SCREEN_RIGHT);
    }
}
