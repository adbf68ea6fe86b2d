package app.leeward.formats.raster;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.intake.Layer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import app.leeward.formats.art.ArtProblem;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.xml.XmlNode;
import app.leeward.formats.xml.XmlReader;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Reads OpenRaster (.ora): a ZIP with {@code stack.xml}, whose first layer is the topmost, and a PNG for each layer. Follows
 * the layer stack specification of the OpenRaster baseline (freedesktop.org): x, y, opacity, visibility, nested stacks.
 */
final class OpenRasterReader {
    private final Archive files;
    private final Pixels pixels = new Pixels();
    private final List<Note> notes = new ArrayList<>();
    /** What is laid so far, where the file mixes some layer with it. */
    private Optional<Blending> ground = Optional.empty();

    private OpenRasterReader(Archive files) {
        this.files = files;
    }

    static LayeredArt read(Archive files) {
        return new OpenRasterReader(files).art();
    }

    private LayeredArt art() {
        XmlNode image = new XmlReader("ora", "OpenRaster stack").read(files.read("stack.xml"), "image");
        XmlNode stack = image.children.stream()
                .filter(c -> c.name.equals("stack"))
                .findFirst()
                .orElseThrow(() -> new ArtProblem("ora-broken", "stack.xml", "The file's stack.xml holds no stack."));
        double w = number(image, "w", 0);
        double h = number(image, "h", 0);
        if (!(w >= 1 && h >= 1 && w <= 100_000 && h <= 100_000)) {
            throw new ArtProblem(
                    "ora-size", "stack.xml", "The file says it is " + w + " × " + h + " pixels, which cannot be.");
        }
        ground = mixes(stack) ? Blending.over(w, h) : Optional.empty();
        Layer root = stack(stack, "", 0, 0, 1, false, false);
        return new LayeredArt(Optional.empty(), new Canvas(w, h), root, notes, pixels.images(), true);
    }

    private static boolean mixes(XmlNode node) {
        return BlendMode.called(node.get("composite-op", "")).isPresent()
                || node.children.stream().anyMatch(OpenRasterReader::mixes);
    }

    /** @param concealed whether something round it is hidden */
    private Layer stack(
            XmlNode stack, String name, double x, double y, double opacity, boolean hidden, boolean concealed) {
        List<Layer.Node> nodes = new ArrayList<>();
        // the first one is the topmost
        List<XmlNode> backFirst = new ArrayList<>(stack.children);
        Collections.reverse(backFirst);
        for (XmlNode child : backFirst) {
            if (!child.name.equals("layer") && !child.name.equals("stack")) {
                notes.add(new Note(
                        "element-not-read",
                        child.name,
                        "<" + child.name + "> at line " + child.line + " of stack.xml is not read."));
                continue;
            }
            double cx = x + number(child, "x", 0);
            double cy = y + number(child, "y", 0);
            double o = opacity * Math.max(0, Math.min(1, number(child, "opacity", 1)));
            boolean off = "hidden".equals(child.get("visibility", "visible"));
            String label = child.get("name", "");
            nodes.add(new Layer.Group(
                    child.name.equals("stack")
                            ? stack(child, label, cx, cy, o, off, concealed || hidden)
                            : layer(child, label, cx, cy, o, off, concealed || hidden || off)));
            if (child.name.equals("stack")) {
                noteBlending(child);
            }
        }
        return new Layer(name, hidden, nodes);
    }

    private Layer layer(
            XmlNode layer, String name, double x, double y, double opacity, boolean hidden, boolean unseen) {
        String src = layer.get("src", "");
        if (src.startsWith("/") || src.contains("..")) {
            throw new ArtProblem(
                    "ora-outside",
                    src,
                    "The layer '" + name + "' refers to '" + src + "', which leads out of the archive.");
        }
        if (!files.has(src)) {
            throw new ArtProblem(
                    "ora-missing", src, "The layer '" + name + "' refers to '" + src + "', which is not in the file.");
        }
        BufferedImage image = pixels.read(files.read(src), src);
        Optional<BlendMode> mode = BlendMode.called(layer.get("composite-op", ""));
        boolean laid = ground.isPresent() && !unseen && Blending.fits(image);
        if (mode.isPresent() && laid) {
            image = ground.get().mixed(image, x, y, mode.get());
            notes.add(Blending.note(name, layer.get("composite-op")));
        } else {
            noteBlending(layer);
        }
        Optional<Shape> shape = pixels.shape(image, "", Matrix.translate(x, y), opacity);
        if (laid && shape.isPresent()) {
            ground.get().lay(image, x, y, opacity);
        }
        return new Layer(
                name,
                hidden,
                shape.map(s -> List.<Layer.Node>of(new Layer.Leaf(s))).orElse(List.of()));
    }

    private void noteBlending(XmlNode node) {
        String op = node.get("composite-op", "svg:src-over");
        if (!op.equals("svg:src-over")) {
            notes.add(Blending.lost(node.get("name", ""), op));
        }
    }

    private static double number(XmlNode node, String name, double otherwise) {
        String text = node.get(name);
        if (text == null) {
            return otherwise;
        }
        String fault = "is not a number";
        try {
            double v = Double.parseDouble(text.strip());
            if (Double.isFinite(v) && Math.abs(v) < 1e7) {
                return v;
            }
            fault = Double.isNaN(v) ? fault : "is out of all bounds";
        } catch (NumberFormatException e) {
            // told below
        }
        String whose = node.get("name", "").isBlank() ? "" : " of '" + node.get("name") + "'";
        throw new ArtProblem(
                "ora-broken",
                "stack.xml line " + node.line,
                "The " + name + whose + " at line " + node.line + " of stack.xml " + fault + ": '" + text + "'.");
    }
}
