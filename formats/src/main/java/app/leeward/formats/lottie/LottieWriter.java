package app.leeward.formats.lottie;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.motion.Motion;
import app.leeward.core.motion.MotionLayer;
import app.leeward.core.rig.Character;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Writes a motion as a Lottie animation. A drawing is a shape layer; what cuts it, whether a window of the rig, its own or one the
 * art clips with, is a matte: masks of layers know one sub-path and no fill rule.
 */
final class LottieWriter {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final String WHITE = "#ffffff";

    private final Character character;
    private final Motion motion;
    private final boolean held;
    private final Compositions comps;
    private final Placements placements;
    private final Keys keys;
    private final Paints paints;
    /** How far an outline may be from where it should be, user units: an eighth of a pixel in a picture 1280 wide. */
    private final double near;

    private LottieWriter(Character character, Motion motion, ImageShelf images, boolean held) {
        this.character = character;
        this.motion = motion;
        this.near = character.sheet().canvas().width() / 10_000;
        this.held = held;
        this.keys = new Keys(motion, held ? Keys.Way.PHOTOGRAPHED : Keys.Way.EVERY_FRAME);
        this.placements = new Placements(motion, keys, near);
        this.paints = new Paints(character.sheet().palette());
        this.comps = new Compositions(motion, character.sheet().canvas(), images);
    }

    /** @param held whether the shot is photographed on twos or more, and nothing moves in between */
    static ObjectNode write(Character character, String name, Motion motion, ImageShelf images, boolean held) {
        return new LottieWriter(character, motion, images, held).animation(name);
    }

    private ObjectNode animation(String name) {
        List<ObjectNode> layers = new ArrayList<>();
        List<MotionLayer> all = motion.layers();
        for (int i = 0; i < all.size(); ) {
            int from = i;
            List<ObjectNode> run = new ArrayList<>();
            for (; i < all.size() && maskedAlike(all.get(i), all.get(from)); i++) {
                run.add(layer(all.get(i)));
            }
            layers.addAll(masked(run, all.get(from)));
        }
        ObjectNode out = JSON.objectNode()
                .put("v", "5.7.0")
                .put("nm", name)
                .put("fr", motion.frameRate())
                .put("ip", 0)
                .put("op", motion.frames())
                // whole numbers, and nothing is scaled for it
                .put("w", (int) Math.ceil(character.sheet().canvas().width()))
                .put("h", (int) Math.ceil(character.sheet().canvas().height()))
                .put("ddd", 0);
        out.set("layers", comps.inOrder(held ? List.of(photographed(comps.whole(layers))) : layers));
        out.set("assets", comps.assets());
        out.set("slots", paints.slots());
        return out;
    }

    /** On twos the time itself stands still, from one exposure to the next. */
    private ObjectNode photographed(ObjectNode all) {
        ArrayNode keys = JSON.arrayNode();
        for (int start : motion.starts()) {
            // not a rounding before the frame
            double seconds = Math.ceil(1e6 * start / motion.frameRate()) / 1e6;
            keys.addObject().put("t", start).put("h", 1).putArray("s").add(seconds);
        }
        all.set("tm", JSON.objectNode().put("a", 1).set("k", keys));
        return all;
    }

    private static boolean maskedAlike(MotionLayer a, MotionLayer b) {
        return a.windows().equals(b.windows())
                && a.outside().equals(b.outside())
                && a.behind().equals(b.behind());
    }

    /** Layers cut by what masks one of them, as one layer and its matte. */
    private List<ObjectNode> masked(List<ObjectNode> layers, MotionLayer by) {
        List<ObjectNode> now = layers;
        for (String window : by.windows()) {
            now = comps.matted(now, masker(window, false, true), false);
        }
        for (String outer : by.outside()) {
            now = comps.matted(now, masker(outer, false, false), true);
        }
        for (String hand : by.behind()) {
            if (motion.maskers().containsKey(hand)) {
                now = comps.matted(now, masker(hand, true, false), true);
            }
        }
        return now;
    }

    /**
     * The silhouettes of another part.
     *
     * @param fingers only those of its fingers, lines included
     * @param whole whether outlines without a fill cover as well, as they do in a clip
     */
    private List<ObjectNode> masker(String part, boolean fingers, boolean whole) {
        List<ObjectNode> all = new ArrayList<>();
        for (MotionLayer by : motion.maskers().getOrDefault(part, List.of())) {
            Artwork art = Motion.art(character, by);
            List<Shape> some = fingers ? art.fingers() : art.windowShapes();
            UnaryOperator<Shape> as = whole
                    ? s -> Shape.filled(s.name(), s.path(), WHITE).withRule(s.rule())
                    : s -> s.silhouette(WHITE, fingers);
            all.add(drawing(by, indices(art, some), as, false));
        }
        // it masks more than one thing, as a rule, and is written once
        return all.isEmpty() ? all : List.of(comps.whole(all));
    }

