package app.leeward.bench.faces;

import app.leeward.core.art.ImageShelf;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Pad;
import app.leeward.core.dial.Purpose;
import app.leeward.core.edit.BuildEyes;
import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.MakeViews;
import app.leeward.core.edit.MeshPicture;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.RegisterViews;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.eye.BlinkMaker;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Pose;
import app.leeward.core.rig.Side;
import app.leeward.core.solid.HeadSolids;
import app.leeward.core.turn.TurnMaker;
import app.leeward.core.turn.TurnNotes;
import app.leeward.faces.Face;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import app.leeward.render.FramePainter;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import javax.imageio.ImageIO;

/**
 * Draws what a face does after what is offered was taken: the blink, the gaze, the turn, the mouths and the
 * looks, a row each. Arguments: a folder to write to, then files or seeds.
 */
public final class FilmStrips {
    private static final int CELL = 300;

    private FilmStrips() {}

    public static void main(String[] args) throws Exception {
        for (String arg : List.of(args).subList(1, args.length)) {
            boolean seed = arg.chars().allMatch(java.lang.Character::isDigit);
            byte[] file = seed
                    ? Face.of(Long.parseLong(arg)).svg().getBytes(StandardCharsets.UTF_8)
                    : Files.readAllBytes(Path.of(arg));
            String name = seed ? arg : new File(arg).getName();
            System.out.println(name);
            LayeredArt art = ArtReader.read(file);
            ImageShelf images = hash -> art.images().get(hash);
            IntakeResult result = art.assembled(name, 24);
            if (!(result instanceof IntakeResult.Hung hung)) {
                System.out.println("  " + ((IntakeResult.Unusable) result).message());
                continue;
            }
            Clicks.Clicked clicked = Clicks.all(hung.character(), new Random(1), images);
            Character c = clicked.character();
            int clicks = clicked.clicks();
            List<Edit> path = List.of(
                    new BuildEyes(),
                    new MakeViews(),
                    new RegisterViews(""),
                    MakeTurn.of(Optional.empty()),
                    new MakeMouths("", null, null, true, List.of()),
                    new MakeLooks());
            for (Edit edit : path) {
                Outcome outcome = Edits.apply(c, edit);
                if (outcome instanceof Outcome.Done done) {
                    clicks++;
                    c = done.character();
                } else {
                    System.out.println(
                            "  " + edit.getClass().getSimpleName() + ": " + ((Outcome.Refused) outcome).message());
                }
            }
            List<String> meshes = meshes(c);
            if (!meshes.isEmpty() && Edits.apply(c, new MeshPicture(meshes)) instanceof Outcome.Done done) {
                clicks++;
                c = done.character();
            }
            System.out.println("  " + clicks + " clicks; "
                    + c.origin().notes().stream()
                            .map(n -> n.code() + ": " + n.message())
                            .toList());
            ImageIO.write(sheet(c, images), "png", new File(args[0], name + ".png"));
        }
    }

    /** The parts the turn offers to cut into meshes. */
    private static List<String> meshes(Character c) {
        return c.controls().turn().flatMap(t -> HeadSolids.of(c, t.shape())).stream()
                .flatMap(solids -> TurnNotes.of(c, solids, TurnMaker.FULL).stream())
                .filter(TurnNotes.TurnNote::mesh)
                .map(TurnNotes.TurnNote::part)
                .toList();
    }

    private static BufferedImage sheet(Character c, ImageShelf images) throws Exception {
        List<List<Pose>> rows = new ArrayList<>();
        rows.add(along(c.dial(BlinkMaker.DIAL)));
        for (Pad pad : c.controls().pads()) {
            Optional<Dial> x = c.dial(pad.across());
            Optional<Dial> y = c.dial(pad.down());
            if (x.isPresent() && y.isPresent()) {
                List<Pose> corners = new ArrayList<>();
                for (double h : new double[] {x.get().from(), 0, x.get().to()}) {
                    for (double v : new double[] {y.get().from(), y.get().to()}) {
                        corners.add(Pose.of(Map.of(pad.across(), h, pad.down(), v)));
                    }
                }
                rows.add(corners);
            }
        }
        c.controls().dials().stream()
                .filter(d -> d.purpose() == Purpose.TURN)
                .forEach(d -> rows.add(along(Optional.of(d))));
        List<Pose> mouths = new ArrayList<>();
        c.part(PartRole.MOUTH, Side.NONE).ifPresent(mouth -> {
            mouth.drawings().stream().limit(21).forEach(d -> mouths.add(Pose.REST.saying(mouth.id(), d.id())));
        });
        for (int i = 0; i < mouths.size(); i += 7) {
            rows.add(mouths.subList(i, Math.min(mouths.size(), i + 7)));
        }
        rows.add(c.library().looks().stream()
                .limit(7)
                .map(l -> Pose.of(l.dials()))
                .toList());
        rows.removeIf(List::isEmpty);
        BufferedImage sheet = new BufferedImage(7 * CELL, rows.size() * CELL, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = sheet.createGraphics();
        g.setColor(new Color(0x9aa3ab));
        g.fillRect(0, 0, sheet.getWidth(), sheet.getHeight());
        Evaluator evaluator = new Evaluator(c);
        FramePainter painter = FramePainter.of(c, 700, images);
        Rectangle crop = head(c, 700);
        for (int row = 0; row < rows.size(); row++) {
            for (int i = 0; i < rows.get(row).size(); i++) {
                BufferedImage frame =
                        Likeness.png(painter.png(evaluator.frame(rows.get(row).get(i))));
                Rectangle in = crop.intersection(new Rectangle(0, 0, frame.getWidth(), frame.getHeight()));
                double k = (CELL - 6) / (double) Math.max(in.width, in.height);
                g.drawImage(
                        frame.getSubimage(in.x, in.y, in.width, in.height),
                        i * CELL + 3,
                        row * CELL + 3,
                        (int) (in.width * k),
                        (int) (in.height * k),
                        null);
            }
        }
        g.dispose();
        return sheet;
    }

    /** Where the head is, with what hangs on it, in pixels of a picture that wide; all of it where there is no head. */
    static Rectangle head(Character c, int width) {
        double k = width / c.sheet().canvas().width();
        return c.part(PartRole.HEAD, Side.NONE)
                .flatMap(h -> c.rig().boundsWithFollowers(h.id()))
                .map(b -> new Rectangle(
                        (int) (k * b.minX()) - 20,
                        (int) (k * b.minY()) - 20,
                        (int) (k * b.width()) + 40,
                        (int) (k * b.height()) + 40))
                .orElse(new Rectangle(0, 0, width, width));
    }

    private static List<Pose> along(Optional<Dial> dial) {
        List<Pose> poses = new ArrayList<>();
        dial.ifPresent(d -> {
            for (int i = 0; i < 7; i++) {
                poses.add(Pose.of(Map.of(d.id(), d.from() + (d.to() - d.from()) * i / 6)));
            }
        });
        return poses;
    }
}
