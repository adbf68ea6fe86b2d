package app.leeward.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.leeward.core.Rigs;
import app.leeward.core.art.Point;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Window;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Against areas and distances of boxes, worked out by hand; the canvas is 100 by 100. */
class SweepCheckTest {
    private static Dial dial(String id, Stop... stops) {
        return new Dial(id, id, Purpose.OWN, 0, 10, 0, "", List.of(stops), List.of());
    }

    private static Dial shift(String id, String part, double x, double y) {
        return dial(id, new Stop(10, Map.of(part, Offset.shift(x, y))));
    }

    private static final Part BODY =
            Rigs.part("body", null, new Point(50, 90), Rigs.drawing("b", Rigs.box(30, 50, 40, 40)));
    private static final Part HAT =
            Rigs.part("hat", null, new Point(50, 50), Rigs.drawing("h", Rigs.box(40, 30, 20, 20)));

    private static List<Finding> found(Dial... dials) {
        return found(Rigs.character(List.of(BODY, HAT), List.of(), dials));
    }

    private static List<Finding> found(Character c) {
        return Checks.of(c, "sweep").orElseThrow();
    }

    @Test
    void whatLeavesTheCanvasIsToldWithItsShareAndWhere() {
        // the body's right edge lies 30 from the canvas's: at 40 a quarter of its 40 is outside; the hat stays touching
        // nothing is another
        Character c = Rigs.character(List.of(BODY), List.of(), shift("slide", "body", 40, 0));
        List<Finding> found = found(c);
        assertThat(found).hasSize(1);
        Finding f = found.get(0);
        assertThat(f.code()).isEqualTo("leaves-canvas");
        assertThat(f.harm()).isEqualTo(Harm.MOVES);
        assertThat(f.measure()).isEqualTo(new Measure(f.measure().value(), Unit.SHARE));
        assertThat(f.measure().value()).isCloseTo(0.25, within(1e-9));
        assertThat(f.at()).isEqualTo(Map.of("slide", 10.0));
        // seen from 3 % on: 30 + 1.2 of 40, which is place 18.72 of 0 to 24
        assertThat(f.message()).isEqualTo("25 % of body lies off the canvas at slide 10, at 6 of 25 places.");
        assertThat(f.where().get(0)).contains(new Point(110, 50), new Point(70, 90));
    }

    @Test
    void whatComesOffIsToldWithTheGap() {
        // the hat stands on the body; lifted by 25 it hangs 25 above it
        List<Finding> found = found(shift("lift", "hat", 0, -25));
        assertThat(found).extracting(Finding::code).containsExactly("comes-off");
        // two pieces are apart as much as each other
        assertThat(found.get(0).measure().value()).isCloseTo(25, within(1e-9));
        assertThat(found.get(0).harm()).isEqualTo(Harm.BREAKS);
        assertThat(found.get(0).message())
                .contains("comes off by 25.0 at lift 10", ", and one more part, at 4 of 5 places.");
    }

    @Test
    void whatFloatsAtRestMayFloat() {
        Part ball = Rigs.part("ball", null, new Point(50, 10), Rigs.drawing("x", Rigs.box(45, 5, 10, 10)));
        assertThat(found(Rigs.character(List.of(BODY, HAT, ball), List.of(), shift("bounce", "ball", 20, 0))))
                .isEmpty();
    }

    @Test
    void whatIsMaskedIsNotMeasured() {
        Character c = Rigs.character(
                List.of(BODY, HAT), List.of(new Window("body", List.of("hat"))), shift("lift", "hat", 0, -60));
        assertThat(found(c)).isEmpty();
    }

    @Test
    void twoDialsThatOnlyTogetherDoHarmAreToldTogether() {
        Dial right = shift("right", "body", 28, 0);
        Dial more = shift("more", "body", 28, 0);
        List<Finding> found = found(Rigs.character(List.of(BODY), List.of(), right, more));
        assertThat(found).hasSize(1);
        assertThat(found.get(0).subject().dial()).isEqualTo("right+more");
        assertThat(found.get(0).at()).isEqualTo(Map.of("right", 10.0, "more", 10.0));
        // 26 of 40 outside
        assertThat(found.get(0).measure().value()).isCloseTo(0.65, within(1e-9));
        assertThat(found.get(0).message()).isEqualTo("65 % of body lies off the canvas at right 10 with more 10.");
    }

    @Seeded(tries = 60)
    void aShiftIsToldExactlyWhenItTakesMoreThanAnOutlineOffTheCanvas(
            @Between(min = -60, max = 60) double x, @Between(min = -60, max = 60) double y) {
        double inX = Math.max(0, Math.min(70 + x, 100) - Math.max(30 + x, 0));
        double inY = Math.max(0, Math.min(90 + y, 100) - Math.max(50 + y, 0));
        double share = 1 - inX * inY / 1600;
        List<Finding> found = found(Rigs.character(List.of(BODY), List.of(), shift("slide", "body", x, y)));
        assertThat(found).hasSize(share > 0.03 ? 1 : 0);
        found.forEach(f -> assertThat(f.measure().value()).isCloseTo(share, within(1e-9)));
    }
}
