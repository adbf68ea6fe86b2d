package app.leeward.core.shot;

import app.leeward.core.cue.CuePlacement;
import app.leeward.core.cue.Laid;
import app.leeward.core.edit.Facet;
import app.leeward.core.edit.Touch;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What changes on the tracks of a shot. Frames in words are counted from 1, as the screen counts them; in values from 0. A stretch is
 * from its first frame to the first one behind it.
 */
public sealed interface ActingEdit extends ShotEdit {
    /** Puts keys on dials, in place of those on the same frames. They are the hand's own, whatever they say. */
    record SetKeys(Map<String, List<DialKey>> keys) implements ActingEdit {
        public SetKeys {
            keys = new TreeMap<>(keys);
        }

        @Override
        public Shot apply(Shot shot) {
            if (keys.values().stream().allMatch(List::isEmpty)) {
                throw new Refusal(RefusalCode.NO_CHANGE, "No dial is given a key.");
            }
            Tracks tracks = shot.tracks();
            for (Map.Entry<String, List<DialKey>> e : keys.entrySet()) {
                Map<Integer, DialKey> all = new TreeMap<>();
                tracks.dials().getOrDefault(e.getKey(), List.of()).forEach(k -> all.put(k.frame(), k));
                for (DialKey k : e.getValue()) {
                    requireWithin(shot, k.frame());
                    all.put(k.frame(), k.byHand());
                }
                tracks = tracks.withKeys(e.getKey(), List.copyOf(all.values()));
            }
            return shot.withTracks(tracks);
        }

        @Override
        public Set<Touch> touches() {
            return touched(keys.keySet().stream().map(Track::dial).toList());
        }

        @Override
        public String describe() {
            List<Integer> frames = keys.values().stream()
                    .flatMap(List::stream)
                    .map(k -> k.frame() + 1)
                    .distinct()
                    .sorted()
                    .toList();
            return "Keyed " + String.join(", ", keys.keySet()) + " at "
                    + (frames.size() == 1
                            ? "frame " + frames.get(0)
                            : frames.size() + " frames from " + frames.get(0) + " on");
        }
    }

