package app.leeward.core.shot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class KeyedDialTest {
    /**
     * The RPN 14 data of Fritsch &amp; Carlson, SIAM J. Numer. Anal. 17 (1980) 238–246 (values from memory), each place at a hundred
     * times its number so that it falls on a frame.
     */
    private static final int[] X = {799, 809, 819, 870, 920, 1000, 1200, 1500, 2000};

    private static final double[] Y = {
        0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.943740, 0.998636, 0.999919, 0.999994
    };

    private static KeyedDial rpn(Way way) {
        List<DialKey> keys = new ArrayList<>();
        for (int i = 0; i < X.length; i++) {
            keys.add(new DialKey(X[i], Y[i], way));
        }
        return new KeyedDial(keys);
    }

    @Test
    void aSmoothWayRisesThroughItsKeysWhereAnOrdinarySplineSwingsBeyondThem() {
        KeyedDial dial = rpn(Way.SMOOTH);
        double before = 0;
        for (double f = 700; f <= 2100; f += 0.25) {
            double value = dial.at(f);
            assertThat(value).as("at %s", f).isBetween(before - 1e-12, 0.999994 + 1e-12);
            before = value;
        }
        for (int i = 0; i < X.length; i++) {
            assertThat(dial.at(X[i])).isEqualTo(Y[i]);
        }
    }

    /** From rest to rest the monotone cubic is 3t² − 2t³. */
    @Test
    void betweenTwoKeysASmoothWaySetsOutSlowlyAndSettles() {
        KeyedDial dial = new KeyedDial(List.of(new DialKey(10, -30, Way.SMOOTH), new DialKey(20, 10, Way.HOLD)));
        for (int f = 10; f <= 20; f++) {
            double t = (f - 10) / 10.0;
            assertThat(dial.at(f)).isCloseTo(-30 + 40 * t * t * (3 - 2 * t), within(1e-12));
        }
        assertThat(dial.at(0)).isEqualTo(-30);
        assertThat(dial.at(99)).isEqualTo(10);
    }

    @Test
    void whereADialWasHeldASmoothWayBeginsLevel() {
        KeyedDial held = new KeyedDial(List.of(
                new DialKey(0, 0, Way.HOLD),
                new DialKey(10, 5, Way.SMOOTH),
                new DialKey(20, 15, Way.SMOOTH),
                new DialKey(30, 25, Way.HOLD)));
        assertThat(held.at(9)).as("held until the key").isZero();
        assertThat(held.at(10)).isEqualTo(5);
        assertThat(held.at(11) - held.at(10)).isLessThan(0.3);
        assertThat(held.at(21) - held.at(20))
                .as("goes on through a key on its way")
                .isGreaterThan(0.9);
    }

    @Test
    void evenAndCurvedWays() {
        KeyedDial even = new KeyedDial(List.of(new DialKey(4, 2, Way.EVEN), new DialKey(8, 4, Way.EVEN)));
        assertThat(even.at(5)).isEqualTo(2.5);
        // the numbers of ease-in-out are Chromium's own, see the end-to-end tests; here its middle, by its symmetry
        KeyedDial curved = new KeyedDial(
                List.of(new DialKey(0, 0, new Way.Curve(0.42, 0, 0.58, 1)), new DialKey(100, 1, Way.HOLD)));
        assertThat(curved.at(50)).isCloseTo(0.5, within(1e-9));
        assertThat(curved.at(25) + curved.at(75)).isCloseTo(1, within(1e-9));
        assertThatThrownBy(() -> new Way.Curve(1.2, 0, 0, 0)).hasMessageContaining("1.2");
        assertThatThrownBy(() -> new DialKey(3, Double.NaN, Way.HOLD)).hasMessageContaining("frame 3");
        assertThatThrownBy(() -> new DialKey(-1, 0, Way.HOLD)).hasMessageContaining("-1");
    }

    /** A point led by two dials with the same keys and one way goes along the parabola through the two keys and the bent middle. */
    @Test
    void aBentWayLeadsAPointAlongAnArc() {
        KeyedDial across = new KeyedDial(List.of(new DialKey(0, -1, Way.SMOOTH), new DialKey(20, 1, Way.HOLD)));
        KeyedDial down = new KeyedDial(List.of(bent(0, 0, Way.SMOOTH, 0.6), new DialKey(20, 0, Way.HOLD)));
        for (double f = 0; f <= 20; f += 0.5) {
            double x = across.at(f);
            assertThat(down.at(f)).isCloseTo(0.6 * (1 - x * x), within(1e-12));
        }
        for (Way way : List.of(Way.EVEN, Way.SMOOTH, new Way.Curve(0.42, 0, 0.58, 1))) {
            KeyedDial bent = new KeyedDial(List.of(bent(4, 2, way, 5), new DialKey(8, 2, Way.HOLD)));
            assertThat(bent.at(4)).isEqualTo(2);
            assertThat(bent.at(6)).isCloseTo(7, within(1e-12));
            assertThat(bent.at(8)).isEqualTo(2);
        }
        KeyedDial held = new KeyedDial(List.of(bent(4, 2, Way.HOLD, 5), new DialKey(8, 3, Way.HOLD)));
        assertThat(held.at(6)).as("what is held goes no way").isEqualTo(2);
        assertThatThrownBy(() -> bent(4, 2, Way.EVEN, Double.POSITIVE_INFINITY)).hasMessageContaining("frame 4");
    }

    private static DialKey bent(int frame, double value, Way way, double bow) {
        return new DialKey(frame, value, way, bow, Optional.empty());
    }

    @Seeded
    void noWayButACurveLeavesTheKeysItRunsBetween(Random random, @Between(min = 1, max = 12) int count) {
        List<DialKey> keys = new ArrayList<>();
        int frame = random.nextInt(5);
        for (int i = 0; i < count; i++) {
            Way way = List.of(Way.HOLD, Way.EVEN, Way.SMOOTH).get(random.nextInt(3));
            keys.add(new DialKey(frame, random.nextInt(7) - 3, way));
            frame += 1 + random.nextInt(12);
        }
        KeyedDial dial = new KeyedDial(keys);
        for (int i = 0; i + 1 < count; i++) {
            double a = keys.get(i).value();
            double b = keys.get(i + 1).value();
            for (int f = keys.get(i).frame(); f <= keys.get(i + 1).frame(); f++) {
                assertThat(dial.at(f)).isBetween(Math.min(a, b) - 1e-12, Math.max(a, b) + 1e-12);
            }
            assertThat(dial.at(keys.get(i).frame())).isEqualTo(a);
        }
    }

    @Test
    void aLookComesAndGoes() {
        LookSpan smile = new LookSpan(10, 30, "smile", 5, 3, 0.8);
        assertThat(smile.at(9)).isZero();
        assertThat(smile.at(12)).as("half way of its coming").isCloseTo(0.4, within(1e-12));
        assertThat(smile.at(15)).isEqualTo(0.8);
        assertThat(smile.at(26)).isEqualTo(0.8);
        assertThat(smile.at(28)).as("half way of its going").isCloseTo(0.4, within(1e-12));
        assertThat(smile.at(30)).isZero();
        assertThat(new LookSpan(3, 4, "smile", 0, 0, 1).at(3)).isEqualTo(1);
        assertThatThrownBy(() -> new LookSpan(3, 3, "smile", 0, 0, 1)).hasMessageContaining("a frame at least");
        assertThatThrownBy(() -> new LookSpan(3, 9, "smile", -1, 0, 1)).hasMessageContaining("-1");
    }
}
