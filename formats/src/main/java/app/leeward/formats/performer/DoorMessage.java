package app.leeward.formats.performer;

import app.leeward.core.signal.Signal;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/** One message of a performer. */
public sealed interface DoorMessage {
    /**
     * Who it is.
     *
     * @param name of the tracker, or of whoever acts; shown on the page
     * @param latency seconds by which what it tells is behind the face; 0 when it does not know
     */
    record Hello(String name, double latency) implements DoorMessage {}

    /**
     * What the face does.
     *
     * @param at seconds on the performer's own clock; NaN when it does not say
     * @param signals held inside their ranges
     */
    record Signals(double at, Map<Signal, Double> signals) implements DoorMessage {
        public Signals {
            Map<Signal, Double> all = new EnumMap<>(Signal.class);
            all.putAll(signals);
            signals = Collections.unmodifiableMap(all);
        }
    }

    /**
     * It sees no face at the moment.
     *
     * @param reason in words, such as "two faces"; may be empty
     */
    record Lost(String reason) implements DoorMessage {}
}
