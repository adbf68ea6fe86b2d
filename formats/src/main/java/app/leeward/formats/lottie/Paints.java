package app.leeward.formats.lottie;

import app.leeward.core.art.Box;
import app.leeward.core.art.FillRule;
import app.leeward.core.art.GradientStop;
import app.leeward.core.art.Matrix;
import app.leeward.core.art.Paint;
import app.leeward.core.art.Point;
import app.leeward.core.art.Stroke;
import app.leeward.core.art.Swatch;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/** Fills and lines as Lottie's styles. Colours of the palette refer to its slots, so that a player can change them. */
final class Paints {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Map<String, String> slots = new TreeMap<>();
    private final TreeSet<String> used = new TreeSet<>();

    Paints(List<Swatch> palette) {
        for (Swatch s : palette) {
            slots.putIfAbsent(
                    s.colour(), "colour-" + s.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
        }
    }

    /** The palette's colours that were used, by the ids they are referred to with. */
    ObjectNode slots() {
        ObjectNode out = JSON.objectNode();
        for (String colour : used) {
            out.putObject(slots.get(colour)).set("p", Keys.still(rgb(colour)));
        }
        return out;
    }

    /**
     * @param into the items of a group, first what lies on top
     * @param reach what is painted lies within it
     */
    void fill(ArrayNode into, Paint paint, FillRule rule, Box reach) {
        ObjectNode out = JSON.objectNode();
        if (paint instanceof Paint.Flat f) {
            out.put("ty", "fl");
            out.set("c", colour(f.colour()));
            out.set("o", Keys.still(100 * f.opacity()));
        } else if (paint instanceof Paint.Gradient g) {
            out.put("ty", "gf");
            gradient(out, Repeated.unrolled(g, reach));
            out.set("o", Keys.still(100));
        } else {
            return;
        }
        into.add(out.put("r", rule == FillRule.EVENODD ? 2 : 1));
    }

    void stroke(ArrayNode into, Stroke s, Box reach) {
        if (!s.visible()) {
            return;
        }
        ObjectNode out = JSON.objectNode();
        if (s.paint() instanceof Paint.Gradient g) {
            out.put("ty", "gs");
            gradient(out, Repeated.unrolled(g, reach));
            out.set("o", Keys.still(100));
        } else if (s.paint() instanceof Paint.Flat f) {
            out.put("ty", "st");
            out.set("c", colour(f.colour()));
            out.set("o", Keys.still(100 * f.opacity()));
        } else {
            return;
        }
        out.set("w", Keys.still(s.width()));
        out.put(
                "lc",
                switch (s.cap()) {
                    case BUTT -> 1;
                    case ROUND -> 2;
                    case SQUARE -> 3;
                });
        out.put(
                "lj",
                switch (s.join()) {
                    case MITER -> 1;
                    case ROUND -> 2;
                    case BEVEL -> 3;
                });
        if (s.join() == Stroke.Join.MITER) {
            out.put("ml", Math.rint(100 * s.miterLimit()) / 100);
        }
        if (!s.dashes().isEmpty()) {
            ArrayNode dashes = out.putArray("d");
            for (int i = 0; i < s.dashes().size(); i++) {
                dashes.addObject()
                        .put("n", i % 2 == 0 ? "d" : "g")
                        // players know them apart by their names
                        .put("nm", (i % 2 == 0 ? "dash " : "gap ") + (i / 2 + 1))
                        .set("v", Keys.still(s.dashes().get(i)));
            }
            dashes.addObject().put("n", "o").put("nm", "offset").set("v", Keys.still(s.dashOffset()));
        }
        into.add(out);
    }

    private ObjectNode colour(String hex) {
        ObjectNode out = Keys.still(rgb(hex));
        String slot = slots.get(hex);
        if (slot != null) {
            used.add(hex);
            out.put("sid", slot);
        }
        return out;
    }

    /** Red, green and blue, 0 to 1. */
    private static double[] rgb(String hex) {
        int v = Integer.parseInt(hex.substring(1), 16);
        return new double[] {(v >> 16 & 255) / 255.0, (v >> 8 & 255) / 255.0, (v & 255) / 255.0};
    }

    /**
     * Lottie knows gradients along a line and round circles. Along a line nothing is lost: the way across which a colour is the same
     * stays what it is. One round an ellipse must have been made round before ({@link #roundness}).
     */
    private static void gradient(ObjectNode out, Paint.Gradient g) {
        Point start = g.place().apply(new Point(0, 0));
        Point end;
        if (g.radial()) {
            end = g.place().apply(new Point(1, 0));
        } else {
            // how far along is (a·x + c·y + …) of the inverse; its steepest way is square to where it stays the same
            Matrix in = g.place().inverse();
            double square = in.a() * in.a() + in.c() * in.c();
            end = new Point(start.x() + in.a() / square, start.y() + in.c() / square);
        }
        out.put("t", g.radial() ? 2 : 1);
        out.set("s", Keys.still(start.x(), start.y()));
        out.set("e", Keys.still(end.x(), end.y()));
        if (g.radial()) {
            double far = Math.hypot(g.focus().x(), g.focus().y());
            out.set("h", Keys.still(100 * Math.min(0.99, far)));
            out.set(
                    "a",
                    Keys.still(
                            Math.toDegrees(Math.atan2(g.focus().y(), g.focus().x()))));
        }
        ArrayNode stops = JSON.arrayNode();
        boolean clear = false;
        for (GradientStop s : g.stops()) {
            double[] rgb = rgb(s.colour());
            stops.add(Keys.number(s.at()));
            for (double c : rgb) {
                stops.add(Keys.number(c));
            }
            clear |= s.opacity() < 1;
        }
        if (clear) {
            for (GradientStop s : g.stops()) {
                stops.add(Keys.number(s.at()));
                stops.add(Keys.number(s.opacity()));
            }
        }
        ObjectNode colours = JSON.objectNode().put("p", g.stops().size());
        colours.set("k", JSON.objectNode().put("a", 0).set("k", stops));
        out.set("g", colours);
    }

    /** What must be done to the plane before a gradient round an ellipse is one round a circle; empty when it is one. */
    static Optional<Matrix> roundness(Paint paint) {
        if (!(paint instanceof Paint.Gradient g) || !g.radial()) {
            return Optional.empty();
        }
        Matrix m = g.place();
        boolean round = Math.abs(m.a() - m.d()) < 1e-6 && Math.abs(m.b() + m.c()) < 1e-6;
        return round ? Optional.empty() : Optional.of(m);
    }
}
