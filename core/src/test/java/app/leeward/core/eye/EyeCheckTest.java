package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.FitGaze;
import app.leeward.core.edit.MendLid;
import app.leeward.core.edit.MirrorSide;
import app.leeward.core.edit.Nudge;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.EyeFinding.Kind;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** Gaze field, findings and mends; circles against closed forms, polygons against the areas of the Java library. */
class EyeCheckTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c) + " " + outcome).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static List<Kind> kinds(Character c) {
        return EyeCheck.of(c).stream().map(EyeFinding::kind).toList();
    }

    private static Character redrawn(Character c, String part, UnaryOperator<Path> change) {
        return c.withPart(
                part,
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> new Drawing(
                                        d.id(),
                                        d.name(),
                                        new Artwork(d.art().shapes().stream()
                                                .map(s -> s.withPath(change.apply(s.path())))
                                                .toList())))
                                .toList(),
                        p.shown()));
    }

    private static Character remade(Character c) {
        return GazeMaker.addTo(BlinkMaker.addTo(c));
    }

    // ---- the field

    /** Area of the lens that circles of radii r and s share, their centres d apart (MathWorld, "Circle-Circle Intersection"). */
    private static double lens(double r, double s, double d) {
        if (d <= r - s) {
            return Math.PI * s * s;
        }
        double a = s * s * Math.acos((d * d + s * s - r * r) / (2 * d * s));
        double b = r * r * Math.acos((d * d + r * r - s * s) / (2 * d * r));
        return a + b - 0.5 * Math.sqrt((-d + s + r) * (d + s - r) * (d - s + r) * (d + s + r));
    }

    private static double radius(double r, double s) {
        double near = 0;
        double far = r + s;
        for (int i = 0; i < 60; i++) {
            double m = (near + far) / 2;
            if (lens(r, s, m) / (Math.PI * s * s) >= GazeField.KEPT) {
                near = m;
            } else {
                far = m;
            }
        }
        return near;
    }

    @Test
    void theFieldOfRoundEyesIsACircleOfTheRadiusTheLensGives() {
        Layer eye = Rigs.group(
                "eye",
                Rigs.layer("white", Rigs.ellipse(500, 490, 24, 24)),
                Rigs.layer("pupil", Rigs.ellipse(500, 490, 6, 6)));
        Character c = Rigs.hung(Rigs.group("", Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)), eye));
        double right = new Evaluator(c)
                .frame(Pose.of(Map.of(GazeMaker.ACROSS, 1.0)))
                .of("pupil")
                .orElseThrow()
                .matrix()
                .e();
        double wanted = radius(24, 6);
        assertThat(right).as("full throw").isCloseTo(wanted, within(0.02 * wanted));
        for (Point p : c.controls().pads().get(0).field()) {
            assertThat(Math.hypot(p.x(), p.y()) * right).isCloseTo(wanted, within(0.015 * wanted));
        }
    }

    @Seeded(tries = 200)
    void clippingAgreesWithTheAreasOfTheJavaLibrary(
            @Between(min = 3, max = 14) int corners,
            @Between(min = 3, max = 12) int pupilCorners,
            @Between(min = -30, max = 30) double dx,
            @Between(min = -30, max = 30) double dy,
            long seed) {
        Random random = new Random(seed);
        Path window = star(corners, 30, random);
        Path pupil = convex(pupilCorners, 8 + 6 * random.nextDouble(), random);
        double kept = new Overlap(Regions.of(window), Regions.of(pupil)).kept(dx, dy);
        Area area = area(window);
        Area moved = area(pupil);
        double whole = area(moved);
        moved.transform(AffineTransform.getTranslateInstance(dx, dy));
        area.intersect(moved);
        assertThat(kept).isCloseTo(area(area) / whole, within(1e-6));
    }

    /** A window that need not be convex: corners at random distances in rising directions. */
    private static Path star(int corners, double size, Random random) {
        Segment[] s = new Segment[corners + 1];
        for (int i = 0; i < corners; i++) {
            double a = 2 * Math.PI * i / corners;
            double r = size * (0.4 + 0.6 * random.nextDouble());
            Point p = new Point(r * Math.cos(a), r * Math.sin(a));
            s[i] = i == 0 ? new Segment.Move(p) : new Segment.Line(p);
        }
        s[corners] = new Segment.Close();
        return Path.of(s);
    }

    private static Path convex(int corners, double size, Random random) {
        Segment[] s = new Segment[corners + 1];
        for (int i = 0; i < corners; i++) {
            double a = 2 * Math.PI * (i + 0.4 * random.nextDouble()) / corners;
            Point p = new Point(size * Math.cos(a), size * Math.sin(a));
            s[i] = i == 0 ? new Segment.Move(p) : new Segment.Line(p);
        }
        s[corners] = new Segment.Close();
        return Path.of(s);
    }

    private static Area area(Path path) {
        Path2D p = new Path2D.Double();
        for (Segment s : path.segments()) {
            if (s instanceof Segment.Move m) {
                p.moveTo(m.to().x(), m.to().y());
            } else if (s instanceof Segment.Line l) {
                p.lineTo(l.to().x(), l.to().y());
            } else {
                p.closePath();
            }
        }
        return new Area(p);
    }

    private static double area(Area a) {
        double sum = 0;
        double[] c = new double[6];
        double x = 0;
        double y = 0;
        double bx = 0;
        double by = 0;
        for (PathIterator i = a.getPathIterator(null); !i.isDone(); i.next()) {
            int kind = i.currentSegment(c);
            if (kind == PathIterator.SEG_MOVETO) {
                bx = c[0];
                by = c[1];
            } else {
                double tx = kind == PathIterator.SEG_CLOSE ? bx : c[0];
                double ty = kind == PathIterator.SEG_CLOSE ? by : c[1];
                sum += x * ty - tx * y;
                c[0] = tx;
                c[1] = ty;
            }
            x = c[0];
            y = c[1];
        }
        return Math.abs(sum) / 2;
    }

    @Test
    void aLookBeyondTheFieldIsHeldAtItsEdge() {
        Evaluator e = new Evaluator(FACE);
        Matrix corner = e.frame(Pose.of(Map.of(GazeMaker.ACROSS, 1.0, GazeMaker.DOWN, 1.0)))
                .of("pupil-left")
                .orElseThrow()
                .matrix();
        Matrix right = e.frame(Pose.of(Map.of(GazeMaker.ACROSS, 1.0)))
                .of("pupil-left")
                .orElseThrow()
                .matrix();
        assertThat(corner.e()).as("the corner of the square is out of reach").isLessThan(0.95 * right.e());
        assertThat(corner.f()).isGreaterThan(1);
        // half of the way there is as it was asked for
        Matrix half = e.frame(Pose.of(Map.of(GazeMaker.ACROSS, 0.4)))
                .of("pupil-left")
                .orElseThrow()
                .matrix();
        assertThat(half.e()).isCloseTo(0.4 * right.e(), within(1e-9));
    }

    @Test
    void theFieldShrinksWithTheWindow() {
        Character narrow = redrawn(FACE, "eye-white-left", p -> p.transform(new Matrix(1, 0, 0, 0.6, 0, 196)));
        double open = size(FACE.controls().pads().get(0).field());
        assertThat(size(GazeField.of(narrow, Pose.REST))).isLessThan(0.8 * open);
        assertThat(GazeField.of(Rigs.hung(Rigs.group("", Rigs.layer("face", Rigs.ellipse(0, 0, 9, 9)))), Pose.REST))
                .isEmpty();
    }

    private static double size(List<Point> field) {
        double sum = 0;
        for (int i = 0; i < field.size(); i++) {
            Point a = field.get(i);
            Point b = field.get((i + 1) % field.size());
            sum += a.x() * b.y() - b.x() * a.y();
        }
        return Math.abs(sum) / 2;
    }

    @Test
    void theFieldIsMeasuredAnewWhenAnEyeChangesAndOnlyThen() {
        List<Point> before = FACE.controls().pads().get(0).field();
        assertThat(done(FACE, new Nudge("nose", 5, 0)).controls().pads().get(0).field())
                .isSameAs(before);
        Character moved = done(FACE, new Nudge("eye-white-left", 6, 0));
        assertThat(moved.controls().pads().get(0).field())
                .isNotEqualTo(before)
                .isEqualTo(GazeField.of(moved, Pose.REST));
        // the throw of the dials is kept until somebody fits it
        assertThat(moved.controls().dials()).isEqualTo(FACE.controls().dials());
        assertThat(done(moved, new FitGaze()).controls().dials())
                .isNotEqualTo(FACE.controls().dials());
    }

    // ---- findings and mends

    @Test
    void aSoundFaceHasNoFinding() {
        assertThat(EyeCheck.of(FACE)).isEmpty();
    }

    @Test
    void whiteThatShowsWhenTheEyeIsShutIsMeasuredAndMarked() {
        // the lids stop 12 short of each other's edge: a band of white 48 wide in the middle of the eye stays open
        Character c = FACE.withDials(
                FACE.controls().dials().stream()
                        .map(d -> d.id().equals("blink")
                                ? d.withStops(d.stops().stream()
                                        .map(s -> s.with("upper-lid-left", app.leeward.core.dial.Offset.shift(0, 10))
                                                .with("lower-lid-left", app.leeward.core.dial.Offset.shift(0, 0)))
                                        .toList())
                                : d)
                        .toList(),
                FACE.controls().pads());
        EyeFinding f = EyeCheck.of(c).stream()
                .filter(x -> x.kind() == Kind.UNCOVERED)
                .findFirst()
                .orElseThrow();
        assertThat(f.eye()).isEqualTo("eye-left");
        assertThat(f.where()).isNotEmpty();
        // the upper lid's edge at 472 + 10, the lower lid's at 508: the widest gap is the height of what is between
        assertThat(Double.parseDouble(f.message().replaceAll(".*widest gap ([0-9.]+).*", "$1")))
                .isCloseTo(508 - 482, within(0.6));
        assertThat(f.message()).contains("square units of white");
    }

    @Test
    void aSmallLidIsMendedKeepingItsEdge() {
        Character small = remade(redrawn(FACE, "upper-lid-left", p -> Rigs.box(530, 455, 20, 14)));
        // it is too small to travel, so the eye shuts by its contours and nothing is wrong
        assertThat(kinds(small)).doesNotContain(Kind.LID_SHORT, Kind.UNCOVERED);
        assertThat(blinkMoves(small, "upper-lid-left")).isFalse();
        Character mended = done(small, new MendLid("upper-lid-left"));
        assertThat(kinds(mended)).doesNotContain(Kind.LID_SHORT, Kind.UNCOVERED);
        assertThat(blinkMoves(mended, "upper-lid-left")).isTrue();
        Box lid = mended.part("upper-lid-left").orElseThrow().bounds().orElseThrow();
        Box white = mended.part("eye-white-left").orElseThrow().bounds().orElseThrow();
        assertThat(lid.minX()).isEqualTo(white.minX() - LidMender.SPARE);
        assertThat(lid.maxX()).isEqualTo(white.maxX() + LidMender.SPARE);
        assertThat(lid.maxY()).as("its edge stays at its height").isEqualTo(469);
        assertThat(Edits.apply(small, new MendLid("nose"))).isInstanceOf(Outcome.Refused.class);
    }

    private static boolean blinkMoves(Character c, String lid) {
        return c.dial("blink").orElseThrow().stops().stream()
                .anyMatch(s -> s.offsets().containsKey(lid));
    }

    /** For any convex eye, and a lid of any shape too small for it, the mended lid covers. */
    @Seeded(tries = 60)
    void aMendedLidAlwaysCovers(
            @Between(min = 5, max = 12) int corners,
            @Between(min = 8, max = 60) double width,
            @Between(min = 8, max = 60) double height,
            @Between(min = 0.1, max = 0.9) double narrow,
            boolean round,
            long seed) {
        Path white = convex(corners, 1, new Random(seed)).transform(new Matrix(width, 0, 0, height, 500, 400));
        Path lid = round
                ? Rigs.ellipse(500, 400 - height, width * narrow, 6)
                : Rigs.box(500 - width * narrow, 400 - height - 8, 2 * width * narrow, 7);
        Layer eye = Rigs.group("eye", Rigs.layer("white", white), Rigs.layer("upper lid", lid));
        Character c = Rigs.hung(Rigs.group("", Rigs.layer("face", Rigs.ellipse(500, 400, 200, 240)), eye));
        Character mended = done(c, new MendLid("upper-lid"));
        assertThat(mended.dial("blink").orElseThrow().poses("eye"))
                .as("squashed")
                .isFalse();
        assertThat(kinds(mended)).doesNotContain(Kind.UNCOVERED, Kind.LID_SHORT);
    }

    @Test
    void unlikeEyesAreToldByHowMuchAndMirroringMendsThem() {
        Character unlike = redrawn(FACE, "eye-white-right", p -> p.transform(Matrix.translate(0, 3)));
        EyeFinding f = EyeCheck.of(unlike).stream()
                .filter(x -> x.kind() == Kind.NOT_MIRRORED)
                .findFirst()
                .orElseThrow();
        assertThat(f.message()).contains("eye white is up to 3.0 off");
        assertThat(kinds(done(unlike, new MirrorSide("eye-left")))).doesNotContain(Kind.NOT_MIRRORED);
    }

    @Test
    void badPiecesAreNamedAndNothingBreaks() {
        Character open = redrawn(
                FACE,
                "eye-white-left",
                p -> Path.of(
                        new Segment.Move(new Point(520, 480)),
                        new Segment.Line(new Point(560, 480)),
                        new Segment.Line(new Point(540, 505))));
        assertThat(kinds(remade(open))).contains(Kind.BAD_OUTLINE);
        Character crossed = redrawn(
                FACE,
                "eye-white-left",
                p -> Path.of(
                        new Segment.Move(new Point(520, 480)),
                        new Segment.Line(new Point(560, 505)),
                        new Segment.Line(new Point(560, 480)),
                        new Segment.Line(new Point(520, 505)),
                        new Segment.Close()));
        assertThat(EyeCheck.of(remade(crossed)))
                .anyMatch(f -> f.kind() == Kind.BAD_OUTLINE && f.message().contains("crosses itself"));
        Character unfilled = FACE.withPart(
                "eye-white-left",
                p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> new Drawing(
                                        d.id(),
                                        d.name(),
                                        new Artwork(d.art().shapes().stream()
                                                .map(s -> new Shape(
                                                        "",
                                                        s.role(),
                                                        s.path(),
                                                        Paint.NONE,
                                                        s.rule(),
                                                        s.stroke(),
                                                        1,
                                                        false))
                                                .toList())))
                                .toList(),
                        p.shown()));
        assertThat(kinds(remade(unfilled))).contains(Kind.NO_FILL);
        Character dot = redrawn(FACE, "pupil-left", p -> p.transform(new Matrix(0, 0, 0, 0, 540, 490)));
        assertThat(kinds(remade(dot))).contains(Kind.NO_PUPIL);
    }

    // ---- building

    private static Layer face(Layer... eyes) {
        Layer[] all = new Layer[eyes.length + 1];
        all[0] = Rigs.layer("face", Rigs.ellipse(500, 500, 120, 140));
        System.arraycopy(eyes, 0, all, 1, eyes.length);
        return Rigs.group("", all);
    }

    @Test
    void twoEyesAreMadeOfOneOutlineAndAPupil() {
        Stroke line = new Stroke(Paint.flat("#26313d"), 4, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        Shape outline = new Shape(
                "",
                ShapeRole.OTHER,
                Rigs.ellipse(545, 490, 26, 22),
                Paint.flat("#fdfcf4"),
                FillRule.NONZERO,
                line,
                1,
                false);
        Layer eye = Rigs.group(
                "eye left",
                new Layer("eye outline left", false, List.of(new Layer.Leaf(outline))),
                Rigs.layer("pupil left", Rigs.ellipse(545, 490, 6, 6)));
        Character c = done(Rigs.hung(face(eye)), new BuildEyes());
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            for (PartRole role : List.of(PartRole.WHITE, PartRole.PUPIL, PartRole.EYE_OUTLINE)) {
                assertThat(c.part(role, side)).as(side + " " + role).isPresent();
            }
        }
        assertThat(EyeCheck.of(c)).isEmpty();
        assertThat(c.dial(GazeMaker.ACROSS)).isPresent();
        assertThat(c.part(PartRole.WHITE, Side.LEFT)
                        .orElseThrow()
                        .drawings()
                        .get(0)
                        .art()
                        .colours())
                .containsExactly("#fdfcf4");
        // the white is the outline's inside, the line of the outline lies over everything
        assertThat(order(c, PartRole.WHITE)).isLessThan(order(c, PartRole.PUPIL));
        assertThat(order(c, PartRole.PUPIL)).isLessThan(order(c, PartRole.EYE_OUTLINE));
        // shut, nothing is left of the white, and the outline is a line as wide as the eye
        Fills fills = new Fills(c);
        var shut = new Evaluator(c).frame(Pose.of(Map.of(BlinkMaker.DIAL, 1.0)));
        assertThat(fills.in(shut, left(c, PartRole.WHITE)).orElseThrow().getArea())
                .isLessThan(0.5);
        assertThat(Edits.apply(c, new BuildEyes())).isInstanceOf(Outcome.Refused.class);
    }

    private static int order(Character c, PartRole role) {
        return c.rig().order().indexOf(left(c, role));
    }

    private static String left(Character c, PartRole role) {
        return c.part(role, Side.LEFT).map(Part::id).orElseThrow();
    }

    @Test
    void aOneEyedFaceStaysOneEyed() {
        Layer eye = Rigs.group(
                "eye",
                Rigs.layer("white", Rigs.ellipse(500, 490, 26, 22)),
                Rigs.layer("pupil", Rigs.ellipse(500, 490, 6, 6)));
        Character c = Rigs.hung(face(eye));
        assertThat(Edits.apply(c, new BuildEyes())).isInstanceOf(Outcome.Refused.class);
        assertThat(c.rig().parts().stream().filter(p -> p.role() == PartRole.EYE))
                .hasSize(1);
        assertThat(EyeCheck.of(c)).isEmpty();
    }
}
