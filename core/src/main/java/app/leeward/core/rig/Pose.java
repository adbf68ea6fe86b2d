package app.leeward.core.rig;

import java.util.HashMap;
import java.util.Map;

/**
 * What is asked of a character at one moment. Dials not named rest; names that do not exist are ignored, so that a pose
 * outlives an edit that removed a dial.
 *
 * @param dials dial id to value, in the dial's unit
 * @param picks part id to the drawing picked by hand; gives way to a dial that decides
 * @param pins part id to the drawing pinned by hand; wins over everything
 * @param speech part id to the drawing the line being spoken asks for
 */
public record Pose(
        Map<String, Double> dials, Map<String, String> picks, Map<String, String> pins, Map<String, String> speech) {
    public static final Pose REST = new Pose(Map.of(), Map.of(), Map.of(), Map.of());

    public Pose {
        dials = Map.copyOf(dials);
        picks = Map.copyOf(picks);
        pins = Map.copyOf(pins);
        speech = Map.copyOf(speech);
        dials.forEach((dial, value) -> app.leeward.core.art.Numbers.finite("dial " + dial, value));
    }

    public static Pose of(Map<String, Double> dials) {
        return new Pose(dials, Map.of(), Map.of(), Map.of());
    }

    public Pose withDial(String id, double value) {
        Map<String, Double> more = new HashMap<>(dials);
        more.put(id, value);
        return new Pose(more, picks, pins, speech);
    }

    public Pose saying(String part, String drawing) {
        return new Pose(dials, picks, pins, Map.of(part, drawing));
    }

    public Pose withPins(Map<String, String> morePins) {
        Map<String, String> all = new HashMap<>(pins);
        all.putAll(morePins);
        return new Pose(dials, picks, all, speech);
    }
}
