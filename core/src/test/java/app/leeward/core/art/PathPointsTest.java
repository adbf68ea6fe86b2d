package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Refused;
import app.leeward.core.Rigs;
import app.leeward.core.art.PathPoints.Hold;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.seeded.Seeded;
import java.awt.geom.CubicCurve2D;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Points on outlines; splitting against java.awt.geom.CubicCurve2D, which halves curves by itself. */
class PathPointsTest {
    private static final Path ROUND = Rigs.ellipse(0, 0, 40, 30);

    @Test
    void theMeetingPointOfAClosedOutlineIsOnePoint() {
        Path moved = PathPoints.moved(ROUND, 0, Hold.POINT, new Point(-50, 5));
        assertThat(((Segment.Move) moved.segments().get(0)).to()).isEqualTo(new Point(-50, 5));
        assertThat(((Segment.Cubic) moved.segments().get(4)).to()).isEqualTo(new Point(-50, 5));
        Segment.Cubic was = (Segment.Cubic) ROUND.segments().get(1);
        Segment.Cubic is = (Segment.Cubic) moved.segments().get(1);
        assertThat(is.c1()).as("its handle comes along").isEqualTo(was.c1().plus(new Point(-10, 5)));
        assertThat(is.c2()).as("the far handle stays").isEqualTo(was.c2());
        assertThat(PathPoints.moved(ROUND, 4, Hold.POINT, new Point(-50, 5))).isEqualTo(moved);
    }

    @Test
    void handlesMoveAlone() {
        Path moved = PathPoints.moved(ROUND, 2, Hold.SECOND_HANDLE, new Point(7, 8));
        assertThat(((Segment.Cubic) moved.segments().get(2)).c2()).isEqualTo(new Point(7, 8));
        Refused.because(
                RefusalCode.NO_SUCH_POINT, () -> PathPoints.moved(ROUND, 0, Hold.FIRST_HANDLE, new Point(0, 0)));
        Refused.because(RefusalCode.NO_SUCH_POINT, () -> PathPoints.moved(ROUND, 9, Hold.POINT, new Point(0, 0)));
    }

    @Test
    void halvingACurveIsWhatTheJdkMakesOfIt() {
        Segment.Cubic c = (Segment.Cubic) ROUND.segments().get(1);
        CubicCurve2D whole =
                new CubicCurve2D.Double(-40, 0, c.c1().x(), c.c1().y(), c.c2().x(), c.c2().y(), c.to().x(), c.to().y());
        CubicCurve2D left = new CubicCurve2D.Double();
        whole.subdivide(left, null);
        Segment.Cubic half =
                (Segment.Cubic) PathPoints.added(ROUND, 1, 0.5).segments().get(1);
        assertThat(half.c2().x()).isCloseTo(left.getCtrlX2(), within(1e-12));
        assertThat(half.to().y()).isCloseTo(left.getY2(), within(1e-12));
    }

    @Seeded(tries = 200)
    void anAddedPointChangesNeitherLengthNorBoundsAndCanBeTakenOutAgain(long seed) {
        Random r = new Random(seed);
        int at = 1 + r.nextInt(4);
        double t = 0.02 + 0.96 * r.nextDouble();
        Path more = PathPoints.added(ROUND, at, t);
        assertThat(more.segments()).hasSize(ROUND.segments().size() + 1);
        assertThat(more.length()).isCloseTo(ROUND.length(), within(0.01));
        assertThat(more.bounds().orElseThrow().maxY()).isCloseTo(30, within(1e-9));
        assertThat(PathPoints.removed(more, at).segments()).hasSameSizeAs(ROUND.segments());
    }

    @Test
    void pointsGoButAnOutlineKeepsTwo() {
        Path box = Rigs.box(0, 0, 10, 10);
        Path three = PathPoints.removed(box, 1);
        assertThat(three.toSvg()).isEqualTo("M0 0L10 10L0 10Z");
        assertThat(PathPoints.removed(box, 0).toSvg()).isEqualTo("M10 0L10 10L0 10Z");
        Path two = PathPoints.removed(three, 1);
        Refused.because(RefusalCode.NO_SUCH_POINT, () -> PathPoints.removed(two, 1));
        Path eye = PathPoints.removed(ROUND, 0);
        assertThat(eye.bounds().orElseThrow().maxX()).isCloseTo(40, within(1e-9));
        assertThat(eye.segments()).hasSize(5);
    }

    @Test
    void smoothHandlesLieOnOneLineAndCornersAreDrawnIn() {
        Path box = Rigs.box(0, 0, 10, 10);
        Path smooth = PathPoints.rounded(box, 1, true);
        Point in = ((Segment.Cubic) smooth.segments().get(1)).c2();
        Point out = ((Segment.Cubic) smooth.segments().get(2)).c1();
        Point here = new Point(10, 0);
        double cross = (here.x() - in.x()) * (out.y() - here.y()) - (here.y() - in.y()) * (out.x() - here.x());
        assertThat(cross).isCloseTo(0, within(1e-9));
        assertThat(in.distance(here)).isCloseTo(10 / 3.0, within(1e-9));
        Path corner = PathPoints.rounded(smooth, 1, false);
        assertThat(((Segment.Cubic) corner.segments().get(1)).c2()).isEqualTo(here);
        assertThat(corner.length()).isCloseTo(40, within(0.01));
    }

    /** Left and right of an ellipse stay mirror images, whatever is dragged; the top stays on the axis. */
    @Test
    void whatLiesOppositeGoesAlongAsInAMirror() {
        Path round = Rigs.ellipse(500, 500, 60, 30);
        for (int at = 1; at <= 4; at++) {
            for (PathPoints.Hold hold : PathPoints.Hold.values()) {
                Path moved = MirroredPoints.moved(round, at, hold, new Point(463, 481), 500);
                assertThat(moved).isNotEqualTo(round);
                Box b = moved.bounds().orElseThrow();
                assertThat(500 - b.minX()).as("%s of %s", hold, at).isCloseTo(b.maxX() - 500, within(1e-6));
                assertThat(moved.length())
                        .isCloseTo(moved.transform(Matrix.mirror(500)).length(), within(1e-9));
            }
        }
        Path top = MirroredPoints.moved(round, 1, PathPoints.Hold.POINT, new Point(520, 450), 500);
        assertThat(((Segment.Cubic) top.segments().get(1)).to()).isEqualTo(new Point(500, 450));
        Path alone = Path.of(new Segment.Move(new Point(0, 0)), new Segment.Line(new Point(100, 40)));
        assertThat(MirroredPoints.moved(alone, 1, PathPoints.Hold.POINT, new Point(90, 50), 50))
                .isEqualTo(PathPoints.moved(alone, 1, PathPoints.Hold.POINT, new Point(90, 50)));
    }
}
