package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Regions;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.morph.Crossing;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Blend;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.WristBend;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Two hands: one of four curves with a crease, one a box with its corner cut and a line more. */
class MatchPointsTest {
    /** What flattening of curves leaves between two equal outlines, square units: a fiftieth of one along them. */
    private static final double FLATTENED = 4;

    private static final Path ROUND = Rigs.ellipse(50, 50, 40, 30);
    private static final Path BOXED = Rigs.path("M90 90 L10 90 L10 10 L60 10 L90 30 Z");
    private static final Path CREASE = Rigs.path("M30 50 C40 55 50 55 60 50");

    private static Character hands(Dial... dials) {
        Drawing open = new Drawing("open", "Open", new Artwork(List.of(filled(ROUND, "#ffd0b0"), lined(CREASE))));
        Drawing fist = new Drawing(
                "fist",
                "Fist",
                new Artwork(List.of(
                        filled(Rigs.ellipse(200, 200, 4, 4), "#101010"),
                        filled(BOXED, "#ffd0b0"),
                        lined(Rigs.path("M32 40 L64 44")))));
        Drawing again = new Drawing(
                "again",
                "Open again",
                new Artwork(List.of(filled(ROUND.transform(Matrix.translate(5, 0)), "#ffd0b0"), lined(CREASE))));
        return Rigs.character(List.of(Rigs.part("hand", null, new Point(50, 90), open, fist, again)), List.of(), dials);
    }

    private static Shape filled(Path path, String colour) {
        return Shape.filled("", path, colour);
    }

    private static Shape lined(Path path) {
        Shape s = Shape.filled("", path, "#000000").withFill(Paint.NONE);
        return s.withStroke(new Stroke(Paint.flat("#402010"), 3, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4));
    }

    private static List<Shape> shapes(Character c, String drawing) {
        return c.part("hand").orElseThrow().drawing(drawing).orElseThrow().art().shapes();
    }

    private static Path shown(Character c, Pose pose, int shape) {
        Frame.Placed hand = new Evaluator(c).frame(pose).of("hand").orElseThrow();
        String drawing = hand.drawing();
        return hand.outlines().isEmpty()
                ? shapes(c, drawing).get(shape).path()
                : hand.outlines().get(shape);
    }

    private static Pose over(double left) {
        return Pose.REST.withPicks(Map.of("hand", "fist")).withBlends(Map.of("hand", new Blend("open", "fist", left)));
    }

    private static double apart(Path a, Path b) {
        return Regions.of(a).symDifference(Regions.of(b)).getArea();
    }

    @Test
    void aDrawingComesOverOnceItsPointsAreMatched() {
        Character before = hands();
        assertThat(Crossing.between(art(before, "open"), art(before, "fist"))).isEqualTo(new Crossing(3, 0, 2));
        assertThat(shown(before, over(0.5), 1)).as("exchanged").isEqualTo(BOXED);
        Character c = done(before, new MatchPoints("hand", "open", "fist"));
        assertThat(Crossing.between(art(c, "open"), art(c, "fist"))).isEqualTo(new Crossing(3, 2, 0));
        for (String drawing : List.of("open", "fist", "again")) {
            for (int s = 0; s < shapes(c, drawing).size(); s++) {
                Path was = shapes(before, drawing).get(s).path();
                Path is = shapes(c, drawing).get(s).path();
                assertThat(is.length()).isCloseTo(was.length(), within(0.01));
                if (was.closes()) {
                    assertThat(apart(is, was)).as("it looks as before").isLessThan(FLATTENED);
                }
            }
        }
        double whole = Regions.of(shown(c, over(1), 1)).getArea();
        double half = Regions.of(shown(c, over(0.5), 1)).getArea();
        double none = Regions.of(shown(c, over(0), 1)).getArea();
        assertThat(whole).isCloseTo(Regions.of(ROUND).getArea(), within(1.0));
        assertThat(none).isCloseTo(Regions.of(BOXED).getArea(), within(1.0));
        assertThat(half).isBetween(whole + 200, none - 200);
        assertThat(shown(c, over(0.5), 0))
                .as("what goes with nothing is there at once")
                .isEqualTo(shapes(before, "fist").get(0).path());
    }

