package app.leeward.core.shot;

import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Iterator;
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
        if (!rising(sorted, order)) {
            sorted.sort(order);
        }
        return new InOrder<>(sorted);
    }

    /** Mostly so already; where it is compiled for the browser, sorting takes no notice of it. */
    private static <T> boolean rising(List<T> items, Comparator<T> order) {
        for (int i = 1; i < items.size(); i++) {
            if (order.compare(items.get(i - 1), items.get(i)) > 0) {
                return false;
            }
        }
        return true;
    }

    @Override
    public T get(int index) {
        return items.get(index);
    }

    @Override
    public Iterator<T> iterator() {
        return Collections.unmodifiableList(items).iterator();
    }

    @Override
    public int size() {
        return items.size();
    }
}
