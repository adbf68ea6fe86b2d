package app.leeward.core.solid;

/**
 * A point of a solid.
 *
 * @param x to the right of the axis
 * @param z towards the viewer
 */
record Spot(double x, double z) {
    Spot shifted(double dx, double dz) {
        return new Spot(x + dx, z + dz);
    }
}
