package app.leeward.formats.svg;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Shape;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Note;
import app.leeward.formats.raster.Pixels;
import app.leeward.formats.xml.XmlNode;
import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.renderer.SVGRenderingHints;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Keeps what a rig has no word for, as a picture: text, and what is masked, filtered, filled with a pattern or drawn with markers. One
 * element is written out by itself, with all it refers to, and painted on a canvas of its own at twice the size.
 */
final class Flattening {
    /** Most pixels of one picture, and most pictures of one file: a page of text is no face. */
    private static final double MOST_PIXELS = 8e6;

    private static final int MOST_PICTURES = 40;
    private static final int MOST_NODES = 5_000;
    /** The longer side of a small canvas is painted at least so many pixels long. */
    private static final double LEAST = 1_200;

    private static final Pattern REFERENCE = Pattern.compile("url\\(\\s*['\"]?#([^'\")]+)['\"]?\\s*\\)");
    private static final Set<String> LINES = Set.of("path", "line", "polyline", "polygon");
    private static final Set<String> MARKERS = Set.of("marker", "marker-start", "marker-mid", "marker-end");
    /** What an element does not hand down, or what the shape takes over from the reader. */
    private static final Set<String> OWN = Set.of(
            "style",
            "class",
            "id",
            "label",
            "transform",
            "display",
            "opacity",
            "mask",
            "filter",
            "clip-path",
            "mix-blend-mode",
            "x",
            "y",
            "width",
            "height",
            "viewBox",
            "d",
            "groupmode");

    /** What it cannot paint is told to the rigger; the log of the machine has no use for it. Held, so that it stays silent. */
    private static final Logger LIBRARY = Logger.getLogger("com.github.weisj.jsvg");

    static {
        LIBRARY.setLevel(Level.OFF);
    }

    private final Map<String, XmlNode> byId;
    private final StyleSheet sheet;
    private final Pixels pixels;
    private final List<Note> notes;
    private int pictures;

    Flattening(Map<String, XmlNode> byId, StyleSheet sheet, Pixels pixels, List<Note> notes) {
        this.byId = byId;
        this.sheet = sheet;
        this.pixels = pixels;
        this.notes = notes;
    }

    /** What of an element a rig has no word for, as a rigger says it; empty when there is nothing. */
    Optional<String> why(XmlNode node, Map<String, String> css) {
        if (node.name.equals("text")) {
            return Optional.of("text");
        }
        if (refers(css.get("filter"), "filter")) {
            return Optional.of("a filter");
        }
        if (refers(css.get("mask"), "mask") && !ClipPaths.cuts(byId.get(id(css.get("mask"))), sheet)) {
            return Optional.of("a mask");
        }
        if (BasicShapes.data(node).isPresent()) {
            if (refers(css.get("fill"), "pattern") || refers(css.get("stroke"), "pattern")) {
                return Optional.of("a pattern");
            }
            if (LINES.contains(node.name) && MARKERS.stream().anyMatch(m -> refers(css.get(m), "marker"))) {
                return Optional.of("markers");
            }
        }
        return Optional.empty();
    }

    private static String id(String value) {
        Matcher m = REFERENCE.matcher(value == null ? "" : value);
        return m.find() ? m.group(1) : "";
    }

    private boolean refers(String value, String kind) {
        XmlNode to = byId.get(id(value));
        return to != null && to.name.equals(kind);
    }

    /** Whether an element holds several layers, or one that does, which must stay apart. */
    static boolean layers(XmlNode node) {
        List<XmlNode> groups = node.children.stream().filter(Flattening::group).toList();
        return node.children.size() == 1 && groups.size() == 1
                ? layers(groups.get(0))
                : groups.stream().anyMatch(c -> !c.label().isBlank());
    }

    private static boolean group(XmlNode node) {
        return Set.of("g", "svg", "use").contains(node.name);
    }

    /** A group whose children have the mask of the whole: what is masked together is masked one by one. */
    static XmlNode apart(XmlNode group, String mask) {
        XmlNode out = new XmlNode(group.name, group.line);
        out.parent = group.parent;
        out.attributes.putAll(group.attributes);
        out.attributes.put("style", group.get("style", "") + ";mask:none");
        for (XmlNode child : group.children) {
            if (group(child) && layers(child) && child.get("transform") == null) {
                out.children.add(apart(child, mask));
            } else {
                XmlNode masked = new XmlNode("g", child.line);
                masked.parent = group;
                masked.attributes.put("label", child.label());
                masked.attributes.put("mask", mask);
                masked.children.add(child);
                out.children.add(masked);
            }
        }
        return out;
    }

