package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Reshapes outlines of a part's drawings, point by point.
 *
 * @param at the values of its stops to what each does
 */
public record OutlineEffect(String part, Map<Double, List<PointDeltas>> at) implements DialEffect {
    public OutlineEffect {
        at = Collections.unmodifiableMap(new TreeMap<>(at));
    }

    static Stream<DialEffect> of(Dial dial) {
        Map<String, Map<Double, List<PointDeltas>>> byPart = new LinkedHashMap<>();
        dial.stops().forEach(s -> s.reshapes().forEach((part, all) -> byPart.computeIfAbsent(part, p -> new TreeMap<>())
                .put(s.at(), all)));
        List<DialEffect> all = new ArrayList<>();
        byPart.forEach((part, at) -> all.add(new OutlineEffect(part, at)));
        return all.stream();
    }

    private OutlineEffect each(String onto, DoubleUnaryOperator value, UnaryOperator<PointDeltas> change) {
        Map<Double, List<PointDeltas>> out = new TreeMap<>();
        at.forEach((v, all) -> out.put(
                value.applyAsDouble(v),
                all.stream().map(change).filter(Objects::nonNull).toList()));
        return new OutlineEffect(onto, out);
    }

    @Override
    public DialEffect scaled(double factor) {
        return each(part, v -> v, r -> r.times(factor));
    }

    @Override
    public DialEffect reflected() {
        return each(part, v -> v, r -> r.mirrored(r.drawing()));
    }

    @Override
    public DialEffect onto(OtherSide other, DoubleUnaryOperator value) {
        return each(other.part(part), value, r -> other.deltas(part, r).orElse(null));
    }

    @Override
    public Dial acrossRest(Dial dial, double from, OtherSide other) {
        Dial out = dial;
        for (PointDeltas r : at.getOrDefault(from, List.of())) {
            PointDeltas there = other.deltas(part, r).orElse(null);
            out = there == null ? out : out.opposite(from, s -> s.with(other.part(part), there));
        }
        return out;
    }

    @Override
    public Stream<Told> told(Dial dial, double stop, PartNames names) {
        boolean moves = at.getOrDefault(stop, List.of()).stream().anyMatch(r -> !r.still());
        return moves ? Stream.of(new Told(Aspect.SHAPE, "has its outline elsewhere")) : Stream.empty();
    }

    @Override
    public DoubleStream values() {
        return at.keySet().stream().mapToDouble(Double::doubleValue);
    }

    @Override
    public Map<String, Integer> fingerprints(Dial dial) {
        Map<String, Integer> out = new TreeMap<>();
        at.forEach((v, all) -> out.put(Fingerprints.outline(dial, v, part), Fingerprints.of(all)));
        return out;
    }

    @Override
    public void into(DialAssembly dial) {
        at.forEach((v, all) -> all.forEach(r -> dial.outline(v, part, r)));
    }
}
