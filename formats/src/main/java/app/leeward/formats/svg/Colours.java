package app.leeward.formats.svg;

import app.leeward.core.art.Box;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.rig.Note;
import app.leeward.formats.xml.XmlNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** CSS colours as paints. What cannot be kept is simplified and noted. */
final class Colours {
    /** How near to the edge of its circle a radial gradient may begin, as a share of the radius. */
    private static final double INSIDE = 0.999;

    private static final Map<String, String> NAMED = load();
    private static final Pattern RGB = Pattern.compile(
            "rgba?\\(\\s*([\\d.]+)(%?)\\s*[,\\s]\\s*([\\d.]+)%?\\s*[,\\s]\\s*([\\d.]+)%?\\s*(?:[,/]\\s*([\\d.]+)(%?)\\s*)?\\)");
    private static final Pattern HSL = Pattern.compile(
            "hsla?\\(\\s*(-?[\\d.]+)(?:deg)?\\s*[,\\s]\\s*([\\d.]+)%\\s*[,\\s]\\s*([\\d.]+)%\\s*(?:[,/]\\s*([\\d.]+)(%?)\\s*)?\\)");
    private static final Pattern URL = Pattern.compile("url\\(\\s*['\"]?#([^'\")]+)['\"]?\\s*\\)(.*)");

    private final Map<String, XmlNode> byId;
    private final List<Note> notes;

    Colours(Map<String, XmlNode> byId, List<Note> notes) {
        this.byId = byId;
        this.notes = notes;
    }

