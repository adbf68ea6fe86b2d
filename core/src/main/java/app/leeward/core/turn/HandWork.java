package app.leeward.core.turn;

import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Ease;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.Recorder;
import app.leeward.core.dial.Reshape;
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

/**
 * Makes a dial anew and keeps what was shaped by hand: whatever differs now from what was made then, part by part and stop by
 * stop. A stop or part taken away by hand stays away.
 */
final class HandWork {
    private final List<Stop> madeThen;
    private final List<Bands> bandsThen;
    private int kept;

    HandWork(List<Stop> madeThen, List<Bands> bandsThen) {
        this.madeThen = madeThen;
        this.bandsThen = bandsThen;
    }

    /** How many poses, outlines and sets of bands were kept as they are. */
    int kept() {
        return kept;
    }

    Dial over(Dial now, Dial fresh) {
        Set<Double> places = new TreeSet<>();
        List.of(madeThen, now.stops(), fresh.stops()).forEach(all -> all.forEach(s -> places.add(s.at())));
        Dial out = fresh.withStops(List.of());
        for (double at : places) {
            Stop stop = merged(at, then(at), now.stop(at), fresh.stop(at));
            if (!stop.empty()) {
                out = Recorder.with(out, stop);
            }
        }
        return out.withBands(bands(now, fresh))
                .ranged(now.name(), now.from(), now.to(), now.rest(), now.unit())
                .withTravel(now.travel())
                .withFollows(now.follows());
    }

    private Optional<Stop> then(double at) {
        return madeThen.stream().filter(s -> s.at() == at).findFirst();
    }

    private Stop merged(double at, Optional<Stop> then, Optional<Stop> now, Optional<Stop> fresh) {
        Map<String, Offset> offsets = merged(
                then.map(Stop::offsets).orElse(Map.of()),
                now.map(Stop::offsets).orElse(Map.of()),
                fresh.map(Stop::offsets).orElse(Map.of()));
        Map<String, List<Reshape>> reshapes = merged(
                then.map(Stop::reshapes).orElse(Map.of()),
                now.map(Stop::reshapes).orElse(Map.of()),
                fresh.map(Stop::reshapes).orElse(Map.of()));
        return new Stop(at, offsets, now.or(() -> fresh).map(Stop::ease).orElse(Ease.EVEN), reshapes);
    }

    private <T> Map<String, T> merged(Map<String, T> then, Map<String, T> now, Map<String, T> fresh) {
        Set<String> parts = new LinkedHashSet<>(now.keySet());
        parts.addAll(fresh.keySet());
        parts.addAll(then.keySet());
        Map<String, T> out = new HashMap<>();
        for (String part : parts) {
            boolean byHand = !Objects.equals(then.get(part), now.get(part));
            T chosen = byHand ? now.get(part) : fresh.get(part);
            kept += byHand ? 1 : 0;
            if (chosen != null) {
                out.put(part, chosen);
            }
        }
        return out;
    }

    private List<Bands> bands(Dial now, Dial fresh) {
        Set<String> parts = new LinkedHashSet<>();
        List.of(now.bands(), fresh.bands()).forEach(all -> all.forEach(b -> parts.add(b.part())));
        List<Bands> out = new ArrayList<>();
        for (String part : parts) {
            Optional<Bands> then = of(bandsThen, part);
            Optional<Bands> here = of(now.bands(), part);
            boolean byHand = !then.equals(here);
            kept += byHand ? 1 : 0;
            (byHand ? here : of(fresh.bands(), part)).ifPresent(out::add);
        }
        return out;
    }

    private static Optional<Bands> of(List<Bands> all, String part) {
        return all.stream().filter(b -> b.part().equals(part)).findFirst();
    }
}
