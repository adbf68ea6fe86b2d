package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Circles against closed forms; a lens of two circles against java.awt.geom.Area. */
public class PathTest {
    private static final double K = 0.5522847498;

    static Path circle(double cx, double cy, double r) {
        double k = r * K;
        return Path.of(
                new Segment.Move(new Point(cx - r, cy)),
                cubic(cx - r, cy - k, cx - k, cy - r, cx, cy - r),
                cubic(cx + k, cy - r, cx + r, cy - k, cx + r, cy),
                cubic(cx + r, cy + k, cx + k, cy + r, cx, cy + r),
                cubic(cx - k, cy + r, cx - r, cy + k, cx - r, cy),
                new Segment.Close());
    }

    private static Segment cubic(double a, double b, double c, double d, double e, double f) {
        return new Segment.Cubic(new Point(a, b), new Point(c, d), new Point(e, f));
    }

    @Test
    void boundsAndLengthOfACircle() {
        Path circle = circle(50, 60, 40);
        Box box = circle.bounds().orElseThrow();
        assertThat(box.width()).isCloseTo(80, within(1e-9));
        assertThat(box.minY()).isCloseTo(20, within(1e-9));
        // four cubics make a circle to about three parts in ten thousand
        assertThat(circle.length()).isCloseTo(2 * Math.PI * 40, within(0.08));
    }

    @Test
    void boundsFollowTheCurveNotItsHandles() {
        Path arch = Path.of(new Segment.Move(new Point(0, 0)), cubic(0, -100, 100, -100, 100, 0));
        assertThat(arch.bounds().orElseThrow().minY()).isCloseTo(-75, within(1e-9));
    }

    @Test
    void areasAgreeWithTheClosedFormAndWithTheJdk() {
        assertThat(Regions.of(circle(0, 0, 40)).getArea()).isCloseTo(Math.PI * 1600, within(15.0));
        double ours = Regions.of(circle(0, 0, 40))
                .intersection(Regions.of(circle(30, 0, 40)))
                .getArea();
        Area theirs = new Area(awt(circle(0, 0, 40)));
        theirs.intersect(new Area(awt(circle(30, 0, 40))));
        assertThat(ours).isCloseTo(area(theirs), within(8.0));
    }

    @Test
    void aRingInsideARingIsAHole() {
        List<Segment> both = new java.util.ArrayList<>(circle(0, 0, 40).segments());
        both.addAll(circle(0, 0, 20).segments());
        assertThat(Regions.of(new Path(both)).getArea()).isCloseTo(Math.PI * 1200, within(15.0));
    }

    @Test
    void aPathBeginsWithAMove() {
        assertThatThrownBy(() -> Path.of(new Segment.Close())).hasMessageContaining("begins with a move");
    }

    public static Path2D awt(Path p) {
        Path2D out = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        for (Segment s : p.segments()) {
            if (s instanceof Segment.Move m) {
                out.moveTo(m.to().x(), m.to().y());
            } else if (s instanceof Segment.Line l) {
                out.lineTo(l.to().x(), l.to().y());
            } else if (s instanceof Segment.Cubic c) {
                out.curveTo(c.c1().x(), c.c1().y(), c.c2().x(), c.c2().y(), c.to().x(), c.to().y());
            } else {
                out.closePath();
            }
        }
        return out;
    }

    private static double area(Area a) {
        double sum = 0;
        double[] at = new double[6];
        double x = 0;
        double y = 0;
        double sx = 0;
        double sy = 0;
        for (PathIterator i = a.getPathIterator(null, 0.01); !i.isDone(); i.next()) {
            int kind = i.currentSegment(at);
            double nx = kind == PathIterator.SEG_CLOSE ? sx : at[0];
            double ny = kind == PathIterator.SEG_CLOSE ? sy : at[1];
            if (kind == PathIterator.SEG_MOVETO) {
                sx = nx;
                sy = ny;
            } else {
                sum += x * ny - nx * y;
            }
            x = nx;
            y = ny;
        }
        return Math.abs(sum) / 2;
    }
}
