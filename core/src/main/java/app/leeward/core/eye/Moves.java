package app.leeward.core.eye;

import app.leeward.core.dial.Band;
import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What a ready-made dial does at its two ends, gathered part by part. */
final class Moves {
    private final Map<String, Offset> least = new HashMap<>();
    private final Map<String, Offset> most = new HashMap<>();
    private final Map<String, List<PointDeltas>> mostOutlines = new HashMap<>();
    private final List<Bands> bands = new ArrayList<>();

    /** At the dial's lower end. */
    void least(String part, Offset offset) {
        least.put(part, offset);
    }

    /** At the dial's upper end. */
    void most(String part, Offset offset) {
        most.put(part, offset);
    }

    /** Reshapes an outline at the dial's upper end. */
    void most(String part, PointDeltas outline) {
        mostOutlines.computeIfAbsent(part, p -> new ArrayList<>()).add(outline);
    }

    void exchange(String part, List<Band> drawings) {
        bands.add(new Bands(part, drawings));
    }

    boolean isEmpty() {
        return least.isEmpty() && most.isEmpty() && mostOutlines.isEmpty() && bands.isEmpty();
    }

    Map<String, Offset> least() {
        return least;
    }

    Map<String, Offset> most() {
        return most;
    }

    Map<String, List<PointDeltas>> mostOutlines() {
        return mostOutlines;
    }

    List<Bands> bands() {
        return bands;
    }
}
