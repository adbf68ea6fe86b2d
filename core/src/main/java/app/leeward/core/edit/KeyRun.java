package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Gives a run a key or takes it away. What the key did before it no longer does.
 *
 * @param key as in {@link DrawingKey}; empty for none
 */
public record KeyRun(String run, String key) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KEYS.all(), Facet.RUN.all());
    }

    @Override
    public String describe(Character before) {
        String name = Runs.name(before, run);
        return key.isEmpty() ? "No key for the run " + name : "Key " + key + " plays " + name;
    }

    @Override
    public Outcome on(Character before) {
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            return OneKey.bad(key);
        }
        return Runs.change(OneKey.freed(before, key), run, r -> Stream.of(r.withKey(key)));
    }
}