    /**
     * An element as a picture.
     *
     * @param outer from the coordinates it lies in to the canvas
     * @param style what it inherits
     */
    Optional<Shape> picture(XmlNode node, String why, Matrix outer, Style style, Canvas canvas) {
        String label = node.place();
        if (++pictures > MOST_PICTURES) {
            notes.add(new Note(
                    "not-flattened",
                    label,
                    label + " has " + why + " and is left out: more than " + MOST_PICTURES
                            + " layers would have to be kept as pictures."));
            return Optional.empty();
        }
        double longest = Math.max(canvas.width(), canvas.height());
        double scale =
                Math.min(Math.max(2, LEAST / longest), Math.sqrt(MOST_PIXELS / (canvas.width() * canvas.height())));
        Optional<BufferedImage> painted = painted(svg(node, outer, canvas), canvas, scale);
        if (painted.isEmpty()) {
            notes.add(new Note("not-flattened", label, label + " has " + why + " and could not be painted."));
            return Optional.empty();
        }
        notes.add(new Note(
                "flattened",
                label,
                label + " has " + why + ": it is kept as a picture, as it looks."
                        + (why.equals("text") ? " Turn text into outlines to be sure of its letters." : "")));
        double opacity = Math.max(0, Math.min(1, style.opacity()));
        return pixels.shape(painted.get(), node.label(), Matrix.scale(1 / scale, 1 / scale), opacity)
                .map(s -> s.cutBy(style.clips()));
    }

    private static Optional<BufferedImage> painted(String svg, Canvas canvas, double scale) {
        try {
            SVGDocument document = new SVGLoader()
                    .load(
                            new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)),
                            null,
                            LoaderContext.createDefault());
            if (document == null) {
                return Optional.empty();
            }
            int w = (int) Math.max(1, Math.round(canvas.width() * scale));
            int h = (int) Math.max(1, Math.round(canvas.height() * scale));
            BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_ARGB);
            Graphics2D g = image.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
            g.setRenderingHint(
                    SVGRenderingHints.KEY_MASK_CLIP_RENDERING, SVGRenderingHints.VALUE_MASK_CLIP_RENDERING_ACCURACY);
            document.render((Component) null, g, new ViewBox(0, 0, w, h));
            g.dispose();
            return Optional.of(image);
        } catch (RuntimeException | java.awt.AWTError e) {
            // a drawing no one foresaw is left out and told, the rest of the file comes in
            return Optional.empty();
        }
    }

    private String svg(XmlNode node, Matrix outer, Canvas canvas) {
        StringBuilder out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"")
                .append(canvas.width())
                .append("\" height=\"")
                .append(canvas.height())
                .append("\" viewBox=\"0 0 ")
                .append(canvas.width())
                .append(' ')
                .append(canvas.height())
                .append("\"><defs>");
        int[] left = {MOST_NODES};
        for (XmlNode used : referred(node)) {
            write(used, Set.of(), out, left);
        }
        out.append("</defs><g");
        handedDown(node).forEach((k, v) -> attribute(k, v, out));
        attribute("transform", outer.toSvg(), out);
        out.append('>');
        // what the reader gives the shape itself is not painted twice
        write(node, Set.of("display", "opacity", "clip-path"), out, left);
        return out.append("</g></svg>").toString();
    }

    /** Everything an element needs, however far round about. */
    private Set<XmlNode> referred(XmlNode node) {
        Set<XmlNode> found = new LinkedHashSet<>();
        Deque<XmlNode> open = new ArrayDeque<>(List.of(node));
        int seen = 0;
        while (!open.isEmpty() && ++seen < MOST_NODES) {
            XmlNode n = open.pop();
            List<String> ids = new ArrayList<>();
            sheet.of(n).forEach((k, v) -> {
                Matcher m = REFERENCE.matcher(v);
                while (m.find()) {
                    ids.add(m.group(1));
                }
                if (k.equals("href") && v.startsWith("#")) {
                    ids.add(v.substring(1));
                }
            });
            for (String id : ids) {
                XmlNode to = byId.get(id);
                if (to != null && found.add(to)) {
                    open.push(to);
                }
            }
            n.children.forEach(open::push);
        }
        return found;
    }

    private Map<String, String> handedDown(XmlNode node) {
        List<XmlNode> above = new ArrayList<>();
        for (XmlNode n = node.parent; n != null; n = n.parent) {
            above.add(0, n);
        }
        Map<String, String> out = new TreeMap<>();
        above.forEach(n -> out.putAll(sheet.of(n)));
        out.keySet().removeAll(OWN);
        out.keySet().removeIf(k -> !k.matches("[a-z-]+"));
        return out;
    }

    private void write(XmlNode node, Set<String> without, StringBuilder out, int[] left) {
        if (--left[0] < 0) {
            return;
        }
        if (node.name.equals(XmlNode.TEXT)) {
            out.append(escaped(node.text));
            return;
        }
        out.append('<').append(node.name);
        Map<String, String> all = new TreeMap<>(sheet.of(node));
        all.keySet().removeAll(Set.of("style", "class", "label"));
        all.keySet().removeAll(without);
        all.forEach((k, v) -> {
            if (k.matches("[A-Za-z][A-Za-z0-9-]*")) {
                attribute(k, v, out);
            }
        });
        out.append('>');
        node.children.forEach(c -> write(c, Set.of(), out, left));
        out.append("</").append(node.name).append('>');
    }

    private static void attribute(String name, String value, StringBuilder out) {
        out.append(' ').append(name).append("=\"").append(escaped(value)).append('"');
    }

    private static String escaped(CharSequence text) {
        return text.toString()
                .replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
