package app.leeward.core.shot;

import app.leeward.core.cue.Cue;
import app.leeward.core.cue.Key;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A cue of one's own, made of what dials do over a stretch of a shot. It adds to wherever a dial is, so it begins with nothing: the
 * stretch's first frame is where it counts from.
 */
public final class KeptCue {
    private KeptCue() {}

    /**
     * @param tracks those of dials are kept; what lies on others is no part of a cue
     * @param to the first frame behind the stretch
     * @throws Refusal when none of the dials moves in it, or it is longer than a cue can be
     */
    public static Cue of(Shot shot, List<Track> tracks, int from, int to, String id, String name) {
        if (from < 0 || to <= from || to - from > Cue.LONGEST) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "A cue lasts 1 to " + Cue.LONGEST + " frames, not " + (to - from) + ". Choose fewer.");
        }
        Map<String, List<Key>> kept = new LinkedHashMap<>();
        for (Track t : tracks) {
            List<DialKey> keys = shot.tracks().dials().getOrDefault(t.of(), List.of());
            if (t.sort() == Track.Sort.DIAL && !keys.isEmpty()) {
                List<Key> moves = moves(new KeyedDial(keys), from, to);
                if (moves.stream().anyMatch(k -> k.by() != 0)) {
                    kept.put(t.of(), moves);
                }
            }
        }
        if (kept.isEmpty()) {
            throw new Refusal(
                    RefusalCode.NO_CHANGE,
                    "No dial moves in frames " + (from + 1) + " to " + to + ", so there is nothing to keep as a cue.");
        }
        return new Cue(id, name, kept);
    }

    /** A key where the dial bends: cues go evenly from key to key, so what lies on a straight way between two needs none. */
    private static List<Key> moves(KeyedDial dial, int from, int to) {
        List<Key> keys = new ArrayList<>();
        double base = dial.at(from);
        for (int f = from; f < to; f++) {
            double value = dial.at(f);
            boolean end = f == from || f == to - 1;
            if (end || Math.abs(dial.at(f + 1) - 2 * value + dial.at(f - 1)) > 1e-9) {
                keys.add(new Key(f - from, value - base));
            }
        }
        return keys;
    }
}
