package app.leeward.core.shot;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Several kits may be worn at once; each is one with the same kit beside it. */
final class KitLane extends JoiningLane<KitSpan> {
    @Override
    List<KitSpan> on(Tracks tracks) {
        return tracks.kits();
    }

    @Override
    Tracks with(Tracks tracks, List<KitSpan> items) {
        Map<String, List<KitSpan>> each = new TreeMap<>();
        items.forEach(
                k -> each.computeIfAbsent(k.kit(), id -> new ArrayList<>()).add(k));
        return tracks.withKits(
                each.values().stream().flatMap(k -> joined(k).stream()).toList());
    }

    @Override
    String name(KitSpan item) {
        return item.kit();
    }

    @Override
    int from(KitSpan item) {
        return item.from();
    }

    @Override
    int to(KitSpan item) {
        return item.to();
    }

    @Override
    KitSpan over(KitSpan item, int from, int to) {
        return new KitSpan(from, to, item.kit());
    }
}
