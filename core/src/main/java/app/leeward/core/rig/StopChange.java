package app.leeward.core.rig;

import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * One thing a stop does, in words; it can be taken back alone.
 *
 * @param at where the stop stands
 * @param says such as "goes 12 to the right and 3 up"
 */
public record StopChange(double at, String part, Aspect aspect, String says) {
    /** Every change of every stop, in the order of the stops, and of the parts as they lie from front to back. */
    public static List<StopChange> of(Character c, Dial dial) {
        List<StopChange> out = new ArrayList<>();
        List<String> front = new ArrayList<>(c.rig().order());
        java.util.Collections.reverse(front);
        for (Stop stop : dial.stops()) {
            for (String part : front) {
                Offset o = stop.offsets().get(part);
                for (Aspect a : Aspect.values()) {
                    if (o != null && a.in(o)) {
                        out.add(new StopChange(stop.at(), part, a, words(a, o)));
                    }
                }
                reshaped(stop, part, out);
                shown(c, dial, stop.at(), part, out);
                lies(c, dial, stop.at(), part, out);
            }
        }
        return out;
    }

    private static void reshaped(Stop stop, String part, List<StopChange> out) {
        long points = stop.reshapes().getOrDefault(part, List.of()).stream()
                .flatMap(r -> r.shifts().stream())
                .filter(p -> p.x() != 0 || p.y() != 0)
                .count();
        if (points > 0) {
            out.add(new StopChange(stop.at(), part, Aspect.SHAPE, "has its outline elsewhere"));
        }
    }

    /** Outlines that a stop reshapes and that have other points by now, so that it does nothing. */
    private static void unfitting(Character c, Dial dial, List<String> out) {
        for (Stop stop : dial.stops()) {
            stop.reshapes().forEach((part, all) -> all.stream()
                    .filter(r -> !c.part(part)
                            .flatMap(p -> p.drawing(r.drawing()))
                            .map(d -> d.art().shapes())
                            .filter(s -> r.shape() < s.size()
                                    && r.fits(s.get(r.shape()).path()))
                            .isPresent())
                    .forEach(r -> out.add("At " + plain(stop.at()) + " an outline of "
                            + c.part(part).map(Part::name).orElse(part)
                            + " was reshaped that has other points by now; it keeps its own shape there.")));
        }
    }

    private static void shown(Character c, Dial dial, double at, String part, List<StopChange> out) {
        for (Bands bands : dial.bands()) {
            if (bands.part().equals(part)) {
                bands.at(at, dial.to())
                        .ifPresent(d -> out.add(new StopChange(at, part, Aspect.DRAWING, showing(c, part, d))));
            }
        }
    }

    private static void lies(Character c, Dial dial, double at, String part, List<StopChange> out) {
        for (Bands layers : dial.layers()) {
            if (layers.part().equals(part)) {
                layers.at(at, dial.to())
                        .ifPresent(over -> out.add(new StopChange(at, part, Aspect.ORDER, lying(c, over))));
            }
        }
    }

    public static String lying(Character c, String over) {
        return over.equals(Dial.BACK)
                ? "lies behind everything"
                : "lies over " + c.part(over).map(Part::name).orElse(over);
    }

    private static String showing(Character c, String part, String drawing) {
        return Part.NOTHING.equals(drawing)
                ? "shows nothing"
                : "shows "
                        + c.part(part)
                                .flatMap(p -> p.drawing(drawing))
                                .map(d -> d.name())
                                .orElse(drawing + ", which is gone");
    }

    private static String words(Aspect a, Offset o) {
        return switch (a) {
            case PLACE -> {
                String across = far(o.x(), "to the right", "to the left");
                String down = far(o.y(), "down", "up");
                yield "goes " + across + (across.isEmpty() || down.isEmpty() ? "" : " and ") + down;
            }
            case TURN -> "turns " + plain(o.rotation()) + "°";
            case SIZE ->
                o.scaleX() == o.scaleY()
                        ? percent(o.scaleX()) + " large"
                        : o.scaleY() == 1
                                ? percent(o.scaleX()) + " wide"
                                : o.scaleX() == 1
                                        ? percent(o.scaleY()) + " tall"
                                        : percent(o.scaleX()) + " wide, " + percent(o.scaleY()) + " tall";
            case SLANT -> "slants " + plain(o.skewX()) + "°";
            case OPACITY -> percent(o.opacity()) + " opaque";
            case BEND -> "is bent";
            case SHAPE, DRAWING, ORDER -> "";
        };
    }

    private static String far(double v, String forth, String back) {
        return Math.abs(v) < 0.005 ? "" : plain(Math.abs(v)) + (v > 0 ? " " + forth : " " + back);
    }

    private static String percent(double v) {
        return plain(100 * v) + " %";
    }

    private static String plain(double v) {
        return String.format(Locale.ROOT, "%.1f", v).replaceAll("\\.0$", "");
    }

    /**
     * What is wrong with a dial: drawings that are gone, gaps between the bands of a part, outlines that no longer fit what was
     * recorded for them.
     */
    public static List<String> findings(Character c, Dial dial) {
        List<String> out = new ArrayList<>();
        unfitting(c, dial, out);
        for (Bands bands : dial.bands()) {
            String name = c.part(bands.part()).map(Part::name).orElse(bands.part());
            Band before = null;
            for (Band b : bands.bands()) {
                boolean there = Part.NOTHING.equals(b.drawing())
                        || c.part(bands.part())
                                .flatMap(p -> p.drawing(b.drawing()))
                                .isPresent();
                if (!there) {
                    out.add("From " + plain(b.from()) + " to " + plain(b.to()) + " " + name + " should show '"
                            + b.drawing() + "', which is gone; it shows its own drawing.");
                }
                boolean acrossRest = before != null && before.to() <= dial.rest() && b.from() >= dial.rest();
                if (before != null && before.to() < b.from() && !acrossRest) {
                    out.add("Between " + plain(before.to()) + " and " + plain(b.from()) + " no band of " + name
                            + " speaks; it shows its own drawing there.");
                }
                before = b;
            }
        }
        return out;
    }
}
