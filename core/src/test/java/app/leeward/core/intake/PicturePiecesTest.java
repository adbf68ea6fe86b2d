package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Pictures that are taken to pieces lose nothing by it, and those that would are left whole. Areas by JTS. */
class PicturePiecesTest {
    private static final Path LEFT = Rigs.ellipse(40, 50, 20, 10);
    private static final Path RIGHT = Rigs.ellipse(140, 50, 20, 10);

    private static Shape picture(List<Path> seen, Shape... traced) {
        List<Segment> all = new ArrayList<>();
        seen.forEach(p -> all.addAll(p.segments()));
        Paint fill =
                new Paint.Picture("0".repeat(64), 180, 100, Matrix.translate(300, 200), "#804020", List.of(traced));
        Path path = new Path(all).transform(Matrix.translate(300, 200));
        return new Shape("cheeks", ShapeRole.OTHER, path, fill, FillRule.EVENODD, Stroke.NONE, 1, false);
    }

    private static List<LayerReading.Found> found(Shape s) {
        Drawing drawing = new Drawing("cheeks", "cheeks", Artwork.of(s));
        return new ArrayList<>(List.of(
                LayerReading.Found.shown(PartRole.CHEEK, Side.NONE, Optional.empty(), Optional.empty(), drawing)));
    }

    private static List<Shape> shapes(List<LayerReading.Found> found) {
        return found.get(0).drawings.get(0).art().shapes();
    }

    private static Shape area(Path path, double opacity) {
        Shape s = Shape.filled("", path, "#804020");
        return new Shape("", s.role(), path, s.fill(), s.rule(), s.stroke(), opacity, false);
    }

    @Test
    void whatNothingIsTakenFromIsPutBack() {
        Shape both = picture(List.of(LEFT, RIGHT), area(LEFT, 1), area(RIGHT, 1));
        List<LayerReading.Found> found = found(both);
        PicturePieces pieces = PicturePieces.open(found);
        assertThat(shapes(found)).hasSize(2);
        pieces.close(found);
        assertThat(shapes(found)).containsExactly(both);
    }

    /** A piece takes along what lies nearer to it than to the others: soft edges and specks too small to be traced. */
    @Test
    void halvesTogetherShowAllThereIs() {
        Path speck = Rigs.ellipse(72, 50, 1, 1);
        List<LayerReading.Found> found = found(picture(List.of(LEFT, RIGHT, speck), area(LEFT, 1), area(RIGHT, 1)));
        PicturePieces pieces = PicturePieces.open(found);
        Shape left = shapes(found).get(0);
        found.get(0).drawings.set(0, new Drawing("left", "left", Artwork.of(left)));
        pieces.close(found);
        assertThat(shapes(found)).hasSize(1);
        Path cut = shapes(found).get(0).clips().get(0).path();
        Path there = speck.transform(Matrix.translate(300, 200));
        assertThat(Regions.without(Regions.of(there), Regions.of(cut)).getArea())
                .as("of the speck is lost")
                .isLessThan(1e-6);
        assertThat(Regions.both(Regions.of(cut), Regions.of(RIGHT.transform(Matrix.translate(300, 200))))
                        .getArea())
                .as("of the other half")
                .isLessThan(1e-6);
    }

    @Test
    void aPictureThatWouldLoseSomethingIsLeftWhole() {
        Path far = Rigs.ellipse(90, 90, 5, 5);
        Path further = Rigs.ellipse(170, 5, 5, 4);
        Shape more = picture(List.of(LEFT, Rigs.ellipse(62, 50, 20, 10), far, further), area(LEFT, 1), area(far, 1));
        List<LayerReading.Found> found = found(more);
        PicturePieces.open(found);
        assertThat(shapes(found)).as("a piece that was not traced").containsExactly(more);
        Shape through = picture(List.of(LEFT), area(LEFT, 0.4), area(Rigs.ellipse(40, 50, 4, 4), 0.4));
        List<LayerReading.Found> other = found(through);
        PicturePieces.open(other);
        assertThat(shapes(other))
                .as("what is seen through cannot be filled under")
                .containsExactly(through);
    }
}
