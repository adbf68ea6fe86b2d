package app.leeward.formats.svg;

import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.ImageShelf;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Numbers;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Shape;
import app.leeward.core.art.Stroke;
import app.leeward.core.text.PlainText;
import java.util.Base64;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Writes single shapes, and what they need beforehand: gradients once each, pictures within the file. */
final class ShapeMarkup {
    private final String prefix;
    private final StringBuilder body;
    private final StringBuilder defs;
    private final ImageShelf images;
    private final Map<Clip, String> clips = new HashMap<>();
    private final Map<Paint.Gradient, String> gradients = new HashMap<>();

    ShapeMarkup(StringBuilder body, StringBuilder defs, ImageShelf images) {
        this("", body, defs, images);
    }

    /** @param prefix of the ids of what it defines, where several write into one file */
    ShapeMarkup(String prefix, StringBuilder body, StringBuilder defs, ImageShelf images) {
        this.prefix = prefix;
        this.body = body;
        this.defs = defs;
        this.images = images;
    }

    private void picture(Shape s, Paint.Picture p, Matrix place, String clip) {
        body.append("<image width=\"")
                .append(p.width())
                .append("\" height=\"")
                .append(p.height())
                .append('"');
        body.append(" preserveAspectRatio=\"none\" transform=\"")
                .append(place.toSvg())
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

    /** @param clip id of the clip path that cuts it besides its own; null for none */
    void write(Shape s, String clip) {
        write(s, clip, "");
    }

    /** @param inside what stands in the path's element: how it moves */
    void write(Shape s, String clip, String inside) {
        for (Clip own : s.clips()) {
            body.append("<g clip-path=\"url(#").append(clip(own)).append(")\">");
        }
        bare(s, clip, inside);
        if (!s.clips().isEmpty()) {
            body.append("</g>".repeat(s.clips().size())).append('\n');
        }
    }

    private String clip(Clip clip) {
        return clips.computeIfAbsent(clip, k -> {
            String id = prefix + "cut-" + (clips.size() + 1);
            defs.append("<clipPath id=\"").append(id).append("\"><path d=\"");
            defs.append(clip.path().isEmpty() ? "M0 0" : clip.path().toSvg()).append('"');
            if (clip.rule() == FillRule.EVENODD) {
                defs.append(" clip-rule=\"evenodd\"");
            }
            defs.append("/></clipPath>\n");
            return id;
        });
    }

    private void bare(Shape s, String clip, String inside) {
        if (s.fill() instanceof Paint.Picture p) {
            picture(s, p, p.place(), clip);
            return;
        }
        if (s.fill() instanceof Paint.Patch p) {
            body.append("<g clip-path=\"url(#")
                    .append(clip(new Clip(p.covered(s.path()), FillRule.NONZERO)))
                    .append(")\">");
            picture(s, p.picture(), p.placeIn(s.path()), clip);
            body.append("</g>\n");
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
        body.append(inside.isEmpty() ? "/>\n" : ">" + inside + "</path>\n");
    }

    private String gradient(Paint.Gradient g) {
        return gradients.computeIfAbsent(g, k -> {
            String id = prefix + "gradient-" + (gradients.size() + 1);
            String name = g.radial() ? "radialGradient" : "linearGradient";
            defs.append('<').append(name).append(" id=\"").append(id).append("\" gradientUnits=\"userSpaceOnUse\"");
            defs.append(g.radial() ? " cx=\"0\" cy=\"0\" r=\"1\"" + focus(g) : " x1=\"0\" y1=\"0\" x2=\"1\" y2=\"0\"");
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

    private static String focus(Paint.Gradient g) {
        return g.focus().equals(new Point(0, 0))
                ? ""
                : " fx=\"" + Numbers.text(g.focus().x()) + "\" fy=\""
                        + Numbers.text(g.focus().y()) + "\"";
    }

    private void stroke(Stroke stroke) {
        if (stroke.paint() instanceof Paint.Gradient g) {
            body.append(" stroke=\"url(#").append(gradient(g)).append(")\"");
        } else if (stroke.paint() instanceof Paint.Flat flat) {
            body.append(" stroke=\"").append(flat.colour()).append('"');
            optional("stroke-opacity", flat.opacity());
        }
        body.append(" stroke-width=\"").append(Numbers.text(stroke.width())).append('"');
        if (!stroke.dashes().isEmpty()) {
            body.append(" stroke-dasharray=\"")
                    .append(stroke.dashes().stream().map(Numbers::text).collect(Collectors.joining(" ")))
                    .append('"');
            if (stroke.dashOffset() != 0) {
                body.append(" stroke-dashoffset=\"")
                        .append(Numbers.text(stroke.dashOffset()))
                        .append('"');
            }
        }
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

    /** Text inside XML; what was stored before it was refused is replaced. */
    static String escape(String s) {
        return PlainText.mended(s).replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
