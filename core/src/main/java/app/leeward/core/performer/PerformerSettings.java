package app.leeward.core.performer;

import app.leeward.core.signal.OneEuroFilter;
import app.leeward.core.signal.Signal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * How a performer is listened to.
 *
 * @param neutral what each signal is when the performer's face is at rest; 0 where it is left out
 * @param smoothing what takes the tremble out, over shares of each signal's range; empty to leave it
 * @param mirrored whether the rig does what a mirror would, left and right exchanged
 * @param holds whether what is lost is held for good; else it is held for a moment and eased to rest
 */
public record PerformerSettings(
        Map<Signal, Double> neutral, Optional<OneEuroFilter> smoothing, boolean mirrored, boolean holds) {
    public static final PerformerSettings PLAIN = new PerformerSettings(Map.of(), Optional.empty(), false, false);

    public PerformerSettings {
        Map<Signal, Double> all = new EnumMap<>(Signal.class);
        neutral.forEach((s, v) -> all.put(s, s.hold(v)));
        neutral = Collections.unmodifiableMap(all);
    }
}
