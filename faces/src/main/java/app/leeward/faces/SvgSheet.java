package app.leeward.faces;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Writes the layers of a face as one of the ways vector editors write SVG. */
final class SvgSheet {
    private final Traits t;
    private final Random random;
    private final double width;
    private final double height;
    private final double scale;
    private final double dx;
    private final double dy;
    private final StringBuilder out = new StringBuilder();
    private final StringBuilder symbols = new StringBuilder();
    private final Map<String, String> classes = new LinkedHashMap<>();
    private final Set<String> ids = new HashSet<>();
    /** What one layer is drawn in before its own transform, where each has one. */
    private double grain = 1;

    SvgSheet(Traits t, Random random, double width, double height, double scale, double dx, double dy) {
        this.t = t;
        this.random = random;
        this.width = width;
        this.height = height;
        this.scale = scale;
        this.dx = dx;
        this.dy = dy;
    }

    String write(List<Piece> pieces, List<String> names) {
        if (t.placing() == Traits.Placing.GROUP) {
            out.append("<g transform=\"translate(")
                    .append(n(dx))
                    .append(' ')
                    .append(n(dy))
                    .append(") scale(")
                    .append(n(scale))
                    .append(")\">\n");
        }
        String open = "";
        for (int i = 0; i < pieces.size(); i++) {
            String path = t.nesting() == Traits.Nesting.FLAT ? "" : groupOf(pieces.get(i));
            open = nest(open, path);
            layer(pieces.get(i), names.get(i), i);
        }
        nest(open, "");
        if (t.placing() == Traits.Placing.GROUP) {
            out.append("</g>\n");
        }
        StringBuilder file = new StringBuilder(
                "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\"");
        file.append(" xmlns:xlink=\"http://www.w3.org/1999/xlink\"");
        if (t.label() == Traits.Label.LABEL_ATTRIBUTE) {
            file.append(" xmlns:inkscape=\"http://www.inkscape.org/namespaces/inkscape\"");
        }
        if (t.label() == Traits.Label.SECOND_ID) {
            file.append(" xmlns:serif=\"urn:another-vocabulary\"");
        }
        file.append(" width=\"").append(n(width)).append("\" height=\"").append(n(height));
        file.append("\" viewBox=\"0 0 ")
                .append(n(width))
                .append(' ')
                .append(n(height))
                .append("\">\n");
        if (!classes.isEmpty()) {
            file.append("<style>");
            classes.forEach((style, name) ->
                    file.append('.').append(name).append('{').append(style).append("}"));
            file.append("</style>\n");
        }
        if (symbols.length() > 0) {
            file.append("<defs>\n").append(symbols).append("</defs>\n");
        }
        return file.append(out).append("</svg>\n").toString();
    }

    /** Where grouping goes, a layer's way from the root. */
    private String groupOf(Piece p) {
        boolean onHead =
                !p.group().isEmpty() && !p.group().equals("body") && !p.group().endsWith("arm") && !p.aside();
        if (p.aside()) {
            return "";
        }
        if (t.nesting() == Traits.Nesting.DEEP && onHead) {
            return p.group().equals("head") ? "head" : "head/" + p.group();
        }
        return p.group();
    }

    /** Closes and opens groups to get from one place in the tree to another. */
    private String nest(String from, String to) {
        String[] a = from.isEmpty() ? new String[0] : from.split("/");
        String[] b = to.isEmpty() ? new String[0] : to.split("/");
        int same = 0;
        while (same < a.length && same < b.length && a[same].equals(b[same])) {
            same++;
        }
        for (int i = a.length; i > same; i--) {
            out.append("</g>\n");
        }
        for (int i = same; i < b.length; i++) {
            boolean named = t.naming() != Traits.Naming.NONE && t.naming() != Traits.Naming.NUMBERS && english();
            out.append("<g").append(named ? label(sided(b[i])) : "").append(">\n");
        }
        return to;
    }

    private boolean english() {
        return t.naming() != Traits.Naming.GERMAN
                && t.naming() != Traits.Naming.FRENCH
                && t.naming() != Traits.Naming.SPANISH;
    }

    /** Groups are named by the same sides as layers. */
    private String sided(String group) {
        return t.viewersSides()
                ? group.replace("left", "•").replace("right", "left").replace("•", "right")
                : group;
    }

