package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;

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

    /** The same bands of another part. */
    Bands onto(String other, UnaryOperator<String> drawing, DoubleUnaryOperator value) {
        List<Band> out = new ArrayList<>();
        for (Band b : bands) {
            double one = value.applyAsDouble(b.from());
            double two = value.applyAsDouble(b.to());
            if (one != two) {
                out.add(new Band(Math.min(one, two), Math.max(one, two), drawing.apply(b.drawing())));
            }
        }
        out.sort(Comparator.comparingDouble(Band::from));
        return new Bands(other, out);
    }

    /** {@code there}, but beyond rest, seen from {@code at}, what these say before it. */
    List<Band> acrossRest(Dial dial, double at, List<Band> there, UnaryOperator<String> drawing) {
        boolean above = at > dial.rest();
        Predicate<Band> beyond = b -> above ? b.to() <= dial.rest() : b.from() >= dial.rest();
        List<Band> kept = new ArrayList<>(there);
        kept.removeIf(beyond);
        onto(part, drawing, v -> 2 * dial.rest() - v).bands().stream()
                .filter(b -> beyond.test(b) && b.from() >= dial.from() && b.to() <= dial.to())
                .forEach(kept::add);
        kept.sort(Comparator.comparingDouble(Band::from));
        return kept;
    }

    /** Where its bands begin and end. */
    DoubleStream ends() {
        return bands.stream().flatMapToDouble(b -> DoubleStream.of(b.from(), b.to()));
    }
}
