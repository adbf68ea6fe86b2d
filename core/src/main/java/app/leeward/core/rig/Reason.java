package app.leeward.core.rig;

import java.util.List;

/**
 * Why one channel of one part has the value it has.
 *
 * @param value what is shown, as text
 * @param heard who made it so: the one that won for a drawing, all that add up for the other channels
 * @param overruled who also spoke and was not followed, the strongest first
 */
public record Reason(Channel channel, String value, List<Voice> heard, List<Voice> overruled) {
    public Reason {
        heard = List.copyOf(heard);
        overruled = List.copyOf(overruled);
    }

    /**
     * Somebody who has a say.
     *
     * @param by id of the dial, or of the drawing picked; empty where the kind says it all
     * @param says in words, with the value asked for
     */
    public record Voice(Kind kind, String by, String says) {}

    /** Who can speak, the strongest first. */
    public enum Kind {
        VIEW,
        HAND,
        PIN,
        LOOK,
        SPEECH,
        DIAL,
        CORNER,
        PICK,
        REST
    }
}
