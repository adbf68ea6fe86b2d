package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleFunction;

/** A dial whose effects are being put together. Its stops stay, also those at which nothing is done any more. */
public final class DialAssembly {
    private final Dial dial;
    private final DoubleFunction<Ease> easeOfNew;
    private final Map<Double, Stop> stops = new TreeMap<>();
    private final List<Bands> bands = new ArrayList<>();
    private final List<Bands> layers = new ArrayList<>();
    private final Map<String, Integer> hinges = new TreeMap<>();

    DialAssembly(Dial dial, DoubleFunction<Ease> easeOfNew) {
        this.dial = dial;
        this.easeOfNew = easeOfNew;
        dial.stops().forEach(s -> stops.put(s.at(), new Stop(s.at(), Map.of(), s.ease(), Map.of())));
    }

    private Stop stop(double at) {
        return stops.computeIfAbsent(at, v -> new Stop(v, Map.of(), easeOfNew.apply(v), Map.of()));
    }

    void pose(double at, String part, Offset offset) {
        stops.put(at, stop(at).with(part, offset));
    }

    void outline(double at, String part, PointDeltas deltas) {
        stops.put(at, stop(at).with(part, deltas));
    }

    void hinge(String part, int pivot) {
        hinges.put(part, pivot);
    }

    void bands(Bands of) {
        bands.add(of);
    }

    void layers(Bands of) {
        layers.add(of);
    }

    Dial done() {
        return dial.withStops(List.copyOf(stops.values()))
                .withBands(bands)
                .withLayers(layers)
                .withHinges(hinges);
    }
}
