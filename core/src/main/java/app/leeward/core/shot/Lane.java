package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.CuePlacement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * How one track is cut up and put together again: what lies on it, from where to where, and what of it can be parted.
 *
 * @param <T> what lies on it
 */
abstract class Lane<T> {
    /** Whether a piece of something is still something: a drawing can be held for less, half a blink is none. */
    final boolean parts;

    Lane(boolean parts) {
        this.parts = parts;
    }

    abstract List<T> on(Tracks tracks);

    /** @param items in any order, none overlapping */
    abstract Tracks with(Tracks tracks, List<T> items);

    abstract int from(T item);

    /** The first frame behind it; what counts only where it begins lasts one frame. */
    abstract int to(T item);

    /** The same somewhere else, and as long as it is asked to be where it can be. */
    abstract T over(T item, int from, int to);

    /** The same with frames put in or taken out in its middle: as fast as it was where it moves, longer or shorter where it stays. */
    T lasting(T item, int from, int to) {
        return over(item, from, to);
    }

    /** The same as the hand's own. */
    T byHand(T item) {
        return item;
    }

    /** What of it there can be only one of that begins on a frame: of most lanes anything, of the others each look, cue, run, … by itself. */
    String name(T item) {
        return "";
    }

    /** Whether two that begin on frames of their own can be in each other's way. */
    boolean overlaps() {
        return false;
    }

    /** What is left of these where others are added: what would be overlapped has to go. */
    List<T> besides(List<T> items, List<T> added) {
        return items;
    }

    static Lane<?> of(Track track) {
        return switch (track.sort()) {
            case DIAL -> new Keys(track.of());
            case DRAWINGS -> new Cards(track.of());
            case MOUTHS -> new Mouths();
            case BLINKS -> new Blinks();
            case LOOKS -> new Looks();
            case CUES -> new Cues();
            case RUNS -> new Gestures();
            case NOTES -> new Notes();
            case MOODS -> new MoodLane();
            case TIMINGS -> new TimingLane();
            case KITS -> new KitLane();
        };
    }

    /** Tracks in which what can be one is one. */
    static Tracks joined(Track track, Tracks tracks) {
        return again(of(track), tracks);
    }

    private static <T> Tracks again(Lane<T> lane, Tracks tracks) {
        return lane.with(tracks, lane.on(tracks));
    }

    static final class Keys extends Lane<DialKey> {
        private final String dial;

        Keys(String dial) {
            super(false);
            this.dial = dial;
        }

        @Override
        List<DialKey> on(Tracks tracks) {
            return tracks.dials().getOrDefault(dial, List.of());
        }

        @Override
        Tracks with(Tracks tracks, List<DialKey> items) {
            return tracks.withKeys(dial, items);
        }

        @Override
        int from(DialKey item) {
            return item.frame();
        }

        @Override
        int to(DialKey item) {
            return item.frame() + 1;
        }

        @Override
        DialKey over(DialKey item, int from, int to) {
            return item.at(from);
        }

        @Override
        DialKey byHand(DialKey item) {
            return item.byHand();
        }

        /** Two keys that come to lie on one frame: the later one stays. */
        @Override
        List<DialKey> besides(List<DialKey> items, List<DialKey> added) {
            Set<Integer> taken = new HashSet<>();
            added.forEach(k -> taken.add(k.frame()));
            return items.stream().filter(k -> !taken.contains(k.frame())).toList();
        }
    }

    private abstract static class Held extends JoiningLane<HeldDrawing> {
        @Override
        int from(HeldDrawing item) {
            return item.from();
        }

        @Override
        int to(HeldDrawing item) {
            return item.to();
        }

        @Override
        HeldDrawing over(HeldDrawing item, int from, int to) {
            return new HeldDrawing(from, to, item.drawing(), item.in());
        }
    }

    private static final class Cards extends Held {
        private final String part;

        Cards(String part) {
            this.part = part;
        }

        @Override
        List<HeldDrawing> on(Tracks tracks) {
            return tracks.drawings().getOrDefault(part, List.of());
        }

        @Override
        Tracks with(Tracks tracks, List<HeldDrawing> items) {
            return tracks.withDrawings(part, joined(items));
        }
    }

    /** Pins, each stretch of one mouth as one. */
    private static final class Mouths extends Held {
        @Override
        List<HeldDrawing> on(Tracks tracks) {
            List<HeldDrawing> all = new ArrayList<>();
            tracks.pins().forEach((frame, drawing) -> {
                HeldDrawing last = all.isEmpty() ? null : all.get(all.size() - 1);
                int in = tracks.pinsOver().getOrDefault(frame, 0);
                if (in == 0
                        && last != null
                        && last.to() == frame
                        && last.drawing().equals(drawing)) {
                    all.set(all.size() - 1, over(last, last.from(), frame + 1));
                } else {
                    all.add(new HeldDrawing(frame, frame + 1, drawing, in));
                }
            });
            return all;
        }

