package app.leeward.core.performer;

import app.leeward.core.art.Numbers;
import app.leeward.core.signal.Signal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * What a performer said at a moment.
 *
 * @param at seconds, on the clock of whoever listens
 * @param signals those it told, held inside their ranges; the others are as they were
 */
public record PerformerSample(double at, Map<Signal, Double> signals) {
    public PerformerSample {
        Numbers.finite("moment of a sample", at);
        Map<Signal, Double> held = new EnumMap<>(Signal.class);
        signals.forEach((s, v) -> held.put(s, s.hold(Numbers.finite(s.word(), v))));
        signals = Collections.unmodifiableMap(held);
    }
}
