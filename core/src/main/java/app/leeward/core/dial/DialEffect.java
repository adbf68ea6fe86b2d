package app.leeward.core.dial;

import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * What a dial does to one part in one way, all along its range. A dial is the sum of its effects ({@link Dial#effects}), and
 * whatever happens to all that a dial does (mirroring, scaling, splitting, forgetting a part, telling, comparing) goes through
 * them, so that a further kind is one more record here and one stage of the evaluation.
 */
public sealed interface DialEffect permits PoseEffect, OutlineEffect, DrawingEffect, LayerEffect {
    /** Id of the part. */
    String part();

    /** The effect without all it says of a part; empty when nothing of it is left. */
    default Optional<DialEffect> without(String gone) {
        return part().equals(gone) ? Optional.empty() : Optional.of(this);
    }

    /** The effect on art that is {@code factor} times as large. */
    DialEffect scaled(double factor);

    /** The effect on art that is reflected about the axis while parts and drawings keep their ids. */
    DialEffect reflected();

    /**
     * The same, done to the other side of the face.
     *
     * @param value where on the dial: the same value, or that opposite rest; rising or falling
     */
    DialEffect onto(OtherSide other, DoubleUnaryOperator value);

    /** A dial that also does at the value opposite rest, to the other side, what this does at {@code at}. */
    Dial acrossRest(Dial dial, double at, OtherSide other);

    /**
     * What it does at a stop, in words.
     *
     * @param dial whose effect it is
     */
    Stream<Told> told(Dial dial, double at, PartNames names);

    /** Values at which it says something. */
    DoubleStream values();

    /** Short numbers that tell whether it is still the same, each under a name of its own. */
    Map<String, Integer> fingerprints(Dial dial);

    /** Adds itself to a dial that is being put together. */
    void into(DialAssembly dial);

    /** One thing an effect does at a stop, such as "goes 12 to the right"; it can be taken back alone. */
    record Told(Aspect aspect, String words) {}
}
