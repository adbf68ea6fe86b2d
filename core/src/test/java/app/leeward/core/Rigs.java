package app.leeward.core;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.dial.Dial;
import app.leeward.core.intake.Assembler;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Controls;
import app.leeward.core.rig.Library;
import app.leeward.core.rig.Origin;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import app.leeward.core.rig.Placement;
import app.leeward.core.rig.Rig;
import app.leeward.core.rig.Sheet;
import app.leeward.core.rig.Side;
import app.leeward.core.rig.Voice;
import app.leeward.core.rig.Window;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Small rigs and layers for tests. */
public final class Rigs {
    private static final double K = 0.5522847498;

    private Rigs() {}

    public static Path ellipse(double cx, double cy, double rx, double ry) {
        return Path.of(
                new Segment.Move(new Point(cx - rx, cy)),
                cubic(cx - rx, cy - ry * K, cx - rx * K, cy - ry, cx, cy - ry),
                cubic(cx + rx * K, cy - ry, cx + rx, cy - ry * K, cx + rx, cy),
                cubic(cx + rx, cy + ry * K, cx + rx * K, cy + ry, cx, cy + ry),
                cubic(cx - rx * K, cy + ry, cx - rx, cy + ry * K, cx - rx, cy),
                new Segment.Close());
    }

    /** An outline from the absolute commands M, L, C and Z of SVG. */
    public static Path path(String data) {
        List<Segment> out = new ArrayList<>();
        for (String part : data.split("(?=[MCLZ])")) {
            String[] n = part.substring(1).trim().split("[ ,]+");
            switch (part.charAt(0)) {
                case 'M' -> out.add(new Segment.Move(pointAt(n, 0)));
                case 'L' -> out.add(new Segment.Line(pointAt(n, 0)));
                case 'C' -> out.add(new Segment.Cubic(pointAt(n, 0), pointAt(n, 2), pointAt(n, 4)));
                default -> out.add(new Segment.Close());
            }
        }
        return new Path(out);
    }

    private static Point pointAt(String[] n, int i) {
        return new Point(Double.parseDouble(n[i]), Double.parseDouble(n[i + 1]));
    }

    public static Path box(double x, double y, double w, double h) {
        return Path.of(
                new Segment.Move(new Point(x, y)),
                new Segment.Line(new Point(x + w, y)),
                new Segment.Line(new Point(x + w, y + h)),
                new Segment.Line(new Point(x, y + h)),
                new Segment.Close());
    }

    private static Segment cubic(double a, double b, double c, double d, double e, double f) {
        return new Segment.Cubic(new Point(a, b), new Point(c, d), new Point(e, f));
    }

    public static Drawing drawing(String id, Path path) {
        return new Drawing(id, id, Artwork.of(Shape.filled("", path, "#336699")));
    }

    public static Part part(String id, String parent, Point pivot, Drawing... drawings) {
        return new Part(
                id,
                id,
                PartRole.OTHER,
                Side.NONE,
                Optional.ofNullable(parent),
                pivot,
                Placement.REST,
                List.of(drawings),
                drawings.length == 0 ? Part.NOTHING : drawings[0].id());
    }

    public static Character character(List<Part> parts, List<Window> windows, Dial... dials) {
        return new Character(
                "Test",
                new Sheet(new Canvas(100, 100), 24, List.of(), null),
                new Rig(parts, parts.stream().map(Part::id).toList(), windows, List.of()),
                Controls.NONE.withDials(List.of(dials)),
                Library.EMPTY,
                Voice.NONE,
                Origin.NONE);
    }

    /** A layer of filled paths. */
    public static Layer layer(String name, Path... paths) {
        return new Layer(
                name,
                false,
                Arrays.stream(paths)
                        .map(p -> (Layer.Node) new Layer.Leaf(Shape.filled("", p, "#884422")))
                        .toList());
    }

    /** A fill with a line round it. */
    public static Layer lined(String name, Path path) {
        return new Layer(
                name,
                false,
                List.of(new Layer.Leaf(Shape.filled("", path, "#884422").painted("#884422", "#2a2f38", 5))));
    }

    public static Layer group(String name, Layer... layers) {
        List<Layer.Node> nodes = new ArrayList<>();
        for (Layer l : layers) {
            nodes.add(new Layer.Group(l));
        }
        return new Layer(name, false, nodes);
    }

    /** A plain face of ellipses, 200 wide and 240 tall about (500, 500), with everything the dials need. */
    public static Layer face() {
        return group(
                "",
                layer("back hair", ellipse(500, 480, 130, 150)),
                layer("torso", box(400, 640, 200, 200)),
                layer("neck", box(470, 590, 60, 80)),
                layer("face skin", ellipse(500, 500, 100, 120)),
                eye("left", 540),
                eye("right", 460),
                layer("Nose", ellipse(500, 520, 10, 14)),
                group(
                        "mouth",
                        layer("rest", box(480, 559, 40, 2)),
                        layer("m b p", box(482, 559, 36, 2)),
                        layer("ah", ellipse(500, 562, 22, 18))),
                layer("ear_L", ellipse(602, 500, 12, 20)),
                layer("ear_R", ellipse(398, 500, 12, 20)),
                layer("brow L", box(520, 455, 40, 6)),
                layer("brow R", box(440, 455, 40, 6)));
    }

    private static Layer eye(String side, double x) {
        return group(
                "eye " + side,
                layer("white " + side, ellipse(x, 490, 24, 20)),
                layer("iris " + side, ellipse(x, 490, 10, 10)),
                layer("pupil " + side, ellipse(x, 490, 5, 5)),
                layer("upper lid " + side, box(x - 30, 420, 60, 52)),
                layer("lower lid " + side, box(x - 30, 508, 60, 50)));
    }

    public static Character hung(Layer root) {
        IntakeResult result = Assembler.assemble("Test face", new Canvas(1000, 1000), 24, root, List.of());
        if (result instanceof IntakeResult.Hung h) {
            return h.character();
        }
        throw new AssertionError(((IntakeResult.Unusable) result).message());
    }
}