        @Override
        Tracks with(Tracks tracks, List<HeldDrawing> items) {
            Map<Integer, String> pins = new TreeMap<>();
            Map<Integer, Integer> over = new TreeMap<>();
            for (HeldDrawing h : joined(items)) {
                over.put(h.from(), h.in());
                for (int f = h.from(); f < h.to(); f++) {
                    pins.put(f, h.drawing());
                }
            }
            return tracks.withPins(pins).withPinsOver(over);
        }
    }

    private static final class Blinks extends Lane<Blink> {
        Blinks() {
            super(false);
        }

        @Override
        List<Blink> on(Tracks tracks) {
            return tracks.blinks();
        }

        @Override
        Tracks with(Tracks tracks, List<Blink> items) {
            return tracks.withBlinks(items);
        }

        @Override
        int from(Blink item) {
            return item.frame();
        }

        @Override
        int to(Blink item) {
            return item.frame() + 1;
        }

        /** Eyes blink as fast as they do, however a stretch is drawn out. */
        @Override
        Blink over(Blink item, int from, int to) {
            return new Blink(from, item.down(), item.hold(), item.up(), item.laid());
        }

        @Override
        Blink byHand(Blink item) {
            return new Blink(item.frame(), item.down(), item.hold(), item.up());
        }

        @Override
        boolean overlaps() {
            return true;
        }

        @Override
        List<Blink> besides(List<Blink> items, List<Blink> added) {
            return items.stream()
                    .filter(b -> added.stream().noneMatch(a -> a.frame() < b.end() && b.frame() < a.end()))
                    .toList();
        }
    }

    private static final class Looks extends Lane<LookSpan> {
        Looks() {
            super(false);
        }

        @Override
        List<LookSpan> on(Tracks tracks) {
            return tracks.looks();
        }

        @Override
        Tracks with(Tracks tracks, List<LookSpan> items) {
            return tracks.withLooks(items);
        }

        @Override
        String name(LookSpan item) {
            return item.look();
        }

        @Override
        int from(LookSpan item) {
            return item.from();
        }

        @Override
        int to(LookSpan item) {
            return item.to();
        }

        @Override
        LookSpan over(LookSpan item, int from, int to) {
            return item.over(from, to);
        }

        @Override
        LookSpan lasting(LookSpan item, int from, int to) {
            return new LookSpan(from, to, item.look(), item.in(), item.out(), item.strength(), item.laid());
        }

        @Override
        LookSpan byHand(LookSpan item) {
            return new LookSpan(item.from(), item.to(), item.look(), item.in(), item.out(), item.strength());
        }
    }

    private static final class Cues extends Lane<CuePlacement> {
        Cues() {
            super(false);
        }

        @Override
        List<CuePlacement> on(Tracks tracks) {
            return tracks.cues();
        }

        @Override
        Tracks with(Tracks tracks, List<CuePlacement> items) {
            return tracks.withCues(items);
        }

        @Override
        String name(CuePlacement item) {
            return item.cue();
        }

        @Override
        int from(CuePlacement item) {
            return item.frame();
        }

        /** Its length is known only where it was stretched. */
        @Override
        int to(CuePlacement item) {
            return item.frame() + Math.max(1, item.frames() * item.times());
        }

        @Override
        CuePlacement over(CuePlacement item, int from, int to) {
            int frames = item.frames() == 0 ? 0 : Math.max(1, Math.round((float) (to - from) / item.times()));
            return item.at(from, frames);
        }

        @Override
        CuePlacement lasting(CuePlacement item, int from, int to) {
            return item;
        }

        @Override
        List<CuePlacement> besides(List<CuePlacement> items, List<CuePlacement> added) {
            return items.stream()
                    .filter(c -> added.stream()
                            .noneMatch(a -> a.frame() == c.frame() && a.cue().equals(c.cue())))
                    .toList();
        }
    }

    private static final class Gestures extends Lane<Gesture> {
        Gestures() {
            super(false);
        }

        @Override
        List<Gesture> on(Tracks tracks) {
            return tracks.gestures();
        }

        @Override
        Tracks with(Tracks tracks, List<Gesture> items) {
            return tracks.withGestures(items);
        }

        @Override
        String name(Gesture item) {
            return item.run();
        }

        @Override
        int from(Gesture item) {
            return item.from();
        }

        @Override
        int to(Gesture item) {
            return item.to();
        }

        @Override
        Gesture over(Gesture item, int from, int to) {
            return new Gesture(from, to, item.run());
        }
    }

    private static final class Notes extends Lane<ShotNote> {
        Notes() {
            super(false);
        }

        @Override
        List<ShotNote> on(Tracks tracks) {
            return tracks.notes();
        }

        @Override
        Tracks with(Tracks tracks, List<ShotNote> items) {
            return tracks.withNotes(items);
        }

        @Override
        String name(ShotNote item) {
            return item.text();
        }

        @Override
        int from(ShotNote item) {
            return item.from();
        }

        @Override
        int to(ShotNote item) {
            return item.to();
        }

        @Override
        ShotNote over(ShotNote item, int from, int to) {
            return new ShotNote(from, to, item.text(), item.author());
        }
    }
}
