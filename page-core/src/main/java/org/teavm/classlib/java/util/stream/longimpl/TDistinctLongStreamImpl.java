package org.teavm.classlib.java.util.stream.longimpl;

import java.util.HashSet;
import java.util.Set;
import java.util.function.LongPredicate;

/** In the place of TeaVM's own, as {@link org.teavm.classlib.java.util.stream.impl.TDistinctStreamImpl} says. */
public class TDistinctLongStreamImpl extends TWrappingLongStreamImpl {
    private final Set<Long> visited = new HashSet<>();

    public TDistinctLongStreamImpl(TSimpleLongStreamImpl source) {
        super(source);
    }

    @Override
    protected LongPredicate wrap(LongPredicate consumer) {
        return e -> !visited.add(e) || consumer.test(e);
    }
}
