package app.leeward.core.morph;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Box;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathPoints;
import app.leeward.core.art.PathTest;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Truth here is how the second outline was made of the first; whether they look as before is judged by Java 2D. */
class MatchedPointsTest {
    private static final double SIZE = 100;

    @Seeded(tries = 150)
    void theSameOutlineWithOtherPointsIsFoundPointByPoint(
            @Between(min = 3, max = 14) int knots,
            @Between(min = -30, max = 30) double turned,
            @Between(min = 0.5, max = 2) double scale,
            boolean backwards,
            Random random) {
        Path drawn = star(knots, random);
        Matrix moved = Matrix.translate(37, -12).times(Matrix.rotate(turned)).times(Matrix.scale(scale, scale));
        Path redrawn = cut(drawn.transform(moved), random.nextInt(6), random);
        redrawn = begunAt(random.nextInt(knots), redrawn);
        redrawn = backwards ? reversed(redrawn) : redrawn;
        MatchedPoints matched = MatchedPoints.of(drawn, redrawn).orElseThrow();
        Path from = matched.from().of(drawn);
        Path to = matched.to().of(redrawn);
        assertThat(from.steppedLike(to)).isTrue();
        assertSamePicture(from, drawn);
        assertSamePicture(to, redrawn);
        List<Point> a = from.transform(moved).points();
        List<Point> b = to.points();
        for (int i = 0; i < a.size(); i++) {
            assertThat(a.get(i).distance(b.get(i)))
                    .as("point %d of %d", i, a.size())
                    .isLessThan(0.01 * SIZE * scale);
        }
    }

    /** Whatever the two are, they get the same points and keep their looks, and doing it again finds nothing to do. */
    @Seeded(tries = 150)
    void anyTwoOutlinesGetTheSamePointsAndKeepTheirLooks(
            @Between(min = 1, max = 20) int knots,
            @Between(min = 1, max = 20) int others,
            boolean open,
            Random random) {
        Path a = open ? stroke(knots, random) : star(knots, random);
        Path b = open ? stroke(others, random) : star(others, random);
        MatchedPoints matched = MatchedPoints.of(a, b).orElseThrow();
        Path from = matched.from().of(a);
        Path to = matched.to().of(b);
        assertThat(from.steppedLike(to)).isTrue();
        assertThat(from.segments().size())
                .isLessThanOrEqualTo(a.segments().size() + b.segments().size());
        assertSamePicture(from, a);
        assertSamePicture(to, b);
        assertThat(from.points().get(0))
                .as("the first one begins where it began")
                .isEqualTo(a.points().get(0));
    }

    /** A rewriting is linear: an outline that was moved point by point is the moved one of what was rewritten. */
    @Seeded(tries = 100)
    void whatDialsDoToPointsGoesAlong(@Between(min = 3, max = 12) int knots, Random random) {
        Path a = star(knots, random);
        Path b = star(3 + random.nextInt(10), random);
        MatchedPoints matched = MatchedPoints.of(a, b).orElseThrow();
        Path one = pulled(a, random);
        Path two = pulled(b, random);
        assertSamePicture(matched.from().of(one), one);
        assertSamePicture(matched.to().of(two), two);
    }

    @Test
    void holesGoWithHolesWhateverTheOrderTheyAreDrawnIn() {
        Path ring = joined(Rigs.ellipse(0, 0, 50, 40), Rigs.ellipse(10, 0, 20, 10));
        Path other = joined(Rigs.ellipse(8, 4, 16, 12), Rigs.box(-50, -40, 100, 80));
        MatchedPoints matched = MatchedPoints.of(ring, other).orElseThrow();
        Path from = matched.from().of(ring);
        Path to = matched.to().of(other);
        assertThat(from.steppedLike(to)).isTrue();
        Path half = from.towards(to, 0.5);
        assertThat(half.subPaths().get(0).bounds().orElseThrow().width()).isBetween(95.0, 101.0);
        assertThat(half.subPaths().get(1).bounds().orElseThrow().width()).isBetween(30.0, 40.0);
    }

    /** Corners go to corners: a square halfway to the same square, begun elsewhere and with points on its sides, is that square. */
    @Test
    void cornersGoToCorners() {
        Path square = Rigs.box(0, 0, 100, 100);
        Path other = Rigs.path("M50 0 L100 0 L100 30 L100 100 L60 100 L0 100 L0 0 Z");
        MatchedPoints matched = MatchedPoints.of(square, other).orElseThrow();
        Path half = matched.from().of(square).towards(matched.to().of(other), 0.5);
        assertSamePicture(half, square);
    }

