package app.leeward.formats.svg;

import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.raster.Pixels;
import app.leeward.formats.xml.XmlNode;
import app.leeward.formats.xml.XmlReader;
import java.util.ArrayList;
import java.util.Base64;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * Reads a layered SVG file: every group becomes a layer, every transform is resolved into the coordinates, fills and
 * lines are kept. What cannot be kept is noted, never dropped in silence.
 */
public final class SvgReader {
    private static final Set<String> GROUPS = Set.of("g", "svg", "a", "switch");
    private static final Set<String> SILENT = Set.of(
            "defs",
            "title",
            "desc",
            "metadata",
            "style",
            "namedview",
            "symbol",
            "clipPath",
            "mask",
            "marker",
            "linearGradient",
            "radialGradient",
            "pattern",
            "filter",
            "sodipodi:namedview",
            "RDF");
    private static final List<String> NUMBERS = List.of(
            "x",
            "y",
            "width",
            "height",
            "cx",
            "cy",
            "r",
            "rx",
            "ry",
            "x1",
            "y1",
            "x2",
            "y2",
            "stroke-width",
            "opacity",
            "fill-opacity",
            "stroke-opacity");
    private static final int MOST_SHAPES = 20_000;
    private static final int DEEPEST_USE = 12;
    /** Path data worth handing to another processor, letters. */
    private static final int LONG = 500;

    private final List<Note> notes = new ArrayList<>();
    private final XmlReader nodes = new XmlReader("svg", "SVG drawing");
    private final Pixels pixels = new Pixels();
    private final StyleSheet sheet = new StyleSheet();
    private final Map<XmlNode, PathReader.Result> outlines = new IdentityHashMap<>();
    private Colours colours;
    private ClipPaths clipPaths;
    private Flattening flattening;
    /** As large as the file says; a file that says nothing is measured once it is read, too late to paint on it. */
    private Optional<Canvas> sized = Optional.empty();

    private int shapes;

    private SvgReader() {}

    /** @throws ArtProblem when the file cannot be read or must not be */
    public static LayeredArt read(byte[] file) {
        if (file.length == 0) {
            throw new ArtProblem("svg-empty", "the whole file", "The file is empty.");
        }
        if (file.length > LayeredArt.LARGEST_FILE) {
            throw new ArtProblem(
                    "svg-large",
                    "the whole file",
                    "The file has " + file.length / (1024 * 1024) + " MB; at most "
                            + LayeredArt.LARGEST_FILE / (1024 * 1024) + " MB can be read.");
        }
        return new SvgReader().art(file);
    }

    private LayeredArt art(byte[] file) {
        XmlNode root = nodes.read(file, "svg");
        notes.addAll(nodes.notes());
        colours = new Colours(nodes.byId(), notes);
        collectStyles(root);
        refuseMany(root);
        readOutlines(root);
        clipPaths = new ClipPaths(nodes.byId(), sheet, notes);
        flattening = new Flattening(nodes.byId(), sheet, pixels, notes);
        double[] box = viewBox(root);
        sized = box == null ? Optional.empty() : Optional.of(canvas(box));
        Matrix place = box == null ? Matrix.IDENTITY : Matrix.translate(-box[0], -box[1]);
        Layer layer = layer(root, Style.START, place, 0);
        Optional<String> title = root.children.stream()
                .filter(c -> c.name.equals("title"))
                .map(c -> c.text.toString().strip())
                .filter(t -> !t.isEmpty())
                .findFirst();
        return new LayeredArt(title, canvas(box, layer), layer, notes, pixels.images(), true);
    }

    /** Path data is nearly all of a large file, and reading one takes nothing from another. */
    private void readOutlines(XmlNode root) {
        List<XmlNode> drawn = new ArrayList<>();
        collect(root, drawn);
        List<PathReader.Result> read =
                drawn.parallelStream().map(n -> PathReader.read(n.get("d"))).toList();
        for (int i = 0; i < drawn.size(); i++) {
            outlines.put(drawn.get(i), read.get(i));
        }
    }

    private static void collect(XmlNode node, List<XmlNode> drawn) {
        if (node.name.equals("path") && node.get("d", "").length() > LONG) {
            drawn.add(node);
        }
        node.children.forEach(c -> collect(c, drawn));
    }

    private PathReader.Result outline(XmlNode node) {
        PathReader.Result read = outlines.get(node);
        return read != null ? read : PathReader.read(BasicShapes.data(node).orElse(""));
    }

