package app.leeward.formats.svg;

import app.leeward.core.art.Numbers;
import app.leeward.core.art.Path;
import app.leeward.formats.xml.XmlNode;
import java.util.Optional;
import java.util.Set;

/** SVG's ready-made shapes as paths. */
final class BasicShapes {
    private BasicShapes() {}

    /** Path data of a shape element; empty for what is not one or has no size. */
    static Optional<String> data(XmlNode n) {
        return switch (n.name) {
            case "path" -> Optional.ofNullable(n.get("d"));
            case "rect" -> rect(n);
            case "circle" -> ellipse(n, length(n, "r"), length(n, "r"));
            case "ellipse" -> ellipse(n, length(n, "rx"), length(n, "ry"));
            case "line" ->
                Optional.of("M" + at(length(n, "x1"), length(n, "y1")) + "L" + at(length(n, "x2"), length(n, "y2")));
            case "polyline", "polygon" -> poly(n);
            default -> Optional.empty();
        };
    }

    private static final Set<String> KINDS = Set.of("path", "rect", "circle", "ellipse", "line", "polygon", "polyline");

    /** Whether an element is a shape, whatever it says. */
    static boolean kind(XmlNode n) {
        return KINDS.contains(n.name);
    }

    private static double length(XmlNode n, String name) {
        return Lengths.parse(n.get(name), 0);
    }

    private static String at(double x, double y) {
        return Numbers.text(x) + " " + Numbers.text(y) + " ";
    }

    private static Optional<String> ellipse(XmlNode n, double rx, double ry) {
        if (!(rx > 0 && ry > 0)) {
            return Optional.empty();
        }
        double cx = length(n, "cx");
        double cy = length(n, "cy");
        String arc = "A" + at(rx, ry) + "0 0 1 ";
        return Optional.of("M" + at(cx + rx, cy) + arc + at(cx, cy + ry) + arc + at(cx - rx, cy) + arc + at(cx, cy - ry)
                + arc + at(cx + rx, cy) + "Z");
    }

    private static Optional<String> rect(XmlNode n) {
        double x = length(n, "x");
        double y = length(n, "y");
        double w = length(n, "width");
        double h = length(n, "height");
        if (!(w > 0 && h > 0)) {
            return Optional.empty();
        }
        double rx = Math.min(w / 2, Lengths.parse(n.get("rx"), length(n, "ry")));
        double ry = Math.min(h / 2, Lengths.parse(n.get("ry"), rx));
        if (!(rx > 0 && ry > 0)) {
            return Optional.of("M" + at(x, y) + "L" + at(x + w, y) + "L" + at(x + w, y + h) + "L" + at(x, y + h) + "Z");
        }
        String arc = "A" + at(rx, ry) + "0 0 1 ";
        return Optional.of("M" + at(x + rx, y) + "L" + at(x + w - rx, y) + arc + at(x + w, y + ry) + "L"
                + at(x + w, y + h - ry) + arc + at(x + w - rx, y + h) + "L" + at(x + rx, y + h) + arc
                + at(x, y + h - ry) + "L" + at(x, y + ry) + arc + at(x + rx, y) + "Z");
    }

    private static Optional<String> poly(XmlNode n) {
        String points = n.get("points", "").strip();
        return points.isEmpty() ? Optional.empty() : Optional.of("M" + points + (n.name.equals("polygon") ? "Z" : ""));
    }

    /** Whether anything of it could ever be seen. */
    static boolean drawable(Path path) {
        return path.segments().size() > 1;
    }
}
