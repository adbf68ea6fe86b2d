package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A correction recorded at a pair of dial values. It weighs as much as the one dial has come from rest towards its value
 * times as much as the other has, so it is nothing while either rests.
 *
 * @param a id of one dial
 * @param atA a value of it other than its rest
 * @param b id of the other dial
 * @param atB a value of it other than its rest
 * @param offsets part id to what is added in full
 */
public record Corrective(String a, double atA, String b, double atB, Map<String, Offset> offsets) {
    public Corrective {
        Numbers.finite("corner", atA + atB);
        if (a.equals(b)) {
            throw new IllegalArgumentException("a corner lies between two dials, not one");
        }
        offsets = Collections.unmodifiableMap(new TreeMap<>(offsets));
    }

    public Corrective with(String part, Offset offset) {
        Map<String, Offset> more = new TreeMap<>(offsets);
        more.put(part, offset);
        return new Corrective(a, atA, b, atB, more);
    }

    public Corrective withOffsets(Map<String, Offset> newOffsets) {
        return new Corrective(a, atA, b, atB, newOffsets);
    }

    public Corrective without(String part) {
        Map<String, Offset> left = new TreeMap<>(offsets);
        left.remove(part);
        return new Corrective(a, atA, b, atB, left);
    }

    /** Whether it stands at these values of these dials, whichever is named first. */
    public boolean at(String oneDial, double one, String otherDial, double other) {
        return a.equals(oneDial) && atA == one && b.equals(otherDial) && atB == other
                || a.equals(otherDial) && atA == other && b.equals(oneDial) && atB == one;
    }

    /** How much of it there is when its dials stand at {@code valueA} and {@code valueB}: 0 to 1. */
    public double weight(Dial dialA, double valueA, Dial dialB, double valueB) {
        return way(dialA, atA, valueA) * way(dialB, atB, valueB);
    }

    /** 0 at rest and on its other side, evenly to 1 at {@code full} and beyond. */
    private static double way(Dial d, double full, double value) {
        double all = full - d.rest();
        return all == 0 ? 0 : Math.max(0, Math.min(1, (value - d.rest()) / all));
    }
}
