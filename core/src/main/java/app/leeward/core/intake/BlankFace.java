package app.leeward.core.intake;

import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Point;
import app.leeward.core.art.Segment;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.mouth.Articulation;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Canvas;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A blank for designers: one named layer for every slot of the board and every drawing of the usual sets, each holding a
 * plain place-holder where the piece belongs, to be drawn over.
 */
public final class BlankFace {
    public static final Canvas CANVAS = new Canvas(1000, 1000);

    /** What the file says to whoever opens it. */
    public static final String SAYS =
            "Draw over the place-holders and keep the names of the layers. Left and right are the"
                    + " character's own: its left is on the right of the picture. Hidden layers are drawings that replace each"
                    + " other. What the character does not need can be deleted.";

    /** How far the four control points of a quarter of a circle stand off, as a share of its radius. */
    private static final double ROUND = 0.5522847498;

    private static final String LINE = "#4a5a61";
    private static final String SKIN = "#f6e3d2";
    private static final String SHADE = "#ecd0bb";
    private static final String HAIR = "#cdbfae";
    private static final String CLOTH = "#c9d7d8";
    private static final String WHITE = "#ffffff";
    private static final String IRIS = "#9db7a4";
    private static final String DARK = "#39454b";
    private static final String TONGUE = "#d99a94";

    private BlankFace() {}

    /** Back to front. */
    public static Layer layers() {
        List<Layer> head = new ArrayList<>();
        head.add(hidden(layer("extra hair", filled(ellipse(500, 380, 196, 204), HAIR))));
        head.add(layer("face skin", filled(ellipse(500, 420, 170, 200), SKIN)));
        head.addAll(pair("cheek", bare(ellipse(610, 490, 38, 24), SHADE)));
        head.add(layer(
                "freckles",
                bare(ellipse(586, 470, 4, 4), LINE),
                bare(ellipse(606, 464, 4, 4), LINE),
                bare(ellipse(414, 470, 4, 4), LINE),
                bare(ellipse(394, 464, 4, 4), LINE)));
        head.addAll(pair("ear", filled(ellipse(676, 430, 26, 44), SKIN)));
        head.add(eye("right", true));
        head.add(eye("left", false));
        head.add(group(
                "nose",
                layer("front", filled(ellipse(500, 450, 22, 26), SHADE)),
                hidden(layer("profile", filled(ellipse(526, 450, 30, 26), SHADE)))));
        head.add(mouths());
        head.addAll(pair("brow", filled(ellipse(580, 300, 48, 9), HAIR)));
        head.add(layer("fringe", filled(crescent(500, 300, 176, 110, 40), HAIR)));
        head.add(hidden(layer("cap", filled(crescent(500, 250, 190, 140, 20), CLOTH))));

        List<Layer> all = new ArrayList<>();
        all.add(layer("back hair", filled(ellipse(500, 430, 216, 250), HAIR)));
        all.add(layer("torso", filled(box(320, 700, 360, 320), CLOTH)));
        all.add(layer("neck", filled(box(450, 590, 100, 130), SHADE)));
        all.add(layer("collar", filled(box(420, 690, 160, 34), CLOTH)));
        all.add(group("head", head.toArray(Layer[]::new)));
        all.addAll(pair("upper arm", filled(box(684, 710, 64, 160), CLOTH)));
        all.addAll(pair("forearm", filled(box(690, 860, 54, 120), CLOTH)));
        all.add(hand("right", true));
        all.add(hand("left", false));
        return group("", all.toArray(Layer[]::new));
    }

    private static Layer eye(String side, boolean mirrored) {
        Layer eye = group(
                "eye " + side,
                layer("eye white " + side, filled(ellipse(580, 380, 46, 48), WHITE)),
                layer("iris " + side, filled(ellipse(576, 384, 24, 26), IRIS)),
                layer("pupil " + side, bare(ellipse(576, 384, 12, 13), DARK)),
                layer("highlight " + side, bare(ellipse(584, 374, 6, 6), WHITE)),
                layer("lower lid " + side, filled(box(528, 424, 104, 110), SKIN)),
                layer("upper lid " + side, filled(box(528, 226, 104, 110), SKIN)),
                layer("eye outline " + side, lined(ellipse(580, 380, 46, 48), 6)));
        return mirrored ? transformed(eye, Matrix.mirror(500)) : eye;
    }

    private static Layer hand(String side, boolean mirrored) {
        Layer hand = group(
                "hand " + side,
                layer("relaxed", filled(ellipse(717, 985, 30, 34), SKIN)),
                hidden(layer("point", filled(ellipse(717, 980, 28, 28), SKIN), filled(box(708, 996, 16, 44), SKIN))),
                hidden(layer("fist", filled(ellipse(717, 982, 30, 28), SKIN))),
                hidden(layer("open", filled(ellipse(717, 990, 40, 40), SKIN))));
        return mirrored ? transformed(hand, Matrix.mirror(500)) : hand;
    }

