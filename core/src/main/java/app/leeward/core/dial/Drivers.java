package app.leeward.core.dial;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** In which order dials that follow one another are settled: leaders first. */
public final class Drivers {
    private Drivers() {}

    /** Places in {@code dials}, leaders before those that follow them. Of dials that follow each other round, any first. */
    public static int[] leadersFirst(List<Dial> dials) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < dials.size(); i++) {
            places.put(dials.get(i).id(), i);
        }
        List<Integer> order = new ArrayList<>();
        boolean[] begun = new boolean[dials.size()];
        for (int i = 0; i < dials.size(); i++) {
            add(i, dials, places, begun, order);
        }
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    private static void add(
            int i, List<Dial> dials, Map<String, Integer> places, boolean[] begun, List<Integer> order) {
        if (begun[i]) {
            return;
        }
        begun[i] = true;
        for (Driver f : dials.get(i).follows()) {
            Integer leader = places.get(f.leader());
            if (leader != null) {
                add(leader, dials, places, begun, order);
            }
        }
        order.add(i);
    }

    /** The names of dials that would follow one another round, beginning and ending with {@code dial}; empty when none do. */
    public static Optional<List<String>> round(List<Dial> dials, String dial) {
        Map<String, Dial> byId = new HashMap<>();
        dials.forEach(d -> byId.put(d.id(), d));
        return round(byId, dial, dial, new ArrayList<>());
    }

    private static Optional<List<String>> round(Map<String, Dial> dials, String at, String dial, List<String> way) {
        Dial here = dials.get(at);
        if (here == null || way.size() > dials.size()) {
            return Optional.empty();
        }
        way.add(here.name());
        for (Driver f : here.follows()) {
            if (f.leader().equals(dial)) {
                way.add(dials.get(dial).name());
                return Optional.of(way);
            }
            Optional<List<String>> further = round(dials, f.leader(), dial, new ArrayList<>(way));
            if (further.isPresent()) {
                return further;
            }
        }
        return Optional.empty();
    }
}
