package app.leeward.core.performer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import app.leeward.core.signal.Signal;
import java.util.Map;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.junit.jupiter.api.Test;

/** Against rotations of commons-geometry, and on a face of which it is known what it does. */
class FaceLandmarksTest {
    private static double[] turned(QuaternionRotation by, double[] p) {
        Vector3D v = by.apply(Vector3D.of(p[0], p[1], p[2]));
        return new double[] {v.getX(), v.getY(), v.getZ()};
    }

    private static double[][] cloud(Random r, int count) {
        double[][] points = new double[count][];
        for (int i = 0; i < count; i++) {
            points[i] = new double[] {r.nextGaussian() * 40, r.nextGaussian() * 60, r.nextGaussian() * 25};
        }
        return points;
    }

    /** Whatever the rotation, the scale and the place, it is found again. */
    @Seeded
    void aRotationIsFoundAgain(Random r, @Between(min = 3, max = 30) int count) {
        double[][] from = cloud(r, count);
        QuaternionRotation by = QuaternionRotation.fromAxisAngle(
                Vector3D.of(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()),
                (r.nextDouble() - 0.5) * 2 * Math.PI);
        double scale = 0.3 + r.nextDouble() * 3;
        double[][] to = new double[count][];
        for (int i = 0; i < count; i++) {
            double[] p = turned(by, from[i]);
            to[i] = new double[] {scale * p[0] + 11, scale * p[1] - 7, scale * p[2] + 3};
        }
        double[][] found = Kabsch.rotation(from, to);
        for (double[] axis : new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}) {
            assertThat(Kabsch.applied(found, axis)).containsExactly(turned(by, axis), within(1e-9));
        }
    }

    /** With trembling points no rotation about any axis, however small, comes nearer. */
    @Seeded
    void noOtherRotationIsNearer(Random r) {
        double[][] from = cloud(r, 12);
        double[][] to = cloud(r, 12);
        QuaternionRotation by = QuaternionRotation.fromAxisAngle(Vector3D.of(1, 2, 3), r.nextDouble());
        for (int i = 0; i < 12; i++) {
            double[] p = turned(by, from[i]);
            for (int k = 0; k < 3; k++) {
                to[i][k] = p[k] + to[i][k] * 0.2;
            }
        }
        double[][] found = Kabsch.rotation(from, to);
        double least = apart(from, to, found, null);
        for (int i = 0; i < 40; i++) {
            QuaternionRotation off = QuaternionRotation.fromAxisAngle(
                    Vector3D.of(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()), 0.02 * r.nextGaussian());
            assertThat(apart(from, to, found, off)).isGreaterThanOrEqualTo(least - 1e-9);
        }
    }

    private static double apart(double[][] from, double[][] to, double[][] rotation, QuaternionRotation then) {
        double[] a = new double[3];
        double[] b = new double[3];
        for (int i = 0; i < from.length; i++) {
            for (int k = 0; k < 3; k++) {
                a[k] += from[i][k] / from.length;
                b[k] += to[i][k] / to.length;
            }
        }
        double sum = 0;
        for (int i = 0; i < from.length; i++) {
            double[] p =
                    Kabsch.applied(rotation, new double[] {from[i][0] - a[0], from[i][1] - a[1], from[i][2] - a[2]});
            double[] q = then == null ? p : turned(then, p);
            for (int k = 0; k < 3; k++) {
                sum += Math.pow(q[k] - (to[i][k] - b[k]), 2);
            }
        }
        return sum;
    }

    /** Points in a plane leave one way of turning open; it is still a rotation and not a mirror. */
    @Test
    void pointsInAPlaneGiveARotationToo() {
        double[][] flat = {{0, 0, 0}, {10, 0, 0}, {0, 20, 0}, {7, 9, 0}};
        QuaternionRotation by = QuaternionRotation.fromAxisAngle(Vector3D.of(0, 1, 0), 0.5);
        double[][] to = new double[4][];
        for (int i = 0; i < 4; i++) {
            to[i] = turned(by, flat[i]);
        }
        double[][] found = Kabsch.rotation(flat, to);
        assertThat(Kabsch.applied(found, new double[] {0, 0, 1}))
                .containsExactly(turned(by, new double[] {0, 0, 1}), within(1e-9));
    }

    /** A face of random points, with those that are measured where a face has them; x to the right, y down, z away. */
    private static double[][] face() {
        double[][] p = cloud(new Random(5), FaceLandmarks.COUNT);
        double[][] known = {
            {33, -45, 0, 10},
            {133, -15, 0, 5},
            {159, -30, -8, 2},
            {145, -30, 8, 2},
            {468, -30, 0, 2},
            {263, 45, 0, 10},
            {362, 15, 0, 5},
            {386, 30, -8, 2},
            {374, 30, 8, 2},
            {473, 30, 0, 2},
            {107, -14, -22, 0},
            {70, -46, -20, 12},
            {336, 14, -22, 0},
            {300, 46, -20, 12},
            {61, -22, 55, 4},
            {291, 22, 55, 4},
            {13, 0, 54, -4},
            {14, 0, 56, -4},
            {1, 0, 28, -20},
            {168, 0, -4, -6},
            {152, 0, 90, 4},
            {234, -65, 20, 50},
            {454, 65, 20, 50}
        };
        for (double[] k : known) {
            p[(int) k[0]] = new double[] {k[1], k[2], k[3]};
        }
        return p;
    }

    private static double[][] copy(double[][] p) {
        double[][] out = new double[p.length][];
        for (int i = 0; i < p.length; i++) {
            out[i] = p[i].clone();
        }
        return out;
    }

    private static Map<Signal, Double> signals(double[][] p) {
        return new FaceLandmarks(p).signals(new FaceLandmarks(face()));
    }

    @Test
    void aHeadThatTurnsIsReadInDegreesInThePicturesDirections() {
        double[][] p = copy(face());
        // to the picture's right and away from it: about the axis that points down, x goes to −z
        QuaternionRotation right = QuaternionRotation.fromAxisAngle(Vector3D.of(0, 1, 0), Math.toRadians(-20));
        for (int i = 0; i < p.length; i++) {
            p[i] = turned(right, p[i]);
        }
        Map<Signal, Double> told = signals(p);
        assertThat(told.get(Signal.HEAD_YAW)).isCloseTo(20, within(1e-9));
        assertThat(told.get(Signal.HEAD_PITCH)).isCloseTo(0, within(1e-9));
        assertThat(told.get(Signal.HEAD_ROLL)).isCloseTo(0, within(1e-9));
        assertThat(told.get(Signal.AU45)).as("it has only turned").isCloseTo(0, within(1e-9));
        assertThat(told.get(Signal.JAW)).isCloseTo(0, within(1e-9));

        double[][] leans = copy(face());
        QuaternionRotation clockwise = QuaternionRotation.fromAxisAngle(Vector3D.of(0, 0, 1), Math.toRadians(12));
        for (int i = 0; i < leans.length; i++) {
            leans[i] = turned(clockwise, leans[i]);
        }
        assertThat(signals(leans).get(Signal.HEAD_ROLL)).isCloseTo(12, within(1e-9));
    }

    @Test
    void whatTheFaceDoesIsReadOffItsPoints() {
        double[][] p = copy(face());
        for (int lid : new int[] {159, 386}) {
            p[lid][1] = 7;
        }
        p[14][1] += 30;
        for (int brow : new int[] {107, 336}) {
            p[brow][1] -= 8;
        }
        for (int corner : new int[] {61, 291}) {
            p[corner][1] -= 7;
        }
        for (int iris : new int[] {468, 473}) {
            p[iris][0] += 6;
        }
        Map<Signal, Double> told = signals(p);
        assertThat(told.get(Signal.AU45)).isEqualTo(1);
        assertThat(told.get(Signal.JAW)).isBetween(0.8, 1.0);
        assertThat(told.get(Signal.AU25)).isEqualTo(1);
        assertThat(told.get(Signal.AU1)).isBetween(0.8, 1.0);
        assertThat(told.get(Signal.AU12)).isBetween(0.4, 0.8);
        assertThat(told.get(Signal.AU15)).isZero();
        assertThat(told.get(Signal.GAZE_ACROSS)).isEqualTo(1, within(1e-9));
        assertThat(told.get(Signal.HEAD_YAW)).as("no rigid point has moved").isCloseTo(0, within(1e-9));
        assertThat(signals(face()).values())
                .allSatisfy(v -> assertThat(Math.abs(v)).isLessThan(1e-9));
    }

    @Test
    void otherPointsAreNoFace() {
        assertThatThrownBy(() -> FaceLandmarks.of(new double[30], 1, 1)).hasMessageContaining("478");
        double[] broken = new double[FaceLandmarks.COUNT * 3];
        broken[5] = Double.NaN;
        assertThatThrownBy(() -> FaceLandmarks.of(broken, 1, 1)).hasMessageContaining("no number");
    }
}
