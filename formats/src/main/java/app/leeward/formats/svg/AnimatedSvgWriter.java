package app.leeward.formats.svg;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Path;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.motion.Motion;
import app.leeward.core.motion.MotionLayer;
import app.leeward.core.rig.Canvas;
import app.leeward.core.rig.Character;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** Writes a shot as an SVG file that plays by itself, without scripts: masks are kept, and move with what masks. */
final class AnimatedSvgWriter {
    private final Character character;
    private final Motion motion;
    private final Smil smil;
    private final ImageShelf images;
    private final StringBuilder defs = new StringBuilder();
    private final StringBuilder body = new StringBuilder();
    private final ShapeMarkup bodyShapes;
    private final Map<String, String> clips = new HashMap<>();
    private int layers;

    private AnimatedSvgWriter(Character character, Motion motion, ImageShelf images, int times) {
        this.character = character;
        this.motion = motion;
        this.images = images;
        this.smil = new Smil(motion, times);
        this.bodyShapes = new ShapeMarkup(body, defs, images);
    }

    /** @param times how often it is played; 0 for over and over */
    static String write(Character character, String title, Motion motion, ImageShelf images, int times) {
        return new AnimatedSvgWriter(character, motion, images, times).svg(title);
    }

    private String svg(String title) {
        motion.layers().forEach(this::layer);
        Canvas canvas = character.sheet().canvas();
        String w = Numbers.text(canvas.width());
        String h = Numbers.text(canvas.height());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + w
                + "\" height=\"" + h + "\" viewBox=\"0 0 " + w + " " + h + "\">\n<title>" + ShapeMarkup.escape(title)
                + "</title>\n<defs>\n" + defs + "</defs>\n" + body + "</svg>\n";
    }

    private void layer(MotionLayer layer) {
        String id = "layer-" + ++layers;
        Artwork art = Motion.art(character, layer);
        int groups = 0;
        for (String window : layer.windows()) {
            body.append("<g clip-path=\"url(#").append(window(window)).append(")\">\n");
            groups++;
        }
        for (String by : layer.outside()) {
            body.append("<g mask=\"url(#").append(mask(by, false)).append(")\">\n");
            groups++;
        }
        for (String by : layer.behind()) {
            if (motion.maskers().containsKey(by)) {
                body.append("<g mask=\"url(#").append(mask(by, true)).append(")\">\n");
                groups++;
            }
        }
        MotionLayer.State first = layer.seen().findFirst().orElseThrow();
        body.append("<g id=\"").append(id).append("\" class=\"");
        body.append(ShapeMarkup.escape(layer.part())).append('"').append(standing(layer));
        if (first.opacity() < 1) {
            body.append(" opacity=\"").append(Numbers.text(first.opacity())).append('"');
        }
        body.append('>').append(smil.display(layer)).append(smil.opacity(layer));
        body.append(smil.placement(layer)).append('\n');
        String own = ownWindow(id, layer, art);
        for (int i = 0; i < art.shapes().size(); i++) {
            shape(bodyShapes, body, layer, art, i, art.shapes().get(i).masked() ? own : null, s -> s);
        }
        body.append("</g>\n").append("</g>\n".repeat(groups));
    }

    /** Where it is at first, for who shows no motion: attributes. */
    private static String standing(MotionLayer layer) {
        MotionLayer.State first = layer.seen().findFirst().orElseThrow();
        return " transform=\"" + first.matrix().toSvg() + '"' + (layer.at(0).isPresent() ? "" : " display=\"none\"");
    }

    private void shape(
            ShapeMarkup markup,
            StringBuilder into,
            MotionLayer layer,
            Artwork art,
            int index,
            String clip,
            UnaryOperator<Shape> as) {
        Shape drawn = art.shapes().get(index);
        List<Path> outlines = layer.outlines(index, drawn.path());
        List<Path> different =
                outlines.stream().filter(p -> p != null).distinct().toList();
        Shape shape = as.apply(drawn);
        if (shape.fill() instanceof Paint.Patch && different.size() > 1) {
            // a piece of a picture goes with its outline, by a transform of its own: one copy for each
            for (Path outline : different) {
                List<String> shown = outlines.stream()
                        .map(p -> p == null ? null : p.equals(outline) ? "inline" : "none")
                        .toList();
                into.append("<g").append(outline.equals(different.get(0)) ? ">" : " display=\"none\">");
                into.append(smil.attribute("display", shown));
                markup.write(shape.withPath(outline), clip);
                into.append("</g>\n");
            }
            return;
        }
        markup.write(shape.withPath(different.get(0)), clip, smil.attribute("d", texts(outlines)));
    }

