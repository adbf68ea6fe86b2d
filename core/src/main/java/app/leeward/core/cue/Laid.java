package app.leeward.core.cue;

/**
 * That something in a shot was proposed and not made by hand, and why. What a hand changes or moves is the hand's own from then on.
 *
 * @param why in words, such as the word that is stressed
 */
public record Laid(Kind kind, String why) {
    /** What a first pass proposes; each kind is laid and taken back by itself. */
    public enum Kind {
        BLINKS,
        NODS,
        BROWS,
        GAZE,
        SETTLING,
        BREATH,
        LOOKS
    }

    public Laid {
        if (kind == null) {
            throw new IllegalArgumentException("What was laid says what kind of thing it is.");
        }
        why = why == null ? "" : why;
    }
}
