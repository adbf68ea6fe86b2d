package app.leeward.core.look;

import static java.util.Map.entry;

import app.leeward.core.dial.Bands;
import app.leeward.core.dial.Dial;
import app.leeward.core.dial.Offset;
import app.leeward.core.dial.PointDeltas;
import app.leeward.core.dial.Purpose;
import app.leeward.core.dial.Stop;
import app.leeward.core.eye.ReadyMade;
import app.leeward.core.rig.Character;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Facial action units as the Facial Action Coding System numbers them (Ekman & Friesen; numbers from memory), each a mix of
 * ready-made movements. How strong each movement goes into it is common practice, no source.
 */
public enum ActionUnit {
    AU1(1, "inner brow up", entry(ReadyMade.BROW_INNER, 1.0), entry(ReadyMade.BROW_TILT, 1.0)),
    AU2(2, "outer brow up", entry(ReadyMade.BROW_OUTER, 1.0), entry(ReadyMade.BROW_RAISE, 0.35)),
    AU4(
            4,
            "brows down",
            entry(ReadyMade.BROW_INNER, -0.5),
            entry(ReadyMade.BROW_RAISE, -0.6),
            entry(ReadyMade.BROW_TILT, -0.55),
            entry(ReadyMade.BROW_TOGETHER, 0.9)),
    AU5(5, "upper lid up", entry(ReadyMade.SQUINT, -0.9)),
    AU6(6, "cheek up", entry(ReadyMade.CHEEKS, 1.0), entry(ReadyMade.LOWER_LIDS, 0.5)),
    AU7(7, "lids tight", entry(ReadyMade.UPPER_LIDS, 0.2), entry(ReadyMade.LOWER_LIDS, 0.4)),
    AU9(9, "nose wrinkle", entry(ReadyMade.NOSE, 1.0), entry(ReadyMade.BROW_INNER, -0.35)),
    AU12(12, "lip corners up", entry(ReadyMade.MOUTH_CORNERS, 1.0), entry(ReadyMade.MOUTH_WIDTH, 0.5)),
    AU15(15, "lip corners down", entry(ReadyMade.MOUTH_CORNERS, -1.0)),
    AU16(16, "lower lip down", entry(ReadyMade.LOWER_LIP, 1.0)),
    AU20(20, "lips stretched", entry(ReadyMade.MOUTH_WIDTH, 1.0)),
    AU23(23, "lips tight", entry(ReadyMade.LIPS_TIGHT, 1.0)),
    AU26(26, "jaw drop", entry(ReadyMade.JAW, 1.0));

    private final int number;
    private final String words;
    private final List<Map.Entry<ReadyMade, Double>> mix;

    @SafeVarargs
    ActionUnit(int number, String words, Map.Entry<ReadyMade, Double>... mix) {
        this.number = number;
        this.words = words;
        this.mix = List.of(mix);
    }

    public int number() {
        return number;
    }

    /** What moves, in words. */
    public String words() {
        return words;
    }

    /** The id of its dial. */
    public String id() {
        return "au-" + number;
    }

    /** Pieces it would move but which the character does not have. */
    public List<String> lacks(Character c) {
        return mix.stream()
                .map(Map.Entry::getKey)
                .filter(r -> r.addTo(c).isEmpty())
                .map(ReadyMade::needs)
                .distinct()
                .toList();
    }

    /** Its dial, 0 to 1, for a character as it stands; empty when there is no piece for it to move. */
    public Optional<Dial> dial(Character c) {
        Map<String, Offset> all = new TreeMap<>();
        Map<String, List<PointDeltas>> outlines = new TreeMap<>();
        List<Bands> bands = new ArrayList<>();
        for (Map.Entry<ReadyMade, Double> one : mix) {
            one.getKey().offsets(c, one.getValue()).forEach((part, o) -> all.merge(part, o, Offset::and));
            one.getKey()
                    .outlines(c, one.getValue())
                    .forEach((part, more) -> outlines.merge(part, more, PointDeltas::both));
            // a lid half shut by a drawing of its own would jump; only the jaw has drawings to exchange
            if (one.getKey() == ReadyMade.JAW) {
                bands.addAll(one.getKey().bands(c));
            }
        }
        if (all.isEmpty() && outlines.isEmpty() && bands.isEmpty()) {
            return Optional.empty();
        }
        String name = "AU " + number + " " + words;
        return Optional.of(new Dial(
                id(), name, Purpose.ACTION_UNIT, 0, 1, 0, "", List.of(new Stop(1, all).withReshapes(outlines)), bands));
    }
}
