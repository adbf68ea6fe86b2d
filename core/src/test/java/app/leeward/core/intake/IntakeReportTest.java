package app.leeward.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.art.Swatch;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.Fit;
import app.leeward.core.edit.JoinSet;
import app.leeward.core.edit.NameSwatch;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.ReadAs;
import app.leeward.core.edit.Recolour;
import app.leeward.core.edit.SetSides;
import app.leeward.core.edit.Tidy;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.ModelLine;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import java.awt.color.ColorSpace;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class IntakeReportTest {
    private static final Character PLAIN = Rigs.hung(Rigs.face());

    private static Character done(Character c, Edit e) {
        Outcome outcome = Edits.apply(c, e);
        assertThat(outcome).as(e.describe(c)).isInstanceOf(Outcome.Done.class);
        return ((Outcome.Done) outcome).character();
    }

    private static Character drawn(Character c, java.util.function.UnaryOperator<Path> change) {
        return c.withRig(rig -> rig.withParts(c.rig().parts().stream()
                .map(p -> p.withDrawings(
                        p.drawings().stream()
                                .map(d -> new Drawing(
                                        d.id(),
                                        d.name(),
                                        new Artwork(d.art().shapes().stream()
                                                .map(s -> new Shape(
                                                        s.name(),
                                                        s.role(),
                                                        change.apply(s.path()),
                                                        s.fill(),
                                                        s.rule(),
                                                        s.stroke(),
                                                        s.opacity(),
                                                        s.masked()))
                                                .toList())))
                                .toList(),
                        p.shown()))
                .toList()));
    }

    private static Path shaken(Path path, Random random, double by) {
        List<Segment> out = new ArrayList<>();
        for (Segment s : path.segments()) {
            Point off = new Point((random.nextDouble() * 2 - 1) * by, (random.nextDouble() * 2 - 1) * by);
            if (s instanceof Segment.Move m) {
                out.add(new Segment.Move(m.to().plus(off)));
            } else if (s instanceof Segment.Line l) {
                out.add(new Segment.Line(l.to().plus(off)));
            } else if (s instanceof Segment.Cubic c) {
                out.add(new Segment.Cubic(c.c1().plus(off), c.c2().plus(off), c.to().plus(off)));
            } else {
                out.add(s);
            }
        }
        return new Path(out);
    }

    @Test
    void theAxisIsFoundExactlyWhereTheArtWasPut() {
        for (double off : new double[] {0, 137.25, -88.8, 1234.567}) {
            Character moved = drawn(PLAIN, p -> p.transform(Matrix.translate(off, 40)));
            Axis axis = AxisFinder.find(moved).orElseThrow();
            assertThat(axis.x()).isCloseTo(500 + off, within(0.01));
            assertThat(axis.residual()).isLessThan(0.02);
            assertThat(axis.pairs()).isGreaterThan(8);
        }
    }

    /** Art drawn by hand is never exact: with every point shaken by up to 0.4 units the axis holds to a tenth of a unit. */
    @Test
    void theAxisHoldsToATenthOfAUnitUnderNoise() {
        double worst = 0;
        for (int seed = 0; seed < 30; seed++) {
            Random random = new Random(seed);
            Character noisy = drawn(PLAIN, p -> shaken(p.transform(Matrix.translate(61.3, 0)), random, 0.4));
            Axis axis = AxisFinder.find(noisy).orElseThrow();
            worst = Math.max(worst, Math.abs(axis.x() - 561.3));
            assertThat(axis.residual()).as("told, seed " + seed).isBetween(0.05, 0.6);
        }
        assertThat(worst).isLessThan(0.1);
    }

    @Test
    void anArmHeldOutToOneSideDoesNotPullTheAxis() {
        Part arm = Rigs.part("arm", null, new Point(0, 0), Rigs.drawing("arm", Rigs.box(600, 640, 380, 70)));
        Character c = PLAIN.withNewPart(arm, 0);
        assertThat(AxisFinder.find(c).orElseThrow().x()).isCloseTo(500, within(0.01));
    }

    @Test
    void fittingStandsTheCharacterOnTheGroundInTheMiddleOfTheCanvasInEveryPose() {
        Character far = Rigs.hung(Rigs.face());
        far = done(far, new Fit(13, 2500, -900, new Canvas(20_000, 15_000)));
        CanvasFit s = CanvasFit.of(far, AxisFinder.find(far)).orElseThrow();
        assertThat(s.needed()).isTrue();
        assertThat(s.canvas()).isEqualTo(new Canvas(1920, 1080));
        Character stood = done(far, new Fit(s.scale(), s.dx(), s.dy(), s.canvas()));
        assertThat(AxisFinder.find(stood).orElseThrow().x()).isCloseTo(960, within(0.1));
        assertThat(stood.sheet().model().axis()).isCloseTo(960, within(0.1));
        assertThat(CanvasFit.of(stood, AxisFinder.find(stood)).orElseThrow().needed())
                .as("once is enough")
                .isFalse();
        // scaling commutes with posing: every corner of every part lands where the scaled picture has it
        double k = 13 * s.scale();
        Pose pose = Pose.of(Map.of("turn", 45.0, "blink", 0.6, "gaze-across", 0.5));
        Frame small = new Evaluator(PLAIN).frame(pose);
        Frame large = new Evaluator(stood).frame(pose);
        for (Frame.Placed p : small.placed()) {
            Point at = p.matrix().apply(new Point(480, 510));
            double dx = s.scale() * 2500 + s.dx();
            double dy = s.scale() * -900 + s.dy();
            Point there = large.of(p.part()).orElseThrow().matrix().apply(new Point(k * 480 + dx, k * 510 + dy));
            assertThat(there.distance(new Point(k * at.x() + dx, k * at.y() + dy)))
                    .as(p.part())
                    .isLessThan(1e-6);
        }
        assertThat(stood.sheet().model().line(ModelLine.CHIN).orElseThrow())
                .isCloseTo(k * 620 + s.scale() * -900 + s.dy(), within(1e-6));
    }

    /** CIE L*a*b* by way of the JDK's own colour management, whose XYZ is under D50: chroma is compared loosely. */
    @Test
    void lightnessAgreesWithTheJdksColourSpaces() {
        ColorSpace xyz = ColorSpace.getInstance(ColorSpace.CS_CIEXYZ);
        for (String colour : List.of("#000000", "#ffffff", "#808080", "#c2410c", "#10313f", "#bcd6d6")) {
            int rgb = Integer.parseInt(colour.substring(1), 16);
            float y =
                    xyz.fromRGB(new float[] {(rgb >> 16 & 255) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f})[1];
            double l = y > 216.0 / 24389 ? 116 * Math.cbrt(y) - 16 : 24389.0 / 27 * y;
            assertThat(Lab.of(colour).l()).as(colour).isCloseTo(l, within(1.5));
        }
        // sRGB red under D65, as published with the standard (CIE 15; value from memory)
        Lab red = Lab.of("#ff0000");
        assertThat(red.l()).isCloseTo(53.24, within(0.02));
        assertThat(red.a()).isCloseTo(80.09, within(0.02));
        assertThat(red.b()).isCloseTo(67.20, within(0.02));
    }

    @Test
    void nearDuplicatesAreOfferedAndMergingChangesEveryDrawing() {
        Character c = PLAIN.withSheet(sheet ->
                        sheet.withPalette(List.of(new Swatch("skin", "#884422"), new Swatch("slip", "#894423"))))
                .withPart(
                        "nose",
                        p -> p.withDrawings(
                                List.of(new Drawing(
                                        "nose",
                                        "nose",
                                        Artwork.of(Shape.filled("", Rigs.box(490, 510, 20, 20), "#894423")))),
                                "nose"));
        List<NearColours> near = NearColours.in(c.sheet().palette());
        assertThat(near).hasSize(1);
        assertThat(near.get(0).merge().name()).isEqualTo("slip");
        Character merged = done(c, new Recolour("#894423", "#884422"));
        assertThat(merged.sheet().palette()).containsExactly(new Swatch("skin", "#884422"));
        assertThat(merged.part("nose").orElseThrow().drawings().get(0).art().colours())
                .containsExactly("#884422");
        Character blue = done(merged, new Recolour("#884422", "#224488"));
        assertThat(blue.rig().parts()).allMatch(p -> p.drawings().stream()
                .allMatch(d -> d.art().colours().equals(List.of("#224488"))));
        assertThat(done(blue, new NameSwatch("#224488", "sea"))
                        .sheet()
                        .palette()
                        .get(0)
                        .name())
                .isEqualTo("sea");
        assertThat(Edits.apply(blue, new Recolour("#224488", "red"))).isInstanceOf(Outcome.Refused.class);
    }

    @Test
    void strayGeometryIsListedWithItsReasonAndTakenAwayOnRequest() {
        Shape face = Shape.filled("face", Rigs.box(400, 400, 200, 200), "#884422");
        Shape hidden = Shape.filled("hidden", Rigs.box(450, 450, 20, 20), "#112233");
        Shape off = Shape.filled("off", Rigs.box(-300, 0, 50, 50), "#112233");
        Shape flat = Shape.filled("flat", Rigs.box(410, 410, 80, 0), "#112233");
        Shape bare = new Shape(
                "bare", ShapeRole.OTHER, Rigs.box(1, 1, 5, 5), Paint.NONE, FillRule.NONZERO, Stroke.NONE, 1, false);
        Shape seen = Shape.filled("seen", Rigs.box(390, 450, 30, 20), "#445566");
        Character c = Rigs.character(
                        List.of(new Part(
                                "p",
                                "p",
                                PartRole.OTHER,
                                Side.NONE,
                                java.util.Optional.empty(),
                                new Point(0, 0),
                                app.leeward.core.rig.Placement.REST,
                                List.of(new Drawing("d", "d", Artwork.of(hidden, off, flat, bare, face, seen))),
                                "d")),
                        List.of())
                .withSheet(sheet -> sheet.withCanvas(new Canvas(1000, 1000)));
        assertThat(Strays.in(c))
                .extracting(Stray::name, Stray::message)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(
                                "hidden", "it is fully hidden behind another shape of its drawing"),
                        org.assertj.core.groups.Tuple.tuple("off", "it lies outside the canvas"),
                        org.assertj.core.groups.Tuple.tuple("flat", "it has no area"),
                        org.assertj.core.groups.Tuple.tuple("bare", "it has neither fill nor line"));
        Character tidy = done(c, new Tidy());
        assertThat(tidy.part("p").orElseThrow().drawings().get(0).art().shapes())
                .containsExactly(face, seen);
        assertThat(((Outcome.Refused) Edits.apply(tidy, new Tidy())).code()).isEqualTo("nothing-stray");
    }

    /** A figure much larger than its canvas, most of it outside: nothing of it is stray, whether it is fitted before or after. */
    @Test
    void aFigureBeyondItsCanvasIsNotStray() {
        Character c = Rigs.hung(Rigs.face());
        Character large = done(c, new Fit(6, -1200, 900, c.sheet().canvas()));
        assertThat(Strays.in(large)).isEqualTo(Strays.in(c)).isEmpty();
        assertThat(((Outcome.Refused) Edits.apply(large, new Tidy())).code()).isEqualTo("nothing-stray");
    }

    /** The same face with every telling name taken away: what each piece is follows from where it lies. */
    @Test
    void unnamedLayersAreGuessedFromTheirPlaceColourAndTwins() {
        Layer art = Rigs.group(
                "",
                Rigs.layer("torso", Rigs.box(400, 640, 200, 200)),
                Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120)),
                pale("Path 3", Rigs.ellipse(540, 490, 24, 20)),
                pale("Path 4", Rigs.ellipse(460, 490, 24, 20)),
                Rigs.layer("Path 5", Rigs.ellipse(500, 530, 10, 14)),
                Rigs.layer("Path 6", Rigs.box(480, 585, 40, 4)),
                Rigs.layer("Path 7", Rigs.box(520, 445, 40, 6)),
                Rigs.layer("Path 8", Rigs.box(440, 445, 40, 6)),
                Rigs.layer("Path 9", Rigs.ellipse(602, 500, 12, 20)),
                Rigs.layer("Path 10", Rigs.ellipse(398, 500, 12, 20)));
        Character c = Rigs.hung(art);
        List<Recognition> guesses = Recognitions.in(c);
        assertThat(guesses)
                .extracting(g -> g.role() + " " + g.side())
                .containsExactlyInAnyOrder(
                        "WHITE LEFT",
                        "WHITE RIGHT",
                        "NOSE NONE",
                        "MOUTH NONE",
                        "BROW LEFT",
                        "BROW RIGHT",
                        "EAR LEFT",
                        "EAR RIGHT");
        assertThat(guesses)
                .allMatch(g -> g.sure() > 0.4 && g.sure() < 1 && !g.why().isBlank());
        Character read =
                done(c, new ReadAs(guesses.stream().map(Recognition::offer).toList()));
        Part brow = read.part(PartRole.BROW, Side.LEFT).orElseThrow();
        assertThat(brow.name()).isEqualTo("left brow");
        assertThat(brow.parent()).contains("head");
        assertThat(brow.pivot()).as("outer corner").isEqualTo(new Point(560, 448));
        assertThat(read.part(PartRole.WHITE, Side.LEFT).orElseThrow().parent()).contains("left-eye");
        assertThat(read.dial("blink")).isPresent();
        assertThat(read.voice().mouths().part()).isPresent();
        assertThat(new Evaluator(read).frame(Pose.REST).placed())
                .hasSameSizeAs(new Evaluator(c).frame(Pose.REST).placed());
        assertThat(Recognitions.in(read)).isEmpty();
    }

    @Test
    void whatTheFileKeepsWithTheBodyOrInAnEyeIsNotGuessedToBeOfTheHead() {
        Layer shell = Rigs.layer("Shell", Rigs.ellipse(500, 480, 180, 160));
        Layer torso = Rigs.layer("torso", Rigs.box(400, 640, 200, 200));
        Layer skin = Rigs.layer("face skin", Rigs.ellipse(500, 500, 100, 120));
        assertThat(Recognitions.in(
                        Rigs.hung(Rigs.group("", Rigs.group("Body", shell, torso), Rigs.group("Head", skin)))))
                .isEmpty();
        assertThat(Recognitions.in(Rigs.hung(Rigs.group("", torso, Rigs.group("Head", shell, skin)))))
                .as("the same piece kept with the head")
                .extracting(Recognition::role)
                .containsExactly(PartRole.BACK_HAIR);

        List<Layer> face = new ArrayList<>();
        for (String side : List.of("L", "R")) {
            double x = side.equals("L") ? 540 : 460;
            face.add(Rigs.group(
                    "Eye " + side,
                    pale("eye white " + side, Rigs.ellipse(x, 490, 24, 20)),
                    Rigs.layer("fold " + side, Rigs.box(x - 20, 530, 40, 20))));
        }
        face.add(0, skin);
        assertThat(Recognitions.in(Rigs.hung(Rigs.group("", face.toArray(Layer[]::new)))))
                .as("folds under the eyes are no cheeks")
                .isEmpty();
    }

    private static Layer pale(String name, Path path) {
        return new Layer(name, false, List.of(new Layer.Leaf(Shape.filled("", path, "#fdfdfa"))));
    }

    @Test
    void mixedUpSidesAreToldAndSettledForTheWholeFile() {
        Character mixed = PLAIN.withPart(
                        "brow-left", p -> p.withRole(PartRole.BROW, Side.RIGHT).withName("right brow"))
                .withPart(
                        "brow-right", p -> p.withRole(PartRole.BROW, Side.LEFT).withName("left brow"));
        SideCheck check = SideCheck.of(mixed);
        assertThat(check.turned()).isEqualTo(2);
        assertThat(check.asNamed()).isGreaterThan(8);
        Character settled = done(mixed, new SetSides(check.right()));
        assertThat(settled.part("brow-left").orElseThrow().name()).isEqualTo("left brow");
        assertThat(SideCheck.of(settled).turned()).isZero();
        assertThat(SideCheck.of(PLAIN).right()).isEmpty();
    }

    @Test
    void aLayerBecomesOneMoreMouthAndServesItsSound() {
        Part stray = Rigs.part("oo", null, new Point(0, 0), Rigs.drawing("d", Rigs.ellipse(500, 560, 8, 8)));
        Character c = PLAIN.withNewPart(stray, PLAIN.rig().order().size());
        Character joined = done(c, new JoinSet("oo", "mouth"));
        assertThat(joined.part("oo")).isEmpty();
        assertThat(joined.part("mouth").orElseThrow().drawing("oo")).isPresent();
        assertThat(joined.voice().mouths().drawn()).containsEntry(Viseme.OO, "oo");
        assertThat(((Outcome.Refused) Edits.apply(c, new JoinSet("mouth", "mouth"))).code())
                .isEqualTo("no-drawing");
    }

    @Test
    void everyGapSaysWhatItCosts() {
        Character noLid = done(PLAIN, new app.leeward.core.edit.Discard(List.of("lower-lid-left", "lower-lid-right")));
        Slot lid = slot(noLid, PartRole.LOWER_LID);
        assertThat(lid.missing()).isEqualTo("the blink uses the upper lid alone");
        assertThat(lid.parts()).isEmpty();
    }

    /** An iris with its pupil drawn in it looks about like any. */
    @Test
    void eyesLookWithTheirIrisesToo() {
        Character noPupil = done(PLAIN, new app.leeward.core.edit.Discard(List.of("pupil-left", "pupil-right")));
        assertThat(slot(noPupil, PartRole.PUPIL).missing()).isEmpty();
        Character one = done(noPupil, new app.leeward.core.edit.Discard(List.of("iris-left")));
        assertThat(slot(one, PartRole.PUPIL).missing()).isEqualTo("the eyes cannot look anywhere");
    }

    private static Slot slot(Character c, PartRole role) {
        return SlotBoard.of(c).stream()
                .flatMap(g -> g.slots().stream())
                .filter(s -> s.role() == role)
                .findFirst()
                .orElseThrow();
    }

    /** An eye's pieces without names: whites are known by where they lie, the rest by the whites. */
    @Test
    void namelessPiecesOfEyesAreRecognisedAtOnce() {
        java.util.function.UnaryOperator<Layer> nameless = new java.util.function.UnaryOperator<>() {
            @Override
            public Layer apply(Layer l) {
                boolean piece = l.name().matches("(white|iris|pupil|upper lid|lower lid) (left|right)");
                String colour = l.name().startsWith("white")
                        ? "#ffffff"
                        : l.name().startsWith("pupil")
                                ? "#111111"
                                : l.name().startsWith("iris") ? "#3c7a4e" : "#884422";
                return new Layer(
                        piece ? "shape" : l.name(),
                        l.hidden(),
                        l.nodes().stream()
                                .map(n -> n instanceof Layer.Group g
                                        ? new Layer.Group(apply(g.layer()))
                                        : piece
                                                ? new Layer.Leaf(
                                                        ((Layer.Leaf) n).shape().withFill(Paint.flat(colour)))
                                                : n)
                                .map(Layer.Node.class::cast)
                                .toList());
            }
        };
        Character c = Rigs.hung(nameless.apply(Rigs.face()));
        assertThat(c.part(PartRole.PUPIL)).isEmpty();
        int rounds = 0;
        while (!IntakeReport.of(c).guesses().isEmpty() && rounds++ < 5) {
            c = done(
                    c,
                    new ReadAs(IntakeReport.of(c).guesses().stream()
                            .map(g -> new Offer(g.part(), g.role(), g.side()))
                            .toList()));
        }
        assertThat(rounds).isEqualTo(1);
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            for (PartRole role :
                    List.of(PartRole.WHITE, PartRole.IRIS, PartRole.PUPIL, PartRole.UPPER_LID, PartRole.LOWER_LID)) {
                assertThat(c.part(role, side)).as(side + " " + role).isPresent();
            }
        }
        assertThat(app.leeward.core.eye.EyeCheck.of(c)).isEmpty();
    }
}
