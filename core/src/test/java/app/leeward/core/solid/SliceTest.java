package app.leeward.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;

/** Slices against points turned in space by Apache Commons Geometry. */
class SliceTest {
    private static final Profile ELLIPSE = new Profile.Superellipse(2);
    private static final Profile BOX = new Profile.Superellipse(7);

    private static Slice slice(double a, double d, Profile profile, double seam) {
        return new Slice(a, a, d, 12, profile, seam, 0);
    }

    /** Looking along -z with x to the right: a positive yaw carries what is nearest to the right. */
    private static Vector3D turned(double x, double z, double yaw) {
        return QuaternionRotation.fromAxisAngle(Vector3D.of(0, 1, 0), Math.toRadians(yaw))
                .apply(Vector3D.of(x, 0, z));
    }

    @Seeded
    void theInnerSurfaceTurnsAsPointsInSpaceDo(
            @Between(min = -0.5, max = 0.5) double t,
            @Between(min = 20, max = 300) double a,
            @Between(min = 0.4, max = 1.1) double deep,
            @Between(min = -30, max = 30) double yaw,
            @Between(min = 0, max = 1) double seam) {
        for (Profile profile : new Profile[] {ELLIPSE, BOX, new Profile.Superellipse(2.5)}) {
            double n = ((Profile.Superellipse) profile).n();
            double z = deep * a * Math.pow(1 - Math.pow(Math.abs(t), n), 1 / n);
            Vector3D there = turned(t * a, 12 + z, yaw);
            Spot is = slice(a, deep * a, profile, seam).surface(t * a, View.yaw(yaw));
            assertThat(is.x()).isCloseTo(there.getX(), within(1e-9 * a));
            assertThat(is.z()).isCloseTo(there.getZ(), within(1e-9 * a));
        }
    }

    /** The limb is the furthest any point of the whole outline of the slice, its back included, comes. */
    @Seeded
    void theLimbIsAsFarAsAnyPointOfTheTurnedSliceReaches(
            @Between(min = 20, max = 300) double a,
            @Between(min = 0.3, max = 1.2) double deep,
            @Between(min = -85, max = 85) double yaw) {
        for (Profile profile : new Profile[] {ELLIPSE, BOX}) {
            double n = ((Profile.Superellipse) profile).n();
            double most = 0;
            double least = 0;
            for (int i = 0; i < 20000; i++) {
                double angle = 2 * Math.PI * i / 20000;
                double r = Math.pow(
                        Math.pow(Math.abs(Math.cos(angle)), n) + Math.pow(Math.abs(Math.sin(angle)), n), -1 / n);
                Vector3D there = turned(r * a * Math.cos(angle), r * deep * a * Math.sin(angle), yaw);
                most = Math.max(most, there.getX());
                least = Math.min(least, there.getX());
            }
            Slice slice = new Slice(a, a, deep * a, 0, profile, 0, 0);
            assertThat(slice.outline(a, View.yaw(yaw)).x()).isCloseTo(most, within(2e-4 * a));
            assertThat(slice.outline(-a, View.yaw(yaw)).x()).isCloseTo(least, within(2e-4 * a));
        }
    }

    @Seeded
    void aBumpReachesAsFarAsItsFurthestPoint(
            @Between(min = 20, max = 300) double a,
            @Between(min = 0.1, max = 1.5) double deep,
            @Between(min = 1, max = 80) double yaw) {
        double most = -Double.MAX_VALUE;
        for (int i = 0; i <= 20000; i++) {
            double t = i / 20000.0;
            most = Math.max(most, turned(t * a, deep * a * (1 - t * t), yaw).getX());
        }
        double c = Math.cos(Math.toRadians(yaw));
        double s = Math.sin(Math.toRadians(yaw));
        assertThat(new Profile.Bump().limb(a, deep * a, c, s)).isCloseTo(most, within(1e-6 * a));
    }

    /** No two points of a slice change places, inside or past its edge, and none leaves the limb. */
    @Seeded
    void theSurfaceNeverFoldsAndStaysWithinTheLimb(
            @Between(min = 0.2, max = 1.3) double deep,
            @Between(min = -60, max = 60) double yaw,
            @Between(min = 0, max = 1) double seam) {
        for (Profile profile : new Profile[] {ELLIPSE, BOX, new Profile.Bump()}) {
            Slice slice = new Slice(100, 80, 100 * deep, 5, profile, seam, 0.8);
            View view = View.yaw(yaw);
            double before = Double.NEGATIVE_INFINITY;
            for (double x = -120; x <= 140; x += 0.5) {
                double is = slice.surface(x, view).x();
                assertThat(is).as("%s at %s", profile, x).isGreaterThanOrEqualTo(before - 1e-9);
                before = is;
            }
            double far = Math.signum(yaw) * 1e-9 + (yaw >= 0 ? 80 : -100);
            assertThat(Math.abs(slice.surface(far, view).x()))
                    .isCloseTo(Math.abs(slice.outline(far, view).x()), within(1e-6));
        }
    }

    @Seeded
    void fromTheFrontNothingMovesAndASmallTurnMovesLittle(
            @Between(min = -130, max = 130) double x,
            @Between(min = 0.2, max = 1.3) double deep,
            @Between(min = 0, max = 1) double seam) {
        for (Profile profile : new Profile[] {ELLIPSE, BOX, new Profile.Bump()}) {
            Slice slice = new Slice(100, 100, 100 * deep, 5, profile, seam, 0.8);
            assertThat(slice.surface(x, View.yaw(0)).x()).isCloseTo(x, within(1e-9));
            assertThat(slice.outline(x, View.yaw(0)).x()).isCloseTo(x, within(1e-9));
            assertThat(slice.surface(x, View.yaw(0.1)).x()).isCloseTo(x, within(0.6));
        }
    }

    @Seeded
    void oppositeTurnsMirror(
            @Between(min = -130, max = 130) double x,
            @Between(min = -70, max = 70) double yaw,
            @Between(min = 0, max = 1) double seam) {
        Slice slice = new Slice(100, 100, 80, 5, ELLIPSE, seam, 0.8);
        assertThat(slice.surface(x, View.yaw(yaw)).x())
                .isCloseTo(-slice.surface(-x, View.yaw(-yaw)).x(), within(1e-9));
        assertThat(slice.outline(x, View.yaw(yaw)).x())
                .isCloseTo(-slice.outline(-x, View.yaw(-yaw)).x(), within(1e-9));
    }

    @Seeded
    void aProfileFallsAsFastAsItsSlopeSays(@Between(min = 0.05, max = 40) double slope) {
        for (double n : new double[] {1.6, 2, 2.5, 7, 12}) {
            Profile level = new Profile.Superellipse(n);
            assertThat(-level.slope(level.falls(slope))).as("n = %s", n).isCloseTo(slope, within(1e-6 * slope));
        }
        assertThat(new Profile.Bump().falls(0.6)).isEqualTo(0.3);
        assertThat(new Profile.Superellipse(2.5).falls(Double.POSITIVE_INFINITY))
                .isEqualTo(1);
    }
}
