package app.leeward.formats.svg;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Box;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Winding;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Writes a frame as an SVG file that looks the same in any viewer: windows become clip paths, what is taken out a mask. */
public final class SvgWriter {
    private final Character character;
    private final Frame frame;
    private final Map<String, Frame.Placed> placed = new HashMap<>();
    private final StringBuilder defs = new StringBuilder();
    private final StringBuilder body = new StringBuilder();
    private final Map<String, String> clips = new HashMap<>();
    private final ShapeMarkup shapes;
    private final ImageShelf images;

    private SvgWriter(Character character, Frame frame, ImageShelf images) {
        this.images = images;
        this.shapes = new ShapeMarkup(body, defs, images);
        this.character = character;
        this.frame = frame;
        frame.placed().forEach(p -> placed.put(p.part(), p));
    }

    /** @param images where the character's pictures made of pixels are; they are embedded */
    public static String write(Character character, Frame frame, ImageShelf images) {
        return new SvgWriter(character, frame, images)
                .svg(new Box(
                        0,
                        0,
                        character.sheet().canvas().width(),
                        character.sheet().canvas().height()));
    }

    /** Only what lies in a box of it, which has some width and height. */
    public static String write(Character character, Frame frame, ImageShelf images, Box box) {
        return new SvgWriter(character, frame, images).svg(box);
    }

    private String svg(Box box) {
        for (Frame.Placed p : frame.placed()) {
            part(p);
        }
        String w = Numbers.text(box.width());
        String h = Numbers.text(box.height());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + w
                + "\" height=\"" + h + "\" viewBox=\"" + Numbers.text(box.minX()) + " " + Numbers.text(box.minY()) + " "
                + w + " " + h
                + "\">\n<title>"
                + ShapeMarkup.escape(character.name()) + "</title>\n<defs>\n" + defs + "</defs>\n" + body + "</svg>\n";
    }

    private void part(Frame.Placed p) {
        if (p.opacity() <= 0) {
            return;
        }
        Part part = character.part(p.part()).orElseThrow();
        Artwork art = art(p);
        // each window is one group, so that their clips intersect
        for (String window : p.windows()) {
            body.append("<g clip-path=\"url(#").append(clip(window)).append(")\">\n");
        }
        int masks = 0;
        for (String by : p.outside()) {
            body.append("<g mask=\"url(#")
                    .append(mask("outside-" + by, by, false))
                    .append(")\">\n");
            masks++;
        }
        for (String by : p.behind()) {
            if (placed.containsKey(by) && !art(placed.get(by)).fingers().isEmpty()) {
                body.append("<g mask=\"url(#")
                        .append(mask("behind-" + by, by, true))
                        .append(")\">\n");
                masks++;
            }
        }
        body.append("<g id=\"")
                .append(ShapeMarkup.escape(part.id()))
                .append("\" transform=\"")
                .append(p.matrix().toSvg())
                .append('"');
        if (p.opacity() < 1) {
            body.append(" opacity=\"").append(Numbers.text(p.opacity())).append('"');
        }
        body.append(">\n");
        String own = ownWindow(p, art);
        for (Shape s : art.shapes()) {
            shapes.write(s, s.masked() ? own : null);
        }
        body.append("</g>\n").append("</g>\n".repeat(p.windows().size() + masks));
    }

    private Artwork art(Frame.Placed p) {
        return p.shown(character
                .part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .map(Drawing::art)
                .orElseThrow());
    }

    /** Clip of the fills of another part, in canvas coordinates. */
    private String clip(String window) {
        return clips.computeIfAbsent(window, w -> {
            Frame.Placed by = placed.get(w);
            String id = "window-" + w;
            clipPath(id, art(by).windowShapes(), " transform=\"" + by.matrix().toSvg() + "\"");
            return id;
        });
    }

    /** Mask that takes out the fills of another part, or what its fingers paint. */
    private String mask(String id, String by, boolean fingers) {
        return clips.computeIfAbsent(id, k -> {
            Frame.Placed p = placed.get(by);
            List<Shape> out = fingers ? art(p).fingers() : art(p).windowShapes();
            StringBuilder inside = new StringBuilder();
            ShapeMarkup markup = new ShapeMarkup(id + "-", inside, defs, images);
            boolean tucked = !fingers && out.size() == 1;
            out.forEach(s ->
                    markup.write(tucked ? s.tucked("#000000", "#ffffff") : s.silhouette("#000000", fingers), null));
            double w = character.sheet().canvas().width();
            double h = character.sheet().canvas().height();
            String everywhere = " x=\"" + Numbers.text(-w) + "\" y=\"" + Numbers.text(-h) + "\" width=\""
                    + Numbers.text(3 * w) + "\" height=\"" + Numbers.text(3 * h) + "\"";
            defs.append("<mask id=\"")
                    .append(ShapeMarkup.escape(id))
                    .append("\" maskUnits=\"userSpaceOnUse\"")
                    .append(everywhere)
                    .append("><rect fill=\"#ffffff\"")
                    .append(everywhere)
                    .append("/><g transform=\"")
                    .append(p.matrix().toSvg())
                    .append("\">")
                    .append(inside)
                    .append("</g></mask>\n");
            return id;
        });
    }

    /** Clip of a drawing's own window shape, in the drawing's coordinates; null when it has none. */
    private String ownWindow(Frame.Placed p, Artwork art) {
        List<Shape> windows =
                art.shapes().stream().filter(s -> s.role() == ShapeRole.WINDOW).toList();
        if (windows.isEmpty()) {
            return null;
        }
        String id = "within-" + p.part();
        clipPath(id, windows, "");
        return id;
    }

    private void clipPath(String id, List<Shape> shapes, String transform) {
        defs.append("<clipPath id=\"").append(ShapeMarkup.escape(id)).append("\">");
        for (Shape s : shapes) {
            // some renderers put all of a clip into one path, where opposite ways round take each other away
            defs.append("<path d=\"")
                    .append(Winding.clockwise(s.path()).toSvg())
                    .append('"')
                    .append(transform);
            if (s.rule() == FillRule.EVENODD) {
                defs.append(" clip-rule=\"evenodd\"");
            }
            defs.append("/>");
        }
        defs.append("</clipPath>\n");
    }
}
