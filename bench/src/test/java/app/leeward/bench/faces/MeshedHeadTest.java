package app.leeward.bench.faces;

import static org.assertj.core.api.Assertions.assertThat;

import app.leeward.core.art.Box;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MeshPicture;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.HeadShape;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import app.leeward.core.turn.TurnNotes;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.formats.svg.SvgWriter;
import app.leeward.render.FramePainter;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A head of pixels, cut into meshes: a tortoise that looks the same at rest and turns as its solids have it. */
class MeshedHeadTest {
    private static LayeredArt tortoise() throws Exception {
        return ArtReader.read(Files.readAllBytes(Path.of("src", "test", "resources", "art", "tortoise.ora")));
    }

    private static Character hung(LayeredArt art) {
        return ((IntakeResult.Hung) art.assembled("Tortoise", 24)).character();
    }

    private static List<TurnNotes.TurnNote> notes(Character c) {
        HeadShape shape = c.controls().turn().orElseThrow().shape();
        return TurnNotes.of(c, HeadSolids.of(c, shape).orElseThrow(), TurnMaker.FULL);
    }

    private static BufferedImage painted(Character c, ImageShelf images, Frame frame) throws Exception {
        return Likeness.png(FramePainter.of(c, 700, images).png(frame));
    }

    private static Frame head(Character c, double turn) {
        String head = c.part(PartRole.HEAD).orElseThrow().id();
        return new Frame(new Evaluator(c)
                .frame(Pose.of(Map.of(TurnMaker.DIAL, turn))).placed().stream()
                        .filter(p -> c.rig().follows(p.part(), head))
                        .toList());
    }

    /** Triangles that meet but for their last digits leave no notch in the skin, which the turn would draw out to a spike. */
    @Test
    void theEdgeOfAMeshHasNoNotches() throws Exception {
        LayeredArt art = tortoise();
        ImageShelf images = hash -> art.images().get(hash);
        Character c = hung(art);
        // what intake offers moves the head, and with it the last digits
        Character tidy = Clicks.all(c, new Random(1), images).character();
        for (Character face : List.of(c, tidy)) {
            Outcome cut = Edits.apply(face, new MeshPicture(List.of("face-skin")));
            Character mesh = ((Outcome.Done) cut).character();
            Box rest = skin(mesh, 0);
            // its rear, which comes round where nothing pushes it out
            assertThat(skin(mesh, -45).maxX()).isLessThan(rest.maxX());
            assertThat(skin(mesh, 45).minX()).isGreaterThan(rest.minX());
        }
    }

    private static Box skin(Character c, double turn) {
        Frame.Placed skin = new Evaluator(c)
                .frame(Pose.of(Map.of(TurnMaker.DIAL, turn))).placed().stream()
                        .filter(p -> p.part().equals("face-skin"))
                        .findFirst()
                        .orElseThrow();
        List<app.leeward.core.art.Path> outlines = skin.outlines().isEmpty()
                ? c.part("face-skin").orElseThrow().drawings().get(0).art().shapes().stream()
                        .map(app.leeward.core.art.Shape::path)
                        .toList()
                : skin.outlines();
        return outlines.stream()
                .flatMap(o -> o.transform(skin.matrix()).bounds().stream())
                .reduce(Box::union)
                .orElseThrow();
    }

    @Test
    void aTortoiseOfPixelsTurnsAsAMesh() throws Exception {
        LayeredArt art = tortoise();
        ImageShelf images = hash -> art.images().get(hash);
        Character c = hung(art);
        List<TurnNotes.TurnNote> before = notes(c);
        assertThat(before).isNotEmpty().allMatch(TurnNotes.TurnNote::mesh);
        Outcome cut = Edits.apply(
                c, new MeshPicture(before.stream().map(TurnNotes.TurnNote::part).toList()));
        Character mesh = ((Outcome.Done) cut).character();
        assertThat(notes(mesh)).as("a click settles").isEmpty();
        assertThat(Likeness.unlike(
                        painted(c, images, new Evaluator(c).frame(Pose.REST)),
                        painted(mesh, images, new Evaluator(mesh).frame(Pose.REST))))
                .as("at rest")
                .isLessThan(0.002);
        int open = TurnedHeads.ground(painted(mesh, images, head(mesh, 0)));
        for (double turn : new double[] {-45, -22, 13, 45}) {
            Frame frame = head(mesh, turn);
            BufferedImage ours = painted(mesh, images, frame);
            assertThat(TurnedHeads.ground(ours))
                    .as("ground inside at %s°", turn)
                    .isLessThanOrEqualTo(open);
            // drawn by librsvg from our SVG it looks the same
            BufferedImage foreign = Likeness.foreign(SvgWriter.write(mesh, frame, images), 700);
            assertThat(Likeness.unlike(ours, foreign))
                    .as("by librsvg at %s°", turn)
                    .isLessThan(0.005);
        }
    }
}
