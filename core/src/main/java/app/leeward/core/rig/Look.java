package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A named mix of dials and drawings: an expression. What it does not name stays free. Names that do not exist any more are
 * kept and skipped, so that a look outlives the dial it was made with.
 *
 * @param collection what it is shown under; may be empty
 * @param dials dial id to value at full strength, in the dial's unit
 * @param drawings part id to drawing, shown from half strength on
 */
public record Look(String id, String name, String collection, Map<String, Double> dials, Map<String, String> drawings) {
    public Look {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a look needs a name");
        }
        dials.forEach((dial, value) -> Numbers.finite("dial " + dial, value));
        // sorted, so that the same look is always written the same way
        dials = Collections.unmodifiableMap(new TreeMap<>(dials));
        drawings = drawings == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(drawings));
        collection = collection == null ? "" : collection.strip();
    }

    public Look named(String newName, String newCollection) {
        return new Look(id, newName, newCollection, dials, drawings);
    }
}
