package app.leeward.formats.svg;

import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.art.PathReader;
import app.leeward.core.art.Segment;
import app.leeward.core.rig.Note;
import app.leeward.formats.xml.XmlNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Clip paths of a file (SVG 1.1, 14.3.5) as outlines: the shapes of one together, in the coordinates of what it cuts. */
final class ClipPaths {
    private static final Pattern URL = Pattern.compile("url\\(\\s*['\"]?#([^)'\"]+)['\"]?\\s*\\)");

    private static final Set<String> WHITE = Set.of("white", "#fff", "#ffffff", "rgb(255,255,255)");
    private static final Set<String> NOT_PLAIN = Set.of("opacity", "fill-opacity", "mask", "filter", "clip-path");

    private final Map<String, XmlNode> byId;
    private final StyleSheet sheet;
    private final List<Note> notes;

    ClipPaths(Map<String, XmlNode> byId, StyleSheet sheet, List<Note> notes) {
        this.byId = byId;
        this.sheet = sheet;
        this.notes = notes;
    }

    /** Whether a mask does no more than a clip path does: plain white shapes, nothing half clear. */
    static boolean cuts(XmlNode mask, StyleSheet sheet) {
        return mask != null
                && mask.name.equals("mask")
                && !mask.children.isEmpty()
                && mask.children.stream()
                        .filter(c -> !c.name.equals("title") && !c.name.equals("desc"))
                        .allMatch(c -> {
                            Map<String, String> css = sheet.of(c);
                            String fill = css.getOrDefault(
                                            "fill", sheet.of(mask).getOrDefault("fill", "black"))
                                    .strip()
                                    .toLowerCase(Locale.ROOT);
                            return BasicShapes.data(c).isPresent()
                                    && WHITE.contains(fill)
                                    && css.getOrDefault("stroke", "none")
                                            .strip()
                                            .equals("none")
                                    && NOT_PLAIN.stream().noneMatch(css::containsKey);
                        });
    }

    /**
     * @param value of the clip-path property; null when there is none
     * @param cut what it cuts
     * @param m the coordinates of what it cuts
     */
    Optional<Clip> of(String value, XmlNode cut, Matrix m) {
        if (value == null || value.isBlank() || value.strip().equals("none")) {
            return Optional.empty();
        }
        Matcher url = URL.matcher(value);
        XmlNode clip = url.find() ? byId.get(url.group(1)) : null;
        if (clip == null || !clip.name.equals("clipPath") && !cuts(clip, sheet)) {
            note(cut, "names no clip path of the file");
            return Optional.empty();
        }
        Matrix units = Matrix.IDENTITY;
        String unit = clip.name.equals("mask") ? "maskContentUnits" : "clipPathUnits";
        if ("objectBoundingBox".equals(clip.get(unit, "").strip())) {
            Optional<Box> box =
                    BasicShapes.data(cut).flatMap(d -> PathReader.read(d).path().bounds());
            if (box.isEmpty()) {
                note(cut, "is measured by the box of a group");
                return Optional.empty();
            }
            Box b = box.get();
            units = new Matrix(b.width(), 0, 0, b.height(), b.minX(), b.minY());
        }
        List<Segment> all = new ArrayList<>();
        FillRule rule = FillRule.NONZERO;
        Matrix own = m.times(units).times(transform(clip));
        for (XmlNode child : clip.children) {
            XmlNode shape = child;
            Matrix at = own.times(transform(child));
            if (child.name.equals("use")) {
                shape = byId.get(child.get("href", "").replaceFirst("^#", ""));
                if (shape == null) {
                    continue;
                }
                at = at.times(Matrix.translate(Lengths.parse(child.get("x"), 0), Lengths.parse(child.get("y"), 0)))
                        .times(transform(shape));
            }
            Optional<String> data = BasicShapes.data(shape);
            if (data.isPresent()) {
                all.addAll(PathReader.read(data.get()).path().transform(at).segments());
                if ("evenodd"
                        .equals(sheet.of(shape).getOrDefault("clip-rule", "").strip())) {
                    rule = FillRule.EVENODD;
                }
            }
        }
        if (sheet.of(clip).get("clip-path") != null) {
            note(cut, "is clipped itself; that is left out");
        }
        return Optional.of(new Clip(new Path(all), rule));
    }

    private static Matrix transform(XmlNode node) {
        return Transforms.parse(node.get("transform", "")).orElse(Matrix.IDENTITY);
    }

    private void note(XmlNode cut, String why) {
        String label = cut.label().isBlank() ? "line " + cut.line : cut.label();
        notes.add(
                new Note("clip-not-kept", label, "The clip on '" + label + "' is not kept as it is: it " + why + "."));
    }
}
