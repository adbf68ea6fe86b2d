package app.leeward.formats.svg;

import app.leeward.core.art.Paint;
import app.leeward.core.rig.Note;
import app.leeward.formats.xml.XmlNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** CSS colours as paints. What cannot be kept is simplified and noted. */
final class Colours {
    private static final Map<String, String> NAMED = load();
    private static final Pattern RGB = Pattern.compile(
            "rgba?\\(\\s*([\\d.]+)(%?)\\s*[,\\s]\\s*([\\d.]+)%?\\s*[,\\s]\\s*([\\d.]+)%?\\s*(?:[,/]\\s*([\\d.]+)(%?)\\s*)?\\)");
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

    Paint paint(String css, double opacity, String current) {
        String v = css.toLowerCase(Locale.ROOT);
        if (v.equals("none") || v.equals("transparent")) {
            return Paint.NONE;
        }
        if (v.equals("currentcolor")) {
            return paint(current.equalsIgnoreCase("currentcolor") ? "black" : current, opacity, "black");
        }
        Matcher url = URL.matcher(css);
        if (url.matches()) {
            return gradient(url.group(1), url.group(2).strip(), opacity);
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

    /** Gradients are not kept yet: their middle stop stands for them. */
    private Paint gradient(String id, String fallback, double opacity) {
        XmlNode node = byId.get(id);
        for (int hops = 0; node != null && node.children.isEmpty() && hops < 8; hops++) {
            node = byId.get(node.get("href", "").replaceFirst("^#", ""));
        }
        List<XmlNode> stops = node == null
                ? List.of()
                : node.children.stream().filter(c -> c.name.equals("stop")).toList();
        if (stops.isEmpty()) {
            note("paint-missing", id, "The paint '" + id + "' is not in the file or is a pattern; it is left out.");
            return fallback.isEmpty() ? Paint.NONE : paint(fallback, opacity, "black");
        }
        note("gradient-flattened", id, "The gradient '" + id + "' is shown as its middle colour.");
        XmlNode stop = stops.get(stops.size() / 2);
        Map<String, String> css = new HashMap<>(stop.attributes);
        css.putAll(StyleSheet.declarations(stop.get("style", "")));
        double a = Lengths.parse(css.get("stop-opacity"), 1);
        return paint(css.getOrDefault("stop-color", "black"), opacity * Math.max(0, Math.min(1, a)), "black");
    }

    private void note(String code, String place, String says) {
        Note note = new Note(code, place, says);
        if (!notes.contains(note)) {
            notes.add(note);
        }
    }
}
