package app.leeward.core.eye;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** Eyes that shut by their contours, against the equation of an ellipse. */
class EyeOpeningTest {
    private static final double MEETING = LidCover.MEETING;

    private static Character eye(Path white, Layer... more) {
        Layer[] pieces = new Layer[more.length + 2];
        pieces[0] = Rigs.layer("white", white);
        pieces[1] = Rigs.layer("pupil", Rigs.ellipse(540, 490, 5, 5));
        System.arraycopy(more, 0, pieces, 2, more.length);
        return Rigs.hung(
                Rigs.group("", Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)), Rigs.group("eye", pieces)));
    }

    private static Layer line(String name, Path path) {
        Stroke stroke = new Stroke(Paint.flat("#26313d"), 3, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
        return new Layer(
                name,
                false,
                List.of(new Layer.Leaf(
                        new Shape("", ShapeRole.OTHER, path, Paint.NONE, FillRule.NONZERO, stroke, 1, false))));
    }

    private static Geometry white(Character c, Map<String, Double> dials) {
        Frame f = new Evaluator(c).frame(Pose.of(dials));
        return new Fills(c).in(f, c.part(PartRole.WHITE).orElseThrow().id()).orElseThrow();
    }

    /** At a share of the blink either contour of an ellipse has gone that share of its way to the line, at every x. */
    @Seeded(tries = 60)
    void contoursOfAnEllipseAreWhereItsEquationSays(
            @Between(min = 8, max = 60) double rx,
            @Between(min = 6, max = 50) double ry,
            @Between(min = 0, max = 0.98) double share) {
        Geometry now = white(eye(Rigs.ellipse(540, 490, rx, ry)), Map.of("blink", share));
        for (double u = -0.8; u <= 0.8; u += 0.1) {
            double h = ry * Math.sqrt(1 - u * u);
            double line = 490 - h + MEETING * 2 * h;
            double[] seen = VerticalHit.vertical(now, 540 + u * rx).orElseThrow();
            // a quarter of an ellipse by a cubic is off by 0.03 % of its axes, and outlines are followed to 0.05 units
            double off = 0.06 + 0.01 * ry;
            assertThat(seen[0]).isCloseTo(490 - h + share * (line - (490 - h)), within(off));
            assertThat(seen[1]).isCloseTo(490 + h + share * (line - (490 + h)), within(off));
        }
    }

    @Test
    void aLineRoundTheEyeBecomesTheLineOfTheShutEye() {
        Character c = eye(Rigs.ellipse(540, 490, 24, 20), line("eye outline", Rigs.ellipse(540, 490, 26, 22)));
        Part outline = c.part(PartRole.EYE_OUTLINE).orElseThrow();
        Frame shut = new Evaluator(c).frame(Pose.of(Map.of("blink", 1.0)));
        Path closed = shut.of(outline.id()).orElseThrow().outlines().get(0);
        // both contours of the line itself have met, level within a twelfth of its width of either side
        for (Point p : closed.sampled(8)) {
            double u = Math.max(-0.84, Math.min(0.84, (p.x() - 540) / 26));
            double line = 490 + (2 * MEETING - 1) * 22 * Math.sqrt(1 - u * u);
            assertThat(p.y()).as("at %s", p).isCloseTo(line, within(1.0));
        }
        assertThat(closed.bounds().orElseThrow().width()).isCloseTo(52, within(0.1));
        assertThat(c.rig().parts()).noneMatch(p -> p.name().endsWith("shut line"));
    }

    @Test
    void anEyeWithoutALineGetsOneThatOnlyTheBlinkShows() {
        Character c = eye(Rigs.ellipse(540, 490, 24, 20));
        Part line = c.rig().parts().stream()
                .filter(p -> p.name().endsWith("shut line"))
                .findFirst()
                .orElseThrow();
        Evaluator e = new Evaluator(c);
        assertThat(e.frame(Pose.REST).of(line.id())).isEmpty();
        assertThat(e.frame(Pose.of(Map.of("blink", 0.5))).of(line.id())).isEmpty();
        assertThat(e.frame(Pose.of(Map.of("blink", 1.0))).of(line.id())).isPresent();
        for (Point p : line.drawings().get(0).art().shapes().get(0).path().sampled(4)) {
            // it ends level on the eye's sides, a twelfth of its width each
            double u = Math.max(-0.84, Math.min(0.84, (p.x() - 540) / 24));
            double on = 490 + (2 * MEETING - 1) * 20 * Math.sqrt(Math.max(0, 1 - u * u));
            assertThat(p.y()).isCloseTo(on, within(1.5));
        }
        assertThat(BlinkMaker.addTo(c)).as("made once").isEqualTo(c);
    }

    @Test
    void lidDialsAndTheBlinkTogetherNeverGoPastShut() {
        Character c = ReadyMade.LOWER_LIDS
                .addTo(ReadyMade.UPPER_LIDS
                        .addTo(eye(Rigs.ellipse(540, 490, 24, 20)))
                        .orElseThrow())
                .orElseThrow();
        double half = white(c, Map.of("lids-upper", 0.5)).getArea();
        // of its height the upper contour has come down 0.36, so 0.64 of the area is left
        assertThat(half / white(c, Map.of()).getArea()).isCloseTo(1 - MEETING / 2, within(0.01));
        assertThat(white(c, Map.of("lids-upper", 0.5, "blink", 0.5)).getArea()).isLessThan(half);
        for (double upper : new double[] {0, 0.3, 1}) {
            for (double lower : new double[] {0, 0.7, 1}) {
                Geometry shut = white(c, Map.of("blink", 1.0, "lids-upper", upper, "lids-lower", lower));
                assertThat(shut.getArea()).as("%s %s", upper, lower).isLessThan(0.5);
            }
        }
    }

    @Test
    void aLineOverTravellingLidsFollowsTheirEdges() {
        Layer upper = Rigs.layer("upper lid", Rigs.box(510, 420, 60, 52));
        Layer lower = Rigs.layer("lower lid", Rigs.box(510, 509, 60, 40));
        Character c =
                eye(Rigs.ellipse(540, 490, 24, 20), upper, lower, line("eye outline", Rigs.ellipse(540, 490, 26, 22)));
        Part lid = c.part(PartRole.UPPER_LID).orElseThrow();
        Part outline = c.part(PartRole.EYE_OUTLINE).orElseThrow();
        for (double t : new double[] {0.5, 0.75, 1}) {
            Frame f = new Evaluator(c).frame(Pose.of(Map.of("blink", t)));
            double edge = new Fills(c)
                    .in(f, lid.id())
                    .orElseThrow()
                    .getEnvelopeInternal()
                    .getMaxY();
            double top = f.of(outline.id()).orElseThrow().outlines().get(0).sampled(16).stream()
                    .filter(p -> Math.abs(p.x() - 540) < 3)
                    .mapToDouble(Point::y)
                    .min()
                    .orElseThrow();
            assertThat(top).as("at %s", t).isCloseTo(edge, within(1.5));
        }
    }
}
