package org.teavm.classlib.java.util.stream.impl;

import java.util.HashSet;
import java.util.Set;
import java.util.function.Predicate;

/**
 * In the place of TeaVM's own (0.15.0), which begins a new set each time its source is asked for more, so that what a flat-mapped
 * stream brings in several goes is not distinct. To be taken out when that is mended there; {@code PageCoreTest} in {@code e2e} fails
 * where it is not.
 */
public class TDistinctStreamImpl<T> extends TWrappingStreamImpl<T, T> {
    private final Set<T> visited = new HashSet<>();

    public TDistinctStreamImpl(TSimpleStreamImpl<T> source) {
        super(source);
    }

    @Override
    protected Predicate<T> wrap(Predicate<? super T> consumer) {
        return e -> !visited.add(e) || consumer.test(e);
    }
}
