package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import java.util.Set;

/**
 * Gives a run a key or takes it away. What the key did before it no longer does.
 *
 * @param key as in {@link DrawingKey}; empty for none
 */
public record KeyRun(String run, String key) implements Edit {
    @Override
    public Set<String> touches() {
        return Set.of("keys", "run " + run);
    }

    @Override
    public String describe(Character before) {
        String name = before.runs().stream()
                .filter(r -> r.id().equals(run))
                .map(r -> r.name())
                .findFirst()
                .orElse(run);
        return key.isEmpty() ? "No key for the run " + name : "Key " + key + " plays " + name;
    }

    @Override
    public Outcome on(Character before) {
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            return OneKey.bad(key);
        }
        if (before.runs().stream().noneMatch(r -> r.id().equals(run))) {
            return DropRun.gone(run);
        }
        Character c = OneKey.freed(before, key);
        return new Outcome.Done(c.withRuns(c.runs().stream()
                .map(r -> r.id().equals(run) ? r.withKey(key) : r)
                .toList()));
    }
}
