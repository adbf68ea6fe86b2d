package app.leeward.core.dial;

/** The stretch {@code [from, to)} of a dial in which one drawing shows; the band that ends the range includes its end. */
public record Band(double from, double to, String drawing) {
    public Band {
        if (!(from < to)) {
            throw new IllegalArgumentException("a band runs upwards, not from " + from + " to " + to);
        }
    }
}
