package app.leeward.core.edit;

import static app.leeward.core.Made.done;
import static app.leeward.core.Made.refused;
import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.Rigs;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Kit;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Kits: choices over several parts. What is worn is looked up in the evaluated picture. */
class KitsTest {
    private static final Character BARE = Rigs.hung(Rigs.group(
            "",
            Rigs.layer("face", Rigs.ellipse(500, 500, 100, 120)),
            Rigs.group(
                    "torso",
                    Rigs.layer("coat", Rigs.box(400, 640, 200, 200)),
                    Rigs.layer("jumper", Rigs.box(410, 640, 180, 200)).asHidden()),
            Rigs.group(
                    "cap",
                    Rigs.layer("wool cap", Rigs.box(420, 340, 160, 60)),
                    Rigs.layer("rain hat", Rigs.box(400, 330, 200, 70)).asHidden())));

    private static final Map<String, String> RAIN = Map.of("torso", "coat", "cap", "rain-hat");
    private static final Map<String, String> INDOORS = Map.of("torso", "jumper", "cap", Part.NOTHING);

    private static Character dressed() {
        Character c = done(BARE, new KeepKit("Rain", "Clothes", RAIN));
        return done(c, new KeepKit("Indoors", "Clothes", INDOORS));
    }

    private static String id(Character c, String name) {
        return c.library().kits().stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aKitPutsOnAllItChoosesAndTakesOffWhatItChoosesNothingFor() {
        Character c = dressed();
        assertThat(c.library().kits().stream().map(Kit::name)).containsExactly("Rain", "Indoors");
        Kit indoors = c.library().kits().get(1);
        var frame = new Evaluator(c).frame(new Pose(Map.of(), indoors.choices(), Map.of(), Map.of()));
        assertThat(frame.of("torso").orElseThrow().drawing()).isEqualTo("jumper");
        assertThat(frame.of("cap")).isEmpty();
        assertThat(frame.of(c.part(PartRole.FACE).orElseThrow().id())).isPresent();
        Character always = done(c, new ShowKit(id(c, "Rain")));
        var rest = new Evaluator(always).frame(Pose.REST);
        assertThat(rest.of("torso").orElseThrow().drawing()).isEqualTo("coat");
        assertThat(rest.of("cap").orElseThrow().drawing()).isEqualTo("rain-hat");
    }

    @Test
    void theSameNameInTheSameSetIsTheSameKit() {
        Character c = done(dressed(), new KeyKit(id(dressed(), "Rain"), "r"));
        Character again = done(c, new KeepKit("rain", "clothes", Map.of("torso", "coat")));
        assertThat(again.library().kits()).hasSize(2);
        assertThat(again.library().kits().get(0).choices()).isEqualTo(Map.of("torso", "coat"));
        assertThat(again.library().kits().get(0).key()).isEqualTo("r");
        assertThat(done(c, new KeepKit("Rain", "Hats", RAIN)).library().kits()).hasSize(3);
        assertThat(refused(c, new NameKit(id(c, "Rain"), "Indoors", "Clothes"))).isEqualTo("kit-taken");
        Character named = done(c, new NameKit(id(c, "Rain"), "Storm", "Clothes"));
        assertThat(named.library().kits().get(0).name()).isEqualTo("Storm");
        assertThat(named.library().kits().get(0).id())
                .isEqualTo(c.library().kits().get(0).id());
    }

    @Test
    void whatIsTakenAwayLeavesItsKitsAndAnEmptyKitGoes() {
        Character c = done(dressed(), new KeepKit("Hat", "", Map.of("cap", "rain-hat")));
        Character left = done(c, new DropDrawing("cap", "rain-hat"));
        assertThat(left.library().kits().stream().map(Kit::name)).containsExactly("Rain", "Indoors");
        assertThat(left.library().kits().get(0).choices()).isEqualTo(Map.of("torso", "coat"));
        Character without = done(c, new Discard(List.of("cap")));
        assertThat(without.library().kits().stream().map(Kit::choices))
                .containsExactly(Map.of("torso", "coat"), Map.of("torso", "jumper"));
        assertThat(done(c, new DropKit(id(c, "Hat"))).library().kits())
                .isEqualTo(dressed().library().kits());
        assertThat(done(c, new DropKit(id(c, "Hat"))).rig().parts())
                .isEqualTo(c.rig().parts());
    }

    @Test
    void aPartWhoseDefaultIsTakenAwayShowsAnother() {
        assertThat(BARE.part("cap").orElseThrow().shown()).isEqualTo("wool-cap");
        Character c = done(BARE, new DropDrawing("cap", "wool-cap"));
        assertThat(c.part("cap").orElseThrow().shown()).isEqualTo("rain-hat");
        assertThat(done(c, new DropDrawing("cap", "rain-hat"))
                        .part("cap")
                        .orElseThrow()
                        .shown())
                .isEqualTo(Part.NOTHING);
    }

    @Test
    void oneKeyDoesOneThing() {
        Character c = done(dressed(), new SetKey("cap", "wool-cap", "c"));
        c = done(c, new KeyKit(id(c, "Rain"), "r"));
        Character kit = done(c, new KeyKit(id(c, "Indoors"), "c"));
        assertThat(kit.library().keys()).as("the drawing gave its key up").isEmpty();
        assertThat(kit.library().kits().stream().map(Kit::key)).containsExactly("r", "c");
        Character other = done(kit, new KeyKit(id(c, "Rain"), "c"));
        assertThat(other.library().kits().stream().map(Kit::key)).containsExactly("c", "");
        Character drawing = done(other, new SetKey("torso", "coat", "c"));
        assertThat(drawing.library().kits().stream().map(Kit::key)).containsExactly("", "");
        assertThat(drawing.library().keys()).hasSize(1);
        assertThat(done(other, new KeyKit(id(c, "Rain"), ""))
                        .library()
                        .kits()
                        .get(0)
                        .key())
                .isEmpty();
        assertThat(done(c, new KeyKit(id(c, "Rain"), "")).library().keys())
                .as("no key takes none from others")
                .hasSize(1);
    }

    @Test
    void unsoundKitsAreRefused() {
        Character c = dressed();
        assertThat(refused(c, new KeepKit("Empty", "", Map.of()))).isEqualTo("empty-kit");
        assertThat(refused(c, new KeepKit("Gone", "", Map.of("scarf", "red")))).isEqualTo("no-part");
        assertThat(refused(c, new KeepKit("Gone", "", Map.of("cap", "bowler")))).isEqualTo("no-drawing");
        assertThat(refused(c, new KeepKit(" ", "", RAIN))).isEqualTo(refused(c, new Rename(" ")));
        assertThat(refused(c, new KeepKit("x".repeat(81), "", RAIN))).isEqualTo(refused(c, new Rename("x".repeat(81))));
        assertThat(refused(c, new KeyKit(id(c, "Rain"), "w"))).isEqualTo("bad-key");
        for (Edit gone : List.of(
                new DropKit("gone"), new ShowKit("gone"), new KeyKit("gone", "g"), new NameKit("gone", "n", ""))) {
            assertThat(refused(c, gone)).isEqualTo("no-kit");
        }
    }
}
