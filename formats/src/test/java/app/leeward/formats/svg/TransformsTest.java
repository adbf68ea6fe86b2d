package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Point;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Against java.awt.geom.AffineTransform. */
class TransformsTest {
    private static void same(String list, AffineTransform expected) {
        Point at = Transforms.parse(list).orElseThrow().apply(new Point(3, -7));
        Point2D theirs = expected.transform(new Point2D.Double(3, -7), null);
        assertThat(at.x()).as(list).isCloseTo(theirs.getX(), within(1e-9));
        assertThat(at.y()).as(list).isCloseTo(theirs.getY(), within(1e-9));
    }

    @Test
    void everyKindAloneAndInARow() {
        same("translate(12345.678)", AffineTransform.getTranslateInstance(12345.678, 0));
        same("scale(2)", AffineTransform.getScaleInstance(2, 2));
        same("rotate(30, 5 6)", AffineTransform.getRotateInstance(Math.toRadians(30), 5, 6));
        same("skewX(20)", AffineTransform.getShearInstance(Math.tan(Math.toRadians(20)), 0));
        same("skewY(-20)", AffineTransform.getShearInstance(0, Math.tan(Math.toRadians(-20))));
        same("matrix(1 2,3-4 5 6)", new AffineTransform(1, 2, 3, -4, 5, 6));
        AffineTransform row = AffineTransform.getTranslateInstance(10, 20);
        row.rotate(Math.toRadians(45));
        row.scale(0.5, 3);
        same(" translate(10 20) rotate(45),scale(.5 3) ", row);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "spin(3)",
                "rotate(1 2)",
                "scale()",
                "scale(x)",
                "translate(1 2",
                "rotate(3)) scale(2)",
                "matrix(1 2 3 4 5)",
                "scale(1e999)"
            })
    void whatIsWrongIsNotGuessedAt(String list) {
        assertThat(Transforms.parse(list)).isEmpty();
    }
}
