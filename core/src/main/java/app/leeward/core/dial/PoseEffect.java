package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Places, turns, sizes and whatever else is a channel of a part.
 *
 * @param at the values of its stops to what each does
 * @param hinge which of the part's earlier pivots it turns about, 0 the oldest; empty for the present one
 */
public record PoseEffect(String part, Map<Double, Offset> at, Optional<Integer> hinge) implements DialEffect {
    public PoseEffect {
        at = Collections.unmodifiableMap(new TreeMap<>(at));
    }

    static Stream<DialEffect> of(Dial dial) {
        Map<String, Map<Double, Offset>> byPart = new LinkedHashMap<>();
        dial.stops().forEach(s -> s.offsets().forEach((part, o) -> byPart.computeIfAbsent(part, p -> new TreeMap<>())
                .put(s.at(), o)));
        List<DialEffect> all = new ArrayList<>();
        byPart.forEach((part, at) -> all.add(
                new PoseEffect(part, at, Optional.ofNullable(dial.hinges().get(part)))));
        return all.stream();
    }

    @Override
    public DialEffect scaled(double factor) {
        Map<Double, Offset> out = new TreeMap<>();
        at.forEach((v, o) -> out.put(v, o.scaled(factor)));
        return new PoseEffect(part, out, hinge);
    }

    @Override
    public DialEffect reflected() {
        return mirrored(part, v -> v);
    }

    @Override
    public DialEffect onto(OtherSide other, DoubleUnaryOperator value) {
        return mirrored(other.part(part), value);
    }

    private PoseEffect mirrored(String onto, DoubleUnaryOperator value) {
        Map<Double, Offset> out = new TreeMap<>();
        at.forEach((v, o) -> out.put(value.applyAsDouble(v), o.mirrored()));
        return new PoseEffect(onto, out, hinge);
    }

    @Override
    public Dial acrossRest(Dial dial, double from, OtherSide other) {
        Offset here = at.get(from);
        return here == null ? dial : dial.opposite(from, s -> s.with(other.part(part), here.mirrored()));
    }

    @Override
    public Stream<Told> told(Dial dial, double stop, PartNames names) {
        Offset o = at.get(stop);
        return o == null
                ? Stream.empty()
                : Arrays.stream(Aspect.values()).filter(a -> a.in(o)).map(a -> new Told(a, a.words(o)));
    }

    @Override
    public DoubleStream values() {
        return at.keySet().stream().mapToDouble(Double::doubleValue);
    }

    @Override
    public Map<String, Integer> fingerprints(Dial dial) {
        Map<String, Integer> out = new TreeMap<>();
        at.forEach((v, o) -> out.put(Fingerprints.pose(dial, v, part), Fingerprints.of(o)));
        return out;
    }

    @Override
    public void into(DialAssembly dial) {
        at.forEach((v, o) -> dial.pose(v, part, o));
        hinge.ifPresent(h -> dial.hinge(part, h));
    }
}
