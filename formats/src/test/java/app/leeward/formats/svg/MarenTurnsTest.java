package app.leeward.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Regions;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.EyeCheck;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.turn.TurnCheck;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;

/** The demo character over her whole turn, at as many places as the film strip has pictures. */
class MarenTurnsTest {
    private static final Character MAREN = maren();
    private static final Evaluator EVALUATOR = new Evaluator(MAREN);

    private static Character maren() {
        LayeredArt art = SvgReader.read(DemoFiles.maren());
        return ((IntakeResult.Hung) art.assembled("Maren", 24)).character();
    }

    private static List<Double> places() {
        double from = MAREN.dial("turn").orElseThrow().from();
        double to = MAREN.dial("turn").orElseThrow().to();
        return IntStream.range(0, 25).mapToObj(i -> from + (to - from) * i / 24).toList();
    }

    private static Geometry fill(Frame f, PartRole role, Side side) {
        Part part = MAREN.part(role, side).orElseThrow();
        Frame.Placed p = f.of(part.id()).orElseThrow();
        return part.drawing(p.drawing()).orElseThrow().art().shapes().stream()
                .map(s -> Regions.of(s.path().transform(p.matrix())))
                .reduce(Geometry::union)
                .orElseThrow();
    }

    @Test
    void nothingIsFoundAtAnyOfTwentyFivePlaces() {
        assertThat(TurnCheck.of(MAREN, places()))
                .hasSize(25)
                .allSatisfy(p -> assertThat(p.message()).as("at %s", p.at()).isEmpty());
        assertThat(EyeCheck.of(MAREN)).isEmpty();
    }

    @Test
    void sheBlinksAndLooksWhereverShesTurned() {
        for (double turn : places()) {
            Frame shut = EVALUATOR.frame(Pose.of(Map.of("turn", turn, "blink", 1.0)));
            Frame ahead = EVALUATOR.frame(Pose.of(Map.of("turn", turn)));
            Frame looks = EVALUATOR.frame(Pose.of(Map.of("turn", turn, "gaze-across", 1.0)));
            for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
                Geometry white = fill(shut, PartRole.WHITE, side);
                Geometry lids = fill(shut, PartRole.UPPER_LID, side).union(fill(shut, PartRole.LOWER_LID, side));
                assertThat(white.difference(lids).getArea())
                        .as("%s white not covered at %s", side, turn)
                        .isLessThan(0.01 * white.getArea());
                Geometry pupil = fill(looks, PartRole.PUPIL, side);
                assertThat(pupil.getCentroid().getX())
                        .as("%s pupil at %s", side, turn)
                        .isGreaterThan(
                                fill(ahead, PartRole.PUPIL, side).getCentroid().getX() + 2);
                assertThat(pupil.intersection(fill(looks, PartRole.WHITE, side)).getArea())
                        .as("%s pupil left in its eye at %s", side, turn)
                        .isGreaterThan(0.5 * pupil.getArea());
            }
        }
    }
}
