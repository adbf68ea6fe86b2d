package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Areas of drawn art, whose edges nearly coincide wherever a line follows a fill. */
class RegionsTest {
    private static Geometry turned(Geometry g, double by) {
        AffineTransform t = AffineTransform.getRotateInstance(by, 500, 480);
        Geometry out = g.copy();
        out.apply((org.locationtech.jts.geom.CoordinateFilter) c -> {
            double[] at = {c.x, c.y};
            t.transform(at, 0, at, 0, 1);
            c.setX(at[0]);
            c.setY(at[1]);
        });
        out.geometryChanged();
        return out;
    }

    /** However little an outline is turned against itself, what both cover and what one alone covers make up the whole. */
    @Seeded(tries = 300)
    void nearlyEqualOutlinesAddUp(
            @Between(min = 1, max = 14) int small,
            @Between(min = 10, max = 140) int wide,
            @Between(min = 10, max = 140) int high) {
        Geometry a = Regions.of(Rigs.ellipse(500, 480, wide, high));
        Geometry b = turned(a, Math.pow(10, -small));
        double both = Regions.both(a, b).getArea();
        assertThat(both + Regions.without(a, b).getArea()).isCloseTo(a.getArea(), within(1e-6 * a.getArea()));
        assertThat(both + Regions.without(b, a).getArea()).isCloseTo(b.getArea(), within(1e-6 * a.getArea()));
        assertThat(Regions.either(a, b).getArea())
                .isCloseTo(a.getArea() + b.getArea() - both, within(1e-6 * a.getArea()));
    }

    @Test
    void linesCoverNothing() {
        GeometryFactory f = new GeometryFactory();
        Geometry area = Regions.of(Rigs.box(0, 0, 10, 10));
        Geometry line = f.createLineString(new Coordinate[] {new Coordinate(-5, 5), new Coordinate(15, 5)});
        Geometry mixed = f.createGeometryCollection(new Geometry[] {area, line});
        assertThat(Regions.without(mixed, Regions.of(Rigs.box(5, 0, 10, 10))).getArea())
                .isCloseTo(50, within(1e-9));
        assertThat(Regions.both(line, area).isEmpty()).isTrue();
        assertThat(Regions.all(List.of(area, mixed, line)).getArea()).isCloseTo(100, within(1e-9));
        assertThat(Regions.all(List.of()).getArea()).isZero();
    }

    /** A stroke to and fro, each way across all before it. */
    private static Path scribble(int strokes) {
        List<Segment> all = new ArrayList<>();
        all.add(new Segment.Move(new Point(0, 0)));
        for (int i = 1; i <= strokes; i++) {
            double angle = Math.PI * i * (1 - 0.37 / strokes);
            all.add(new Segment.Line(new Point(50 + 50 * Math.cos(angle), 50 + 50 * Math.sin(angle))));
        }
        all.add(new Segment.Close());
        return new Path(all);
    }

    @Test
    void aTangleCountsAsItsHullAndAFewCrossingsDoNot() {
        // 60 ways across a circle, which all cross each other near its middle
        Geometry tangled = Regions.of(scribble(60));
        assertThat(Regions.crossesItself(scribble(60))).isTrue();
        assertThat(tangled.equalsTopo(tangled.convexHull())).isTrue();
        // a bow tie: two triangles that meet in the middle, of a square's half
        Path tie = Path.of(
                new Segment.Move(new Point(0, 0)),
                new Segment.Line(new Point(100, 100)),
                new Segment.Line(new Point(100, 0)),
                new Segment.Line(new Point(0, 100)),
                new Segment.Close());
        assertThat(Regions.of(tie).getArea()).isLessThan(5_001).isPositive();
    }
}
