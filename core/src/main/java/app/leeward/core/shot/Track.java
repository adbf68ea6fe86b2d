package app.leeward.core.shot;

import java.util.ArrayList;
import java.util.List;

/**
 * Which track of a shot is meant.
 *
 * @param of id of the dial or the part; empty for the other ones, of which there is one each
 */
public record Track(Sort sort, String of) {
    /** What a track holds. */
    public enum Sort {
        DIAL,
        DRAWINGS,
        MOUTHS,
        BLINKS,
        LOOKS,
        CUES,
        RUNS,
        NOTES,
        /** Which row of mouths is said with. */
        MOODS,
        /** How far mouths run ahead of the sound, and how long they are held. */
        TIMINGS,
        /** What is worn. */
        KITS
    }

    public Track {
        of = of == null ? "" : of;
        if (sort == null) {
            throw new IllegalArgumentException("A track is a dial's, a part's, or one of the others.");
        }
        if ((sort == Sort.DIAL || sort == Sort.DRAWINGS) == of.isEmpty()) {
            throw new IllegalArgumentException(
                    of.isEmpty()
                            ? "A track of a dial or a part says whose it is."
                            : "Only dials and parts have tracks each, not '" + of + "'.");
        }
    }

    public static Track dial(String id) {
        return new Track(Sort.DIAL, id);
    }

    public static Track drawings(String part) {
        return new Track(Sort.DRAWINGS, part);
    }

    public static Track of(Sort sort) {
        return new Track(sort, "");
    }

    /** Every track there can be something on. */
    static List<Track> on(Tracks tracks) {
        List<Track> all = new ArrayList<>();
        tracks.dials().keySet().forEach(d -> all.add(dial(d)));
        tracks.drawings().keySet().forEach(p -> all.add(drawings(p)));
        for (Sort sort : Sort.values()) {
            if (sort != Sort.DIAL && sort != Sort.DRAWINGS) {
                all.add(of(sort));
            }
        }
        return all;
    }
}