    private void layer(Piece p, String name, int place) {
        String hide = p.hidden() ? " display=\"none\"" : "";
        switch (t.placing()) {
            case PLAIN -> {
                out.append("<g").append(label(name)).append(hide).append('>');
                marks(p, out, scale, dx, dy);
            }
            case GROUP -> {
                out.append("<g").append(label(name)).append(hide).append('>');
                marks(p, out, 1, 0, 0);
            }
            case EACH -> {
                grain = 0.25 + 4 * random.nextDouble();
                double cx = 50 * random.nextGaussian();
                double cy = 50 * random.nextGaussian();
                double k = scale / grain;
                out.append("<g")
                        .append(label(name))
                        .append(hide)
                        .append(" transform=\"matrix(")
                        .append(n(k))
                        .append(" 0 0 ")
                        .append(n(k))
                        .append(' ');
                out.append(n(dx - k * cx)).append(' ').append(n(dy - k * cy)).append(")\">");
                marks(p, out, grain, cx, cy);
            }
            case USE -> {
                double k = Traits.of(random, List.of(0.5, 2.0, 8.0));
                symbols.append("<symbol id=\"s").append(place).append("\" overflow=\"visible\">");
                marks(p, symbols, scale / k, 0, 0);
                symbols.append("</symbol>\n");
                out.append("<g")
                        .append(label(name))
                        .append(hide)
                        .append("><use xlink:href=\"#s")
                        .append(place)
                        .append("\" transform=\"translate(");
                out.append(n(dx))
                        .append(' ')
                        .append(n(dy))
                        .append(") scale(")
                        .append(n(k))
                        .append(")\"/>");
            }
            default -> throw new IllegalStateException();
        }
        out.append("</g>\n");
    }

    private void marks(Piece p, StringBuilder to, double k, double mx, double my) {
        for (Mark m : p.marks()) {
            Mark placed = m.turned(0, 0, 0, k).moved(mx, my);
            to.append("<path d=\"")
                    .append(placed.curve().svg())
                    .append('"')
                    .append(painted(placed))
                    .append("/>");
        }
    }

    private String painted(Mark m) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("fill", m.fill());
        if (m.opacity() < 1) {
            all.put("fill-opacity", n(m.opacity()));
        }
        if (!m.line().equals("none")) {
            all.put("stroke", m.line());
            all.put("stroke-width", n(m.width()));
            all.put("stroke-linecap", "round");
            all.put("stroke-linejoin", "round");
        }
        StringBuilder text = new StringBuilder();
        if (t.painting() == Traits.Painting.ATTRIBUTES) {
            all.forEach(
                    (k, v) -> text.append(' ').append(k).append("=\"").append(v).append('"'));
            return text.toString();
        }
        all.forEach((k, v) -> text.append(k).append(':').append(v).append(';'));
        if (t.painting() == Traits.Painting.STYLE) {
            return " style=\"" + text + "\"";
        }
        return " class=\"" + classes.computeIfAbsent(text.toString(), k -> "cls-" + (classes.size() + 1)) + "\"";
    }

    private String label(String name) {
        if (name.isEmpty()) {
            return "";
        }
        String id = name;
        for (int i = 2; !ids.add(id); i++) {
            id = name + "_" + i;
        }
        return switch (t.label()) {
            case ID -> " id=\"" + id + "\"";
            case ESCAPED_ID -> " id=\"" + escaped(id) + "\"";
            case LABEL_ATTRIBUTE ->
                " id=\"g" + ids.size() + "\" inkscape:groupmode=\"layer\" inkscape:label=\"" + name + "\"";
            case DATA_NAME -> " id=\"" + id.replaceAll("[^A-Za-z0-9]", "_") + "\" data-name=\"" + name + "\"";
            case SECOND_ID -> " id=\"n" + ids.size() + "\" serif:id=\"" + name + "\"";
        };
    }

    /** Everything but letters and digits as its code, as one vector editor writes ids. */
    private static String escaped(String id) {
        StringBuilder text = new StringBuilder();
        for (char c : id.toCharArray()) {
            text.append(
                    c == ' '
                            ? "_"
                            : java.lang.Character.isLetterOrDigit(c)
                                    ? String.valueOf(c)
                                    : String.format("_x%X_", (int) c));
        }
        return text.toString();
    }

    private static String n(double v) {
        return Curve.number(v);
    }
}
