package app.leeward.core.dial;

import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** Exchanges the drawings of a part. */
public record DrawingEffect(Bands bands) implements DialEffect {
    static Stream<DialEffect> of(Dial dial) {
        return dial.bands().stream().map(DrawingEffect::new);
    }

    @Override
    public String part() {
        return bands.part();
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
        String part = other.part(part());
        return new DrawingEffect(bands.onto(part, d -> other.drawing(part, d), value));
    }

    @Override
    public Dial acrossRest(Dial dial, double at, OtherSide other) {
        String part = other.part(part());
        return dial.withBands(part, bands.acrossRest(dial, at, dial.bandsOf(part), d -> other.drawing(part, d)));
    }

    @Override
    public Stream<Told> told(Dial dial, double at, PartNames names) {
        return bands.at(at, dial.to()).map(d -> new Told(Aspect.DRAWING, "shows " + names.drawing(part(), d))).stream();
    }

    @Override
    public DoubleStream values() {
        return bands.ends();
    }

    @Override
    public Map<String, Integer> fingerprints(Dial dial) {
        return Map.of(Fingerprints.drawings(dial, part()), Fingerprints.of(bands));
    }

    @Override
    public void into(DialAssembly dial) {
        dial.bands(bands);
    }
}
