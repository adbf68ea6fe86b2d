package app.leeward.core.dial;

import app.leeward.core.art.Point;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Writes poses into the stops of a dial, and drawings into its bands. What a stop does not name goes on as before. */
public final class Recorder {
    private Recorder() {}

    /**
     * With a part posed differently at a value: what the dial does to it there, and this on top. A stop is made where none
     * stands.
     */
    public static Dial posed(Dial dial, double at, String part, Offset more) {
        Offset now = OffsetCurve.of(dial, part).at(at);
        return with(dial, dial.stop(at).orElse(new Stop(at, Map.of())).with(part, now.and(more)));
    }

    /** With a stop in place of the one at its value, or beside the others. */
    public static Dial with(Dial dial, Stop stop) {
        List<Stop> stops = new ArrayList<>(without(dial, stop.at()).stops());
        stops.add(stop);
        return dial.withStops(stops);
    }

    public static Dial without(Dial dial, double at) {
        return dial.withStops(dial.stops().stream().filter(s -> s.at() != at).toList());
    }

    /**
     * With a drawing shown at a value: in the band that holds it, or else from halfway to the stop, or rest, before it to
     * halfway to the one behind; the dial's ends belong to the stops nearest to them.
     */
    public static Dial showing(Dial dial, double at, String part, String drawing) {
        return dial.withBands(part, said(dial, at, dial.bandsOf(part), drawing));
    }

    /** With a part lying over another, or behind everything, at a value; over the same stretch as a drawing would show. */
    public static Dial lying(Dial dial, double at, String part, String over) {
        return dial.withLayers(part, said(dial, at, dial.layersOf(part), over));
    }

    private static List<Band> said(Dial dial, double at, List<Band> before, String what) {
        List<Band> bands = new ArrayList<>(before);
        for (int i = 0; i < bands.size(); i++) {
            Band b = bands.get(i);
            if (at >= b.from() && (at < b.to() || at == dial.to())) {
                bands.set(i, new Band(b.from(), b.to(), what));
                return bands;
            }
        }
        double from = dial.from();
        double to = dial.to();
        List<Double> marks = new ArrayList<>(dial.stops().stream().map(Stop::at).toList());
        marks.add(dial.rest());
        for (double mark : marks) {
            from = mark < at ? Math.max(from, (mark + at) / 2) : from;
            to = mark > at ? Math.min(to, (mark + at) / 2) : to;
        }
        for (Band b : bands) {
            from = b.to() <= at ? Math.max(from, b.to()) : from;
            to = b.from() > at ? Math.min(to, b.from()) : to;
        }
        bands.add(new Band(from, to, what));
        bands.sort(Comparator.comparingDouble(Band::from));
        return bands;
    }

    /**
     * With one of a part's band edges elsewhere. An edge between two bands that touch is the edge of both; it never passes
     * the next one.
     *
     * @param edge where it is now
     * @param layer whether it is an edge of where the part lies, and not of its drawings
     * @throws Refusal when there is no such edge, or it would leave a band empty or overlap another
     */
    public static Dial edgeMoved(Dial dial, String part, double edge, double to, boolean layer) {
        List<Band> out = new ArrayList<>();
        boolean found = false;
        for (Band b : layer ? dial.layersOf(part) : dial.bandsOf(part)) {
            found |= b.from() == edge || b.to() == edge;
            double from = b.from() == edge ? to : b.from();
            double until = b.to() == edge ? to : b.to();
            if (!(from < until)) {
                throw new Refusal(
                        RefusalCode.BAD_STOP, "A band needs some room; take the drawing off the dial instead.");
            }
            if (!out.isEmpty() && from < out.get(out.size() - 1).to()) {
                throw new Refusal(RefusalCode.BAD_STOP, "A band ends where the next one begins, not inside it.");
            }
            out.add(new Band(from, until, b.drawing()));
        }
        if (!found) {
            throw new Refusal(RefusalCode.BAD_STOP, "No band begins or ends at " + edge + " any more.");
        }
        if (to < dial.from() || to > dial.to()) {
            throw new Refusal(RefusalCode.BAD_STOP, "The dial goes from " + dial.from() + " to " + dial.to() + ".");
        }
        return layer ? dial.withLayers(part, out) : dial.withBands(part, out);
    }

    /** Without what one stop says about one part, shifts, turns and sizes apart; a stop that says nothing is gone. */
    public static Dial forgotten(Dial dial, double at, String part, Aspect aspect) {
        Stop stop = dial.stop(at).orElse(null);
        if (aspect == Aspect.DRAWING) {
            return dial.withBands(part, unsaid(dial, at, dial.bandsOf(part)));
        }
        if (aspect == Aspect.ORDER) {
            return dial.withLayers(part, unsaid(dial, at, dial.layersOf(part)));
        }
        if (stop != null && aspect == Aspect.SHAPE) {
            return kept(dial, stop.withReshapes(others(stop.reshapes(), part)));
        }
        if (stop == null || !stop.offsets().containsKey(part)) {
            return dial;
        }
        Offset left = aspect.without(stop.offsets().get(part));
        // rest is where nothing is changed unless a stop says so; elsewhere nothing said is nothing kept
        return kept(
                dial,
                left.equals(Offset.NONE) ? stop.withOffsets(others(stop.offsets(), part)) : stop.with(part, left));
    }

    private static List<Band> unsaid(Dial dial, double at, List<Band> bands) {
        return bands.stream()
                .filter(b -> !(at >= b.from() && (at < b.to() || at == dial.to())))
                .toList();
    }

    private static Dial kept(Dial dial, Stop stop) {
        return stop.empty() ? without(dial, stop.at()) : with(dial, stop);
    }

    private static <T> Map<String, T> others(Map<String, T> all, String part) {
        Map<String, T> left = new TreeMap<>(all);
        left.remove(part);
        return left;
    }

    /** With one outline reshaped at a value, on top of what the dial does to it there. */
    public static Dial reshaped(Dial dial, double at, String part, PointDeltas more) {
        double[] now = new double[2 * more.shifts().size()];
        for (PointDeltaCurve r : PointDeltaCurve.of(dial)) {
            if (r.part().equals(part)
                    && r.drawing().equals(more.drawing())
                    && r.shape() == more.shape()
                    && r.points() == more.shifts().size()) {
                r.addTo(now, at);
            }
        }
        List<Point> sum = new ArrayList<>();
        for (int i = 0; i < more.shifts().size(); i++) {
            sum.add(more.shifts().get(i).plus(new Point(now[2 * i], now[2 * i + 1])));
        }
        Stop stop = dial.stop(at).orElse(new Stop(at, Map.of()));
        return with(dial, stop.with(part, new PointDeltas(more.drawing(), more.shape(), sum)));
    }

    /** What one stop says, at another value too; what stood there is replaced as far as this one speaks. */
    public static Dial copied(Dial dial, double at, double to) {
        Map<String, Offset> all = new TreeMap<>(dial.stop(to).map(Stop::offsets).orElse(Map.of()));
        dial.stop(at).ifPresent(s -> all.putAll(s.offsets()));
        Stop from = dial.stop(at).orElse(new Stop(at, Map.of()));
        Stop there = dial.stop(to).orElse(new Stop(to, Map.of(), from.ease(), Map.of()));
        Map<String, List<PointDeltas>> reshapes = new TreeMap<>(there.reshapes());
        reshapes.putAll(from.reshapes());
        return with(dial, there.withOffsets(all).withReshapes(reshapes));
    }
}
