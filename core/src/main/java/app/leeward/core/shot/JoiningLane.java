package app.leeward.core.shot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What can be parted anywhere, and is one with the same beside it. */
abstract class JoiningLane<T> extends Lane<T> {
    JoiningLane() {
        super(true);
    }

    /** The same without a gap is one. */
    List<T> joined(List<T> items) {
        List<T> all = new ArrayList<>();
        items.stream().sorted(Comparator.comparingInt(this::from)).forEach(next -> {
            T last = all.isEmpty() ? null : all.get(all.size() - 1);
            T both = last == null ? null : over(last, from(last), to(next));
            if (last != null
                    && to(last) == from(next)
                    && over(next, from(last), to(next)).equals(both)) {
                all.set(all.size() - 1, both);
            } else {
                all.add(next);
            }
        });
        return all;
    }
}