    /** A dashed line that began elsewhere would look otherwise. */
    @Test
    void dashedLinesStayAsTheyAre() {
        Character c = hands().withPart(
                        "hand",
                        p -> p.withDrawing(
                                "fist",
                                d -> d.withArt(new Artwork(d.art().shapes().stream()
                                        .map(s -> s.stroke().visible()
                                                ? s.withStroke(new Stroke(
                                                        s.stroke().paint(),
                                                        3,
                                                        Stroke.Cap.BUTT,
                                                        Stroke.Join.MITER,
                                                        4,
                                                        List.of(4.0, 2.0),
                                                        0))
                                                : s)
                                        .toList()))));
        assertThat(Crossing.between(art(c, "open"), art(c, "fist"))).isEqualTo(new Crossing(3, 0, 1));
    }

    @Test
    void whatWasMatchedStaysMatchedAndIsNotDoneTwice() {
        Character c = done(hands(), new MatchPoints("hand", "open", "fist"));
        assertThat(Crossing.between(art(c, "open"), art(c, "again")))
                .as("it had the points of the first and has its new ones")
                .isEqualTo(new Crossing(2, 2, 0));
        assertThat(new MatchPoints("hand", "open", "fist").on(c)).isInstanceOfSatisfying(Outcome.Refused.class, r -> {
            assertThat(r.reason()).isEqualTo(RefusalCode.POINTS_MATCHED);
            assertThat(r.message()).contains("already");
        });
        assertThat(new MatchPoints("hand", "open", "wave").on(c))
                .isInstanceOfSatisfying(
                        Outcome.Refused.class, r -> assertThat(r.reason()).isEqualTo(RefusalCode.NO_DRAWING));
    }

    /** What dials do to points, and what was said of single ones at the wrist, goes along. */
    @Test
    void dialsAndWristsGoAlong() {
        Path pulled = BOXED.map(p -> p.x() > 50 && p.y() < 50 ? new Point(p.x() + 20, p.y() - 6) : p);
        Stop stop = new Stop(1, Map.of()).with("hand", PointDeltas.between("fist", 1, BOXED, pulled));
        Dial puff = new Dial("puff", "Puff", Purpose.OWN, -1, 1, 0, "", List.of(stop), List.of());
        WristBend bend = new WristBend(1, List.of(new WristBend.PointWeight("fist", 1, 3, 0.4)));
        Character before = hands(puff).withPart("hand", p -> p.withWristBend(Optional.of(bend)));
        Character c = done(before, new MatchPoints("hand", "open", "fist"));
        Pose puffed = Pose.of(Map.of("puff", 1.0)).withPicks(Map.of("hand", "fist"));
        assertThat(apart(shown(c, puffed, 1), pulled)).isLessThan(FLATTENED);
        assertThat(apart(shown(before, puffed, 1), pulled)).isLessThan(FLATTENED);
        WristBend.PointWeight held =
                c.part("hand").flatMap(Part::wristBend).orElseThrow().weights().get(0);
        assertThat(held.weight()).isEqualTo(0.4);
        assertThat(shapes(c, "fist").get(1).path().segments().get(held.at()).end())
                .contains(new Point(60, 10));
        Character more = done(before, new AddPoint("hand", "fist", 1, 1, 0.5));
        assertThat(more.part("hand")
                        .flatMap(Part::wristBend)
                        .orElseThrow()
                        .weights()
                        .get(0)
                        .at())
                .as("a single point more moves the number on as well")
                .isEqualTo(4);
    }

    private static Artwork art(Character c, String drawing) {
        return c.part("hand").orElseThrow().drawing(drawing).orElseThrow().art();
    }
}
