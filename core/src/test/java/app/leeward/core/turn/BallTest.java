package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Point;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Against the rotation of a point in space, worked out here with java.awt.geom's two-dimensional rotation of (x, z). */
class BallTest {
    private static final Ball BALL = new Ball(new Point(500, 400), 160, 190);

    @Property
    void turnsAsAPointOnASphereDoes(
            @ForAll @DoubleRange(min = -0.6, max = 0.6) double u,
            @ForAll @DoubleRange(min = -0.6, max = 0.6) double v,
            @ForAll @DoubleRange(min = -80, max = 80) double yaw) {
        Point feature = new Point(500 + u * 160, 400 + v * 190);
        double z = Math.sqrt(1 - u * u - v * v);
        // looking down on the head, a positive yaw carries the nearest point (0, 1) towards +x
        java.awt.geom.AffineTransform above = java.awt.geom.AffineTransform.getRotateInstance(Math.toRadians(-yaw));
        double[] at = {u, z};
        above.transform(at, 0, at, 0, 1);
        Ball.Turned turned = BALL.turn(feature, yaw, 0, false);
        assertThat(turned.at().x()).isCloseTo(500 + at[0] * 160, within(1e-7));
        assertThat(turned.depth()).isCloseTo(at[1], within(1e-9));
        assertThat(turned.at().y()).isEqualTo(feature.y());
    }

    @Property
    void narrowingIsTheSlopeOfTheWay(
            @ForAll @DoubleRange(min = -0.6, max = 0.6) double u,
            @ForAll @DoubleRange(min = -60, max = 60) double yaw) {
        double h = 1e-5;
        double left = BALL.turn(new Point(500 + (u - h) * 160, 400), yaw, 0, false)
                .at()
                .x();
        double right = BALL.turn(new Point(500 + (u + h) * 160, 400), yaw, 0, false)
                .at()
                .x();
        double slope = (right - left) / (2 * h * 160);
        assertThat(BALL.turn(new Point(500 + u * 160, 400), yaw, 0, false).narrowing())
                .isCloseTo(slope, within(1e-4));
    }

    @Property
    void atYawZeroNothingMoves(
            @ForAll @DoubleRange(min = -0.9, max = 0.9) double u, @ForAll @DoubleRange(min = 0, max = 1) double lift) {
        Point p = new Point(500 + u * 160, 410);
        assertThat(BALL.turn(p, 0, lift, false).at().distance(p)).isLessThan(1e-9);
        assertThat(BALL.turn(p, 0, lift, true).at().distance(p)).isLessThan(1e-9);
    }

    @Property
    void oppositeTurnsMirror(
            @ForAll @DoubleRange(min = -0.9, max = 0.9) double u, @ForAll @DoubleRange(min = 0, max = 80) double yaw) {
        Ball.Turned one = BALL.turn(new Point(500 + u * 160, 430), yaw, 0.2, false);
        Ball.Turned other = BALL.turn(new Point(500 - u * 160, 430), -yaw, 0.2, false);
        assertThat(one.at().x() - 500).isCloseTo(500 - other.at().x(), within(1e-9));
        assertThat(one.narrowing()).isCloseTo(other.narrowing(), within(1e-9));
    }

    @Test
    void theFarSideGoesOutOfSightAndRearPiecesGoTheOtherWay() {
        assertThat(BALL.turn(new Point(650, 400), 70, 0, false).hidden()).isTrue();
        assertThat(BALL.turn(new Point(500, 400), 70, 0, false).hidden()).isFalse();
        assertThat(BALL.turn(new Point(500, 400), 30, 0, true).at().x()).isLessThan(500);
    }

    @Test
    void theYawThatNarrowsTheFarEyeIsTheInverseOfTheNarrowing() {
        Point eye = new Point(570, 380);
        double yaw = BALL.yawNarrowing(eye, 0.78).orElseThrow();
        assertThat(BALL.turn(eye, yaw, 0, false).narrowing()).isCloseTo(0.78, within(1e-9));
        assertThat(BALL.yawNarrowing(new Point(500, 380), 0.78))
                .as("on the axis")
                .isEmpty();
    }
}
