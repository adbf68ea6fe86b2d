package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import java.util.Set;

/**
 * Gives a kit a key or takes it away. What the key did before it no longer does.
 *
 * @param key as in {@link DrawingKey}; empty for none
 */
public record KeyKit(String kit, String key) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KEYS.all(), Facet.KITS.all());
    }

    @Override
    public String describe(Character before) {
        String name = Kits.name(before, kit);
        return key.isEmpty() ? "No key for the kit " + name : "Key " + key + " puts on " + name;
    }

    @Override
    public Outcome on(Character before) {
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            return OneKey.bad(key);
        }
        return Kits.change(OneKey.freed(before, key), kit, k -> k.withKey(key));
    }
}
