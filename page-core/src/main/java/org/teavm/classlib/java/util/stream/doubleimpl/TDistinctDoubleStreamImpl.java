package org.teavm.classlib.java.util.stream.doubleimpl;

import java.util.HashSet;
import java.util.Set;
import java.util.function.DoublePredicate;

/** In the place of TeaVM's own, as {@link org.teavm.classlib.java.util.stream.impl.TDistinctStreamImpl} says. */
public class TDistinctDoubleStreamImpl extends TWrappingDoubleStreamImpl {
    private final Set<Double> visited = new HashSet<>();

    public TDistinctDoubleStreamImpl(TSimpleDoubleStreamImpl source) {
        super(source);
    }

    @Override
    protected DoublePredicate wrap(DoublePredicate consumer) {
        return e -> !visited.add(e) || consumer.test(e);
    }
}
