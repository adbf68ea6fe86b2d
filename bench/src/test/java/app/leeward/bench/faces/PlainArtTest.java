package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Thirty-five faces drawn and named by somebody who had no rig in mind: a head that is the skin itself, eyes in one layer or on bumps over the
 * head, halves of a beak, a mouth of two arcs, of two lips, from ear to ear, teeth and tongue in layers of their own, a fang, a
 * headscarf, three eyes, a nose of one stroke, a mouth of dots, a beak of one patch, no names at all, a muzzle with nose and mouth in one layer, a straight line for a mouth, pieces nobody has a word for, shade, pupils, teeth and strands that are clipped, paint on the lids, a mouth whose line is an area, caps with peaks and badges. The other picture is librsvg's.
 */
class PlainArtTest {
    private static byte[] file(String name) throws Exception {
        return Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name + ".svg"));
    }

    private static Character read(String name) throws Exception {
        LayeredArt art = ArtReader.read(file(name));
        return ((IntakeResult.Hung) art.assembled(name, 24)).character();
    }

    private static BufferedImage leftHalf(BufferedImage image) {
        return image.getSubimage(0, 0, image.getWidth() / 2, image.getHeight());
    }

    /** A pirate's badge is called a skull; his skin is the head that has the eyes on it. */
    @ParameterizedTest
    @ValueSource(
            strings = {"pirate", "skipper", "ballcap", "beanie", "police", "captain", "gent", "mia", "noor", "jamal"})
    void theirSkinHasTheEyesOnIt(String name) throws Exception {
        Character c = read(name);
        Box skin = c.part(PartRole.FACE).flatMap(Part::bounds).orElseThrow();
        assertThat(c.rig().parts().stream().filter(p -> p.role() == PartRole.WHITE))
                .isNotEmpty()
                .allMatch(p -> skin.contains(p.bounds().orElseThrow().centre()));
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
                "kid",
                "abuela",
                "robin",
                "gent",
                "bear",
                "bee",
                "telly",
                "baby",
                "noor",
                "jamal",
                "leila",
                "mia",
                "skipper",
                "ballcap",
                "beanie",
                "police"
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

    /** Hands and mouths laid out beside the figure are brought home. */
    @ParameterizedTest
    @ValueSource(strings = {"robin"})
    void handsOfASheetLieOnTheHandInItsPlace(String name) throws Exception {
        Part hand = read(name).part(PartRole.HAND, Side.LEFT).orElseThrow();
        Box home = hand.bounds().orElseThrow();
        assertThat(hand.drawings()).extracting(Drawing::name).containsExactly("open", "fist", "point", "flat");
        assertThat(hand.drawings()).allSatisfy(d -> assertThat(
                        home.contains(d.art().bounds().orElseThrow().centre()))
                .isTrue());
    }

    /** A muzzle in one layer, lips without a mouth, hair behind the face, and a head from the side. */
    @Test
    void piecesOfAFaceAreToldWhereNoLayerIsCalledByThem() throws Exception {
        Character bear = read("bear");
        assertThat(bear.part(PartRole.MUZZLE)).isPresent();
        assertThat(bear.part(PartRole.NOSE)).isPresent();
        assertThat(bear.part(PartRole.MOUTH).orElseThrow().drawings()).hasSize(1);
        Character abuela = read("abuela");
        assertThat(abuela.part(PartRole.MOUTH)
                        .orElseThrow()
                        .drawings()
                        .get(0)
                        .art()
                        .shapes())
                .extracting(Shape::role)
                .containsExactly(ShapeRole.LIPS, ShapeRole.LIPS);
        assertThat(abuela.part(PartRole.BACK_HAIR)).isPresent();
        assertThat(abuela.part(PartRole.FRINGE)).isPresent();
        assertThat(Edits.apply(read("wolf"), MakeTurn.of(Optional.empty())))
                .isInstanceOfSatisfying(
                        Outcome.Refused.class, r -> assertThat(r.reason()).isEqualTo(RefusalCode.TURN_FROM_THE_SIDE));
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
        "abuela, pendiente-izquierda, left ear",
        "leila, left-earrings, left ear",
        "leila, right-earrings, right ear",
        "leila, left-eye-paint, left eye",
        "gent, bow-tie, torso",
        "gent, monocle, head",
        "baby, bib, torso",
        "telly, knobs, head",
        "pirate, eye-patch, head",
        "pirate, gold-earring, right ear"
    })
    void whatNobodyKnowsFollowsWhatItLiesOn(String name, String part, String follows) throws Exception {
        Character c = read(name);
        assertThat(c.part(part).orElseThrow().parent().flatMap(c::part).map(Part::name))
                .contains(follows);
    }
}
