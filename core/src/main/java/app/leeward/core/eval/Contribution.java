package app.leeward.core.eval;

/**
 * Somebody who has a say in one channel of one part.
 *
 * @param by id of the dial, look or part that speaks; empty where the kind says it all
 * @param amount what was added to the channel or multiplied with it; 0 where the channel is no number
 * @param message in words, with the value asked for
 */
public record Contribution(Kind kind, String by, double amount, String message) {
    /** Who can speak, the strongest first. */
    public enum Kind {
        /** Another view of the head is shown. */
        VIEW,
        /** The hand that holds it shows no grip. */
        HAND,
        PIN,
        LOOK,
        SPEECH,
        DIAL,
        /** A correction at a pair of dial values. */
        CORNER,
        /** A lid is held where the blink that shuts it ends. */
        LIMIT,
        PICK,
        REST
    }
}
