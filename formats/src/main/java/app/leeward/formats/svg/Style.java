package app.leeward.formats.svg;

import app.leeward.core.art.Box;
import app.leeward.core.art.Clip;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Stroke;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;

/** What is inherited down the file while it is walked. Group opacity is multiplied into the shapes. */
record Style(
        String fill,
        double fillOpacity,
        FillRule rule,
        String stroke,
        double strokeOpacity,
        double strokeWidth,
        Stroke.Cap cap,
        Stroke.Join join,
        double miterLimit,
        List<Double> dashes,
        double dashOffset,
        String colour,
        double opacity,
        boolean visible,
        List<Clip> clips) {
    private static final int MOST_DASHES = 64;

    static final Style START = new Style(
            "black",
            1,
            FillRule.NONZERO,
            "none",
            1,
            1,
            Stroke.Cap.BUTT,
            Stroke.Join.MITER,
            4,
            List.of(),
            0,
            "black",
            1,
            true,
            List.of());

    Style with(Map<String, String> css) {
        return new Style(
                text(css, "fill", fill),
                number(css, "fill-opacity", fillOpacity, 0, 1),
                css.getOrDefault("fill-rule", rule.name()).strip().equalsIgnoreCase("evenodd")
                        ? FillRule.EVENODD
                        : FillRule.NONZERO,
                text(css, "stroke", stroke),
                number(css, "stroke-opacity", strokeOpacity, 0, 1),
                number(css, "stroke-width", strokeWidth, 0, 1e6),
                cap(css.get("stroke-linecap")),
                join(css.get("stroke-linejoin")),
                number(css, "stroke-miterlimit", miterLimit, 1, 1e6),
                dashes(css.get("stroke-dasharray")),
                number(css, "stroke-dashoffset", dashOffset, -1e6, 1e6),
                text(css, "color", colour),
                opacity * number(css, "opacity", 1, 0, 1),
                css.containsKey("visibility")
                        ? "visible".equals(css.get("visibility").strip())
                        : visible,
                clips);
    }

    /** The same, cut by one more outline. */
    Style cutBy(Clip clip) {
        List<Clip> all = new ArrayList<>(clips);
        all.add(clip);
        return new Style(
                fill,
                fillOpacity,
                rule,
                stroke,
                strokeOpacity,
                strokeWidth,
                cap,
                join,
                miterLimit,
                dashes,
                dashOffset,
                colour,
                opacity,
                visible,
                all);
    }

    /** SVG 1.1, 11.4: an odd list is gone through twice; one that adds up to nothing draws an unbroken line. */
    private List<Double> dashes(String v) {
        if (v == null || v.isBlank() || v.strip().equals("inherit")) {
            return dashes;
        }
        List<Double> out = new ArrayList<>();
        for (String s : v.strip().split("[\\s,]+")) {
            double d = Lengths.parse(s, Double.NaN);
            if (!(d >= 0 && d < 1e6) || out.size() >= MOST_DASHES) {
                return List.of();
            }
            out.add(d);
        }
        if (out.stream().mapToDouble(Double::doubleValue).sum() <= 0) {
            return List.of();
        }
        if (out.size() % 2 != 0) {
            out.addAll(List.copyOf(out));
        }
        return out;
    }

    private static String text(Map<String, String> css, String name, String inherited) {
        String v = css.get(name);
        return v == null || v.isBlank() || v.strip().equals("inherit") ? inherited : v.strip();
    }

    private static double number(Map<String, String> css, String name, double inherited, double least, double most) {
        String v = css.get(name);
        if (v == null || v.isBlank() || v.strip().equals("inherit")) {
            return inherited;
        }
        String s = v.strip();
        try {
            double n = s.endsWith("%") ? Double.parseDouble(s.substring(0, s.length() - 1)) / 100 : Lengths.parse(s);
            return Math.max(least, Math.min(most, n));
        } catch (NumberFormatException e) {
            return inherited;
        }
    }

    private Stroke.Cap cap(String v) {
        try {
            return v == null ? cap : Stroke.Cap.valueOf(v.strip().toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            return cap;
        }
    }

    private Stroke.Join join(String v) {
        try {
            return v == null ? join : Stroke.Join.valueOf(v.strip().toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            return join;
        }
    }

    Paint fillPaint(Colours colours, Supplier<Box> box) {
        return colours.paint(fill, fillOpacity, colour, box);
    }

    Stroke strokeOf(Colours colours, Supplier<Box> box) {
        Paint paint = colours.paint(stroke, strokeOpacity, colour, box);
        return paint instanceof Paint.None || strokeWidth == 0
                ? Stroke.NONE
                : new Stroke(paint, strokeWidth, cap, join, miterLimit, dashes, dashOffset);
    }
}
