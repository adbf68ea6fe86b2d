package app.leeward.core.eye;

import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Offset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a ready-made dial does at its two ends, gathered part by part. */
final class Moves {
    private final Map<String, Offset> least = new HashMap<>();
    private final Map<String, Offset> most = new HashMap<>();
    private final List<Bands> bands = new ArrayList<>();

    /** At the dial's lower end. */
    void least(String part, Offset offset) {
        least.put(part, offset);
    }

    /** At the dial's upper end. */
    void most(String part, Offset offset) {
        most.put(part, offset);
    }

    void exchange(String part, List<Band> drawings) {
        bands.add(new Bands(part, drawings));
    }

    boolean isEmpty() {
        return least.isEmpty() && most.isEmpty() && bands.isEmpty();
    }

    Map<String, Offset> least() {
        return least;
    }

    Map<String, Offset> most() {
        return most;
    }

    List<Bands> bands() {
        return bands;
    }
}