    /** A file of a few lines can ask for billions of shapes by using what uses others. */
    private void refuseMany(XmlNode root) {
        double all = drawn(root, new IdentityHashMap<>());
        if (all > MOST_SHAPES) {
            throw new ArtProblem(
                    "svg-large",
                    "the whole file",
                    String.format(
                            Locale.ROOT,
                            "The SVG would draw %.0f shapes, counting what is used again; at most %d can be read.",
                            all,
                            MOST_SHAPES));
        }
    }

    private double drawn(XmlNode node, Map<XmlNode, Double> known) {
        Double there = known.get(node);
        if (there != null) {
            return there;
        }
        // what uses itself is told where it is read
        known.put(node, 0.0);
        double sum = BasicShapes.kind(node) ? 1 : 0;
        for (XmlNode child : node.children) {
            sum += SILENT.contains(child.name) ? 0 : drawn(child, known);
        }
        XmlNode used =
                node.name.equals("use") ? nodes.byId().get(node.get("href", "").replaceFirst("^#", "")) : null;
        sum += used == null ? 0 : drawn(used, known);
        known.put(node, sum);
        return sum;
    }

    private void collectStyles(XmlNode node) {
        if (node.name.equals("style")) {
            sheet.add(node);
        }
        node.children.forEach(this::collectStyles);
    }

    /** min-x, min-y, width, height; null when the file does not say how large it is. */
    private double[] viewBox(XmlNode root) {
        String[] parts = root.get("viewBox", "").strip().split("[\\s,]+");
        if (parts.length == 4) {
            try {
                double[] box = new double[4];
                for (int i = 0; i < 4; i++) {
                    box[i] = Lengths.parse(parts[i]);
                }
                if (box[2] > 0 && box[3] > 0) {
                    return box;
                }
            } catch (NumberFormatException e) {
                // fall through to width and height, as viewers do
            }
        }
        if (!root.get("viewBox", "").isBlank()) {
            notes.add(new Note(
                    "viewbox-unreadable",
                    "viewBox",
                    "The viewBox '" + root.get("viewBox")
                            + "' is not four numbers with a width and a height; the drawing"
                            + " is measured in its place."));
        }
        double w = Lengths.parse(root.get("width"), 0);
        double h = Lengths.parse(root.get("height"), 0);
        return w > 0 && h > 0 ? new double[] {0, 0, w, h} : null;
    }

    private static Canvas canvas(double[] box) {
        if (box[2] > 100_000 || box[3] > 100_000) {
            throw new ArtProblem(
                    "svg-size", "viewBox", "The drawing is over 100000 units wide or tall; scale it down.");
        }
        return new Canvas(box[2], box[3]);
    }

    private static Canvas canvas(double[] box, Layer layer) {
        if (box != null) {
            return canvas(box);
        }
        Optional<Box> bounds = layer.art().bounds();
        return bounds.map(b -> new Canvas(Math.max(1, Math.min(1e5, b.maxX())), Math.max(1, Math.min(1e5, b.maxY()))))
                .orElse(new Canvas(1000, 1000));
    }

    private Layer layer(XmlNode node, Style inherited, Matrix outer, int uses) {
        Map<String, String> css = sheet.of(node);
        Style style = cut(node, css, inherited.with(css), outer);
        List<Layer.Node> out = new ArrayList<>();
        for (XmlNode child : node.children) {
            child(child, style, outer, uses, out);
        }
        boolean hidden = "none".equals(css.getOrDefault("display", "").strip());
        return new Layer(node.name.equals("svg") ? "" : node.label(), hidden, out);
    }