    /** The whole set, the resting mouth to be seen; sizes as each sound's articulation asks. */
    private static Layer mouths() {
        List<Layer> all = new ArrayList<>();
        for (Viseme v : Viseme.values()) {
            Layer mouth = mouth(v);
            all.add(v == Viseme.REST ? mouth : hidden(mouth));
        }
        return group("mouth", all.toArray(Layer[]::new));
    }

    private static Layer mouth(Viseme v) {
        Articulation a = v.articulation();
        double half = 30 + 44 * a.width() - 14 * a.rounding();
        double drop = 60 * a.jaw() * (1 - a.closure()) + 12 * a.lipToTeeth();
        double y = 545;
        if (drop < 4) {
            return group(v.words(), layer("mouth line", lined(box(500 - half, y, 2 * half, 1), 6)));
        }
        Path opening = ellipse(500, y + drop / 2, half, drop / 2 + 4);
        return group(
                v.words(),
                layer("inside", bare(opening, DARK)),
                layer(
                        "tongue",
                        bare(ellipse(500, y + drop * (1 - 0.5 * a.tongue()), half * 0.6, drop * 0.4 + 2), TONGUE)),
                layer("lower teeth", bare(box(500 - half * 0.6, y + drop - 4, half * 1.2, 12), WHITE)),
                layer("upper teeth", bare(box(500 - half * 0.7, y - 6, half * 1.4, 14), WHITE)),
                layer("window", bare(opening, SHADE)),
                layer("outline", lined(opening, 6)));
    }

    private static List<Layer> pair(String name, Shape left) {
        Layer l = layer(name + " left", left);
        return List.of(renamed(transformed(l, Matrix.mirror(500)), name + " right"), l);
    }

    private static Layer renamed(Layer l, String name) {
        return new Layer(name, l.hidden(), l.nodes());
    }

    private static Layer transformed(Layer l, Matrix m) {
        List<Layer.Node> nodes = new ArrayList<>();
        for (Layer.Node n : l.nodes()) {
            nodes.add(
                    n instanceof Layer.Group g
                            ? new Layer.Group(transformed(g.layer(), m))
                            : new Layer.Leaf(((Layer.Leaf) n).shape().transform(m)));
        }
        return new Layer(l.name(), l.hidden(), nodes);
    }

    private static Layer layer(String name, Shape... shapes) {
        return new Layer(
                name,
                false,
                Arrays.stream(shapes).map(s -> (Layer.Node) new Layer.Leaf(s)).toList());
    }

    private static Layer group(String name, Layer... layers) {
        return new Layer(
                name,
                false,
                Arrays.stream(layers).map(l -> (Layer.Node) new Layer.Group(l)).toList());
    }

    private static Layer hidden(Layer l) {
        return new Layer(l.name(), true, l.nodes());
    }

    private static Shape filled(Path path, String colour) {
        return shape(path, Paint.flat(colour), line(3));
    }

    private static Shape bare(Path path, String colour) {
        return shape(path, Paint.flat(colour), Stroke.NONE);
    }

    private static Shape lined(Path path, double width) {
        return shape(path, Paint.NONE, line(width));
    }

    private static Stroke line(double width) {
        return new Stroke(Paint.flat(LINE), width, Stroke.Cap.ROUND, Stroke.Join.ROUND, 4);
    }

    private static Shape shape(Path path, Paint fill, Stroke stroke) {
        return new Shape("", ShapeRole.OTHER, path, fill, FillRule.NONZERO, stroke, 1, false);
    }

    private static Path ellipse(double cx, double cy, double rx, double ry) {
        double kx = rx * ROUND;
        double ky = ry * ROUND;
        return Path.of(
                new Segment.Move(new Point(cx - rx, cy)),
                cubic(cx - rx, cy - ky, cx - kx, cy - ry, cx, cy - ry),
                cubic(cx + kx, cy - ry, cx + rx, cy - ky, cx + rx, cy),
                cubic(cx + rx, cy + ky, cx + kx, cy + ry, cx, cy + ry),
                cubic(cx - kx, cy + ry, cx - rx, cy + ky, cx - rx, cy),
                new Segment.Close());
    }

    /** The upper half of an ellipse with a hollow below. */
    private static Path crescent(double cx, double cy, double rx, double ry, double hollow) {
        return Path.of(
                new Segment.Move(new Point(cx - rx, cy)),
                cubic(cx - rx, cy - ry * ROUND, cx - rx * ROUND, cy - ry, cx, cy - ry),
                cubic(cx + rx * ROUND, cy - ry, cx + rx, cy - ry * ROUND, cx + rx, cy),
                cubic(cx + rx * 0.5, cy - hollow, cx - rx * 0.5, cy - hollow, cx - rx, cy),
                new Segment.Close());
    }

    private static Path box(double x, double y, double w, double h) {
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
}
