package app.leeward.core.mouth;

/**
 * What the mouth does for a sound, each 0 to 1.
 *
 * @param jaw how far the jaw drops
 * @param width how wide the corners are drawn; 0.5 is at rest
 * @param rounding how far the lips purse
 * @param closure lips pressed together
 * @param lipToTeeth lower lip against the upper teeth
 * @param tongue how much of the tongue shows raised
 */
public record Articulation(
        double jaw, double width, double rounding, double closure, double lipToTeeth, double tongue) {

    /**
     * How different two mouths look, ≥ 0: a weighted Euclidean distance. Closed lips and lip against teeth weigh most,
     * because everyone sees them missing; the tongue least, because it is half hidden.
     */
    public double distance(Articulation o) {
        return Math.sqrt(1.6 * square(jaw - o.jaw)
                + square(width - o.width)
                + 1.4 * square(rounding - o.rounding)
                + 3 * square(closure - o.closure)
                + 2.5 * square(lipToTeeth - o.lipToTeeth)
                + 0.5 * square(tongue - o.tongue));
    }

    private static double square(double v) {
        return v * v;
    }
}
