package app.leeward.formats.art;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;

/** Shapes without their clips. Areas by JTS, on flattened curves. */
class SeenShapesTest {
    private static Path path(String data) {
        return PathReader.read(data).path();
    }

    private static final Path HEAD = path(
            "M0 -120 C70 -120 110 -60 100 10 C90 90 40 130 0 130 C-40 130 -90 90 -100 10 C-110 -60 -70 -120 0 -120 Z");
    private static final Clip TO_HEAD = new Clip(HEAD, FillRule.NONZERO);

    private static Shape filled(Path path) {
        return Shape.filled("shade", path, "#884422");
    }

    private static Shape clipped(Shape s) {
        return s.cutBy(List.of(TO_HEAD));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void aFillEndsAtTheEdgeOfItsClipAndStaysACurve(long seed) {
        Random r = new Random(seed);
        Path blob = HEAD.transform(Matrix.translate(r.nextDouble() * 120 - 60, r.nextDouble() * 120 - 60)
                .times(Matrix.rotate(360 * r.nextDouble()))
                .times(Matrix.scale(0.4 + r.nextDouble(), 0.4 + r.nextDouble())));
        List<Shape> seen = SeenShapes.of(clipped(filled(blob)));
        assertThat(seen).hasSize(1);
        assertThat(seen.get(0).clips()).isEmpty();
        Geometry wanted = Regions.both(Regions.of(blob), Regions.of(HEAD));
        Geometry got = Regions.of(seen.get(0).path());
        assertThat(wanted.symDifference(got).getArea()).as("seed %d", seed).isLessThan(0.002 * wanted.getArea());
        assertThat(seen.get(0).path().segments().stream().filter(Segment.Cubic.class::isInstance))
                .hasSizeBetween(2, 24);
        assertThat(seen.get(0).path().segments().stream().filter(Segment.Line.class::isInstance))
                .hasSizeLessThan(3);
    }

    @Test
    void aClipThatHidesNothingGoesAndWhatItHidesWhollyGoesWithIt() {
        Shape dot = clipped(
                Shape.filled("dot", path("M-10 -10 H10 V10 H-10 Z"), "#000000").painted("#000000", "#ffffff", 3));
        assertThat(SeenShapes.of(dot)).containsExactly(dot.withClips(List.of()));
        assertThat(SeenShapes.of(clipped(filled(path("M300 0 H320 V20 Z"))))).isEmpty();
    }

    /** The whole line within, the fill cut; and the line cut as well. */
    @Test
    void aLineThatIsCutBecomesTheAreaItCovers() {
        Path strand = path("M-200 0 C-80 -60 80 60 200 0");
        Stroke pen = new Stroke(Paint.flat("#111111"), 8, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        Shape line = new Shape("strand", ShapeRole.OTHER, strand, Paint.NONE, FillRule.NONZERO, pen, 1, false);
        List<Shape> seen = SeenShapes.of(clipped(line));
        assertThat(seen).hasSize(1);
        assertThat(seen.get(0).stroke().visible()).isFalse();
        assertThat(seen.get(0).fill()).isEqualTo(Paint.flat("#111111"));
        assertThat(Regions.of(seen.get(0).path()).getArea())
                .isCloseTo(
                        Regions.both(Regions.along(strand, 8), Regions.of(HEAD)).getArea(), within(20.0));
        Shape both = clipped(filled(path("M-20 0 H20 V200 H-20 Z")).painted("#884422", "#111111", 6));
        List<Shape> parts = SeenShapes.of(both);
        assertThat(parts).extracting(Shape::fill).containsExactly(Paint.flat("#884422"), Paint.flat("#111111"));
        Geometry fill = Regions.of(parts.get(0).path());
        assertThat(fill.getArea())
                .isCloseTo(
                        Regions.both(Regions.of(both.path()), Regions.of(HEAD)).getArea(), within(1.0));
        assertThat(Regions.without(Regions.of(parts.get(1).path()), Regions.of(HEAD))
                        .getArea())
                .isLessThan(0.5);
    }

    /** Each clip cuts; a ring's hole is cut out as well. */
    @Test
    void clipsCutOneAfterTheOther() {
        Clip ring = new Clip(path("M-80 -80 H80 V80 H-80 Z M-40 -40 H40 V40 H-40 Z"), FillRule.EVENODD);
        Clip right = new Clip(path("M0 -200 H200 V200 H0 Z"), FillRule.NONZERO);
        Shape s = filled(path("M-300 -300 H300 V300 H-300 Z")).cutBy(List.of(ring, right));
        Shape seen = SeenShapes.of(s).get(0);
        assertThat(Regions.of(seen.path()).getArea()).isCloseTo((160 * 160 - 80 * 80) / 2.0, within(0.01));
    }

    /** Cut apart, a half clear line would show the fill beneath it. */
    @Test
    void whatIsSeenThroughWithItsLineKeepsItsClip() {
        Shape pane = clipped(filled(path("M-20 0 H20 V200 H-20 Z")).painted("#884422", "#111111", 6));
        Shape clear = new Shape(
                pane.name(),
                pane.role(),
                pane.path(),
                pane.fill(),
                pane.rule(),
                pane.stroke(),
                0.5,
                false,
                pane.clips());
        assertThat(SeenShapes.of(clear)).containsExactly(clear);
    }
}
