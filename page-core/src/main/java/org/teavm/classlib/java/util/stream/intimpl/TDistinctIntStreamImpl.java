package org.teavm.classlib.java.util.stream.intimpl;

import java.util.HashSet;
import java.util.Set;
import java.util.function.IntPredicate;

/** In the place of TeaVM's own, as {@link org.teavm.classlib.java.util.stream.impl.TDistinctStreamImpl} says. */
public class TDistinctIntStreamImpl extends TWrappingIntStreamImpl {
    private final Set<Integer> visited = new HashSet<>();

    public TDistinctIntStreamImpl(TSimpleIntStreamImpl source) {
        super(source);
    }

    @Override
    protected IntPredicate wrap(IntPredicate consumer) {
        return e -> !visited.add(e) || consumer.test(e);
    }
}
