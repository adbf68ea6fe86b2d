package app.leeward.core.turn;

import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Fingerprints;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * Makes a dial anew and keeps what was shaped by hand: whatever differs now from what was made then, part by part and stop by
 * stop. A stop or part taken away by hand stays away. What was made then is known by fingerprints, which are all it takes to
 * tell whether something is still the same.
 */
final class ManualEditMerge {
    private final Map<String, Integer> then;
    private Map<String, Integer> prints = Map.of();

    /** @param then fingerprints of the dial as it was made */
    ManualEditMerge(Map<String, Integer> then) {
        this.then = then;
    }

    Dial over(Dial now, Dial fresh) {
        Set<Double> places = new TreeSet<>();
        List.of(now.stops(), fresh.stops()).forEach(all -> all.forEach(s -> places.add(s.at())));
        Dial out = fresh.withStops(List.of());
        for (double at : places) {
            Stop stop = merged(now, at, now.stop(at), fresh.stop(at));
            if (!stop.empty()) {
                out = Recorder.with(out, stop);
            }
        }
        prints = new HashMap<>(Fingerprints.of(fresh));
        for (double end : new double[] {now.from(), now.to()}) {
            out = bent(out, fresh, end);
        }
        return out.withBands(bands(now.bands(), fresh.bands(), part -> Fingerprints.drawings(now, part)))
                .ranged(now.name(), fresh.from(), fresh.to(), fresh.rest(), fresh.unit())
                .withTravel(now.travel())
                .withFollows(now.follows())
                .withLayers(bands(now.layers(), fresh.layers(), part -> Fingerprints.layers(now, part)));
    }

    /** What counts as made now: the fresh dial, with what bends towards ends that were shaped by hand. */
    Map<String, Integer> prints() {
        return prints;
    }

    private Dial bent(Dial merged, Dial fresh, double end) {
        Dial out = merged;
        Optional<Stop> there = merged.stop(end);
        Optional<Stop> made = fresh.stop(end);
        if (there.isEmpty() || made.isEmpty()) {
            return merged;
        }
        for (Map.Entry<String, Offset> e : there.get().offsets().entrySet()) {
            Offset was = made.get().offsets().getOrDefault(e.getKey(), Offset.NONE);
            if (!was.equals(e.getValue())) {
                out = ExtremePose.spread(out, end, e.getKey(), ExtremePose.difference(was, e.getValue()), prints);
            }
        }
        return out;
    }

    private Stop merged(Dial dial, double at, Optional<Stop> now, Optional<Stop> fresh) {
        Map<String, Offset> offsets = merged(
                now.map(Stop::offsets).orElse(Map.of()),
                fresh.map(Stop::offsets).orElse(Map.of()),
                part -> Fingerprints.pose(dial, at, part),
                Fingerprints::of);
        Map<String, List<PointDeltas>> reshapes = merged(
                now.map(Stop::reshapes).orElse(Map.of()),
                fresh.map(Stop::reshapes).orElse(Map.of()),
                part -> Fingerprints.outline(dial, at, part),
                Fingerprints::of);
        return new Stop(at, offsets, now.or(() -> fresh).map(Stop::ease).orElse(Ease.LINEAR), reshapes);
    }

    private <T> Map<String, T> merged(
            Map<String, T> now, Map<String, T> fresh, Function<String, String> name, Function<T, Integer> print) {
        Set<String> parts = new LinkedHashSet<>(now.keySet());
        parts.addAll(fresh.keySet());
        Map<String, T> out = new HashMap<>();
        for (String part : parts) {
            T chosen = byHand(name.apply(part), now.get(part), print) ? now.get(part) : fresh.get(part);
            if (chosen != null) {
                out.put(part, chosen);
            }
        }
        return out;
    }

    private <T> boolean byHand(String name, T now, Function<T, Integer> print) {
        return !Objects.equals(then.get(name), now == null ? null : print.apply(now));
    }

    private List<Bands> bands(List<Bands> now, List<Bands> fresh, Function<String, String> name) {
        Set<String> parts = new LinkedHashSet<>();
        List.of(now, fresh).forEach(all -> all.forEach(b -> parts.add(b.part())));
        List<Bands> out = new ArrayList<>();
        for (String part : parts) {
            Optional<Bands> here = of(now, part);
            boolean byHand = byHand(name.apply(part), here.orElse(null), Fingerprints::of);
            (byHand ? here : of(fresh, part)).ifPresent(out::add);
        }
        return out;
    }

    private static Optional<Bands> of(List<Bands> all, String part) {
        return all.stream().filter(b -> b.part().equals(part)).findFirst();
    }
}