    /** Where some shapes of a drawing stand in it. */
    private static int[] indices(Artwork art, List<Shape> some) {
        return IntStream.range(0, art.shapes().size())
                .filter(i -> some.stream().anyMatch(s -> s == art.shapes().get(i)))
                .toArray();
    }

    private ObjectNode layer(MotionLayer layer) {
        int shapes = Motion.art(character, layer).shapes().size();
        return drawing(layer, IntStream.range(0, shapes).toArray(), s -> s, true);
    }

    /** Shapes of a drawing as one layer, which shows where the drawing does. */
    private ObjectNode drawing(MotionLayer layer, int[] indices, UnaryOperator<Shape> as, boolean ownWindow) {
        Artwork art = Motion.art(character, layer);
        List<Integer> window = new ArrayList<>();
        for (int i = 0; i < art.shapes().size(); i++) {
            if (ownWindow && art.shapes().get(i).role() == ShapeRole.WINDOW) {
                window.add(i);
            }
        }
        List<ObjectNode> done = new ArrayList<>();
        boolean plain = true;
        for (int i = 0; i < indices.length; ) {
            Shape first = art.shapes().get(indices[i]);
            List<Integer> run = new ArrayList<>();
            for (; i < indices.length && alike(first, art.shapes().get(indices[i])); i++) {
                run.add(indices[i]);
                if (pixels(first)) {
                    i++;
                    break;
                }
            }
            boolean cut = first.masked() && !window.isEmpty();
            plain &= !cut && first.clips().isEmpty() && !pixels(first);
            List<ObjectNode> now = pixels(first) ? picture(layer, run.get(0), as) : List.of(shapes(layer, run, as));
            if (cut) {
                now = comps.matted(
                        now,
                        List.of(shapes(layer, window, s -> Shape.filled("", s.path(), WHITE)
                                .withRule(s.rule()))),
                        false);
            }
            for (Clip clip : first.clips()) {
                now = comps.matted(now, List.of(clip(layer, clip)), false);
            }
            done.addAll(now);
        }
        // a picture's own opacity is not that of its part
        boolean clear = done.size() == 1 && !done.get(0).at("/ks").has("o");
        ObjectNode one = plain && done.size() == 1 || clear ? done.get(0) : comps.whole(done);
        one.put("nm", layer.part() + " · " + layer.drawing());
        placements.shown(one, layer);
        return one;
    }

    private static boolean pixels(Shape s) {
        return s.fill() instanceof Paint.Picture || s.fill() instanceof Paint.Patch;
    }

    private static boolean alike(Shape a, Shape b) {
        return a.masked() == b.masked() && a.clips().equals(b.clips()) && pixels(a) == pixels(b);
    }

    /** Shapes as a shape layer that lies where the drawing does. */
    private ObjectNode shapes(MotionLayer layer, List<Integer> indices, UnaryOperator<Shape> as) {
        Artwork art = Motion.art(character, layer);
        ObjectNode out = JSON.objectNode().put("ty", 4);
        placements.place(out, layer, art.bounds());
        var items = out.putArray("shapes");
        // what lies on top comes first
        for (int k = indices.size() - 1; k >= 0; k--) {
            int i = indices.get(k);
            Shape drawn = art.shapes().get(i);
            items.addAll(shape(as.apply(drawn), layer.outlines(i, drawn.path())));
        }
        return out;
    }

