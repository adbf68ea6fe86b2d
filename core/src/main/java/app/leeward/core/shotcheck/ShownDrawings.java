package app.leeward.core.shotcheck;

import app.leeward.core.shot.Playhead;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Which drawing each part that is given drawings over time shows in each exposure; null where it shows none. */
final class ShownDrawings {
    private final Map<String, String[]> shown = new HashMap<>();
    private final int exposures;

    /** Of the mouth that speaks, of parts with cards and of parts with runs. */
    ShownDrawings(Playhead playhead, int exposures) {
        this.exposures = exposures;
        Set<String> parts = new TreeSet<>(playhead.shot().tracks().drawings().keySet());
        playhead.evaluator().character().voice().mouths().part().ifPresent(parts::add);
        playhead.shot().tracks().gestures().stream()
                .flatMap(g -> playhead.evaluator().character().rig().playedBy(g.run()).stream())
                .forEach(p -> parts.add(p.id()));
        parts.forEach(p -> shown.put(p, new String[exposures]));
    }

    private ShownDrawings(ShownDrawings other) {
        exposures = other.exposures;
        other.shown.forEach((part, all) -> shown.put(part, all.clone()));
    }

    ShownDrawings copy() {
        return new ShownDrawings(this);
    }

    /** Exposures may be noted by several threads, each its own. */
    void note(int exposure, Exposure e) {
        shown.forEach((part, all) -> all[exposure] =
                e.of(part).filter(p -> p.opacity() > 0).map(p -> p.drawing()).orElse(null));
    }

    Set<String> parts() {
        return shown.keySet();
    }

    int exposures() {
        return exposures;
    }

    Optional<String> at(String part, int exposure) {
        return Optional.ofNullable(shown.getOrDefault(part, new String[exposures])[exposure]);
    }

    /** A drawing from one exposure to another. */
    record Run(int from, int to, Optional<String> drawing) {}

    /** What a part shows, one drawing after the other. */
    List<Run> runs(String part) {
        List<Run> all = new java.util.ArrayList<>();
        for (int from = 0; from < exposures; ) {
            int to = from + 1;
            while (to < exposures && at(part, to).equals(at(part, from))) {
                to++;
            }
            all.add(new Run(from, to, at(part, from)));
            from = to;
        }
        return all;
    }
}