    private void child(XmlNode child, Style style, Matrix outer, int uses, List<Layer.Node> out) {
        if (SILENT.contains(child.name)) {
            return;
        }
        Optional<Matrix> own = transform(child);
        if (own.isEmpty()) {
            notes.add(new Note(
                    "transform-unreadable",
                    child.place(),
                    "The transform '" + child.get("transform") + "' of " + child.place()
                            + " cannot be read; what it moves is left out."));
            return;
        }
        Map<String, String> css = sheet.of(child);
        if (flattened(child, css, style, outer, uses, out)) {
            return;
        }
        String blend = css.getOrDefault("mix-blend-mode", "normal").strip();
        if (!blend.equals("normal") && !blend.isEmpty()) {
            notes.add(new Note(
                    "blending-not-kept",
                    child.label(),
                    "'" + child.label() + "' is mixed with what lies beneath it (" + blend
                            + "); it is drawn over it instead."));
        }
        Matrix m = outer.times(own.get());
        if (GROUPS.contains(child.name)) {
            out.add(new Layer.Group(layer(child, style, m, uses)));
        } else if (child.name.equals("use")) {
            use(child, style, m, uses, out);
        } else if (child.name.equals("image")) {
            image(child, style, m).ifPresent(s -> out.add(new Layer.Leaf(s)));
        } else if (BasicShapes.data(child).isPresent()) {
            shape(child, style, m).ifPresent(s -> out.add(new Layer.Leaf(s)));
        } else if (BasicShapes.kind(child)) {
            // one without a size, which is not drawn
            numbers(child, sheet.of(child));
        } else {
            notes.add(new Note(
                    "element-not-read", child.label(), "<" + child.name + "> of " + child.place() + " is not read."));
        }
    }

    /** Whether an element was taken care of, because a rig has no word for how it is drawn. */
    private boolean flattened(
            XmlNode child, Map<String, String> css, Style style, Matrix outer, int uses, List<Layer.Node> out) {
        Optional<String> why = flattening.why(child, css);
        if (why.isEmpty()) {
            return false;
        }
        if (sized.isEmpty()) {
            notes.add(new Note(
                    "not-flattened",
                    child.place(),
                    child.place() + " has " + why.get()
                            + ", which is left out: the file does not say how large it is. Give it a"
                            + " viewBox and drop it again."));
            return false;
        }
        boolean hidden = "none".equals(css.getOrDefault("display", "").strip());
        if (GROUPS.contains(child.name) && Flattening.layers(child)) {
            if (why.get().equals("a mask")) {
                child(Flattening.apart(child, css.get("mask")), style, outer, uses, out);
                return true;
            }
            notes.add(new Note(
                    "filter-not-kept",
                    child.label(),
                    "The filter on '" + child.label() + "' is left out: it would make one picture of all its layers."));
            return false;
        }
        if (!style.visible() || "hidden".equals(css.get("visibility"))) {
            return true;
        }
        Style own =
                cut(child, css, style.with(css), outer.times(transform(child).orElseThrow()));
        Optional<Shape> picture = flattening.picture(child, why.get(), outer, own, sized.get());
        boolean layer = GROUPS.contains(child.name) || child.name.equals("use");
        picture.ifPresent(p -> out.add(
                layer || hidden
                        ? new Layer.Group(new Layer(child.label(), hidden, List.of(new Layer.Leaf(p))))
                        : new Layer.Leaf(p)));
        return true;
    }

    /** With the clip path an element names, or the mask that does no more than one. */
    private Style cut(XmlNode node, Map<String, String> css, Style style, Matrix m) {
        String mask = css.getOrDefault("mask", "none").strip();
        Optional<Clip> masked = mask.equals("none")
                        || mask.isEmpty()
                        || flattening.why(node, css).isPresent()
                ? Optional.empty()
                : clipPaths.of(mask, node, m);
        Style within = masked.map(style::cutBy).orElse(style);
        return clipPaths.of(css.get("clip-path"), node, m).map(within::cutBy).orElse(within);
    }

    /** A picture embedded in the file. */
    private Optional<Shape> image(XmlNode node, Style inherited, Matrix m) {
        String href = node.get("href", "").strip();
        int comma = href.indexOf(',');
        String place = "the image at line " + node.line;
        if (!href.startsWith("data:image/")
                || comma < 0
                || !href.substring(0, comma).contains("base64")) {
            notes.add(new Note(
                    "element-not-read",
                    node.label(),
                    "The image at line " + node.line + " is left out: it is not embedded as PNG or JPEG."));
            return Optional.empty();
        }
        byte[] file;
        int[] size;
        try {
            file = Base64.getMimeDecoder().decode(href.substring(comma + 1));
            size = pixels.size(file, place);
        } catch (IllegalArgumentException | ArtProblem e) {
            notes.add(
                    new Note("element-not-read", node.label(), "The image at line " + node.line + " cannot be read."));
            return Optional.empty();
        }
        double w = Lengths.parse(node.get("width"), size[0]);
        double h = Lengths.parse(node.get("height"), size[1]);
        if (!(w > 0 && h > 0) || size[0] < 1 || size[1] < 1) {
            return Optional.empty();
        }
        double sx = w / size[0];
        double sy = h / size[1];
        double x = Lengths.parse(node.get("x"), 0);
        double y = Lengths.parse(node.get("y"), 0);
        if (!"none".equals(node.get("preserveAspectRatio", "").strip())) {
            // SVG's default: as large as fits, in the middle
            double s = Math.min(sx, sy);
            x += (w - s * size[0]) / 2;
            y += (h - s * size[1]) / 2;
            sx = s;
            sy = s;
        }
        Map<String, String> css = sheet.of(node);
        Style style = cut(node, css, inherited.with(css), m);
        Matrix at = m.times(Matrix.translate(x, y)).times(Matrix.scale(sx, sy));
        return pixels.shape(file, place, node.label(), at, Math.max(0, Math.min(1, style.opacity())))
                .map(s -> s.cutBy(style.clips()));
    }

