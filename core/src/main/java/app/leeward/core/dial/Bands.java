package app.leeward.core.dial;

import java.util.List;
import java.util.Optional;

/**
 * The drawings a dial picks for one part; or, as its layers, the parts it lets one lie over.
 *
 * @param part the part whose drawings are exchanged
 * @param bands in rising order, not overlapping; where there is none, the dial says nothing
 */
public record Bands(String part, List<Band> bands) {
    public Bands {
        bands = List.copyOf(bands);
        for (int i = 1; i < bands.size(); i++) {
            if (bands.get(i).from() < bands.get(i - 1).to()) {
                throw new IllegalArgumentException(
                        "bands overlap at " + bands.get(i).from());
            }
        }
    }

    /** The drawing whose band holds {@code value}; {@code rangeEnd} is the dial's upper end, which belongs to its band. */
    public Optional<String> at(double value, double rangeEnd) {
        for (Band b : bands) {
            if (value >= b.from() && (value < b.to() || (value == b.to() && b.to() == rangeEnd))) {
                return Optional.of(b.drawing());
            }
        }
        return Optional.empty();
    }
}
