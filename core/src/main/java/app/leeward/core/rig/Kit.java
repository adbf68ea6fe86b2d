package app.leeward.core.rig;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A named choice over several parts at once: a raincoat is a torso, a collar, sleeves and a hood. Kits of one set stand for each
 * other; what a kit does not name stays as it is.
 *
 * @param set what it is offered under, such as "clothes"; may be empty
 * @param choices part id to drawing, or to {@link Part#NOTHING}; at least one
 * @param key as in {@link DrawingKey}; empty for none
 */
public record Kit(String id, String name, String set, Map<String, String> choices, String key) {
    public Kit {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a kit needs a name");
        }
        if (choices.isEmpty()) {
            throw new IllegalArgumentException("the kit '" + name + "' chooses nothing");
        }
        set = set == null ? "" : set.strip();
        key = key == null ? "" : key;
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            throw new IllegalArgumentException("'" + key + "' cannot be the key of a kit");
        }
        // sorted, so that the same kit is always written the same way
        choices = Collections.unmodifiableMap(new TreeMap<>(choices));
    }

    public Kit withChoices(Map<String, String> newChoices) {
        return new Kit(id, name, set, newChoices, key);
    }

    public Kit withKey(String newKey) {
        return new Kit(id, name, set, choices, newKey);
    }

    public Kit named(String newName, String newSet) {
        return new Kit(id, newName, newSet, choices, key);
    }
}
