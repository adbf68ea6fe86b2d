package app.leeward.core.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A picture cut into triangles shows what it showed, and each triangle carries its pixels where its corners go. */
class PictureMeshTest {
    private static final Paint.Picture PICTURE =
            new Paint.Picture("0".repeat(64), 200, 160, new Matrix(0.5, 0, 0, 0.5, 100, 40), "#336699", List.of());

    private static final Artwork ART = new Artwork(List.of(new Shape(
            "skin", ShapeRole.OTHER, Rigs.ellipse(150, 80, 45, 36), PICTURE, FillRule.NONZERO, Stroke.NONE, 1, false)));

    private static final Artwork MESH = PictureMesh.of(ART);

    @Test
    void theTrianglesTogetherCoverWhatIsSeenAndLittleMore() {
        Artwork mesh = MESH;
        assertThat(mesh.shapes()).hasSizeBetween(60, 260).allSatisfy(s -> {
            assertThat(s.path().points()).hasSize(3);
            assertThat(((Paint.Patch) s.fill()).placeIn(s.path()).apply(new Point(7, 9)))
                    .satisfies(p -> assertThat(p.distance(PICTURE.place().apply(new Point(7, 9))))
                            .isLessThan(1e-6));
        });
        double seen = Regions.of(ART.shapes().get(0).path()).getArea();
        var covered = Regions.ofFills(mesh.shapes());
        assertThat(Regions.without(Regions.of(ART.shapes().get(0).path()), covered)
                        .getArea())
                .isLessThan(1e-3 * seen);
        assertThat(covered.getArea()).isLessThan(1.1 * seen);
        assertThat(PictureMesh.cuts(mesh)).as("cut once it is cut").isFalse();
        assertThat(PictureMesh.of(mesh)).isEqualTo(mesh);
        Shape s = ART.shapes().get(0);
        Artwork through = new Artwork(List.of(
                new Shape(s.name(), s.role(), s.path(), s.fill(), s.rule(), s.stroke(), 0.8, s.masked(), s.clips())));
        assertThat(PictureMesh.cuts(through)).as("seen through").isFalse();
        assertThat(PictureMesh.of(through)).isEqualTo(through);
        Artwork mixed = new Artwork(List.of(s, Shape.filled("dot", Rigs.ellipse(150, 80, 4, 4), "#000000")));
        assertThat(PictureMesh.of(mixed)).as("a shape after it keeps its place").isEqualTo(mixed);
    }

    /** A line of 6 pixels, 3 units, round the picture: every corner lies on its outer edge or at its inner one and beyond, none in it. */
    @Test
    void aLineRoundAPictureHasCornersOnBothSides() {
        Shape area = Shape.filled("", Rigs.ellipse(100, 80, 87, 69), "#c98a5e").painted("#c98a5e", "#2a2230", 6);
        Artwork lined = new Artwork(List.of(ART.shapes().get(0).withFill(PICTURE.withTraced(List.of(area)))));
        Artwork mesh = PictureMesh.of(lined);
        var edge = Regions.of(ART.shapes().get(0).path());
        var inner = edge.buffer(-3);
        double covered = Regions.ofFills(mesh.shapes()).getArea();
        assertThat(covered).isBetween(edge.getArea(), 1.1 * edge.getArea());
        List<Point> corners = mesh.shapes().stream()
                .flatMap(t -> t.path().points().stream())
                .distinct()
                .toList();
        assertThat(corners.stream().filter(p -> holds(inner, p)).count()).isGreaterThan(20);
        assertThat(corners.stream()
                        .filter(p -> holds(edge.buffer(-0.6), p) && !holds(edge.buffer(-2.6), p))
                        .count())
                .as("corners within the line, where a square ends at it")
                .isLessThanOrEqualTo(corners.size() / 6);
        assertThat(mesh.inShapes().shapes())
                .as("what it shows is told once")
                .containsExactly(area.transform(PICTURE.place()).withName("skin"));
    }

    private static boolean holds(org.locationtech.jts.geom.Geometry area, Point p) {
        return area.contains(area.getFactory().createPoint(new org.locationtech.jts.geom.Coordinate(p.x(), p.y())));
    }

    /** Rouge is painted see-through in its pixels: its triangles would be seen twice where they lie over one another. */
    @Test
    void whatIsSeenThroughInItsPixelsStaysWhole() {
        Shape faint = Shape.filled("", Rigs.ellipse(100, 80, 87, 69), "#e88070");
        Shape through =
                new Shape("", faint.role(), faint.path(), faint.fill(), faint.rule(), faint.stroke(), 0.4, false);
        Artwork rouge = new Artwork(List.of(ART.shapes().get(0).withFill(PICTURE.withTraced(List.of(through)))));
        assertThat(PictureMesh.cuts(rouge)).isFalse();
        assertThat(rouge.inShapes().shapes().get(0).opacity()).isEqualTo(0.4);
    }

    /** Moved as a whole by an affine map, every triangle shows the picture where the map takes it. */
    @Seeded
    void aTriangleCarriesItsPixelsWhereItsCornersGo(
            @Between(min = 0.4, max = 2) double wide,
            @Between(min = -0.6, max = 0.6) double slant,
            @Between(min = -90, max = 90) double turn) {
        Matrix move = Matrix.rotate(turn).times(new Matrix(wide, 0, slant, 1, 12, -5));
        for (Shape s : MESH.shapes()) {
            Matrix there = ((Paint.Patch) s.fill()).placeIn(s.path().transform(move));
            Point p = new Point(31, 77);
            assertThat(there.apply(p).distance(move.times(PICTURE.place()).apply(p)))
                    .isLessThan(1e-6);
            // and a drawing that is moved itself takes the corners along
            Shape moved = s.transform(move);
            Matrix still = ((Paint.Patch) moved.fill()).placeIn(moved.path());
            assertThat(still.apply(p).distance(there.apply(p))).isLessThan(1e-6);
        }
    }

    @Test
    void threePointsTellAnAffineMapAndAPatchHasThreeCorners() {
        Matrix m = new Matrix(2, 1, -1, 3, 5, 7);
        List<Point> from = List.of(new Point(0, 0), new Point(4, 1), new Point(-2, 3));
        Matrix found =
                PictureMesh.between(from, from.stream().map(m::apply).toList()).orElseThrow();
        assertThat(found.a()).isCloseTo(2, within(1e-12));
        assertThat(found.f()).isCloseTo(7, within(1e-12));
        assertThat(PictureMesh.between(List.of(new Point(0, 0), new Point(1, 1), new Point(2, 2)), from))
                .isEmpty();
        assertThatThrownBy(() -> new Paint.Patch(PICTURE, from.subList(0, 2))).hasMessageContaining("three corners");
    }
}