    /** Takes everything out of a stretch of some tracks. */
    record ClearFrames(List<Track> tracks, int from, int to) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(Cutting.clear(shot.tracks(), tracks, from, to));
        }

        @Override
        public Set<Touch> touches() {
            return touched(tracks);
        }

        @Override
        public String describe() {
            return "Took out what " + on(tracks, from, to);
        }
    }

    /** Moves a stretch of some tracks along; it takes the place of what is there. */
    record MoveFrames(List<Track> tracks, int from, int to, int by) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(Cutting.move(shot.tracks(), tracks, from, to, by));
        }

        @Override
        public Set<Touch> touches() {
            return touched(tracks);
        }

        @Override
        public String describe() {
            return "Moved what " + on(tracks, from, to) + " by " + by + (Math.abs(by) == 1 ? " frame" : " frames");
        }
    }

    /**
     * Puts a strip in at a frame, in place of what its tracks hold there.
     *
     * @param times how often, one behind the other
     */
    record PasteFrames(int at, Strip strip, int times) implements ActingEdit {
        private static final int MOST_TIMES = 500;

        @Override
        public Shot apply(Shot shot) {
            if (times < 1 || times > MOST_TIMES) {
                throw new Refusal(
                        RefusalCode.BEYOND_SHOT,
                        "A stretch is put in 1 to " + MOST_TIMES + " times, not " + times + ".");
            }
            requireWithin(shot, at);
            Tracks tracks = shot.tracks();
            for (int i = 0; i < times; i++) {
                tracks = Cutting.paste(tracks, strip, at + i * strip.frames());
            }
            return shot.withTracks(tracks);
        }

        @Override
        public Set<Touch> touches() {
            return touched(strip.of());
        }

        @Override
        public String describe() {
            return "Put " + strip.frames() + (strip.frames() == 1 ? " frame" : " frames") + " in at frame " + (at + 1)
                    + (times == 1 ? "" : ", " + times + " times");
        }
    }

    /** Makes room on some tracks: what is at the frame and behind it moves on. */
    record InsertFrames(List<Track> tracks, int at, int count) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(Cutting.insert(shot.tracks(), tracks, at, count));
        }

        @Override
        public Set<Touch> touches() {
            return touched(tracks);
        }

        @Override
        public String describe() {
            return "Put " + count + (count == 1 ? " empty frame" : " empty frames") + " in at frame " + (at + 1)
                    + of(tracks);
        }
    }

    /** Takes a stretch out of some tracks: what is behind it comes forward. */
    record TakeOutFrames(List<Track> tracks, int from, int to) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(Cutting.takeOut(shot.tracks(), tracks, from, to));
        }

        @Override
        public Set<Touch> touches() {
            return touched(tracks);
        }

        @Override
        public String describe() {
            return "Took frames " + (from + 1) + " to " + to + " out" + of(tracks);
        }
    }

    /**
     * Draws a stretch of some tracks out or together; what it grows over gives way, what is behind it stays.
     *
     * @param length frames it takes afterwards
     */
    record StretchFrames(List<Track> tracks, int from, int to, int length) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            return shot.withTracks(Cutting.stretch(shot.tracks(), tracks, from, to, length));
        }

        @Override
        public Set<Touch> touches() {
            return touched(tracks);
        }

        @Override
        public String describe() {
            return "Drew what " + on(tracks, from, to) + (length > to - from ? " out to " : " together to ") + length
                    + " frames";
        }
    }

    /** Lets a part show a drawing for a stretch. */
    record HoldDrawing(String part, HeldDrawing held) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, held.from());
            List<Track> track = List.of(Track.drawings(part));
            Tracks room = Cutting.clear(shot.tracks(), track, held.from(), held.to());
            List<HeldDrawing> all = new ArrayList<>(room.drawings().getOrDefault(part, List.of()));
            all.add(held);
            return shot.withTracks(room.withDrawings(part, all));
        }

        @Override
        public Set<Touch> touches() {
            return touched(List.of(Track.drawings(part)));
        }

        @Override
        public String describe() {
            return "Held '" + held.drawing() + "' of " + part + " from frame " + (held.from() + 1) + " to " + held.to();
        }
    }

    /**
     * Lets a look come over the face for a stretch, in place of the same look that begins at another frame.
     *
     * @param was where it begins now; anything else adds it
     */
    record SetLook(int was, LookSpan span) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, span.from());
            List<LookSpan> all = new ArrayList<>(shot.tracks().looks());
            all.removeIf(l -> l.look().equals(span.look()) && (l.from() == was || l.from() == span.from()));
            // whoever sets it makes it their own
            all.add(new LookSpan(span.from(), span.to(), span.look(), span.in(), span.out(), span.strength()));
            return shot.withTracks(shot.tracks().withLooks(all));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LOOK.all());
        }

        @Override
        public String describe() {
            return "The look '" + span.look() + "' shows from frame " + (span.from() + 1) + " to " + span.to();
        }
    }

    record LiftLook(int from, String look) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            List<LookSpan> all = new ArrayList<>(shot.tracks().looks());
            if (!all.removeIf(l -> l.from() == from && l.look().equals(look))) {
                throw new Refusal(RefusalCode.GONE, "No such look begins at frame " + (from + 1) + " any more.");
            }
            return shot.withTracks(shot.tracks().withLooks(all));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.LOOK.all());
        }

        @Override
        public String describe() {
            return "Took the look '" + look + "' out at frame " + (from + 1);
        }
    }

    /**
     * Lets a kit be worn for a stretch, in place of the same kit that begins at another frame.
     *
     * @param was where it begins now; anything else adds it
     */
    record WearKit(int was, KitSpan span) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, span.from());
            List<KitSpan> all = new ArrayList<>(shot.tracks().kits());
            all.removeIf(k -> k.kit().equals(span.kit()) && (k.from() == was || k.from() == span.from()));
            all.add(span);
            return shot.withTracks(
                    Lane.joined(Track.of(Track.Sort.KITS), shot.tracks().withKits(all)));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.KITS.all());
        }

        @Override
        public String describe() {
            return "The kit '" + span.kit() + "' is worn from frame " + (span.from() + 1) + " to " + span.to();
        }
    }

    record LiftKit(int from, String kit) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            List<KitSpan> all = new ArrayList<>(shot.tracks().kits());
            if (!all.removeIf(k -> k.from() == from && k.kit().equals(kit))) {
                throw new Refusal(RefusalCode.GONE, "No such kit begins at frame " + (from + 1) + " any more.");
            }
            return shot.withTracks(shot.tracks().withKits(all));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.KITS.all());
        }

        @Override
        public String describe() {
            return "Took the kit '" + kit + "' out at frame " + (from + 1);
        }
    }

    /**
     * Sets how a cue plays: where, how strong, how long, how often, which way round.
     *
     * @param was where the same cue begins now; anything else adds it
     */
    record SetPlacement(int was, CuePlacement cue) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, cue.frame());
            List<CuePlacement> all = new ArrayList<>(shot.tracks().cues());
            all.removeIf(c -> c.cue().equals(cue.cue()) && (c.frame() == was || c.frame() == cue.frame()));
            all.add(cue);
            return shot.withTracks(shot.tracks().withCues(all));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(
                    Facet.CUE_PLACEMENT.of(String.valueOf(was)), Facet.CUE_PLACEMENT.of(String.valueOf(cue.frame())));
        }

        @Override
        public String describe() {
            return "Set the cue '" + cue.cue() + "' at frame " + (cue.frame() + 1);
        }
    }

    /**
     * Writes a note.
     *
     * @param was the first frame of the note it replaces; anything else adds it
     */
    record WriteNote(int was, ShotNote note) implements ActingEdit {
        @Override
        public Shot apply(Shot shot) {
            requireWithin(shot, note.from());
            List<ShotNote> all = new ArrayList<>(shot.tracks().notes());
            all.removeIf(n -> n.from() == was);
            all.add(note);
            return shot.withTracks(shot.tracks().withNotes(all));
        }

        @Override
        public Set<Touch> touches() {
            return Set.of(Facet.NOTES.all());
        }

        @Override
        public String describe() {
            return "Noted '" + (note.text().length() > 40 ? note.text().substring(0, 40) + "…" : note.text())
                    + "' at frame " + (note.from() + 1);
        }
    }

    /**
     * Puts proposed acting in, in place of what was proposed of the same kinds before. What a hand made stays, and wins where both would
     * be on one frame.
     *
     * @param kinds what is laid anew; what is laid of them and not in {@code laid} is taken back
     */
    record LayActing(List<Laid.Kind> kinds, Tracks laid) implements ActingEdit {
        public LayActing {
            kinds = List.copyOf(new TreeSet<>(kinds));
        }

        @Override
        public Shot apply(Shot shot) {
            if (kinds.isEmpty()) {
                throw new Refusal(RefusalCode.NO_CHANGE, "No kind of acting is chosen.");
            }
            Tracks tracks = shot.tracks();
            Tracks own = Laying.without(tracks, kinds);
            return shot.withTracks(Laying.with(own, laid));
        }

        @Override
        public Set<Touch> touches() {
            Set<Track> all = new LinkedHashSet<>();
            laid.dials().keySet().forEach(d -> all.add(Track.dial(d)));
            all.add(Track.of(Track.Sort.BLINKS));
            all.add(Track.of(Track.Sort.LOOKS));
            return touched(all);
        }

        @Override
        public String describe() {
            String which =
                    kinds.stream().map(k -> k.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
            boolean nothing = laid.dials().isEmpty()
                    && laid.blinks().isEmpty()
                    && laid.looks().isEmpty();
            return (nothing ? "Took back the first pass of " : "Laid a first pass of ") + which;
        }
    }

    private static void requireWithin(Shot shot, int frame) {
        if (frame < 0 || frame >= shot.frames()) {
            throw new Refusal(
                    RefusalCode.BEYOND_SHOT,
                    "Frame " + (frame + 1) + " does not lie within the shot, which has " + shot.frames() + " frames.");
        }
    }

    private static Set<Touch> touched(Collection<Track> tracks) {
        Set<Touch> all = new LinkedHashSet<>();
        for (Track t : tracks) {
            all.add(
                    switch (t.sort()) {
                        case DIAL -> Facet.KEYED.of(t.of());
                        case DRAWINGS -> Facet.SHOWN_ALONG.of(t.of());
                        case MOUTHS -> Facet.MOUTHS.all();
                        case BLINKS -> Facet.BLINKS.all();
                        case LOOKS -> Facet.LOOK.all();
                        case KITS -> Facet.KITS.all();
                        case CUES -> Facet.CUE_PLACEMENT.all();
                        case RUNS -> Facet.RUN.all();
                        case NOTES -> Facet.NOTES.all();
                        case MOODS -> Facet.MOOD.all();
                        case TIMINGS -> Facet.RULES.all();
                    });
        }
        return all;
    }

    private static String on(List<Track> tracks, int from, int to) {
        String which = tracks.size() == 1 ? name(tracks.get(0)) : tracks.size() + " tracks";
        return which
                + (tracks.size() == 1 ? " holds" : " hold")
                + (to == from + 1 ? " at frame " + to : " from frame " + (from + 1) + " to " + to);
    }

    private static String of(List<Track> tracks) {
        return tracks.size() == 1 ? " of " + name(tracks.get(0)) : " of " + tracks.size() + " tracks";
    }

    private static String name(Track t) {
        return t.of().isEmpty() ? t.sort().name().toLowerCase(Locale.ROOT) : t.of();
    }
}
