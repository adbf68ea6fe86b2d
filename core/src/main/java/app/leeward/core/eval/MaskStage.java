package app.leeward.core.eval;

import app.leeward.core.rig.Window;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** Which parts cut which: windows, the windows of those, and edges past which alone a part shows. What shows no drawing cuts nothing. */
final class MaskStage {
    private final Cut[] windows;
    private final Cut[] outside;

    /** Ids of what cuts one part, and their places. */
    private record Cut(List<String> by, int[] places) {
        static Cut of(List<String> by, CompiledRig rig) {
            return new Cut(by, by.stream().mapToInt(rig::place).toArray());
        }

        List<String> showing(String[] drawings) {
            for (int place : places) {
                if (drawings[place] == null) {
                    return IntStream.range(0, places.length)
                            .filter(k -> drawings[places[k]] != null)
                            .mapToObj(by::get)
                            .toList();
                }
            }
            return by;
        }
    }

    MaskStage(CompiledRig rig) {
        windows = new Cut[rig.parts.length];
        outside = new Cut[rig.parts.length];
        Map<String, Set<String>> own = new HashMap<>();
        for (Window w : rig.character.rig().windows()) {
            for (String masked : w.masked()) {
                own.computeIfAbsent(masked, k -> new LinkedHashSet<>()).add(w.by());
            }
        }
        for (int i = 0; i < rig.parts.length; i++) {
            String id = rig.parts[i].id();
            Set<String> found = new LinkedHashSet<>();
            collect(id, own, found);
            windows[i] = Cut.of(List.copyOf(found), rig);
            List<String> edges =
                    rig.parts[i].pastEdges().stream().filter(rig::has).toList();
            outside[i] = Cut.of(edges, rig);
        }
    }

    private static void collect(String part, Map<String, Set<String>> own, Set<String> found) {
        for (String by : own.getOrDefault(part, Set.of())) {
            if (found.add(by)) {
                collect(by, own, found);
            }
        }
    }

    /** Ids of the parts whose fills all mask it. */
    List<String> windows(int part, String[] drawings) {
        return windows[part].showing(drawings);
    }

    /** Ids of the parts on whose fills it is not seen. */
    List<String> outside(int part, String[] drawings) {
        return outside[part].showing(drawings);
    }
}
