package app.leeward.core.dial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EaseTest {
    /**
     * The RPN 14 data of Fritsch &amp; Carlson, SIAM J. Numer. Anal. 17 (1980) 238–246 (values from memory), on which an
     * ordinary cubic spline swings below and above.
     */
    private static final double[] X = {7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20};

    private static final double[] Y = {
        0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.943740, 0.998636, 0.999919, 0.999994
    };

    private static Dial rpn(Ease ease) {
        List<Stop> stops = new ArrayList<>();
        for (int i = 1; i < X.length; i++) {
            stops.add(new Stop(X[i], Map.of("p", Offset.shift(Y[i], -2 * Y[i])), ease, Map.of()));
        }
        return new Dial("d", "D", Purpose.OWN, X[0], 20, X[0], "", stops, List.of());
    }

    @Test
    void aSmoothWayRisesWhereItsStopsDoAndPassesThroughThem() {
        OffsetCurve way = OffsetCurve.of(rpn(Ease.SMOOTH), "p");
        double before = -1e-12;
        for (int i = 0; i <= 4000; i++) {
            double at = X[0] + (20 - X[0]) * i / 4000;
            double y = way.at(at).x();
            assertThat(y).as("at %s", at).isBetween(before - 1e-12, 0.999994 + 1e-12);
            assertThat(way.at(at).y()).isCloseTo(-2 * y, within(1e-12));
            before = y;
        }
        for (int i = 0; i < X.length; i++) {
            assertThat(way.at(X[i]).x()).isCloseTo(Y[i], within(1e-12));
        }
        assertThat(way.at(9.6).x()).as("it is not the even way").isGreaterThan((0.469428 + 0.943740) / 2 + 0.01);
        assertThat(way.at(1e6).x()).isEqualTo(0.999994);
        assertThat(way.at(-5).x()).isZero();
    }

    @Test
    void aStretchThatStaysStaysSmooth() {
        Dial d = new Dial(
                "d",
                "D",
                Purpose.OWN,
                0,
                3,
                0,
                "",
                List.of(
                        new Stop(1, Map.of("p", Offset.shift(5, 0)), Ease.SMOOTH, Map.of()),
                        new Stop(2, Map.of("p", Offset.shift(5, 0)), Ease.SMOOTH, Map.of()),
                        new Stop(3, Map.of("p", Offset.shift(0, 0)), Ease.SMOOTH, Map.of())),
                List.of());
        for (double at = 1; at <= 2; at += 0.05) {
            assertThat(OffsetCurve.of(d, "p").at(at).x()).isCloseTo(5, within(1e-12));
        }
    }

    /** Closed forms: the easing whose handles lie on the diagonal is even; ease-in-out is its own point reflection. */
    @Seeded
    void easings(@Between(min = 0, max = 1) double x) {
        assertThat(new Ease.Curve(0.25, 0.25, 0.75, 0.75).at(x)).isCloseTo(x, within(1e-9));
        Ease.Curve inOut = new Ease.Curve(0.42, 0, 0.58, 1);
        assertThat(inOut.at(x)).isCloseTo(1 - inOut.at(1 - x), within(1e-9));
        assertThat(inOut.at(0)).isZero();
        assertThat(inOut.at(1)).isEqualTo(1);
    }

    /** Both halves of a dial go outwards alike. */
    @Seeded
    void anEaseIsTheSameOnBothSidesOfRest(@Between(min = 0, max = 10) double away) {
        Ease ease = new Ease.Curve(0.9, 0, 1, 0.3);
        Dial d = new Dial(
                "d",
                "D",
                Purpose.OWN,
                -10,
                10,
                0,
                "",
                List.of(
                        new Stop(-10, Map.of("p", Offset.shift(-8, 0)), ease, Map.of()),
                        new Stop(10, Map.of("p", Offset.shift(8, 0)), ease, Map.of())),
                List.of());
        OffsetCurve way = OffsetCurve.of(d, "p");
        assertThat(way.at(-away).x()).isCloseTo(-way.at(away).x(), within(1e-9));
        assertThat(way.at(away).x()).isCloseTo(8 * ((Ease.Curve) ease).at(away / 10), within(1e-9));
    }

    @Test
    void handlesOutsideTheirRangeAreRefused() {
        assertThatThrownBy(() -> new Ease.Curve(-0.1, 0, 1, 1)).hasMessageContaining("between 0 and 1");
        assertThatThrownBy(() -> new Ease.Curve(0, Double.NaN, 1, 1)).hasMessageContaining("easing");
    }

    @Test
    void whatOnlyExchangesDrawingsGoesStraightUnlessToldOtherwise() {
        Dial none = new Dial("d", "D", Purpose.OWN, 0, 1, 0, "", List.of(), List.of());
        Dial bands = none.withBands("hand", List.of(new Band(0.5, 1, "fist")));
        assertThat(none.travels()).isEqualTo(Travel.GLIDE);
        assertThat(bands.travels()).isEqualTo(Travel.STRAIGHT);
        assertThat(bands.withTravel(java.util.Optional.of(Travel.GLIDE)).travels())
                .isEqualTo(Travel.GLIDE);
        Dial posing = bands.withStops(List.of(new Stop(1, Map.of("hand", Offset.shift(1, 0)))));
        assertThat(posing.travels()).isEqualTo(Travel.GLIDE);
    }

    @Test
    void aReshapeIsOfOneOutlineAndTurnsRoundWithIt() {
        PointDeltas r = PointDeltas.between("d", 0, Rigs.box(0, 0, 10, 10), Rigs.box(1, 0, 10, 12));
        assertThat(r.shifts()).hasSize(4);
        assertThat(r.fits(Rigs.ellipse(0, 0, 3, 3))).isFalse();
        assertThat(r.mirrored("d").shifts().get(2).x()).isEqualTo(-1);
        assertThat(r.times(0).still()).isTrue();
        assertThatThrownBy(() -> PointDeltas.between("d", 0, Rigs.box(0, 0, 1, 1), Rigs.ellipse(0, 0, 1, 1)))
                .hasMessageContaining("4 points");
    }
}