    /** One shape: its line, then its fill; two groups where a gradient is round an ellipse. */
    private List<ObjectNode> shape(Shape s, List<Path> outlines) {
        var round = Paints.roundness(s.fill());
        Box reach = reach(s, outlines);
        if (round.isEmpty()) {
            // what a gradient paints slides through it, and is not carried along
            boolean flat = !(s.fill() instanceof Paint.Gradient) && !(s.stroke().paint() instanceof Paint.Gradient);
            List<double[]> drift = flat ? Outlines.drift(outlines) : List.of();
            ObjectNode group =
                    group(s, drift.isEmpty() ? outlines : Outlines.without(outlines, drift), Matrix.IDENTITY);
            var items = group.withArray("it");
            paints.stroke(items, s.stroke(), reach);
            paints.fill(items, s.fill(), s.rule(), reach);
            closed(group, s, Matrix.IDENTITY);
            if (!drift.isEmpty()) {
                ((ObjectNode) items.get(items.size() - 1)).set("p", keys.of(drift, near));
            }
            return List.of(group);
        }
        List<ObjectNode> both = new ArrayList<>();
        if (s.stroke().visible()) {
            ObjectNode line = group(s, outlines, Matrix.IDENTITY);
            paints.stroke(line.withArray("it"), s.stroke(), reach);
            both.add(closed(line, s, Matrix.IDENTITY));
        }
        Matrix to = round.get();
        ObjectNode fill = group(s, outlines, to.inverse());
        List<Path> inside = outlines.stream()
                .map(p -> p == null ? null : p.transform(to.inverse()))
                .toList();
        paints.fill(fill.withArray("it"), s.fill().transform(to.inverse()), s.rule(), reach(s, inside));
        both.add(closed(fill, s, to));
        return both;
    }

    /** Where a shape can paint, wherever it is bent to. */
    private static Box reach(Shape s, List<Path> outlines) {
        double by = s.stroke().visible()
                ? s.stroke().width() * Math.max(1, s.stroke().miterLimit())
                : 0;
        return outlines.stream()
                .filter(p -> p != null)
                .distinct()
                .flatMap(p -> p.bounds().stream())
                .reduce(Box::union)
                .map(b -> new Box(b.minX() - by, b.minY() - by, b.maxX() + by, b.maxY() + by))
                .orElse(new Box(0, 0, 1, 1));
    }

    private ObjectNode group(Shape s, List<Path> outlines, Matrix by) {
        ObjectNode group = JSON.objectNode().put("ty", "gr").put("nm", s.name());
        List<Path> moved =
                outlines.stream().map(p -> p == null ? null : p.transform(by)).toList();
        group.putArray("it").addAll(Outlines.items(moved, keys, near * by.strokeScale()));
        return group;
    }

    private static ObjectNode closed(ObjectNode group, Shape s, Matrix by) {
        ObjectNode transform = JSON.objectNode().put("ty", "tr");
        Placements.still(transform, by);
        transform.set("o", Keys.still(100 * s.opacity()));
        group.withArray("it").add(transform);
        return group;
    }

    /** A clip of the art's own, which nothing bends. */
    private ObjectNode clip(MotionLayer layer, Clip clip) {
        ObjectNode out = JSON.objectNode().put("ty", 4);
        placements.place(out, layer, clip.path().bounds());
        Shape s = Shape.filled("", clip.path(), WHITE).withRule(clip.rule());
        List<Path> same = layer.states().stream()
                .map(state -> state == null ? null : clip.path())
                .toList();
        out.putArray("shapes").addAll(shape(s, same));
        return out;
    }

    /** A shape of pixels; a piece of a picture goes with its outline and is cut by it. */
    private List<ObjectNode> picture(MotionLayer layer, int index, UnaryOperator<Shape> as) {
        Shape s = Motion.art(character, layer).shapes().get(index);
        if (!pixels(as.apply(s))) {
            return List.of(shapes(layer, List.of(index), as));
        }
        if (s.fill() instanceof Paint.Picture p) {
            List<Matrix> at = layer.states().stream()
                    .map(state -> state == null ? null : state.matrix().times(p.place()))
                    .toList();
            return List.of(image(p, at, s.opacity()));
        }
        Paint.Patch p = (Paint.Patch) s.fill();
        List<Path> outlines = layer.outlines(index, s.path());
        List<Matrix> at = new ArrayList<>();
        List<Path> covered = new ArrayList<>();
        for (int e = 0; e < outlines.size(); e++) {
            Path outline = outlines.get(e);
            at.add(outline == null ? null : layer.states().get(e).matrix().times(p.placeIn(outline)));
            covered.add(outline == null ? null : p.covered(outline));
        }
        ObjectNode cut = JSON.objectNode().put("ty", 4);
        placements.place(cut, layer, s.bounds());
        cut.putArray("shapes").addAll(shape(Shape.filled("", s.path(), WHITE), covered));
        return comps.matted(List.of(image(p.picture(), at, s.opacity())), List.of(cut), false);
    }

    private ObjectNode image(Paint.Picture p, List<Matrix> at, double opacity) {
        ObjectNode out = JSON.objectNode().put("ty", 2).put("refId", comps.image(p));
        placements.place(out, at, p.width(), p.height());
        Placements.opacity((ObjectNode) out.get("ks"), opacity);
        return out;
    }
}
