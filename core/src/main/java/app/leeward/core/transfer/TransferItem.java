package app.leeward.core.transfer;

import java.util.List;

/**
 * One thing that can be taken.
 *
 * @param key names it; stays the same as long as the two characters do
 * @param what its name, in the words of the character that has it
 * @param facts what fitted, what was scaled, what is missing; a sentence each
 */
public record TransferItem(String key, Kind kind, String what, Fitting fitting, List<String> facts) {
    public TransferItem {
        facts = List.copyOf(facts);
    }

    /** In the order they are taken in: what comes later stands on what came before. */
    public enum Kind {
        PART,
        MOUTHS,
        HAND,
        DIAL,
        LOOK,
        CUE
    }

    /** How it goes with the character that takes. */
    public enum Fitting {
        /** All of it has a place. */
        WHOLE,
        /** Some of it has none; the facts say what. */
        PARTLY,
        /** There is one of that name already; taken, it stands in its place. */
        REPLACES,
        /** Nothing of it has a place; it cannot be taken. */
        NOTHING
    }

    public boolean possible() {
        return fitting != Fitting.NOTHING;
    }
}
