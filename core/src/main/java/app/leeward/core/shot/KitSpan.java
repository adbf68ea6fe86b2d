package app.leeward.core.shot;

/**
 * A stretch of a shot in which a character wears a kit. What the kit does not name stays as it is, and a drawing held of one part
 * counts before it.
 *
 * @param from its first frame
 * @param to the first frame behind it
 * @param kit the kit's id; one that is not there any more is skipped
 */
public record KitSpan(int from, int to, String kit) {
    public KitSpan {
        Stretch.require("kit", from, to);
        if (kit == null || kit.isBlank()) {
            throw new IllegalArgumentException("A kit from frame " + from + " needs to say which one.");
        }
    }
}