    private static List<String> texts(List<Path> outlines) {
        if (outlines.stream().distinct().limit(3).count() < 2) {
            return List.of();
        }
        String[] texts = new String[outlines.size()];
        for (int e = 0; e < texts.length; e++) {
            Path p = outlines.get(e);
            // most exposures have the outline of the one before
            texts[e] = p == null ? null : e > 0 && p.equals(outlines.get(e - 1)) ? texts[e - 1] : p.toSvg();
        }
        return Arrays.asList(texts);
    }

    /** Clip of the fills of another part. */
    private String window(String part) {
        return clips.computeIfAbsent("window " + part, k -> {
            String id = "window-" + (clips.size() + 1);
            StringBuilder inside = new StringBuilder();
            for (MotionLayer by : motion.maskers().getOrDefault(part, List.of())) {
                Artwork art = Motion.art(character, by);
                for (int i : indices(art, art.windowShapes())) {
                    Shape s = art.shapes().get(i);
                    clipShape(inside, s, by.outlines(i, s.path()), standing(by), smil.display(by) + smil.placement(by));
                }
            }
            clipPath(id, inside);
            return id;
        });
    }

    /** Clip of a drawing's own window shape, in the drawing's coordinates; null when it has none. */
    private String ownWindow(String layer, MotionLayer l, Artwork art) {
        StringBuilder inside = new StringBuilder();
        for (int i = 0; i < art.shapes().size(); i++) {
            Shape s = art.shapes().get(i);
            if (s.role() == ShapeRole.WINDOW) {
                clipShape(inside, s, l.outlines(i, s.path()), "", "");
            }
        }
        if (inside.isEmpty()) {
            return null;
        }
        clipPath("within-" + layer, inside);
        return "within-" + layer;
    }

    /** Where some shapes of a drawing stand in it. */
    private static int[] indices(Artwork art, List<Shape> some) {
        return IntStream.range(0, art.shapes().size())
                .filter(i -> some.stream().anyMatch(s -> s == art.shapes().get(i)))
                .toArray();
    }

    private void clipShape(StringBuilder into, Shape s, List<Path> outlines, String attributes, String moved) {
        Path first = outlines.stream().filter(p -> p != null).findFirst().orElseThrow();
        into.append("<path d=\"").append(first.toSvg()).append('"').append(attributes);
        if (s.rule() == FillRule.EVENODD) {
            into.append(" clip-rule=\"evenodd\"");
        }
        into.append('>')
                .append(smil.attribute("d", texts(outlines)))
                .append(moved)
                .append("</path>");
    }

    private void clipPath(String id, StringBuilder inside) {
        defs.append("<clipPath id=\"").append(id).append("\">").append(inside).append("</clipPath>\n");
    }

    /** Mask that takes out the fills of another part, or what its fingers paint. */
    private String mask(String part, boolean fingers) {
        return clips.computeIfAbsent((fingers ? "behind " : "outside ") + part, k -> {
            String id = "mask-" + (clips.size() + 1);
            StringBuilder inside = new StringBuilder();
            ShapeMarkup markup = new ShapeMarkup(id + "-", inside, defs, images);
            for (MotionLayer by : motion.maskers().get(part)) {
                Artwork art = Motion.art(character, by);
                inside.append("<g").append(standing(by)).append('>');
                inside.append(smil.display(by)).append(smil.placement(by));
                int[] cut = indices(art, fingers ? art.fingers() : art.windowShapes());
                boolean tucked = !fingers && cut.length == 1;
                for (int i : cut) {
                    shape(
                            markup,
                            inside,
                            by,
                            art,
                            i,
                            null,
                            s -> tucked ? s.tucked("#000000", "#ffffff") : s.silhouette("#000000", fingers));
                }
                inside.append("</g>");
            }
            Canvas c = character.sheet().canvas();
            String everywhere = " x=\"" + Numbers.text(-c.width()) + "\" y=\"" + Numbers.text(-c.height())
                    + "\" width=\"" + Numbers.text(3 * c.width()) + "\" height=\"" + Numbers.text(3 * c.height())
                    + "\"";
            defs.append("<mask id=\"")
                    .append(id)
                    .append("\" maskUnits=\"userSpaceOnUse\"")
                    .append(everywhere);
            defs.append("><rect fill=\"#ffffff\"")
                    .append(everywhere)
                    .append("/>")
                    .append(inside)
                    .append("</mask>\n");
            return id;
        });
    }
}
