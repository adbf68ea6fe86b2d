package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import app.leeward.core.rig.Kit;
import java.util.List;
import java.util.Set;

/**
 * Gives a kit a key or takes it away. What the key did before it no longer does.
 *
 * @param key as in {@link DrawingKey}; empty for none
 */
public record KeyKit(String kit, String key) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("keys", "kits");
    }

    @Override
    public String describe(Character before) {
        String name = Kits.name(before, kit);
        return key.isEmpty() ? "No key for the kit " + name : "Key " + key + " puts on " + name;
    }

    @Override
    public Outcome on(Character before) {
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            return SetKey.badKey(key);
        }
        if (Kits.find(before, kit).isEmpty()) {
            return Kits.gone(kit);
        }
        List<Kit> kits = before.kits().stream()
                .map(k -> k.id().equals(kit)
                        ? k.withKey(key)
                        : key.isEmpty() || !k.key().equals(key) ? k : k.withKey(""))
                .toList();
        return new Outcome.Done(before.withKits(kits)
                .withKeys(
                        before.keys().stream().filter(k -> !k.key().equals(key)).toList()));
    }
}