    @Test
    void whatIsNotOfOneKindIsLeft() {
        Path closed = Rigs.ellipse(0, 0, 50, 40);
        Path line = Rigs.path("M0 0 L100 10");
        assertThat(MatchedPoints.of(closed, line)).isEmpty();
        assertThat(MatchedPoints.of(closed, joined(closed, Rigs.ellipse(0, 0, 10, 10))))
                .isEmpty();
        assertThat(MatchedPoints.of(line, Rigs.path("M5 5 L5 5")))
                .as("no length")
                .isEmpty();
        assertThat(MatchedPoints.of(line, new Path(List.of()))).isEmpty();
    }

    private static Path joined(Path a, Path b) {
        List<Segment> all = new ArrayList<>(a.segments());
        all.addAll(b.segments());
        return new Path(all);
    }

    /** The outline about a middle, some of its steps lines and some curves. */
    private static Path star(int knots, Random random) {
        List<Point> at = new ArrayList<>();
        for (int i = 0; i < knots; i++) {
            double angle = 2 * Math.PI * (i + 0.6 * random.nextDouble()) / knots;
            double far = SIZE * (0.5 + 0.5 * random.nextDouble());
            at.add(new Point(far * Math.cos(angle), far * Math.sin(angle)));
        }
        List<Segment> out = new ArrayList<>();
        out.add(new Segment.Move(at.get(0)));
        for (int i = 1; i <= knots; i++) {
            out.add(step(at.get(i - 1), at.get(i % knots), i == knots, random));
        }
        out.add(new Segment.Close());
        return new Path(out);
    }

    private static Path stroke(int knots, Random random) {
        List<Segment> out = new ArrayList<>();
        Point before = new Point(-SIZE, random.nextGaussian() * 10);
        out.add(new Segment.Move(before));
        for (int i = 1; i <= knots; i++) {
            Point next = new Point(SIZE * (2.0 * i / knots - 1), random.nextGaussian() * 30);
            out.add(step(before, next, true, random));
            before = next;
        }
        return new Path(out);
    }

    private static Segment step(Point from, Point to, boolean curved, Random random) {
        if (!curved && random.nextBoolean()) {
            return new Segment.Line(to);
        }
        double bow = 8 * random.nextGaussian();
        return new Segment.Cubic(
                from.towards(to, 0.3).plus(new Point(bow, bow)),
                from.towards(to, 0.7).plus(new Point(bow, -bow)),
                to);
    }

    private static Path cut(Path path, int cuts, Random random) {
        Path out = path;
        for (int i = 0; i < cuts; i++) {
            out = PathPoints.added(out, 1 + random.nextInt(out.segments().size() - 2), 0.2 + 0.6 * random.nextDouble());
        }
        return out;
    }

    /** The outline with all its steps as curves, begun at another of its points. */
    private static Path begunAt(int knot, Path path) {
        CurveRow row = CurveRow.of(path, Rewriting.closingLine(path));
        return new Path(row.from(knot % row.curves()).segments());
    }

    private static Path reversed(Path path) {
        return new Path(
                CurveRow.of(path, Rewriting.closingLine(path)).reversed().segments());
    }

    /** With every point elsewhere; it still ends on its beginning. */
    private static Path pulled(Path drawn, Random random) {
        Map<Point, Point> there = new HashMap<>();
        return drawn.map(p -> there.computeIfAbsent(
                p, q -> new Point(q.x() + 3 * random.nextGaussian(), q.y() + 3 * random.nextGaussian())));
    }

    private static void assertSamePicture(Path a, Path b) {
        Box room = b.bounds().orElseThrow();
        BufferedImage one = picture(a, room);
        BufferedImage two = picture(b, room);
        List<Integer> apart = new ArrayList<>(List.of(0));
        for (int y = 0; y < one.getHeight(); y++) {
            for (int x = 0; x < one.getWidth(); x++) {
                apart.add(Math.abs((one.getRGB(x, y) & 255) - (two.getRGB(x, y) & 255)));
            }
        }
        assertThat(Collections.max(apart))
                .as("how far any pixel is apart: curves are flattened to a tenth of one")
                .isLessThanOrEqualTo(64);
    }

    private static BufferedImage picture(Path path, Box room) {
        BufferedImage image = new BufferedImage(240, 240, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.translate(120, 120);
        double scale = 220 / Math.max(room.width(), room.height());
        g.scale(scale, scale);
        g.translate(-room.centre().x(), -room.centre().y());
        g.setColor(Color.WHITE);
        g.fill(PathTest.awt(path));
        g.dispose();
        return image;
    }
}
