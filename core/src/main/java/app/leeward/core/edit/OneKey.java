package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;

/** A key does one thing: whoever gets one takes it from whatever had it. */
final class OneKey {
    private OneKey() {}

    /** With a key that nothing has any more; as it was for no key. */
    static Character freed(Character c, String key) {
        if (key.isEmpty()) {
            return c;
        }
        return c.withLibrary(library -> library.withKeys(c.library().keys().stream()
                        .filter(k -> !k.key().equals(key))
                        .toList()))
                .withLibrary(library -> library.withKits(c.library().kits().stream()
                        .map(k -> k.key().equals(key) ? k.withKey("") : k)
                        .toList()))
                .withEachPart(p -> p.runs().stream().noneMatch(r -> r.key().equals(key))
                        ? p
                        : p.withRuns(p.runs().stream()
                                .map(r -> r.key().equals(key) ? r.withKey("") : r)
                                .toList()));
    }

    static Outcome.Refused bad(String key) {
        return new Outcome.Refused(
                RefusalCode.BAD_KEY, "A key is one letter a to z, but not w, or a digit 1 to 9; '" + key + "' is not.");
    }
}
