package app.leeward.core.rig;

/**
 * A drawing on its way from another one of the same part: its outlines lie between the two, where both have the same points. Where
 * the part shows something else, that is as it is drawn.
 *
 * @param from id of the drawing it comes from
 * @param to id of the drawing that is shown
 * @param left how much of that is left, 0 to 1
 */
public record Blend(String from, String to, double left) {
    public Blend {
        if (!(left >= 0 && left <= 1)) {
            throw new IllegalArgumentException("0 to 1 of '" + from + "' is left, not " + left + ".");
        }
    }
}