    private static Map<String, String> load() {
        Map<String, String> named = new HashMap<>();
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Colours.class.getResourceAsStream("/app/leeward/formats/svg/css-colours.txt"),
                StandardCharsets.UTF_8))) {
            in.lines().map(l -> l.split(" ")).filter(w -> w.length == 2).forEach(w -> named.put(w[0], w[1]));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return named;
    }

    /** @param box of the shape to be filled, for gradients; gives null where only one colour can be used */
    Paint paint(String css, double opacity, String current, Supplier<Box> box) {
        String v = css.toLowerCase(Locale.ROOT);
        if (v.equals("none") || v.equals("transparent")) {
            return Paint.NONE;
        }
        if (v.equals("currentcolor")) {
            return paint(current.equalsIgnoreCase("currentcolor") ? "black" : current, opacity, "black", box);
        }
        Matcher url = URL.matcher(css);
        if (url.matches()) {
            return gradient(url.group(1), url.group(2).strip(), opacity, box);
        }
        if (v.matches("#[0-9a-f]{3,4}")) {
            String wide = "#" + v.charAt(1) + v.charAt(1) + v.charAt(2) + v.charAt(2) + v.charAt(3) + v.charAt(3);
            double a = v.length() == 5 ? Integer.parseInt("" + v.charAt(4) + v.charAt(4), 16) / 255.0 : 1;
            return new Paint.Flat(wide, opacity * a);
        }
        if (v.matches("#[0-9a-f]{6}([0-9a-f]{2})?")) {
            double a = v.length() == 9 ? Integer.parseInt(v.substring(7), 16) / 255.0 : 1;
            return new Paint.Flat(v.substring(0, 7), opacity * a);
        }
        Matcher rgb = RGB.matcher(v);
        if (rgb.matches()) {
            return rgb(rgb, opacity);
        }
        Matcher hsl = HSL.matcher(v);
        if (hsl.matches()) {
            return hsl(hsl, opacity);
        }
        String named = NAMED.get(v);
        if (named == null) {
            note("colour-unknown", css, "The colour '" + css + "' is not known; black is used in its place.");
            return new Paint.Flat("#000000", opacity);
        }
        return new Paint.Flat(named, opacity);
    }

    private static Paint rgb(Matcher m, double opacity) {
        double scale = m.group(2).isEmpty() ? 1 : 2.55;
        StringBuilder hex = new StringBuilder("#");
        for (int g : new int[] {1, 3, 4}) {
            long v = Math.round(Math.min(255, Double.parseDouble(m.group(g)) * scale));
            hex.append(String.format("%02x", v));
        }
        double a = m.group(5) == null
                ? 1
                : Double.parseDouble(m.group(5)) / (m.group(6).isEmpty() ? 1 : 100);
        return new Paint.Flat(hex.toString(), opacity * Math.max(0, Math.min(1, a)));
    }

    /** Hue, saturation, lightness by the formula of CSS Color Module Level 3, 4.2.4. */
    private static Paint hsl(Matcher m, double opacity) {
        double hue = (Double.parseDouble(m.group(1)) % 360 + 360) % 360;
        double s = Math.min(1, Double.parseDouble(m.group(2)) / 100);
        double l = Math.min(1, Double.parseDouble(m.group(3)) / 100);
        StringBuilder hex = new StringBuilder("#");
        for (int n : new int[] {0, 8, 4}) {
            double k = (n + hue / 30) % 12;
            double v = l - s * Math.min(l, 1 - l) * Math.max(-1, Math.min(k - 3, Math.min(9 - k, 1)));
            hex.append(String.format("%02x", Math.round(255 * v)));
        }
        double a = m.group(4) == null
                ? 1
                : Double.parseDouble(m.group(4)) / (m.group(5).isEmpty() ? 1 : 100);
        return new Paint.Flat(hex.toString(), opacity * Math.max(0, Math.min(1, a)));
    }

    /**
     * A gradient as a paint of the shape it fills. Attributes missing on it come from the one it refers to (SVG 1.1,
     * 13.2.2).
     *
     * @param boxOf bounds of the shape in its own coordinates; gives null for a line, which shows the middle colour
     */
    private Paint gradient(String id, String fallback, double opacity, Supplier<Box> boxOf) {
        List<XmlNode> chain = new ArrayList<>();
        for (XmlNode n = byId.get(id); n != null && chain.size() < 8 && !chain.contains(n); ) {
            chain.add(n);
            n = byId.get(n.get("href", "").replaceFirst("^#", ""));
        }
        List<GradientStop> stops = chain.stream()
                .map(n -> stops(n, opacity))
                .filter(l -> !l.isEmpty())
                .findFirst()
                .orElse(List.of());
        if (stops.isEmpty()) {
            note("paint-missing", id, "The paint '" + id + "' is not in the file, or has no colours; it is left out.");
            return fallback.isEmpty() ? Paint.NONE : paint(fallback, opacity, "black", boxOf);
        }
        // most paints are one colour, and measuring a large outline takes long
        Box box = stops.size() > 1 ? boxOf.get() : null;
        if (box != null) {
            Optional<Matrix> place = place(chain, box);
            if (place.isPresent()) {
                Paint.Spread spread =
                        switch (attribute(chain, "spreadMethod", "pad")) {
                            case "reflect" -> Paint.Spread.REFLECT;
                            case "repeat" -> Paint.Spread.REPEAT;
                            default -> Paint.Spread.PAD;
                        };
                return new Paint.Gradient(
                        chain.get(0).name.equals("radialGradient"), place.get(), stops, spread, focus(chain));
            }
        }
        if (stops.size() > 1) {
            note("gradient-flattened", id, "The gradient '" + id + "' is shown as its middle colour.");
        }
        GradientStop middle = stops.get(stops.size() / 2);
        return new Paint.Flat(middle.colour(), middle.opacity());
    }

    private List<GradientStop> stops(XmlNode gradient, double opacity) {
        List<GradientStop> stops = new ArrayList<>();
        double last = 0;
        for (XmlNode stop : gradient.children) {
            if (stop.name.equals("stop")) {
                Map<String, String> css = new HashMap<>(stop.attributes);
                css.putAll(StyleSheet.declarations(stop.get("style", "")));
                double a = Math.max(0, Math.min(1, Lengths.parse(css.get("stop-opacity"), 1)));
                last = Math.max(last, Math.max(0, Math.min(1, share(css.get("offset"), 0))));
                Paint colour = paint(css.getOrDefault("stop-color", "black").strip(), opacity * a, "black", () -> null);
                stops.add(
                        colour instanceof Paint.Flat f
                                ? new GradientStop(last, f.colour(), f.opacity())
                                : new GradientStop(last, "#000000", 0));
            }
        }
        return stops;
    }

    /** From the gradient's own coordinates to those of the shape; empty when it has no extent. */
    private static Optional<Matrix> place(List<XmlNode> chain, Box box) {
        boolean ofBox = !"userSpaceOnUse".equals(attribute(chain, "gradientUnits", ""));
        Matrix units = ofBox ? new Matrix(box.width(), 0, 0, box.height(), box.minX(), box.minY()) : Matrix.IDENTITY;
        Matrix own = Transforms.parse(attribute(chain, "gradientTransform", "")).orElse(Matrix.IDENTITY);
        Matrix along;
        if (chain.get(0).name.equals("radialGradient")) {
            double r = share(attribute(chain, "r", "50%"), 0.5);
            along = new Matrix(
                    r, 0, 0, r, share(attribute(chain, "cx", "50%"), 0.5), share(attribute(chain, "cy", "50%"), 0.5));
        } else {
            double x1 = share(attribute(chain, "x1", "0%"), 0);
            double y1 = share(attribute(chain, "y1", "0%"), 0);
            double dx = share(attribute(chain, "x2", "100%"), 1) - x1;
            double dy = share(attribute(chain, "y2", "0%"), 0) - y1;
            along = new Matrix(dx, dy, -dy, dx, x1, y1);
        }
        Matrix place = units.times(own).times(along);
        return Math.abs(place.determinant()) < 1e-9 ? Optional.empty() : Optional.of(place);
    }

    /** SVG 1.1, 13.2.3: the focus is the middle unless said otherwise, and stays inside the circle. */
    private static Point focus(List<XmlNode> chain) {
        double r = share(attribute(chain, "r", "50%"), 0.5);
        double cx = share(attribute(chain, "cx", "50%"), 0.5);
        double cy = share(attribute(chain, "cy", "50%"), 0.5);
        double x = (share(attribute(chain, "fx", ""), cx) - cx) / r;
        double y = (share(attribute(chain, "fy", ""), cy) - cy) / r;
        double out = Math.hypot(x, y);
        double in = out > INSIDE ? INSIDE / out : 1;
        return Double.isFinite(out) ? new Point(x * in, y * in) : new Point(0, 0);
    }

    private static String attribute(List<XmlNode> chain, String name, String otherwise) {
        return chain.stream()
                .map(n -> n.get(name))
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(otherwise)
                .strip();
    }

    private static double share(String text, double otherwise) {
        if (text != null && text.strip().endsWith("%")) {
            return Lengths.parse(text.strip().substring(0, text.strip().length() - 1), otherwise * 100) / 100;
        }
        return Lengths.parse(text, otherwise);
    }

    private void note(String code, String place, String message) {
        Note note = new Note(code, place, message);
        if (!notes.contains(note)) {
            notes.add(note);
        }
    }
}
