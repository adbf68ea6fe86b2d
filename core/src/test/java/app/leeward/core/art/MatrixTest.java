package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import org.junit.jupiter.api.Test;

/** Against java.awt.geom.AffineTransform of the JDK, which this project did not make. */
class MatrixTest {
    @Seeded
    void productsAgreeWithTheJdk(
            @Between(min = -500, max = 500) double x,
            @Between(min = -500, max = 500) double y,
            @Between(min = -360, max = 360) double turn,
            @Between(min = -3, max = 3) double sx,
            @Between(min = -80, max = 80) double skew) {
        Matrix ours = Matrix.translate(x, y)
                .times(Matrix.rotate(turn))
                .times(Matrix.skewX(skew))
                .times(Matrix.scale(sx, 1.5));
        AffineTransform theirs = AffineTransform.getTranslateInstance(x, y);
        theirs.rotate(Math.toRadians(turn));
        theirs.shear(Math.tan(Math.toRadians(skew)), 0);
        theirs.scale(sx, 1.5);
        Point2D expected = theirs.transform(new Point2D.Double(7, -11), null);
        Point at = ours.apply(new Point(7, -11));
        assertThat(at.x()).isCloseTo(expected.getX(), within(1e-7));
        assertThat(at.y()).isCloseTo(expected.getY(), within(1e-7));
    }

    @Seeded
    void anInverseUndoes(
            @Between(min = -500, max = 500) double x,
            @Between(min = -360, max = 360) double turn,
            @Between(min = 0.05, max = 4) double s) {
        Matrix m = Matrix.translate(x, 3).times(Matrix.rotate(turn)).times(Matrix.scale(s, -2 * s));
        Point back = m.inverse().apply(m.apply(new Point(12, 34)));
        assertThat(back.distance(new Point(12, 34))).isLessThan(1e-6);
    }

    @Seeded
    void mirroringTwiceIsExact(@Between(min = -500, max = 500) double axis) {
        Point p = new Point(axis + 12.5, 8);
        Matrix mirror = Matrix.mirror(axis);
        assertThat(mirror.apply(p).x()).isCloseTo(axis - 12.5, within(1e-9));
        assertThat(mirror.apply(mirror.apply(p)).distance(p)).isLessThan(1e-9);
    }

    @Test
    void refusesWhatCannotBeComputedWith() {
        assertThatThrownBy(() -> new Matrix(1, 0, 0, Double.NaN, 0, 0)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> Matrix.scale(0, 1).inverse()).hasMessageContaining("flattens");
    }

    @Test
    void writesSvgNotationWithoutExponents() {
        assertThat(new Matrix(1e-5, 0, 0, 1, 1e7, -0.00001).toSvg()).isEqualTo("matrix(0.00001 0 0 1 10000000 0)");
    }
}
