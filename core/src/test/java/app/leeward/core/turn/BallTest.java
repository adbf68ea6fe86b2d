package app.leeward.core.turn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Point;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.junit.jupiter.api.Test;

/** Against the rotation of a point in space, worked out here with java.awt.geom's two-dimensional rotation of (x, z). */
class BallTest {
    private static final Ball BALL = new Ball(new Point(500, 400), 160, 190);

    @Seeded
    void turnsAsAPointOnASphereDoes(
            @Between(min = -0.6, max = 0.6) double u,
            @Between(min = -0.6, max = 0.6) double v,
            @Between(min = -80, max = 80) double yaw) {
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

    @Seeded
    void narrowingIsTheSlopeOfTheWay(
            @Between(min = -0.6, max = 0.6) double u, @Between(min = -60, max = 60) double yaw) {
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

    @Seeded
    void atYawZeroNothingMoves(@Between(min = -0.9, max = 0.9) double u, @Between(min = 0, max = 1) double lift) {
        Point p = new Point(500 + u * 160, 410);
        assertThat(BALL.turn(p, 0, lift, false).at().distance(p)).isLessThan(1e-9);
        assertThat(BALL.turn(p, 0, lift, true).at().distance(p)).isLessThan(1e-9);
    }

    @Seeded
    void oppositeTurnsMirror(@Between(min = -0.9, max = 0.9) double u, @Between(min = 0, max = 80) double yaw) {
        Ball.Turned one = BALL.turn(new Point(500 + u * 160, 430), yaw, 0.2, false);
        Ball.Turned other = BALL.turn(new Point(500 - u * 160, 430), -yaw, 0.2, false);
        assertThat(one.at().x() - 500).isCloseTo(500 - other.at().x(), within(1e-9));
        assertThat(one.narrowing()).isCloseTo(other.narrowing(), within(1e-9));
    }

    /** Yaw and pitch together against the quaternion rotations of Apache Commons Geometry, for balls of any depth. */
    @Seeded
    void turnsAndNodsAsCommonsGeometryRotates(
            @Between(min = -0.6, max = 0.6) double u,
            @Between(min = -0.6, max = 0.6) double v,
            @Between(min = -80, max = 80) double yaw,
            @Between(min = -40, max = 40) double pitch,
            @Between(min = 0.4, max = 1.5) double depth,
            @Between(min = 0, max = 0.5) double lift) {
        Ball ball = new Ball(new Point(500, 400), 160, 190, depth);
        Vector3D at = Vector3D.of(u, v, depth * (1 + lift) * Math.sqrt(1 - u * u - v * v));
        // x right, y down, z towards us: a positive yaw carries z towards x, a positive pitch z towards y
        Vector3D turned = QuaternionRotation.fromAxisAngle(Vector3D.Unit.MINUS_X, Math.toRadians(pitch))
                .apply(QuaternionRotation.fromAxisAngle(Vector3D.Unit.PLUS_Y, Math.toRadians(yaw))
                        .apply(at));
        Ball.Turned ours = ball.turn(new Point(500 + u * 160, 400 + v * 190), yaw, pitch, lift, false);
        assertThat(ours.at().x()).isCloseTo(500 + 160 * turned.getX(), within(1e-7));
        assertThat(ours.at().y()).isCloseTo(400 + 190 * turned.getY(), within(1e-7));
        assertThat(ours.depth()).isCloseTo(turned.getZ(), within(1e-9));
    }

    /** How wide, how tall and how slanted a feature becomes is how the way of its neighbours changes. */
    @Seeded
    void sizesAndTiltAreTheSlopesOfTheWay(
            @Between(min = -0.5, max = 0.5) double u,
            @Between(min = -0.5, max = 0.5) double v,
            @Between(min = -40, max = 40) double yaw,
            @Between(min = -30, max = 30) double pitch) {
        Ball ball = new Ball(new Point(500, 400), 160, 190, 0.9);
        double h = 1e-5;
        Point left = at(ball, u - h, v, yaw, pitch);
        Point right = at(ball, u + h, v, yaw, pitch);
        Point above = at(ball, u, v - h, yaw, pitch);
        Point below = at(ball, u, v + h, yaw, pitch);
        Ball.Turned t = ball.turn(new Point(500 + u * 160, 400 + v * 190), yaw, pitch, 0, false);
        assertThat(t.narrowing()).isCloseTo((right.x() - left.x()) / (2 * h * 160), within(1e-4));
        assertThat(t.flattening()).isCloseTo((below.y() - above.y()) / (2 * h * 190), within(1e-4));
        if (t.narrowing() > 0.05) {
            assertThat(t.tilt())
                    .isCloseTo(Math.toDegrees(Math.atan2(right.y() - left.y(), right.x() - left.x())), within(0.01));
        }
    }

    private static Point at(Ball ball, double u, double v, double yaw, double pitch) {
        return ball.turn(new Point(500 + u * 160, 400 + v * 190), yaw, pitch, 0, false)
                .at();
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
