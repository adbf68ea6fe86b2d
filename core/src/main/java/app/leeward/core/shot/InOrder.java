package app.leeward.core.shot;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a track holds, in rising order and never changed. A list that is one already stays the very same, so that an edit of one track
 * costs nothing on the others, and so that others see at once which have not changed. Only {@link Tracks} makes them, each track always
 * in the same order.
 */
final class InOrder<T> extends AbstractList<T> {
    private final List<T> items;

    private InOrder(List<T> items) {
        this.items = items;
    }

    static <T> InOrder<T> of(List<T> all, Comparator<T> order) {
        if (all instanceof InOrder<T> known) {
            return known;
        }
        List<T> sorted = new ArrayList<>(all);
        sorted.sort(order);
        return new InOrder<>(sorted);
    }

    @Override
    public T get(int index) {
        return items.get(index);
    }

    @Override
    public int size() {
        return items.size();
    }
}
