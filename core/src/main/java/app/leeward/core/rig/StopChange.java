package app.leeward.core.rig;

import app.leeward.core.art.Drawing;
import app.leeward.core.dial.Aspect;
import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.DialEffect;
import app.leeward.core.dial.LayerEffect;
import app.leeward.core.dial.PartNames;
import app.leeward.core.dial.Stop;
import app.leeward.core.text.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * One thing a stop does, in words; it can be taken back alone.
 *
 * @param at where the stop stands
 * @param message such as "goes 12 to the right and 3 up"
 */
public record StopChange(double at, String part, Aspect aspect, String message) {
    /** Every change of every stop, in the order of the stops, and of the parts as they lie from front to back. */
    public static List<StopChange> of(Character c, Dial dial) {
        List<StopChange> out = new ArrayList<>();
        List<String> front = new ArrayList<>(c.rig().order());
        java.util.Collections.reverse(front);
        Map<String, List<DialEffect>> effects =
                dial.effects().stream().collect(Collectors.groupingBy(DialEffect::part));
        PartNames names = names(c);
        for (Stop stop : dial.stops()) {
            for (String part : front) {
                effects.getOrDefault(part, List.of()).stream()
                        .flatMap(e -> e.told(dial, stop.at(), names))
                        .forEach(told -> out.add(new StopChange(stop.at(), part, told.aspect(), told.words())));
            }
        }
        return out;
    }

    private static PartNames names(Character c) {
        return new PartNames() {
            @Override
            public String part(String id) {
                return c.part(id).map(Part::name).orElse(id);
            }

            @Override
            public String drawing(String part, String id) {
                return Part.NOTHING.equals(id)
                        ? id
                        : c.part(part)
                                .flatMap(p -> p.drawing(id))
                                .map(Drawing::name)
                                .orElse(id + ", which is gone");
            }
        };
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

    /** Where a part lies, in words. */
    public static String lying(Character c, String over) {
        return LayerEffect.words(over, names(c));
    }

    private static String plain(double v) {
        return Decimals.plain(v, 1);
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
