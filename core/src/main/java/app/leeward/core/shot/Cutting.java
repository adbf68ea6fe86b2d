package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntUnaryOperator;

/**
 * Cutting up tracks and putting them together again. A stretch is from its first frame to the first one behind it. A drawing that
 * lies across an edge is parted there; what cannot be parted belongs to the stretch that it begins in. What is copied or moved is the
 * hand's own from then on, whoever laid it.
 */
final class Cutting {
    /** Frames no shot comes near; a stretch beyond them is a slip of the hand. */
    static final int FURTHEST = 2 * Shot.LONGEST;

    private Cutting() {}

    static Strip copy(Tracks tracks, List<Track> of, int from, int to) {
        require(of, from, to);
        Tracks held = on(of, Tracks.EMPTY, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                return copied(lane, lane.on(tracks), from, to);
            }
        });
        return new Strip(to - from, of, held);
    }

    /** What one track holds afterwards. */
    private interface Cut {
        <T> List<T> of(Lane<T> lane);
    }

    /** Cuts some tracks. What the keys of many dials become is put in at once: a shot may have a thousand on each of sixty. */
    private static Tracks on(List<Track> of, Tracks into, Cut cut) {
        Map<String, List<DialKey>> keys = new HashMap<>(into.dials());
        for (Track track : of) {
            if (track.sort() == Track.Sort.DIAL) {
                List<DialKey> before = into.dials().getOrDefault(track.of(), List.of());
                List<DialKey> after = cut.of(new Lane.Keys(track.of()));
                // what was not cut stays the very same, so that nobody looks at it again
                keys.put(track.of(), alike(before, after) ? before : after);
            } else {
                into = with(Lane.of(track), into, cut);
            }
        }
        return into.withDials(keys);
    }

    private static boolean alike(List<DialKey> before, List<DialKey> after) {
        if (before.size() != after.size()) {
            return false;
        }
        for (int i = 0; i < before.size(); i++) {
            if (before.get(i) != after.get(i)) {
                return false;
            }
        }
        return true;
    }

    private static <T> Tracks with(Lane<T> lane, Tracks into, Cut cut) {
        return lane.with(into, cut.of(lane));
    }

    private static <T> List<T> copied(Lane<T> lane, List<T> on, int from, int to) {
        List<T> items = new ArrayList<>();
        for (T item : on) {
            if (lane.parts) {
                int first = Math.max(from, lane.from(item));
                int end = Math.min(to, lane.to(item));
                if (first < end) {
                    items.add(lane.over(item, first - from, end - from));
                }
            } else if (lane.from(item) >= from && lane.from(item) < to) {
                items.add(lane.byHand(lane.over(item, lane.from(item) - from, lane.to(item) - from)));
            }
        }
        return items;
    }

    static Tracks clear(Tracks tracks, List<Track> of, int from, int to) {
        require(of, from, to);
        return on(of, tracks, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                return cleared(lane, lane.on(tracks), from, to);
            }
        });
    }

    private static <T> List<T> cleared(Lane<T> lane, List<T> on, int from, int to) {
        List<T> items = new ArrayList<>();
        for (T item : on) {
            int first = lane.from(item);
            int end = lane.to(item);
            if (!lane.parts) {
                if (first < from || first >= to) {
                    items.add(item);
                }
                continue;
            }
            if (end <= from || first >= to) {
                items.add(item);
                continue;
            }
            if (first < from) {
                items.add(lane.over(item, first, from));
            }
            if (end > to) {
                items.add(lane.over(item, to, end));
            }
        }
        return items;
    }

    /** Puts a strip in, in place of what its tracks hold there. */
    static Tracks paste(Tracks tracks, Strip strip, int at) {
        require(strip.of(), at, at + strip.frames());
        Tracks room = clear(tracks, strip.of(), at, at + strip.frames());
        return on(strip.of(), room, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                List<T> added = new ArrayList<>();
                for (T item : lane.on(strip.tracks())) {
                    added.add(lane.over(item, lane.from(item) + at, lane.to(item) + at));
                }
                List<T> items = new ArrayList<>(lane.besides(lane.on(room), added));
                items.addAll(added);
                return items;
            }
        });
    }

    /** Makes room: what begins at the frame or behind it moves on, and what lasts across it lasts longer. */
    static Tracks insert(Tracks tracks, List<Track> of, int at, int count) {
        require(of, at, at + count);
        return on(of, tracks, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                return inserted(lane, lane.on(tracks), at, count);
            }
        });
    }

    private static <T> List<T> inserted(Lane<T> lane, List<T> on, int at, int count) {
        List<T> items = new ArrayList<>(on.size());
        for (T item : on) {
            int from = lane.from(item);
            int to = lane.to(item);
            if (from >= at) {
                items.add(lane.over(item, from + count, to + count));
            } else {
                items.add(to > at && to > from + 1 ? lane.lasting(item, from, to + count) : item);
            }
        }
        return items;
    }

    /** Takes frames out: what begins in them goes, what lasts across them gets shorter, what is behind comes forward. */
    static Tracks takeOut(Tracks tracks, List<Track> of, int from, int to) {
        require(of, from, to);
        return on(of, tracks, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                return takenOut(lane, lane.on(tracks), from, to);
            }
        });
    }

    private static <T> List<T> takenOut(Lane<T> lane, List<T> on, int from, int to) {
        int count = to - from;
        List<T> kept = new ArrayList<>();
        List<T> moved = new ArrayList<>();
        for (T item : on) {
            int first = lane.from(item);
            int end = lane.to(item);
            if (first >= to) {
                moved.add(lane.over(item, first - count, end - count));
            } else if (first >= from) {
                if (lane.parts && end > to) {
                    moved.add(lane.over(item, from, end - count));
                }
            } else if (end > from && end > first + 1) {
                kept.add(lane.lasting(item, first, Math.max(from, end - count)));
            } else {
                kept.add(item);
            }
        }
        // what was there before stays where what comes forward would run into it
        List<T> all = new ArrayList<>(kept);
        all.addAll(lane.besides(moved, kept));
        return all;
    }

    static Tracks move(Tracks tracks, List<Track> of, int from, int to, int by) {
        return paste(clear(tracks, of, from, to), copy(tracks, of, from, to), from + by);
    }

    /** Draws a stretch out or together. What it grows over gives way; what is behind it stays. */
    static Tracks stretch(Tracks tracks, List<Track> of, int from, int to, int length) {
        require(of, from, from + length);
        Strip strip = copy(tracks, of, from, to);
        Tracks room = clear(tracks, of, from, to);
        double times = (double) length / (to - from);
        Tracks longer = retimed(strip.tracks(), of, f -> (int) Math.round(f * times));
        return paste(room, new Strip(length, of, longer), from);
    }

    /**
     * Tracks whose frames go elsewhere, all of them.
     *
     * @param moved where each frame goes; never back behind where an earlier one goes
     */
    static Tracks retimed(Tracks tracks, IntUnaryOperator moved) {
        return retimed(tracks, Track.on(tracks), moved);
    }

    private static Tracks retimed(Tracks tracks, List<Track> of, IntUnaryOperator moved) {
        return on(of, Tracks.EMPTY, new Cut() {
            @Override
            public <T> List<T> of(Lane<T> lane) {
                return retimed(lane, lane.on(tracks), moved);
            }
        });
    }

    /**
     * Tracks at another frame rate, everything at its time; blinks, which keep their frames when they are cut, keep their time too. Of
     * two things that come to lie on one frame the later stays, of two blinks that would run into each other the earlier.
     */
    static Tracks atRate(Tracks tracks, double times) {
        List<Blink> blinks = new ArrayList<>();
        for (Blink b : tracks.blinks()) {
            Blink there = new Blink(
                    (int) Math.round(b.frame() * times),
                    lasting(1, b.down() * times),
                    lasting(0, b.hold() * times),
                    lasting(1, b.up() * times),
                    b.laid());
            if (blinks.isEmpty() || blinks.get(blinks.size() - 1).end() <= there.frame()) {
                blinks.add(there);
            }
        }
        return retimed(tracks.withBlinks(List.of()), f -> (int) Math.round(f * times))
                .withBlinks(blinks);
    }

    private static int lasting(int least, double frames) {
        return (int) Math.max(least, Math.min(Blink.LONGEST, Math.round(frames)));
    }

    private static <T> List<T> retimed(Lane<T> lane, List<T> all, IntUnaryOperator moved) {
        List<T> items = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        // of two alike that come to begin on one frame the later stays
        for (int i = all.size() - 1; i >= 0; i--) {
            T item = all.get(i);
            int from = moved.applyAsInt(lane.from(item));
            int to = Math.max(from + 1, moved.applyAsInt(lane.to(item)));
            if (taken.add(from + " " + lane.name(item))) {
                T there = lane.over(item, from, to);
                if (lane.overlaps()) {
                    items = new ArrayList<>(lane.besides(items, List.of(there)));
                }
                items.add(there);
            }
        }
        return items;
    }

    private static void require(List<Track> of, int from, int to) {
        if (of.isEmpty()) {
            throw new Refusal(RefusalCode.NO_CHANGE, "No track is chosen.");
        }
        if (new HashSet<>(of).size() < of.size()) {
            throw new Refusal(RefusalCode.NO_CHANGE, "A track is named twice.");
        }
        if (from < 0 || to <= from || to > FURTHEST) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "Frames " + from + " to " + to + " are no stretch of a shot, which begins at 0 and lasts "
                            + FURTHEST + " frames at the most.");
        }
    }
}
