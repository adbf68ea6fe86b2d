package app.leeward.formats.svg;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Shape;
import app.leeward.core.art.ShapeRole;
import app.leeward.core.art.Stroke;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Part;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Writes a frame as an SVG file that looks the same in any viewer: windows become clip paths. */
public final class SvgWriter {
    private final Character character;
    private final Frame frame;
    private final ImageShelf images;
    private final Map<String, Frame.Placed> placed = new HashMap<>();
    private final StringBuilder defs = new StringBuilder();
    private final StringBuilder body = new StringBuilder();
    private final Map<String, String> clips = new HashMap<>();
    private final Map<Paint.Gradient, String> gradients = new HashMap<>();

    private SvgWriter(Character character, Frame frame, ImageShelf images) {
        this.images = images;
        this.character = character;
        this.frame = frame;
        frame.placed().forEach(p -> placed.put(p.part(), p));
    }

    /** @param images where the character's pictures made of pixels are; they are embedded */
    public static String write(Character character, Frame frame, ImageShelf images) {
        return new SvgWriter(character, frame, images).svg();
    }

    private String svg() {
        for (Frame.Placed p : frame.placed()) {
            part(p);
        }
        String w = Numbers.text(character.canvas().width());
        String h = Numbers.text(character.canvas().height());
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + w
                + "\" height=\"" + h + "\" viewBox=\"0 0 " + w + " " + h + "\">\n<title>"
                + escape(character.name()) + "</title>\n<defs>\n" + defs + "</defs>\n" + body + "</svg>\n";
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
        body.append("<g id=\"")
                .append(escape(part.id()))
                .append("\" transform=\"")
                .append(p.matrix().toSvg())
                .append('"');
        if (p.opacity() < 1) {
            body.append(" opacity=\"").append(Numbers.text(p.opacity())).append('"');
        }
        body.append(">\n");
        String own = ownWindow(p, art);
        for (Shape s : art.shapes()) {
            shape(s, s.masked() ? own : null);
        }
        body.append("</g>\n").append("</g>\n".repeat(p.windows().size()));
    }

    private Artwork art(Frame.Placed p) {
        return character
                .part(p.part())
                .flatMap(part -> part.drawing(p.drawing()))
                .map(Drawing::art)
                .orElseThrow();
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
        defs.append("<clipPath id=\"").append(escape(id)).append("\">");
        for (Shape s : shapes) {
            defs.append("<path d=\"").append(s.path().toSvg()).append('"').append(transform);
            if (s.rule() == FillRule.EVENODD) {
                defs.append(" clip-rule=\"evenodd\"");
            }
            defs.append("/>");
        }
        defs.append("</clipPath>\n");
    }

    private void picture(Shape s, Paint.Picture p, String clip) {
        body.append("<image width=\"")
                .append(p.width())
                .append("\" height=\"")
                .append(p.height())
                .append('"');
        body.append(" preserveAspectRatio=\"none\" transform=\"")
                .append(p.place().toSvg())
                .append('"');
        optional("opacity", s.opacity());
        body.append(" href=\"data:image/png;base64,")
                .append(Base64.getEncoder().encodeToString(images.png(p.image())))
                .append("\"/>\n");
        if (clip != null) {
            // a clip path is in the coordinates of what it cuts: the picture's own are pixels
            int at = body.lastIndexOf("<image");
            body.insert(at, "<g clip-path=\"url(#" + escape(clip) + ")\">");
            body.append("</g>\n");
        }
    }

    private void shape(Shape s, String clip) {
        if (s.fill() instanceof Paint.Picture p) {
            picture(s, p, clip);
            return;
        }
        body.append("<path d=\"").append(s.path().toSvg()).append('"');
        if (clip != null) {
            body.append(" clip-path=\"url(#").append(escape(clip)).append(")\"");
        }
        if (s.fill() instanceof Paint.Flat f) {
            body.append(" fill=\"").append(f.colour()).append('"');
            optional("fill-opacity", f.opacity());
            if (s.rule() == FillRule.EVENODD) {
                body.append(" fill-rule=\"evenodd\"");
            }
        } else if (s.fill() instanceof Paint.Gradient g) {
            body.append(" fill=\"url(#").append(gradient(g)).append(")\"");
            if (s.rule() == FillRule.EVENODD) {
                body.append(" fill-rule=\"evenodd\"");
            }
        } else {
            body.append(" fill=\"none\"");
        }
        if (s.stroke().visible()) {
            stroke(s.stroke());
        }
        optional("opacity", s.opacity());
        body.append("/>\n");
    }

    private String gradient(Paint.Gradient g) {
        return gradients.computeIfAbsent(g, k -> {
            String id = "gradient-" + (gradients.size() + 1);
            String name = g.radial() ? "radialGradient" : "linearGradient";
            defs.append('<').append(name).append(" id=\"").append(id).append("\" gradientUnits=\"userSpaceOnUse\"");
            defs.append(g.radial() ? " cx=\"0\" cy=\"0\" r=\"1\"" : " x1=\"0\" y1=\"0\" x2=\"1\" y2=\"0\"");
            defs.append(" gradientTransform=\"").append(g.place().toSvg()).append('"');
            if (g.spread() != Paint.Spread.PAD) {
                defs.append(" spreadMethod=\"").append(lower(g.spread())).append('"');
            }
            defs.append('>');
            for (GradientStop stop : g.stops()) {
                defs.append("<stop offset=\"").append(Numbers.text(stop.at())).append("\" stop-color=\"");
                defs.append(stop.colour()).append('"');
                if (stop.opacity() != 1) {
                    defs.append(" stop-opacity=\"")
                            .append(Numbers.text(stop.opacity()))
                            .append('"');
                }
                defs.append("/>");
            }
            defs.append("</").append(name).append(">\n");
            return id;
        });
    }

    private void stroke(Stroke stroke) {
        Paint.Flat paint = (Paint.Flat) stroke.paint();
        body.append(" stroke=\"")
                .append(paint.colour())
                .append("\" stroke-width=\"")
                .append(Numbers.text(stroke.width()))
                .append('"');
        optional("stroke-opacity", paint.opacity());
        if (stroke.cap() != Stroke.Cap.BUTT) {
            body.append(" stroke-linecap=\"").append(lower(stroke.cap())).append('"');
        }
        if (stroke.join() != Stroke.Join.MITER) {
            body.append(" stroke-linejoin=\"").append(lower(stroke.join())).append('"');
        } else if (stroke.miterLimit() != 4) {
            body.append(" stroke-miterlimit=\"")
                    .append(Numbers.text(stroke.miterLimit()))
                    .append('"');
        }
    }

    private void optional(String name, double value) {
        if (value != 1) {
            body.append(' ')
                    .append(name)
                    .append("=\"")
                    .append(Numbers.text(value))
                    .append('"');
        }
    }

    private static String lower(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private static String escape(String s) {
        return s.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
