package app.leeward.faces;

/**
 * A made face.
 *
 * @param seed what it was made from; the same seed always makes the same file
 * @param svg the file
 */
public record Face(long seed, String svg, Truth truth) {
    /** The face of a seed. */
    public static Face of(long seed) {
        return FaceMaker.make(seed);
    }
}
