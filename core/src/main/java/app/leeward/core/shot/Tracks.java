package app.leeward.core.shot;

import app.leeward.core.cue.Blink;
import app.leeward.core.cue.CuePlacement;
import app.leeward.core.mouth.MoodSpan;
import app.leeward.core.mouth.TimingSpan;
import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToIntFunction;

/**
 * What is acted along a shot, or along a stretch that was taken out of one. What belongs to a dial, a drawing, a look or a cue that
 * is not there any more is kept and skipped.
 *
 * @param pins frame to the mouth drawing pinned there by hand
 * @param blinks in rising order, none overlapping
 * @param cues dropped in, in rising order
 * @param gestures runs of drawings that play, in rising order
 * @param dials dial id to its keys in rising order, no two on one frame
 * @param drawings part id to what it shows by turns, in rising order, none overlapping
 * @param looks that come and go, in rising order
 * @param notes in rising order
 * @param moods stretches that are said in another mood than the shot's, in rising order, none overlapping
 * @param timings stretches in which mouths lead and are held otherwise, in rising order, none overlapping
 * @param kits what is worn, in rising order
 * @param pinsOver for pinned mouths that come over from the mouth before, by the frame at which they begin, in how many frames
 */
@RecordBuilder
public record Tracks(
        Map<Integer, String> pins,
        List<Blink> blinks,
        List<CuePlacement> cues,
        List<Gesture> gestures,
        Map<String, List<DialKey>> dials,
        Map<String, List<HeldDrawing>> drawings,
        List<LookSpan> looks,
        List<ShotNote> notes,
        List<MoodSpan> moods,
        List<TimingSpan> timings,
        List<KitSpan> kits,
        Map<Integer, Integer> pinsOver)
        implements TracksBuilder.With {
    public static final Tracks EMPTY = new Tracks(
            Map.of(), List.of(), List.of(), List.of(), Map.of(), Map.of(), List.of(), List.of(), List.of(), List.of(),
            List.of(), Map.of());

    /** Most keys of one dial, and most of what one other track holds. */
    static final int MOST = 20_000;

    public Tracks {
        pins = pins == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(pins));
        pinsOver = comingOver(pinsOver, pins);
        blinks = rising(blinks, Comparator.comparingInt(Blink::frame));
        cues = rising(cues, Comparator.comparingInt(CuePlacement::frame).thenComparing(CuePlacement::cue));
        gestures = rising(gestures, Comparator.comparingInt(Gesture::from).thenComparing(Gesture::run));
        looks = rising(looks, Comparator.comparingInt(LookSpan::from).thenComparing(LookSpan::look));
        notes = rising(notes, Comparator.comparingInt(ShotNote::from).thenComparing(ShotNote::text));
        List<MoodSpan> givenMoods = moods;
        moods = rising(moods, Comparator.comparingInt(MoodSpan::from));
        if (moods != givenMoods) {
            requireApart("mood", moods, MoodSpan::from, MoodSpan::to);
        }
        List<TimingSpan> givenTimings = timings;
        timings = rising(timings, Comparator.comparingInt(TimingSpan::from));
        if (timings != givenTimings) {
            requireApart("timing of mouths", timings, TimingSpan::from, TimingSpan::to);
        }
        kits = rising(kits, Comparator.comparingInt(KitSpan::from).thenComparing(KitSpan::kit));
        Map<String, List<DialKey>> givenDials = dials == null ? Map.of() : dials;
        Map<String, List<HeldDrawing>> givenDrawings = drawings == null ? Map.of() : drawings;
        dials = each(givenDials, Comparator.comparingInt(DialKey::frame));
        drawings = each(givenDrawings, Comparator.comparingInt(HeldDrawing::from));
        for (int i = 1; i < blinks.size(); i++) {
            if (blinks.get(i).frame() < blinks.get(i - 1).end()) {
                throw new Refusal(
                        RefusalCode.BLINKS_OVERLAP,
                        "The blink from frame "
                                + blinks.get(i).frame() + " would begin before the one from frame "
                                + blinks.get(i - 1).frame() + " has ended.");
            }
        }
        dials.forEach((dial, keys) -> {
            // what was in order before has been looked at
            if (givenDials.get(dial) != keys) {
                requireApart("key of " + dial, keys, DialKey::frame, k -> k.frame() + 1);
            }
        });
        drawings.forEach((part, held) -> {
            if (givenDrawings.get(part) != held) {
                requireApart("drawing of " + part, held, HeldDrawing::from, HeldDrawing::to);
            }
        });
    }

    /** What is said of a mouth that is not pinned any more is forgotten; stored before mouths could come over. */
    private static Map<Integer, Integer> comingOver(Map<Integer, Integer> over, Map<Integer, String> pins) {
        if (over == null || over.isEmpty()) {
            return Map.of();
        }
        Map<Integer, Integer> kept = new TreeMap<>();
        over.forEach((frame, in) -> {
            if (in < 0) {
                throw new Refusal(
                        RefusalCode.PLAY_LENGTH, "A mouth comes over in 0 frames or more, not in " + in + ".");
            }
            if (in > 0 && pins.containsKey(frame)) {
                kept.put(frame, in);
            }
        });
        return kept.isEmpty() ? Map.of() : Collections.unmodifiableMap(kept);
    }

    private static <T> List<T> rising(List<T> all, Comparator<T> order) {
        if (all == null || all.isEmpty()) {
            return List.of();
        }
        if (all.size() > MOST) {
            throw new Refusal(
                    RefusalCode.TRACK_FULL, "A track holds " + MOST + " things at most, not " + all.size() + ".");
        }
        return InOrder.of(all, order);
    }

    /** Empty tracks are left out, so that the same acting is always written the same way. */
    private static <T> Map<String, List<T>> each(Map<String, List<T>> all, Comparator<T> order) {
        if (all == null || all.isEmpty()) {
            return Map.of();
        }
        Map<String, List<T>> sorted = new TreeMap<>();
        all.forEach((id, items) -> {
            if (items != null && !items.isEmpty()) {
                sorted.put(id, rising(items, order));
            }
        });
        return Collections.unmodifiableMap(sorted);
    }

    private static <T> void requireApart(String what, List<T> items, ToIntFunction<T> from, ToIntFunction<T> to) {
        for (int i = 1; i < items.size(); i++) {
            int begins = from.applyAsInt(items.get(i));
            if (begins < to.applyAsInt(items.get(i - 1))) {
                throw new Refusal(RefusalCode.FRAME_TAKEN, "Frame " + begins + " has a " + what + " already.");
            }
        }
    }

    /**
     * Keys of a dial as tracks hold them: tracks that are given them hold the very same list.
     *
     * @throws Refusal when there are too many, or two on one frame
     */
    public static List<DialKey> inOrder(List<DialKey> keys) {
        List<DialKey> sorted = rising(keys, Comparator.comparingInt(DialKey::frame));
        requireApart("key", sorted, DialKey::frame, k -> k.frame() + 1);
        return sorted;
    }

    /** With other keys of one dial. */
    public Tracks withKeys(String dial, List<DialKey> keys) {
        Map<String, List<DialKey>> all = new TreeMap<>(dials);
        all.put(dial, keys);
        return withDials(all);
    }

    /** With other drawings of one part. */
    public Tracks withDrawings(String part, List<HeldDrawing> held) {
        Map<String, List<HeldDrawing>> all = new TreeMap<>(drawings);
        all.put(part, held);
        return withDrawings(all);
    }
}
