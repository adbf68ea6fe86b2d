package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A control with a range and a rest value that poses parts. Its value never depends on where it hangs, and outside its
 * range it holds.
 *
 * @param unit shown behind the value, for example {@code °}; may be empty
 * @param stops in rising order; a part's way runs evenly through the stops that name it and through rest
 * @param bands at most one entry a part
 * @param hinges part id to which of its earlier pivots (0 the oldest) the stops turn it about; parts left out turn about
 *     the pivot they have now
 * @param travel how it gets from one keyed value to the next, when somebody said so; else it goes by what it does
 * @param follows which other dials add to where it stands; none twice equally late
 * @param layers where it puts parts in the stack: of each part bands that name, for a drawing, the part it lies directly over,
 *     or {@link #BACK}; at most one entry a part
 * @param hangsOn id of the part it is offered with; says nothing of what it does
 */
@RecordBuilder
public record Dial(
        String id,
        String name,
        Purpose purpose,
        double from,
        double to,
        double rest,
        String unit,
        List<Stop> stops,
        List<Bands> bands,
        Map<String, Integer> hinges,
        Optional<Travel> travel,
        List<Driver> follows,
        Optional<String> hangsOn,
        List<Bands> layers)
        implements DialBuilder.With {
    /** What a part lies over that lies behind everything. */
    public static final String BACK = "";

    private static final double TREMBLING = 0.02;

    public Dial {
        Numbers.finite("range", from + to + rest);
        if (!(from < to)) {
            throw new IllegalArgumentException("dial '" + name + "' has an empty range: " + from + " to " + to);
        }
        if (rest < from || rest > to) {
            throw new IllegalArgumentException("dial '" + name + "' rests at " + rest + ", outside its range");
        }
        List<Stop> sorted = new ArrayList<>(stops);
        sorted.sort(Comparator.comparingDouble(Stop::at));
        for (int i = 0; i < sorted.size(); i++) {
            double at = sorted.get(i).at();
            if (at < from || at > to) {
                throw new IllegalArgumentException("dial '" + name + "' has a stop at " + at + ", outside its range");
            }
            if (i > 0 && at == sorted.get(i - 1).at()) {
                throw new IllegalArgumentException("dial '" + name + "' has two stops at " + at);
            }
        }
        stops = List.copyOf(sorted);
        bands = List.copyOf(bands);
        // stored before there was such a map
        hinges = hinges == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(hinges));
        if (bands.stream().map(Bands::part).distinct().count() != bands.size()) {
            throw new IllegalArgumentException("dial '" + name + "' exchanges one part's drawings twice");
        }
        travel = travel == null ? Optional.empty() : travel;
        follows = follows == null ? List.of() : List.copyOf(follows);
        hangsOn = hangsOn == null ? Optional.empty() : hangsOn;
        layers = layers == null ? List.of() : List.copyOf(layers);
        if (layers.stream().map(Bands::part).distinct().count() != layers.size()) {
            throw new IllegalArgumentException("dial '" + name + "' stacks one part twice");
        }
        if (follows.stream().map(f -> f.leader() + " " + f.later()).distinct().count() != follows.size()) {
            throw new IllegalArgumentException("dial '" + name + "' follows one dial twice at the same time");
        }
    }

    /** A dial whose stops turn every part about its present pivot. */
    public Dial(
            String id,
            String name,
            Purpose purpose,
            double from,
            double to,
            double rest,
            String unit,
            List<Stop> stops,
            List<Bands> bands) {
        this(
                id,
                name,
                purpose,
                from,
                to,
                rest,
                unit,
                stops,
                bands,
                Map.of(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    /** One that follows no other. */
    public Dial(
            String id,
            String name,
            Purpose purpose,
            double from,
            double to,
            double rest,
            String unit,
            List<Stop> stops,
            List<Bands> bands,
            Map<String, Integer> hinges) {
        this(
                id,
                name,
                purpose,
                from,
                to,
                rest,
                unit,
                stops,
                bands,
                hinges,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    /** All it does, part by part and way by way. */
    public List<DialEffect> effects() {
        return Stream.of(PoseEffect.of(this), OutlineEffect.of(this), DrawingEffect.of(this), LayerEffect.of(this))
                .flatMap(s -> s)
                .toList();
    }

    /**
     * With other effects, none twice on one part in one way. Its stops stay; one at a value that had none is come to evenly, or
     * as {@code easeOfNew} says.
     */
    public Dial withEffects(Stream<? extends DialEffect> effects, DoubleFunction<Ease> easeOfNew) {
        DialAssembly out = new DialAssembly(this, easeOfNew);
        effects.forEach(e -> e.into(out));
        return out.done();
    }

    public Dial withEffects(Stream<? extends DialEffect> effects) {
        return withEffects(effects, at -> Ease.LINEAR);
    }

    /** With the stop opposite another changed; one that was not there is come to like that one. */
    Dial opposite(double at, UnaryOperator<Stop> change) {
        double there = 2 * rest - at;
        Ease ease = stop(at).map(Stop::ease).orElse(Ease.LINEAR);
        return Recorder.with(
                this, change.apply(stop(there).orElse(new Stop(there, Map.of())).withEase(ease)));
    }

    /** With another name or range; stops and bands stay at their values. */
    public Dial ranged(String newName, double newFrom, double newTo, double newRest, String newUnit) {
        return with(d -> d.name(newName).from(newFrom).to(newTo).rest(newRest).unit(newUnit));
    }

    public Optional<Stop> stop(double at) {
        return stops.stream().filter(s -> s.at() == at).findFirst();
    }

    /** The drawings it picks for a part, in rising order; empty where it says nothing. */
    public List<Band> bandsOf(String part) {
        return of(bands, part);
    }

    /** Where it puts a part in the stack, in rising order; empty where it says nothing. */
    public List<Band> layersOf(String part) {
        return of(layers, part);
    }

    private static List<Band> of(List<Bands> all, String part) {
        return all.stream()
                .filter(b -> b.part().equals(part))
                .findFirst()
                .map(Bands::bands)
                .orElse(List.of());
    }

    /** With other bands for one part; none takes the part off the dial. */
    public Dial withBands(String part, List<Band> of) {
        return withBands(said(bands, part, of));
    }

    /** With other places in the stack for one part; none leaves it where it lies. */
    public Dial withLayers(String part, List<Band> of) {
        return withLayers(said(layers, part, of));
    }

    private static List<Bands> said(List<Bands> before, String part, List<Band> of) {
        List<Bands> all = new ArrayList<>(before);
        int at = before.stream().map(Bands::part).toList().indexOf(part);
        if (of.isEmpty()) {
            all.removeIf(b -> b.part().equals(part));
        } else if (at < 0) {
            all.add(new Bands(part, of));
        } else {
            all.set(at, new Bands(part, of));
        }
        return all;
    }

    /** Whether some stop says anything about the part's place, size or turn. */
    public boolean poses(String part) {
        return stops.stream().anyMatch(s -> s.offsets().containsKey(part));
    }

    /**
     * Values at which some drawing, or some place in the stack, gives way to another, in rising order. While a hand is on the dial a drawing stays until the
     * value is further than {@link #hysteresis()} beyond its edge, so that a trembling hand does not flicker.
     */
    public List<Double> edges() {
        return Stream.concat(bands.stream(), layers.stream())
                .flatMapToDouble(Bands::ends)
                .filter(e -> e > from && e < to)
                .distinct()
                .sorted()
                .boxed()
                .toList();
    }

    /** How far a hand may tremble about an edge: two hundredths of the range. */
    public double hysteresis() {
        return TREMBLING * (to - from);
    }

    /** How it gets from one keyed value to the next: what does nothing but exchange drawings has nothing to glide through. */
    public Travel travels() {
        boolean onlyExchanges =
                !(bands.isEmpty() && layers.isEmpty()) && stops.stream().allMatch(Stop::empty);
        return travel.orElse(onlyExchanges ? Travel.STRAIGHT : Travel.GLIDE);
    }

    /** {@code value} held inside the range. */
    public double hold(double value) {
        return Math.min(to, Math.max(from, value));
    }

    /** How far {@code value} is from rest, as a share of the whole range, 0 to 1. */
    public double share(double value) {
        return Math.abs(hold(value) - rest) / (to - from);
    }
}
