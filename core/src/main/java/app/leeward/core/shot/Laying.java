package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.Laid;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What was proposed beside what was made by hand. */
final class Laying {
    private Laying() {}

    /** Tracks without what was laid of some kinds. */
    static Tracks without(Tracks tracks, Collection<Laid.Kind> kinds) {
        Tracks left = tracks.withBlinks(tracks.blinks().stream()
                        .filter(b -> !of(b.laid(), kinds))
                        .toList())
                .withLooks(tracks.looks().stream()
                        .filter(l -> !of(l.laid(), kinds))
                        .toList());
        for (Map.Entry<String, List<DialKey>> e : tracks.dials().entrySet()) {
            left = left.withKeys(
                    e.getKey(),
                    e.getValue().stream().filter(k -> !of(k.laid(), kinds)).toList());
        }
        return left;
    }

    private static boolean of(Optional<Laid> laid, Collection<Laid.Kind> kinds) {
        return laid.filter(l -> kinds.contains(l.kind())).isPresent();
    }

    /** Tracks with what is laid added, where nothing is yet. */
    static Tracks with(Tracks tracks, Tracks laid) {
        List<Blink> blinks = new ArrayList<>(tracks.blinks());
        laid.blinks().stream()
                .filter(b -> tracks.blinks().stream().noneMatch(o -> o.frame() < b.end() && b.frame() < o.end()))
                .forEach(blinks::add);
        List<LookSpan> looks = new ArrayList<>(tracks.looks());
        laid.looks().stream()
                .filter(l -> tracks.looks().stream().noneMatch(o -> o.from() < l.to() && l.from() < o.to()))
                .forEach(looks::add);
        Tracks all = tracks.withBlinks(blinks).withLooks(looks);
        for (Map.Entry<String, List<DialKey>> e : laid.dials().entrySet()) {
            List<DialKey> keys = new ArrayList<>(tracks.dials().getOrDefault(e.getKey(), List.of()));
            Set<Integer> taken = new HashSet<>();
            keys.forEach(k -> taken.add(k.frame()));
            e.getValue().stream().filter(k -> taken.add(k.frame())).forEach(keys::add);
            all = all.withKeys(e.getKey(), keys);
        }
        return all;
    }
}
