package app.leeward.render;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Controls;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Library;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Rig;
import app.leeward.core.rig.Sheet;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Voice;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What every painter does alike. Pixels are read back by the JDK's ImageIO. */
abstract class PainterContract {
    abstract FramePainter painter(Character c, int width);

    private static Path box(double x, double y, double w, double h) {
        return Path.of(
                new Segment.Move(new Point(x, y)),
                new Segment.Line(new Point(x + w, y)),
                new Segment.Line(new Point(x + w, y + h)),
                new Segment.Line(new Point(x, y + h)),
                new Segment.Close());
    }

    private static Part part(String id, Shape... shapes) {
        Drawing d = new Drawing("d", "d", Artwork.of(shapes));
        return new Part(
                id, id, PartRole.OTHER, Side.NONE, Optional.empty(), new Point(0, 0), Placement.REST, List.of(d), "d");
    }

    private static Frame.Placed placed(String part, Matrix m, double opacity, String... windows) {
        return new Frame.Placed(part, "d", m, opacity, List.of(windows));
    }

    private BufferedImage draw(int width, List<Part> parts, Frame.Placed... placed) throws IOException {
        Character c = new Character(
                "Test",
                new Sheet(new Canvas(100, 50), 24, List.of(), null),
                new Rig(parts, parts.stream().map(Part::id).toList(), List.of(), List.of()),
                Controls.NONE,
                Library.EMPTY,
                Voice.NONE,
                Origin.NONE);
        byte[] png = painter(c, width).png(new Frame(List.of(placed)));
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    private static final Part RED = part("red", Shape.filled("", box(10, 10, 30, 30), "#ff0000"));
    private static final Part BLUE = part("blue", Shape.filled("", box(20, 20, 60, 25), "#0000ff"));

    @Test
    void drawsBackToFrontAtAnySizeOnAClearGround() throws IOException {
        BufferedImage image =
                draw(200, List.of(RED, BLUE), placed("red", Matrix.IDENTITY, 1), placed("blue", Matrix.IDENTITY, 1));
        assertThat(image.getWidth()).isEqualTo(200);
        assertThat(image.getHeight()).isEqualTo(100);
        assertThat(image.getRGB(30, 30)).isEqualTo(0xFFFF0000);
        assertThat(image.getRGB(60, 60)).as("the front one").isEqualTo(0xFF0000FF);
        assertThat(image.getRGB(190, 5)).isZero();
    }

    @Test
    void masksByTheMovedFillOfTheWindow() throws IOException {
        BufferedImage image = draw(
                100,
                List.of(RED, BLUE),
                placed("red", Matrix.translate(10, 0), 1),
                placed("blue", Matrix.IDENTITY, 1, "red"));
        assertThat(image.getRGB(45, 30)).as("inside the window").isEqualTo(0xFF0000FF);
        assertThat(image.getRGB(60, 30)).as("outside of it").isZero();
    }

    @Test
    void aWindowOfSeveralShapesIsAllOfThemWhicheverWayRoundTheyAreDrawn() throws IOException {
        Path back = Path.of(
                new Segment.Move(new Point(20, 10)),
                new Segment.Line(new Point(20, 40)),
                new Segment.Line(new Point(60, 40)),
                new Segment.Line(new Point(60, 10)),
                new Segment.Close());
        Part two = part("two", Shape.filled("", box(10, 10, 30, 30), "#ff0000"), Shape.filled("", back, "#00ff00"));
        BufferedImage image = draw(
                100, List.of(two, BLUE), placed("two", Matrix.IDENTITY, 1), placed("blue", Matrix.IDENTITY, 1, "two"));
        assertThat(image.getRGB(30, 30)).as("where both lie").isEqualTo(0xFF0000FF);
        assertThat(image.getRGB(50, 30)).as("where one lies").isEqualTo(0xFF0000FF);
        assertThat(image.getRGB(70, 30)).as("outside of both").isZero();
        BufferedImage past = draw(
                100, List.of(two, BLUE), placed("two", Matrix.IDENTITY, 1), cut("blue", List.of("two"), List.of(), 1));
        assertThat(past.getRGB(30, 30)).as("where both lie").isEqualTo(0xFF00FF00);
        assertThat(past.getRGB(70, 30)).as("past both").isEqualTo(0xFF0000FF);
    }

    private static Frame.Placed cut(String part, List<String> outside, List<String> behind, double opacity) {
        return new Frame.Placed(part, "d", Matrix.IDENTITY, opacity, List.of(), outside, behind, List.of());
    }

    @Test
    void whatShowsPastAnEdgeIsNotSeenOnTheFillWhateverLiesOver() throws IOException {
        BufferedImage image = draw(
                100,
                List.of(RED, BLUE),
                placed("red", Matrix.translate(10, 0), 1),
                cut("blue", List.of("red"), List.of(), 1));
        assertThat(image.getRGB(45, 30)).as("on the moved fill").isEqualTo(0xFFFF0000);
        assertThat(image.getRGB(60, 30)).as("past its edge").isEqualTo(0xFF0000FF);
    }

    /** The fingers are a box from 20 to 40 with a line 4 wide: they hide 18 to 42 of what is held, and nothing else does. */
    @Test
    void whatIsHeldLiesBehindTheFingersLineIncludedAndBeforeThePalm() throws IOException {
        Stroke line = new Stroke(Paint.flat("#00ff00"), 4, Stroke.Cap.BUTT, Stroke.Join.MITER, 4);
        Shape palm = Shape.filled("", box(0, 10, 100, 30), "#ff0000");
        Shape fingers = new Shape(
                "", ShapeRole.FINGERS, box(20, 15, 20, 20), Paint.flat("#ffff00"), FillRule.NONZERO, line, 1, false);
        Part hand = part("hand", palm, fingers);
        Part held = part("held", Shape.filled("", box(10, 20, 60, 10), "#0000ff"));
        for (double opacity : new double[] {1, 0.5}) {
            BufferedImage image = draw(
                    100,
                    List.of(hand, held),
                    placed("hand", Matrix.IDENTITY, 1),
                    cut("held", List.of(), List.of("hand"), opacity));
            int seen = opacity == 1 ? 0xFF0000FF : image.getRGB(60, 25);
            assertThat(image.getRGB(30, 25)).as("finger").isEqualTo(0xFFFFFF00);
            assertThat(image.getRGB(41, 25)).as("the finger's line").isEqualTo(0xFF00FF00);
            assertThat(image.getRGB(43, 25)).as("just past it").isEqualTo(seen);
            assertThat(image.getRGB(15, 25)).as("before the palm").isEqualTo(seen);
            assertThat(image.getRGB(80, 25)).as("the palm alone").isEqualTo(0xFFFF0000);
            assertThat(seen).isNotEqualTo(0xFFFF0000);
        }
    }

    @Test
    void opacityIsOfThePartAsAWhole() throws IOException {
        Part two = part(
                "two", Shape.filled("", box(0, 0, 40, 40), "#00ff00"), Shape.filled("", box(0, 0, 40, 40), "#00ff00"));
        BufferedImage image = draw(100, List.of(two), placed("two", Matrix.IDENTITY, 0.5));
        assertThat(image.getRGB(20, 20) >>> 24)
                .as("two layers of one part do not add up")
                .isBetween(126, 129);
        assertThat(draw(100, List.of(two), placed("two", Matrix.IDENTITY, 0)).getRGB(20, 20))
                .isZero();
    }

    @Test
    void aDrawingsOwnWindowMasksWhatLiesBehindItOnly() throws IOException {
        Shape window = Shape.filled("", box(10, 10, 20, 20), "#111111").withRole(ShapeRole.WINDOW, false);
        Shape tongue = Shape.filled("", box(0, 0, 60, 40), "#ff8888").withRole(ShapeRole.TONGUE, true);
        Shape front = Shape.filled("", box(40, 0, 10, 10), "#ffffff").withRole(ShapeRole.UPPER_TEETH, false);
        BufferedImage image =
                draw(100, List.of(part("mouth", window, tongue, front)), placed("mouth", Matrix.IDENTITY, 1));
        assertThat(image.getRGB(20, 20)).isEqualTo(0xFFFF8888);
        assertThat(image.getRGB(35, 30)).as("tongue outside the window").isZero();
        assertThat(image.getRGB(45, 5)).as("teeth in front").isEqualTo(0xFFFFFFFF);
    }

    @Test
    void linesAreAsWideAsTheirWidthTimesTheScale() throws IOException {
        Stroke stroke = new Stroke(Paint.flat("#000000"), 10, Stroke.Cap.BUTT, Stroke.Join.ROUND, 4);
        Path across = Path.of(new Segment.Move(new Point(0, 25)), new Segment.Line(new Point(100, 25)));
        Shape line = new Shape("", ShapeRole.OTHER, across, Paint.NONE, FillRule.NONZERO, stroke, 1, false);
        BufferedImage image = draw(200, List.of(part("line", line)), placed("line", Matrix.IDENTITY, 1));
        int black = 0;
        for (int y = 0; y < 100; y++) {
            black += image.getRGB(100, y) == 0xFF000000 ? 1 : 0;
        }
        assertThat(black).isEqualTo(20);
    }
}
