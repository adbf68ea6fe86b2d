package app.leeward.faces;

/**
 * A made face.
 *
 * @param seed what it was made from; the same seed always makes the same file
 * @param svg the file
 * @param figure the same file without what is laid out beside the figure
 */
public record Face(long seed, String svg, String figure, Truth truth) {
    /** The face of a seed. */
    public static Face of(long seed) {
        return FaceMaker.make(seed);
    }
}
