package app.leeward.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.art.Box;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.QuadCurve2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is traced against what was drawn: the pictures are painted by Java 2D, with soft edges. */
class TracerTest {
    private static final int SIZE = 240;

    private static List<Shape> traced(Consumer<Graphics2D> drawing) {
        return traced(SIZE, drawing);
    }

    private static List<Shape> traced(int size, Consumer<Graphics2D> drawing) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        drawing.accept(g);
        g.dispose();
        return Tracer.of(image::getRGB, size, size);
    }

    private static void lined(Graphics2D g, java.awt.Shape shape, int fill, int line, float width) {
        g.setColor(new Color(fill));
        g.fill(shape);
        stroke(g, shape, line, width);
    }

    private static void stroke(Graphics2D g, java.awt.Shape shape, int line, float width) {
        g.setColor(new Color(line));
        g.setStroke(new BasicStroke(width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(shape);
    }

    private static String fill(Shape s) {
        return s.fill() instanceof Paint.Flat f ? f.colour() : "none";
    }

    private static String line(Shape s) {
        return s.stroke().paint() instanceof Paint.Flat f ? f.colour() : "none";
    }

    private static double area(Shape s) {
        return Regions.of(s.path()).getArea();
    }

    static LongStream seeds() {
        return LongStream.range(0, 60);
    }

    /** A skin, a cup, an ear: an area with a line round it. */
    @ParameterizedTest
    @MethodSource("seeds")
    void anAreaWithALineHasBothColoursAndTheWidth(long seed) {
        Random r = new Random(seed);
        double w = 90 + r.nextInt(100);
        double h = 90 + r.nextInt(100);
        float width = 2.5f + 7 * r.nextFloat();
        int skin = Color.HSBtoRGB(r.nextFloat(), 0.3f + 0.6f * r.nextFloat(), 0.6f + 0.4f * r.nextFloat()) & 0xffffff;
        int ink = Color.HSBtoRGB(r.nextFloat(), 0.5f, 0.05f + 0.2f * r.nextFloat()) & 0xffffff;
        double x = 20 + r.nextDouble();
        double y = 20 + r.nextDouble();
        List<Shape> shapes = traced(g -> lined(g, new Ellipse2D.Double(x, y, w, h), skin, ink, width));
        assertThat(shapes).hasSize(1);
        Shape s = shapes.get(0);
        assertThat(fill(s)).isEqualTo(Tones.hex(skin));
        assertThat(line(s)).isEqualTo(Tones.hex(ink));
        assertThat(s.stroke().width()).isCloseTo(width, within(1.3));
        Box box = s.path().bounds().orElseThrow();
        assertThat(box.minX()).isCloseTo(x, within(2.0));
        assertThat(box.maxY()).isCloseTo(y + h, within(2.0));
        assertThat(area(s)).isCloseTo(Math.PI * w * h / 4, within(0.035 * w * h));
    }

    /** A brow, a nose, a mouth from ear to ear: one line along its middle. */
    @ParameterizedTest
    @MethodSource("seeds")
    void aStrokeIsALineAlongItsMiddle(long seed) {
        Random r = new Random(seed);
        float width = 3 + 8 * r.nextFloat();
        double bend = -60 + 120 * r.nextDouble();
        QuadCurve2D drawn = new QuadCurve2D.Double(30, 120, 120, 120 + bend, 210, 120);
        List<Shape> shapes = traced(g -> stroke(g, drawn, 0x2a2230, width));
        assertThat(shapes).hasSize(1);
        Shape s = shapes.get(0);
        assertThat(s.fill()).isEqualTo(Paint.NONE);
        assertThat(line(s)).isEqualTo("#2a2230");
        assertThat(s.stroke().width()).isCloseTo(width, within(1.2));
        for (Point p : s.path().sampled(8)) {
            double t = (p.x() - 30) / 180;
            assertThat(p.y()).isCloseTo(120 + 2 * t * (1 - t) * bend, within(2.0));
        }
        Box box = s.path().bounds().orElseThrow();
        assertThat(box.minX()).isCloseTo(30, within((double) width));
        assertThat(box.maxX()).isCloseTo(210, within((double) width));
    }

    /** What lies in a mouth is told apart, and the soft edges between are nothing of their own. */
    @Test
    void anOpenMouthHasAHoleTeethAndATongue() {
        Path2D hole = new Path2D.Double();
        hole.moveTo(40, 90);
        hole.quadTo(120, 80, 200, 90);
        hole.quadTo(190, 190, 120, 190);
        hole.quadTo(50, 190, 40, 90);
        Area teeth = new Area(new Rectangle2D.Double(60, 80, 120, 30));
        teeth.intersect(new Area(hole));
        Area tongue = new Area(new Ellipse2D.Double(80, 150, 80, 60));
        tongue.intersect(new Area(hole));
        List<Shape> shapes = traced(g -> {
            g.setColor(new Color(0x591a25));
            g.fill(hole);
            g.setColor(Color.WHITE);
            g.fill(teeth);
            g.setColor(new Color(0xcf5d6a));
            g.fill(tongue);
            stroke(g, hole, 0x2a2230, 6);
        });
        assertThat(shapes).extracting(TracerTest::fill).containsExactly("#591a25", "#ffffff", "#cf5d6a");
        assertThat(line(shapes.get(0))).isEqualTo("#2a2230");
        Box white = shapes.get(1).path().bounds().orElseThrow();
        assertThat(white.width()).isCloseTo(120, within(3.0));
        assertThat(white.centre().y()).isBetween(93.0, 103.0);
        assertThat(shapes.get(2).path().bounds().orElseThrow().centre().y()).isGreaterThan(160);
    }

    @Test
    void linesThatBranchAreOneForEach() {
        List<Shape> shapes = traced(g -> {
            stroke(g, new QuadCurve2D.Double(30, 120, 75, 180, 120, 120), 0x222222, 6);
            stroke(g, new QuadCurve2D.Double(120, 120, 165, 180, 210, 120), 0x222222, 6);
            stroke(g, new QuadCurve2D.Double(120, 120, 120, 90, 120, 60), 0x222222, 6);
        });
        assertThat(shapes).hasSizeBetween(2, 3).allMatch(s -> s.fill() instanceof Paint.None);
        double length = shapes.stream().mapToDouble(s -> s.path().length()).sum();
        assertThat(length).isCloseTo(2 * 117 + 60, within(25.0));
    }

    /** A crescent without a line is no stroke, and neither is a grin with one. */
    @Test
    void whatSwellsIsAnArea() {
        Area crescent = new Area(new Ellipse2D.Double(40, 40, 160, 160));
        crescent.subtract(new Area(new Ellipse2D.Double(40, 10, 160, 160)));
        assertThat(traced(g -> {
                    g.setColor(new Color(0xcc4455));
                    g.fill(crescent);
                }))
                .singleElement()
                .satisfies(s -> assertThat(fill(s)).isEqualTo("#cc4455"));
        assertThat(traced(g -> lined(g, crescent, 0xffffff, 0x2a2230, 5)))
                .first()
                .satisfies(s -> {
                    assertThat(fill(s)).isEqualTo("#ffffff");
                    assertThat(line(s)).isEqualTo("#2a2230");
                });
    }

    /** A thin line round a large picture is seen though few of its pixels are sharp and every second one is looked at. */
    @Test
    void aThinLineRoundALargePictureIsSeen() {
        assertThat(traced(1400, g -> lined(g, new Ellipse2D.Double(100, 100, 1200, 1200), 0xe39a4f, 0x2a2230, 7)))
                .singleElement()
                .satisfies(s -> {
                    assertThat(line(s)).isEqualTo("#2a2230");
                    assertThat(s.stroke().width()).isCloseTo(7, within(3.0));
                    assertThat(s.path().bounds().orElseThrow().width()).isCloseTo(1200, within(12.0));
                });
    }

    /** What is painted with many shades says one colour, and that not far off. */
    @Test
    void aPaintedPictureIsOneArea() {
        List<Shape> shapes = traced(g -> {
            g.setPaint(new GradientPaint(0, 0, new Color(0x204060), SIZE, SIZE, new Color(0xf0d0a0)));
            g.fill(new Ellipse2D.Double(20, 20, 200, 200));
        });
        assertThat(shapes).hasSize(1);
        assertThat(shapes.get(0).stroke().visible()).isFalse();
        Lab told = Lab.of(fill(shapes.get(0)));
        assertThat(told.l()).isBetween(25.0, 87.0);
    }

    /** Rouge is seen through, and has its own colour all the same. */
    @Test
    void whatIsSeenThroughSaysSo() {
        assertThat(traced(g -> {
                    g.setColor(new Color(0xe8, 0x80, 0x70, 102));
                    g.fill(new Ellipse2D.Double(40, 80, 160, 80));
                }))
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.opacity()).isCloseTo(0.4, within(0.01));
                    Lab told = Lab.of(fill(s));
                    assertThat(told.difference(Lab.of("#e88070"))).isLessThan(2);
                    assertThat(area(s)).isCloseTo(Math.PI * 80 * 40, within(300.0));
                });
    }

    @Test
    void nothingIsTracedOfNothing() {
        assertThat(traced(g -> {})).isEmpty();
        assertThat(Tracer.of((x, y) -> 0, 0, 0)).isEmpty();
    }

    /** Noise does not take for ever, nor say a hundred things. */
    @Test
    void noiseIsNotManyShapes() {
        Random r = new Random(7);
        int[] noise = r.ints(SIZE * SIZE).map(i -> i | 0xff000000).toArray();
        assertThat(Tracer.of((x, y) -> noise[y * SIZE + x], SIZE, SIZE)).hasSizeLessThanOrEqualTo(14);
    }
}
