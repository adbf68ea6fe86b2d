package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.math3.linear.Array2DRowRealMatrix;
import org.apache.commons.math3.linear.RealMatrix;
import org.apache.commons.math3.linear.SingularValueDecomposition;
import org.junit.jupiter.api.Test;

/** Affine maps between points, against the least squares of Apache Commons Math (by singular values). */
class FittedTest {
    private static List<Point> drawn(Random r, int n) {
        List<Point> out = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            out.add(new Point(1000 * r.nextDouble(), 800 * r.nextDouble()));
        }
        return out;
    }

    @Seeded(tries = 200)
    void itIsTheLeastSquaresOne(@Between(min = 3, max = 40) double count, @Between(min = 0, max = 1e9) double seed) {
        Random r = new Random((long) seed);
        List<Point> from = drawn(r, (int) count + 1);
        List<Point> to = drawn(r, (int) count + 1);
        RealMatrix a = new Array2DRowRealMatrix(from.size(), 3);
        RealMatrix b = new Array2DRowRealMatrix(from.size(), 2);
        for (int i = 0; i < from.size(); i++) {
            a.setRow(i, new double[] {from.get(i).x(), from.get(i).y(), 1});
            b.setRow(i, new double[] {to.get(i).x(), to.get(i).y()});
        }
        RealMatrix wanted = new SingularValueDecomposition(a).getSolver().solve(b);
        Matrix got = Fitted.between(from, to).orElseThrow();
        for (Point p : List.of(new Point(0, 0), new Point(1000, 0), new Point(300, 800))) {
            double x = p.x() * wanted.getEntry(0, 0) + p.y() * wanted.getEntry(1, 0) + wanted.getEntry(2, 0);
            double y = p.x() * wanted.getEntry(0, 1) + p.y() * wanted.getEntry(1, 1) + wanted.getEntry(2, 1);
            double size = 1 + Math.abs(x) + Math.abs(y);
            assertThat(got.apply(p).x()).isCloseTo(x, within(1e-6 * size));
            assertThat(got.apply(p).y()).isCloseTo(y, within(1e-6 * size));
        }
    }

    @Test
    void pointsOnALineMoveAndOthersThanBeforeSayNothing() {
        List<Point> line = List.of(new Point(0, 0), new Point(10, 10), new Point(20, 20));
        Matrix moved = Fitted.between(line, List.of(new Point(5, 0), new Point(15, 10), new Point(25, 20)))
                .orElseThrow();
        assertThat(moved).isEqualTo(Matrix.translate(5, 0));
        assertThat(Fitted.between(line, line.subList(0, 2))).isEmpty();
        assertThat(Fitted.between(List.of(), List.of())).isEmpty();
    }

    /** A blush that is moved and narrowed by its points keeps its light in its middle. */
    @Test
    void aGradientGoesWithTheOutlineItFills() {
        Paint.Gradient blush = new Paint.Gradient(
                true,
                new Matrix(60, 0, 0, 40, 300, 600),
                List.of(new GradientStop(0, "#d86050", 1), new GradientStop(1, "#d86050", 0)),
                Paint.Gradient.Spread.PAD,
                new Point(0, 0));
        Shape cheek =
                Shape.filled("cheek", Rigs.ellipse(300, 600, 60, 40), "#ffffff").withFill(blush);
        Artwork bent = Artwork.of(cheek).withOutlines(List.of(Rigs.ellipse(380, 590, 20, 40)));
        Matrix place = ((Paint.Gradient) bent.shapes().get(0).fill()).place();
        assertThat(place.apply(new Point(0, 0)).distance(new Point(380, 590))).isLessThan(1e-9);
        assertThat(place.apply(new Point(1, 0)).distance(new Point(400, 590))).isLessThan(1e-9);
        assertThat(place.apply(new Point(0, 1)).distance(new Point(380, 630))).isLessThan(1e-9);
        assertThat(Artwork.of(cheek).withOutlines(List.of(cheek.path())).shapes())
                .containsExactly(cheek);
    }
}
