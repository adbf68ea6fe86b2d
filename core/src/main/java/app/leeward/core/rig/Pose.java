package app.leeward.core.rig;

import app.leeward.core.art.Numbers;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is asked of a character at one moment. Dials not named rest; names that do not exist are ignored, so that a pose
 * outlives an edit that removed a dial.
 *
 * @param dials dial id to value, in the dial's unit
 * @param picks part id to the drawing picked by hand; gives way to a dial that decides
 * @param pins part id to the drawing pinned by hand; wins over everything
 * @param speech part id to the drawing the line being spoken asks for
 * @param looks look id to its strength: 0 for nothing of it, 1 for all of it
 * @param cues dial id to how far the cues at this moment take it from where it would be, in the dial's unit
 * @param earlier dial id to where it stood one, two, … frames earlier, for what follows it later; one that is left out has
 *     stood still
 * @param blends part id to where what it shows comes from, while it does
 */
public record Pose(
        Map<String, Double> dials,
        Map<String, String> picks,
        Map<String, String> pins,
        Map<String, String> speech,
        Map<String, Double> looks,
        Map<String, Double> cues,
        Map<String, List<Double>> earlier,
        Map<String, Blend> blends) {
    public static final Pose REST = new Pose(Map.of(), Map.of(), Map.of(), Map.of());

    public Pose {
        dials = Map.copyOf(dials);
        picks = Map.copyOf(picks);
        pins = Map.copyOf(pins);
        speech = Map.copyOf(speech);
        looks = Map.copyOf(looks);
        cues = Map.copyOf(cues);
        earlier = Map.copyOf(earlier);
        blends = Map.copyOf(blends);
        requireFinite("dial ", dials);
        requireFinite("look ", looks);
        requireFinite("cue on dial ", cues);
    }

    /** A pose is made for every frame: what is wrong is put into words only when something is. */
    private static void requireFinite(String what, Map<String, Double> numbers) {
        for (Map.Entry<String, Double> e : numbers.entrySet()) {
            if (!Double.isFinite(e.getValue())) {
                Numbers.finite(what + e.getKey(), e.getValue());
            }
        }
    }

    /** A pose without looks and cues. */
    public Pose(
            Map<String, Double> dials,
            Map<String, String> picks,
            Map<String, String> pins,
            Map<String, String> speech) {
        this(dials, picks, pins, speech, Map.of(), Map.of(), Map.of());
    }

    /** A pose in which no drawing is on its way from another. */
    public Pose(
            Map<String, Double> dials,
            Map<String, String> picks,
            Map<String, String> pins,
            Map<String, String> speech,
            Map<String, Double> looks,
            Map<String, Double> cues,
            Map<String, List<Double>> earlier) {
        this(dials, picks, pins, speech, looks, cues, earlier, Map.of());
    }

    public static Pose of(Map<String, Double> dials) {
        return new Pose(dials, Map.of(), Map.of(), Map.of());
    }

    public Pose withDial(String id, double value) {
        Map<String, Double> more = new HashMap<>(dials);
        more.put(id, value);
        return new Pose(more, picks, pins, speech, looks, cues, earlier, blends);
    }

    public Pose saying(String part, String drawing) {
        return new Pose(dials, picks, pins, Map.of(part, drawing), looks, cues, earlier, blends);
    }

    public Pose withPicks(Map<String, String> morePicks) {
        if (morePicks.isEmpty()) {
            return this;
        }
        Map<String, String> all = new HashMap<>(picks);
        all.putAll(morePicks);
        return new Pose(dials, all, pins, speech, looks, cues, earlier, blends);
    }

    public Pose withPins(Map<String, String> morePins) {
        Map<String, String> all = new HashMap<>(pins);
        all.putAll(morePins);
        return new Pose(dials, picks, all, speech, looks, cues, earlier, blends);
    }

    /** With these looks alone. */
    public Pose withLooks(Map<String, Double> newLooks) {
        return new Pose(dials, picks, pins, speech, newLooks, cues, earlier, blends);
    }

    public Pose withCues(Map<String, Double> newCues) {
        return new Pose(dials, picks, pins, speech, looks, newCues, earlier, blends);
    }

    public Pose withEarlier(Map<String, List<Double>> newEarlier) {
        return new Pose(dials, picks, pins, speech, looks, cues, newEarlier, blends);
    }

    public Pose withBlends(Map<String, Blend> newBlends) {
        return newBlends.isEmpty() && blends.isEmpty()
                ? this
                : new Pose(dials, picks, pins, speech, looks, cues, earlier, newBlends);
    }
}
