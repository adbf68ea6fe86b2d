package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A value of a dial at which a pose was recorded.
 *
 * @param at in the dial's unit
 * @param offsets part id to what this stop does to it; parts left out take no part in this stop
 */
public record Stop(double at, Map<String, Offset> offsets) {
    public Stop {
        Numbers.finite("stop", at);
        // sorted, so that the same stop is always written the same way
        offsets = Collections.unmodifiableMap(new TreeMap<>(offsets));
    }

    /** The same stop, saying nothing about one part. */
    public Stop without(String part) {
        if (!offsets.containsKey(part)) {
            return this;
        }
        Map<String, Offset> left = new TreeMap<>(offsets);
        left.remove(part);
        return new Stop(at, left);
    }

    public Stop with(String part, Offset offset) {
        Map<String, Offset> more = new TreeMap<>(offsets);
        more.put(part, offset);
        return new Stop(at, more);
    }
}
