package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.DrawingKey;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Gives a drawing of a part a key, or the choice of nothing, or takes the key away. A key that showed another drawing shows this one from now on.
 *
 * @param key as in {@link DrawingKey}; empty for none
 */
public record SetKey(String part, String drawing, String key) implements LibraryEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Facet.KEYS.all());
    }

    @Override
    public String describe(Character before) {
        String name = Redrawing.name(before, part, drawing);
        if (key.isEmpty()) {
            return "No key for " + name;
        }
        return "Key " + key + " shows " + name
                + other(before)
                        .map(k -> ", no longer " + Redrawing.name(before, k.part(), k.drawing()))
                        .orElse("");
    }

    private Optional<DrawingKey> other(Character c) {
        return c.library().keys().stream()
                .filter(k -> k.key().equals(key))
                .filter(k -> !k.part().equals(part) || !k.drawing().equals(drawing))
                .findFirst();
    }

    @Override
    public Outcome on(Character before) {
        boolean there = before.part(part)
                .filter(p -> !p.drawings().isEmpty() && p.offers(drawing))
                .isPresent();
        if (!there) {
            return new Outcome.Refused(RefusalCode.NO_DRAWING, "There is no such drawing any more.");
        }
        if (!key.isEmpty() && !DrawingKey.fits(key)) {
            return OneKey.bad(key);
        }
        Character c = OneKey.freed(before, key);
        List<DrawingKey> keys = new ArrayList<>(c.library().keys());
        keys.removeIf(k -> k.part().equals(part) && k.drawing().equals(drawing));
        if (!key.isEmpty()) {
            keys.add(new DrawingKey(key, part, drawing));
        }
        return new Outcome.Done(c.withLibrary(library -> library.withKeys(keys)));
    }
}
