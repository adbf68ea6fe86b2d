package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
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
        Tracks held = Tracks.EMPTY;
        for (Track track : of) {
            held = copied(Lane.of(track), tracks, held, from, to);
        }
        return new Strip(to - from, of, held);
    }

    private static <T> Tracks copied(Lane<T> lane, Tracks tracks, Tracks into, int from, int to) {
        List<T> items = new ArrayList<>();
        for (T item : lane.on(tracks)) {
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
        return lane.with(into, items);
    }

    static Tracks clear(Tracks tracks, List<Track> of, int from, int to) {
        require(of, from, to);
        for (Track track : of) {
            tracks = cleared(Lane.of(track), tracks, from, to);
        }
        return tracks;
    }

    private static <T> Tracks cleared(Lane<T> lane, Tracks tracks, int from, int to) {
        List<T> items = new ArrayList<>();
        for (T item : lane.on(tracks)) {
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
        return lane.with(tracks, items);
    }

    /** Puts a strip in, in place of what its tracks hold there. */
    static Tracks paste(Tracks tracks, Strip strip, int at) {
        require(strip.of(), at, at + strip.frames());
        Tracks room = clear(tracks, strip.of(), at, at + strip.frames());
        for (Track track : strip.of()) {
            room = pasted(Lane.of(track), room, strip.tracks(), at);
        }
        return room;
    }

    private static <T> Tracks pasted(Lane<T> lane, Tracks tracks, Tracks from, int at) {
        List<T> added = lane.on(from).stream()
                .map(item -> lane.over(item, lane.from(item) + at, lane.to(item) + at))
                .toList();
        List<T> items = new ArrayList<>(lane.besides(lane.on(tracks), added));
        items.addAll(added);
        return lane.with(tracks, items);
    }

    /** Makes room: what begins at the frame or behind it moves on, and what lasts across it lasts longer. */
    static Tracks insert(Tracks tracks, List<Track> of, int at, int count) {
        require(of, at, at + count);
        for (Track track : of) {
            tracks = inserted(Lane.of(track), tracks, at, count);
        }
        return tracks;
    }

    private static <T> Tracks inserted(Lane<T> lane, Tracks tracks, int at, int count) {
        List<T> items = lane.on(tracks).stream()
                .map(item -> {
                    int from = lane.from(item);
                    int to = lane.to(item);
                    return from >= at
                            ? lane.over(item, from + count, to + count)
                            : to > at && to > from + 1 ? lane.lasting(item, from, to + count) : item;
                })
                .toList();
        return lane.with(tracks, items);
    }

    /** Takes frames out: what begins in them goes, what lasts across them gets shorter, what is behind comes forward. */
    static Tracks takeOut(Tracks tracks, List<Track> of, int from, int to) {
        require(of, from, to);
        for (Track track : of) {
            tracks = takenOut(Lane.of(track), tracks, from, to);
        }
        return tracks;
    }

    private static <T> Tracks takenOut(Lane<T> lane, Tracks tracks, int from, int to) {
        int count = to - from;
        List<T> kept = new ArrayList<>();
        List<T> moved = new ArrayList<>();
        for (T item : lane.on(tracks)) {
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
        return lane.with(tracks, all);
    }

    static Tracks move(Tracks tracks, List<Track> of, int from, int to, int by) {
        return paste(clear(tracks, of, from, to), copy(tracks, of, from, to), from + by);
    }

    /** Draws a stretch out or together. What it grows over gives way; what is behind it stays. */
    static Tracks stretch(Tracks tracks, List<Track> of, int from, int to, int length) {
        require(of, from, from + length);
        Strip strip = copy(tracks, of, from, to);
        Tracks room = clear(tracks, of, from, to);
        Tracks longer = Tracks.EMPTY;
        for (Track track : of) {
            double times = (double) length / (to - from);
            longer = retimed(Lane.of(track), strip.tracks(), longer, f -> (int) Math.round(f * times));
        }
        return paste(room, new Strip(length, of, longer), from);
    }

    /**
     * Tracks whose frames go elsewhere, all of them.
     *
     * @param moved where each frame goes; never back behind where an earlier one goes
     */
    static Tracks retimed(Tracks tracks, IntUnaryOperator moved) {
        Tracks out = Tracks.EMPTY;
        for (Track track : Track.on(tracks)) {
            out = retimed(Lane.of(track), tracks, out, moved);
        }
        return out;
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

    private static <T> Tracks retimed(Lane<T> lane, Tracks tracks, Tracks into, IntUnaryOperator moved) {
        List<T> items = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        List<T> all = lane.on(tracks);
        // of two alike that come to begin on one frame the later stays
        for (int i = all.size() - 1; i >= 0; i--) {
            T item = all.get(i);
            int from = moved.applyAsInt(lane.from(item));
            int to = Math.max(from + 1, moved.applyAsInt(lane.to(item)));
            if (taken.add(from + " " + lane.name(item))) {
                T there = lane.over(item, from, to);
                items = new ArrayList<>(lane.besides(items, List.of(there)));
                items.add(there);
            }
        }
        return lane.with(into, items);
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