    private void use(XmlNode use, Style style, Matrix m, int uses, List<Layer.Node> out) {
        XmlNode target = nodes.byId().get(use.get("href", "").replaceFirst("^#", ""));
        if (target == null || uses >= DEEPEST_USE) {
            notes.add(new Note(
                    "use-missing",
                    use.label(),
                    target == null
                            ? "What " + use.place() + " uses, " + use.get("href", "nothing") + ", is not in the file."
                            : "What " + use.place() + " uses, " + use.get("href") + ", uses itself."));
            return;
        }
        Matrix place = m.times(Matrix.translate(Lengths.parse(use.get("x"), 0), Lengths.parse(use.get("y"), 0)));
        Map<String, String> css = sheet.of(use);
        Style own = cut(use, css, style.with(css), m);
        String name = use.label().isBlank() ? target.label() : use.label();
        if (GROUPS.contains(target.name) || target.name.equals("symbol")) {
            Layer inner = layer(target, own, place.times(transform(target).orElse(Matrix.IDENTITY)), uses + 1);
            out.add(new Layer.Group(new Layer(name, inner.hidden(), inner.nodes())));
        } else {
            shape(target, own, place.times(transform(target).orElse(Matrix.IDENTITY)))
                    .ifPresent(s -> out.add(new Layer.Group(new Layer(name, false, List.of(new Layer.Leaf(s))))));
        }
    }

    /** Empty for one that cannot be read. */
    private static Optional<Matrix> transform(XmlNode node) {
        String text = node.get("transform");
        return text == null || text.isBlank() ? Optional.of(Matrix.IDENTITY) : Transforms.parse(text);
    }

    private void numbers(XmlNode node, Map<String, String> css) {
        for (String name : NUMBERS) {
            Lengths.fault(css.get(name))
                    .ifPresent(fault -> notes.add(new Note(
                            "number-unreadable",
                            node.place(),
                            "The " + name + " of " + node.place() + " " + fault + ": '" + css.get(name) + "'.")));
        }
    }

    private Optional<Shape> shape(XmlNode node, Style inherited, Matrix m) {
        if (++shapes > MOST_SHAPES) {
            throw new ArtProblem(
                    "svg-large", "line " + node.line, "The SVG has more than " + MOST_SHAPES + " shapes; simplify it.");
        }
        Map<String, String> css = sheet.of(node);
        numbers(node, css);
        Style style = cut(node, css, inherited.with(css), m);
        PathReader.Result read = outline(node);
        if (read.error() != null) {
            notes.add(new Note(
                    "path-broken",
                    node.label().isBlank() ? "line " + node.line : node.label(),
                    "The path of " + node.place() + " is broken " + read.error() + "; it is drawn up to there."));
        }
        boolean hidden = "none".equals(css.getOrDefault("display", "").strip()) || !style.visible();
        if (hidden || !BasicShapes.drawable(read.path())) {
            return Optional.empty();
        }
        Supplier<Box> box = () -> read.path().bounds().orElse(null);
        Paint fill = node.name.equals("line")
                ? Paint.NONE
                : style.fillPaint(colours, box).transform(m);
        Stroke stroke = style.strokeOf(colours, box).transform(m);
        return Optional.of(new Shape(
                node.label(),
                ShapeRole.OTHER,
                read.path().transform(m),
                fill,
                style.rule(),
                stroke,
                Math.max(0, Math.min(1, style.opacity())),
                false,
                style.clips()));
    }
}
