package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Lab;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MeshPicture;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.GazeMaker;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import app.leeward.core.turn.TurnNotes;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.formats.svg.SvgWriter;
import app.leeward.render.FramePainter;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Faces whose layers are pixels, as painters hand them over: a frog with a mouth of one stroke, a boy who bares his teeth behind
 * his glasses, the same painted with a brush in half shade, a man whose lids are drawn as creases, a girl with eyes in one layer each and her hands laid out beside her, a bear without names. The other picture is the file's own layers, laid on each other by Java 2D.
 */
class PixelFacesTest {
    private static final Pattern LAYER = Pattern.compile(
            "<layer name=\"[^\"]*\" x=\"(\\d+)\" y=\"(\\d+)\" src=\"([^\"]*)\"( visibility=\"hidden\")?/>");

    private static byte[] file(String name) throws IOException {
        return Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name + ".ora"));
    }

    private static BufferedImage laidOnEachOther(byte[] file, int width, int height) throws IOException {
        Map<String, byte[]> entries = new HashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                zip.transferTo(bytes);
                entries.put(e.getName(), bytes.toByteArray());
            }
        }
        List<MatchResult> layers =
                new ArrayList<>(LAYER.matcher(new String(entries.get("stack.xml"), StandardCharsets.UTF_8))
                        .results()
                        .toList());
        Collections.reverse(layers);
        BufferedImage all = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = all.createGraphics();
        for (MatchResult layer : layers) {
            if (layer.group(4) == null) {
                g.drawImage(
                        ImageIO.read(new ByteArrayInputStream(entries.get(layer.group(3)))),
                        Integer.parseInt(layer.group(1)),
                        Integer.parseInt(layer.group(2)),
                        null);
            }
        }
        g.dispose();
        return all;
    }

    private static BufferedImage painted(Character c, ImageShelf images, Map<String, Double> dials, int width)
            throws IOException {
        return Likeness.png(FramePainter.of(c, width, images).png(new Evaluator(c).frame(Pose.of(dials))));
    }

    private static Character done(Character c, Edit edit) {
        return Edits.apply(c, edit) instanceof Outcome.Done done ? done.character() : c;
    }

    private static List<String> wantMeshes(Character c) {
        return TurnNotes.of(
                        c,
                        HeadSolids.of(c, c.controls().turn().orElseThrow().shape())
                                .orElseThrow(),
                        TurnMaker.FULL)
                .stream()
                .filter(TurnNotes.TurnNote::mesh)
                .map(TurnNotes.TurnNote::part)
                .toList();
    }

    /** Eyes and a muzzle in one layer are taken to pieces as drawn ones are; what is cut out of a picture shows the same elsewhere. */
    @Test
    void layersOfPixelsAreTakenToPieces() throws Exception {
        LayeredArt art = ArtReader.read(file("robin"));
        ImageShelf images = hash -> art.images().get(hash);
        Character robin = read("robin", art);
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            Part white = robin.part(PartRole.WHITE, side).orElseThrow();
            Part pupil = robin.part(PartRole.PUPIL, side).orElseThrow();
            assertThat(white.drawings().get(0).art().images())
                    .as("cut out of one picture")
                    .isEqualTo(pupil.drawings().get(0).art().images());
            Box hole = white.bounds().orElseThrow();
            assertThat(pupil.bounds().orElseThrow().width()).isLessThan(0.6 * hole.width());
            assertThat(hole.contains(pupil.bounds().orElseThrow().centre())).isTrue();
        }
        // looking aside there is white where the pupil was
        Map<String, Double> aside = Map.of(
                GazeMaker.ACROSS, robin.dial(GazeMaker.ACROSS).orElseThrow().to());
        BufferedImage ours = painted(robin, images, aside, 700);
        String svg = SvgWriter.write(robin, new Evaluator(robin).frame(Pose.of(aside)), images);
        assertThat(Likeness.worstTile(ours, Likeness.foreign(svg, 700)))
                .as("by librsvg")
                .isLessThan(0.15);
        Point was = robin.part(PartRole.PUPIL, Side.LEFT)
                .orElseThrow()
                .bounds()
                .orElseThrow()
                .centre();
        double k = 700 / robin.sheet().canvas().width();
        int there = ours.getRGB((int) (k * was.x()) - 3, (int) (k * was.y()));
        assertThat(Lab.of(String.format("#%06x", there & 0xffffff)).l()).isGreaterThan(95);

        Character bear = read("bear", ArtReader.read(file("bear")));
        assertThat(bear.part(PartRole.MUZZLE)).isPresent();
        assertThat(bear.part(PartRole.NOSE)).isPresent();
        assertThat(bear.part(PartRole.MOUTH)).isPresent();
    }

    /** Lenses painted white are the whites of the eyes: they go with the rim, in pixels and in paths, and do not slide out beyond it. */
    @ParameterizedTest
    @ValueSource(strings = {"kid.ora", "kid.svg"})
    void whitesThatEndAtTheRimOfTheGlassesGoWithIt(String name) throws Exception {
        LayeredArt art = ArtReader.read(Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name)));
        Character kid = read("kid", art);
        double slack = 0.012 * kid.sheet().canvas().width();
        for (double turn : new double[] {-45, -20, 0, 20, 45}) {
            Box rims = box(kid, turn, PartRole.GLASSES);
            Box whites = box(kid, turn, PartRole.WHITE);
            assertThat(whites.minX()).as("at %s°", turn).isGreaterThan(rims.minX() - slack);
            assertThat(whites.maxX()).as("at %s°", turn).isLessThan(rims.maxX() + slack);
        }
    }

    private static Box box(Character c, double turn, PartRole role) {
        return new Evaluator(c)
                .frame(Pose.of(Map.of(TurnMaker.DIAL, turn))).placed().stream()
                        .filter(p -> c.part(p.part()).orElseThrow().role() == role)
                        .flatMap(p -> (p.outlines().isEmpty()
                                        ? c
                                                .part(p.part())
                                                .orElseThrow()
                                                .drawing(p.drawing())
                                                .orElseThrow()
                                                .art()
                                                .shapes()
                                                .stream()
                                                .map(Shape::path)
                                        : p.outlines().stream())
                                .flatMap(o -> o.transform(p.matrix()).bounds().stream()))
                        .reduce(Box::union)
                        .orElseThrow();
    }

    private static Character read(String name, LayeredArt art) {
        return ((IntakeResult.Hung) art.assembled(name, 24)).character();
    }

    @ParameterizedTest
    @ValueSource(strings = {"frog", "kid", "kid-painted", "gent", "robin", "bear"})
    void theyBlinkTalkAndTurnInTheirOwnColours(String name) throws Exception {
        LayeredArt art = ArtReader.read(file(name));
        ImageShelf images = hash -> art.images().get(hash);
        Character c = ((IntakeResult.Hung) art.assembled(name, 24)).character();
        int width = (int) c.sheet().canvas().width();
        BufferedImage own =
                laidOnEachOther(file(name), width, (int) c.sheet().canvas().height());
        BufferedImage ours = painted(c, images, Map.of(), width);
        int half = width / 2 + 100;
        // the girl's other hands lie at the right of her sheet, and are brought home
        boolean sheet = c.origin().notes().stream().anyMatch(n -> n.code().equals("laid-out"));
        assertThat(Likeness.unlike(
                        sheet ? own.getSubimage(0, 0, half, own.getHeight()) : own,
                        sheet ? ours.getSubimage(0, 0, half, own.getHeight()) : ours))
                .as("beside the layers themselves")
                .isLessThanOrEqualTo(0.005);

        Clicks.Clicked clicked = Clicks.all(c, new Random(5), images);
        assertThat(clicked.broken()).isEmpty();
        Character now = clicked.character();
        BufferedImage rest = painted(now, images, Map.of(), 600);
        for (Edit edit : List.of(
                new BuildEyes(),
                MakeTurn.of(Optional.empty()),
                new MakeMouths("", null, null, true, List.of()),
                new MakeLooks())) {
            now = done(now, edit);
        }
        List<String> meshes = wantMeshes(now);
        assertThat(meshes).as("the skin needs one").contains("face-skin");
        now = done(now, new MeshPicture(meshes));
        assertThat(wantMeshes(now)).as("a click settles").isEmpty();
        assertThat(Likeness.unlike(rest, painted(now, images, Map.of(), 600)))
                .as("at rest, after all that was made")
                .isLessThan(0.003);

        lidsAreOfTheSkin(now);
        assertThat(now.origin().notes()).as("no eye is squashed flat").noneMatch(n -> n.code()
                .equals("blink-squashed"));
        if (Set.of("kid", "kid-painted", "gent").contains(name)) {
            madeLidsLeaveALineWhenTheyAreShut(now);
        }
        madeMouthsAreInkedAsTheDrawnOne(now);
        double ink = dark(painted(now, images, Map.of(), 600));
        for (double turn : new double[] {-45, 45}) {
            assertThat(dark(painted(now, images, Map.of(TurnMaker.DIAL, turn), 600)) / ink)
                    .as("lines are not drawn out at %s°", turn)
                    .isLessThan(1.12);
        }
    }

    private static void lidsAreOfTheSkin(Character c) {
        Lab skin = Lab.of(c.part(PartRole.FACE)
                .flatMap(f -> f.drawings().get(0).art().shapes().get(0).fill().mainColour())
                .orElseThrow());
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            Optional<Part> lid = c.part(PartRole.UPPER_LID, side);
            lid.flatMap(p -> p.drawings().get(0).art().shapes().get(0).fill().mainColour())
                    .ifPresent(colour ->
                            assertThat(Lab.of(colour).difference(skin)).isLessThan(3));
        }
    }

    /** The lenses of the boy have no line, and the lids of the man are creases too small to shut: both are given lids. */
    private static void madeLidsLeaveALineWhenTheyAreShut(Character c) {
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            Part lid = c.part(PartRole.UPPER_LID, side).orElseThrow();
            assertThat(lid.drawing("made").orElseThrow().art().shapes())
                    .anyMatch(s -> s.stroke().visible());
        }
    }

    /** Ears drawn behind the face come before it on the near side and stay behind it on the far one, as on a head. */
    @ParameterizedTest
    @ValueSource(strings = {"kid.svg", "kid.ora", "captain.svg", "punk.svg", "gent.svg"})
    void theNearEarComesRoundTheSideOfTheHead(String name) throws Exception {
        LayeredArt art = ArtReader.read(Files.readAllBytes(Path.of("src", "test", "resources", "art", "plain", name)));
        Character c = done(read(name, art), MakeTurn.of(Optional.empty()));
        String face = c.part(PartRole.FACE).orElseThrow().id();
        for (double turn : new double[] {-45, -20, 20, 45}) {
            List<String> order = new Evaluator(c)
                    .frame(Pose.of(Map.of(TurnMaker.DIAL, turn))).placed().stream()
                            .map(Frame.Placed::part)
                            .toList();
            for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
                Part ear = c.part(PartRole.EAR, side).orElseThrow();
                // the character's left stands on the right of the screen, which is near while it looks to the left of
                // the screen
                boolean near = (side == Side.LEFT) == (turn < 0);
                assertThat(order.indexOf(ear.id()) > order.indexOf(face))
                        .as("%s at %s°", ear.name(), turn)
                        .isEqualTo(near);
            }
        }
    }

    private static void madeMouthsAreInkedAsTheDrawnOne(Character c) {
        Part mouth = c.part(PartRole.MOUTH).orElseThrow();
        assertThat(c.voice().mouths().drawn()).hasSize(Viseme.values().length);
        Predicate<Shape> lined = s -> s.stroke().visible();
        Shape drawn = mouth.drawings().get(0).art().inShapes().shapes().stream()
                .filter(lined)
                .findFirst()
                .orElseThrow();
        String open = c.voice().mouths().drawn().get(Viseme.AH);
        List<Shape> made = mouth.drawing(open).orElseThrow().art().shapes();
        assertThat(made).noneMatch(s -> s.fill() instanceof Paint.Picture);
        assertThat(made).filteredOn(lined).anySatisfy(s -> {
            assertThat(s.stroke().paint()).isEqualTo(drawn.stroke().paint());
            assertThat(s.stroke().width()).isEqualTo(drawn.stroke().width());
        });
        // a mouth that says "ah" is dark inside, also where the drawn one bares its teeth
        assertThat(made).filteredOn(s -> s.role() == ShapeRole.INSIDE).allSatisfy(s -> assertThat(
                        Lab.of(s.fill().mainColour().orElseThrow()).l())
                .isLessThan(50));
    }

    /** Share of what is seen that is as dark as ink. */
    private static double dark(BufferedImage image) {
        int dark = 0;
        int seen = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int p = image.getRGB(x, y);
                if (p >>> 24 > 128) {
                    seen++;
                    dark += (p >> 16 & 255) + (p >> 8 & 255) + (p & 255) < 180 ? 1 : 0;
                }
            }
        }
        return dark / (double) seen;
    }
}
