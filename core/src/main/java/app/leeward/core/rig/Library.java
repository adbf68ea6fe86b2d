package app.leeward.core.rig;

import app.leeward.core.cue.Cue;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * What is kept by name to be used again.
 *
 * @param looks expressions
 * @param cues small animations
 * @param kits choices over several parts at once, in the order they are offered in
 * @param keys which keys of the keyboard show which drawings; no key twice
 */
@RecordBuilder
public record Library(List<Look> looks, List<Cue> cues, List<Kit> kits, List<DrawingKey> keys)
        implements LibraryBuilder.With {
    public static final Library EMPTY = new Library(List.of(), List.of(), List.of(), List.of());

    public Library {
        // stored before there were such things
        looks = looks == null ? List.of() : List.copyOf(looks);
        cues = cues == null ? List.of() : List.copyOf(cues);
        kits = kits == null ? List.of() : List.copyOf(kits);
        keys = keys == null ? List.of() : List.copyOf(keys);
    }

    /** Without the keys of a part. */
    Library without(String part) {
        return withKeys(keys.stream().filter(k -> !k.part().equals(part)).toList());
    }
}
