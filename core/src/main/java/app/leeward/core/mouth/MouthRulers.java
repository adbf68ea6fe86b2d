package app.leeward.core.mouth;

/**
 * How a mouth is made, as a person turns it: 1 is what the sound asks for, 0 none of it, 2 twice as much.
 *
 * @param jaw how far the jaw drops
 * @param width how much the corners go out and in from one sound to another
 * @param round how far the lips purse
 * @param tooth how much of the teeth shows
 * @param tongue how far the tongue comes up
 * @param flat 0 as the starting mouth is curved, 1 a straight line from corner to corner
 */
public record MouthRulers(double jaw, double width, double round, double tooth, double tongue, double flat) {
    public static final double MOST = 2;
    public static final MouthRulers AS_ASKED = new MouthRulers(1, 1, 1, 1, 1, 0);

    public MouthRulers {
        held("jaw", jaw, MOST);
        held("width", width, MOST);
        held("round", round, MOST);
        held("tooth", tooth, MOST);
        held("tongue", tongue, MOST);
        held("flat", flat, 1);
    }

    private static void held(String name, double value, double most) {
        if (!(value >= 0 && value <= most)) {
            throw new IllegalArgumentException(
                    "the ruler '" + name + "' goes from 0 to " + (int) most + ", not to " + value);
        }
    }

    /** Both turned one after the other, held in range. */
    public MouthRulers and(MouthRulers more) {
        return new MouthRulers(
                Math.min(MOST, jaw * more.jaw),
                Math.min(MOST, width * more.width),
                Math.min(MOST, round * more.round),
                Math.min(MOST, tooth * more.tooth),
                Math.min(MOST, tongue * more.tongue),
                Math.min(1, flat + more.flat));
    }
}
