package app.leeward.core.dial;

import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Puts a part elsewhere in the stack.
 *
 * @param layers bands that name, for a drawing, the part it lies directly over, or {@link Dial#BACK}
 */
public record LayerEffect(Bands layers) implements DialEffect {
    static Stream<DialEffect> of(Dial dial) {
        return dial.layers().stream().map(LayerEffect::new);
    }

    /** Where a part lies, in words. */
    public static String words(String over, PartNames names) {
        return over.equals(Dial.BACK) ? "lies behind everything" : "lies over " + names.part(over);
    }

    @Override
    public String part() {
        return layers.part();
    }

    @Override
    public Optional<DialEffect> without(String gone) {
        Bands left = new Bands(
                part(),
                layers.bands().stream().filter(b -> !b.drawing().equals(gone)).toList());
        return part().equals(gone) || left.bands().isEmpty() ? Optional.empty() : Optional.of(new LayerEffect(left));
    }

    @Override
    public DialEffect scaled(double factor) {
        return this;
    }

    @Override
    public DialEffect reflected() {
        return this;
    }

    @Override
    public DialEffect onto(OtherSide other, DoubleUnaryOperator value) {
        return new LayerEffect(layers.onto(other.part(part()), over(other), value));
    }

    private static UnaryOperator<String> over(OtherSide other) {
        return what -> what.equals(Dial.BACK) ? what : other.part(what);
    }

    @Override
    public Dial acrossRest(Dial dial, double at, OtherSide other) {
        String part = other.part(part());
        return dial.withLayers(part, layers.acrossRest(dial, at, dial.layersOf(part), over(other)));
    }

    @Override
    public Stream<Told> told(Dial dial, double at, PartNames names) {
        return layers.at(at, dial.to()).map(over -> new Told(Aspect.ORDER, words(over, names))).stream();
    }

    @Override
    public DoubleStream values() {
        return layers.ends();
    }

    @Override
    public Map<String, Integer> fingerprints(Dial dial) {
        return Map.of(Fingerprints.layers(dial, part()), Fingerprints.of(layers));
    }

    @Override
    public void into(DialAssembly dial) {
        dial.layers(layers);
    }
}
