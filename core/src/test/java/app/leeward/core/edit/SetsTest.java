package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.art.Drawing;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.seeded.Between;
import app.leeward.core.seeded.Seeded;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Names and order of the drawings of a set. */
class SetsTest {
    private static final Character FACE = Rigs.hung(Rigs.face());

    private static List<String> names(Character c) {
        return c.part("mouth").orElseThrow().drawings().stream()
                .map(Drawing::name)
                .toList();
    }

    @Test
    void aDrawingIsNamedAnewAndStaysWhatItIs() {
        Character c = done(FACE, new NameDrawing("mouth", "ah", "  wide open "));
        assertThat(names(c)).containsExactly("rest", "m b p", "wide open");
        assertThat(c.part("mouth").orElseThrow().drawing("ah")).isPresent();
        assertThat(c.voice().mouths())
                .as("it serves the same sounds")
                .isEqualTo(FACE.voice().mouths());
        assertThat(refused(c, new NameDrawing("mouth", "ah", " "))).isEqualTo("no-name");
        assertThat(refused(c, new NameDrawing("mouth", "ah", "REST"))).isEqualTo("name-taken");
        assertThat(refused(c, new NameDrawing("mouth", "gone", "x"))).isEqualTo("no-drawing");
        assertThat(done(c, new NameDrawing("mouth", "ah", "Wide open"))).isNotNull();
    }

    @Seeded(tries = 40)
    void orderChangesNoPictureAndComesBack(@Between(min = 0, max = 2) int which, @Between(min = 0, max = 2) int to) {
        String id = FACE.part("mouth").orElseThrow().drawings().get(which).id();
        Character c = done(FACE, new OrderDrawing("mouth", id, to));
        assertThat(c.part("mouth").orElseThrow().drawings().get(to).id()).isEqualTo(id);
        Pose pose = new Pose(Map.of("turn", 20.0), Map.of("mouth", "ah"), Map.of(), Map.of());
        assertThat(new Evaluator(c).frame(pose)).isEqualTo(new Evaluator(FACE).frame(pose));
        assertThat(names(done(c, new OrderDrawing("mouth", id, which)))).isEqualTo(names(FACE));
    }

    @Test
    void aPlaceThatIsNotThereIsRefused() {
        assertThat(refused(FACE, new OrderDrawing("mouth", "ah", 3))).isEqualTo("place");
        assertThat(refused(FACE, new OrderDrawing("mouth", "ah", -1))).isEqualTo("place");
        assertThat(refused(FACE, new OrderDrawing("mouth", "gone", 0))).isEqualTo("no-drawing");
    }
}
