package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.intake.Assembler;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Twenty faces drawn and named by somebody who had no rig in mind: a head that is the skin itself, eyes in one layer or on bumps over the
 * head, halves of a beak, a mouth of two arcs, of two lips, from ear to ear, teeth and tongue in layers of their own, a fang, a
 * headscarf, three eyes, a nose of one stroke, a mouth of dots, a beak of one patch, no names at all, pieces nobody has a word for. The other picture is librsvg's.
 */
class PlainArtTest {
    private static byte[] file(String name) throws Exception {
        return Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name + ".svg"));
    }

    private static Character read(String name) throws Exception {
        LayeredArt art = ArtReader.read(file(name));
        return ((IntakeResult.Hung) Assembler.assemble(name, art.canvas(), 24, art.root(), art.notes())).character();
    }

    private static BufferedImage leftHalf(BufferedImage image) {
        return image.getSubimage(0, 0, image.getWidth() / 2, image.getHeight());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "nanna",
                "owl",
                "cyclops",
                "dog",
                "robot",
                "girl",
                "pirate",
                "captain",
                "frog",
                "cat",
                "amira",
                "alien",
                "ghost",
                "boy34",
                "punk",
                "cheval",
                "pinguin",
                "manga",
                "schneemann",
                "kid"
            })
    void theyShowWhatTheirFilesShowAndGoOnDoingSoWhateverIsMade(String name) throws Exception {
        Character c = read(name);
        BufferedImage rest = Trial.drawn(c, Pose.REST);
        BufferedImage foreign = Likeness.foreign(new String(file(name), StandardCharsets.UTF_8), Trial.WIDTH);
        // the captain's mouths are laid out on the right half of his sheet, and brought home
        boolean sheet = c.origin().notes().stream().anyMatch(n -> n.code().equals("laid-out"));
        assertThat(Likeness.unlike(sheet ? leftHalf(foreign) : foreign, sheet ? leftHalf(rest) : rest))
                .as("beside librsvg")
                .isLessThanOrEqualTo(0.005);
        Clicks.Clicked clicked = Clicks.all(c, new Random(3), ImageShelf.NONE);
        assertThat(clicked.broken()).isEmpty();
        Character now = clicked.character();
        BufferedImage before = Trial.drawn(now, Pose.REST);
        for (Edit edit : List.of(
                new BuildEyes(),
                MakeTurn.of(Optional.empty()),
                new MakeMouths("", null, null, true, List.of()),
                new MakeLooks())) {
            if (Edits.apply(now, edit) instanceof Outcome.Done done) {
                now = done.character();
                assertThat(Likeness.unlike(before, Trial.drawn(now, Pose.REST)))
                        .as("after %s", edit)
                        .isLessThanOrEqualTo(0.001);
            }
        }
        assertThat(now.dial(GazeMaker.ACROSS)).as("it looks about").isPresent();
        assertThat(now.dial(BlinkMaker.DIAL)).as("it shuts its eyes").isPresent();
        assertThat(now.dial("turn")).as("it turns").isPresent();
        assertThat(now.part(PartRole.FACE)).as("it has a skin").isPresent();
        assertThat(now.voice().mouths().drawn()).as("it talks").hasSize(Viseme.values().length);
    }

    /** What has no role, and what it goes with. */
    @ParameterizedTest
    @CsvSource({
        "owl, disc-left, head",
        "cyclops, spots, head",
        "nanna, earring-l, left ear",
        "nanna, knot, neck",
        "nanna, wrinkles, head",
        "dog, patch-over-eye, head",
        "dog, tag, torso",
        "robot, visor, head",
        "robot, bolt-l, head",
        "girl, ribbon, head",
        "frog, left-eye-bump, left eye",
        "frog, spots, head",
        "punk, iro, head",
        "punk, nasenring, head",
        "punk, ohrring-links, left ear",
        "cat, stripes, head",
        "cat, bell, torso",
        "alien, freckles, head",
        "pirate, eye-patch, head",
        "pirate, gold-earring, right ear"
    })
    void whatNobodyKnowsFollowsWhatItLiesOn(String name, String part, String follows) throws Exception {
        Character c = read(name);
        assertThat(c.part(part).orElseThrow().parent().flatMap(c::part).map(Part::name))
                .contains(follows);
    }
}
