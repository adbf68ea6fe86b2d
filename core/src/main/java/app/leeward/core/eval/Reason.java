package app.leeward.core.eval;

import java.util.List;

/**
 * Why one channel of one part has the value it has.
 *
 * @param channel id of the channel, or {@link #DRAWING}, {@link #OUTLINE}, {@link #ORDER}
 * @param words what the channel is called
 * @param value what is shown, as text
 * @param amount what is shown, as a number; 0 where the channel is no number
 * @param heard who made it so: the one that won for a drawing, all that come together for the other channels
 * @param overruled who also spoke and was not followed, the strongest first
 */
public record Reason(
        String channel,
        String words,
        String value,
        double amount,
        List<Contribution> heard,
        List<Contribution> overruled) {
    /** Which drawing shows. */
    public static final String DRAWING = "drawing";
    /** Where the points of what it shows are. */
    public static final String OUTLINE = "outline";
    /** Where it lies in the stack. */
    public static final String ORDER = "order";

    public Reason {
        heard = List.copyOf(heard);
        overruled = List.copyOf(overruled);
    }
}
