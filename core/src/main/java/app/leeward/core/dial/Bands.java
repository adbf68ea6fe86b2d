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
        int i = indexAt(value, rangeEnd);
        return i < 0 ? Optional.empty() : Optional.of(bands.get(i).drawing());
    }

    /** Which band holds {@code value}, -1 for none: {@link #at} for those who ask at every pose. */
    public int indexAt(double value, double rangeEnd) {
        for (int i = 0; i < bands.size(); i++) {
            Band b = bands.get(i);
            if (value >= b.from() && (value < b.to() || (value == b.to() && b.to() == rangeEnd))) {
                return i;
            }
        }
        return -1;
    }
}
