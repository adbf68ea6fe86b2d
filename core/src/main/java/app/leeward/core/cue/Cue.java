package app.leeward.core.cue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * A small animation on tracks of its own. It adds to whatever the dials do, so it can be dropped over any pose.
 *
 * @param tracks dial id to keys in rising order of frames; before the first and behind the last a track does nothing more
 *     than those keys
 */
public record Cue(String id, String name, Map<String, List<Key>> tracks) {
    /** Longest cue: a cue is small by meaning, and a shot's length is another thing. */
    public static final int LONGEST = 240;

    public Cue {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a cue needs a name");
        }
        Map<String, List<Key>> sorted = new TreeMap<>();
        tracks.forEach((dial, keys) -> sorted.put(dial, checked(dial, keys)));
        tracks = Collections.unmodifiableMap(sorted);
    }

    private static List<Key> checked(String dial, List<Key> keys) {
        List<Key> sorted = new ArrayList<>(keys);
        sorted.sort(Comparator.comparingInt(Key::frame));
        if (sorted.isEmpty()) {
            throw new IllegalArgumentException("the track of '" + dial + "' has no key");
        }
        for (int i = 1; i < sorted.size(); i++) {
            if (sorted.get(i).frame() == sorted.get(i - 1).frame()) {
                throw new IllegalArgumentException("the track of '" + dial + "' has two keys at frame "
                        + sorted.get(i).frame());
            }
        }
        if (sorted.get(sorted.size() - 1).frame() >= LONGEST) {
            throw new IllegalArgumentException("a cue lasts less than " + LONGEST + " frames");
        }
        return List.copyOf(sorted);
    }

    /** Frames from its first to its last key, both counted; 1 for a cue without tracks. */
    public int frames() {
        return 1
                + tracks.values().stream()
                        .mapToInt(keys -> keys.get(keys.size() - 1).frame())
                        .max()
                        .orElse(0);
    }

    /** What it adds to each of its dials at one of its frames, every dial gliding; nothing outside them. */
    public Map<String, Double> at(int frame) {
        return at(frame, Set.of());
    }

    /**
     * What it adds to each of its dials at one of its frames, or between two where it is drawn out; nothing outside them.
     *
     * @param straight ids of dials that stay at one key until the next
     */
    public Map<String, Double> at(double frame, Set<String> straight) {
        if (frame < 0 || frame > frames() - 1) {
            return Map.of();
        }
        Map<String, Double> adds = new HashMap<>();
        tracks.forEach((dial, keys) -> adds.put(dial, at(keys, frame, straight.contains(dial))));
        return adds;
    }

    private static double at(List<Key> keys, double frame, boolean straight) {
        Key before = keys.get(0);
        for (Key k : keys) {
            if (k.frame() > frame) {
                return straight || frame <= before.frame()
                        ? before.by()
                        : before.by()
                                + (k.by() - before.by()) * (frame - before.frame()) / (k.frame() - before.frame());
            }
            before = k;
        }
        return before.by();
    }
}
