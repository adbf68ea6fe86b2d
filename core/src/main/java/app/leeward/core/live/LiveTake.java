package app.leeward.core.live;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What was done by hand while a shot ran.
 *
 * @param from the first frame that is written
 * @param to the first frame that is not any more
 * @param dials where the hand put each dial it moved, in rising order; between two samples it stood still or went evenly
 * @param drawings what the hand gave each part, in rising order, each until the next
 * @param looks how strong the hand made each look, in rising order, each until the next; 0 for gone
 * @param cues when the hand set each cue going, frames into the shot
 */
public record LiveTake(
        int from,
        int to,
        Map<String, List<LiveSample>> dials,
        Map<String, List<LivePick>> drawings,
        Map<String, List<LiveSample>> looks,
        Map<String, List<Double>> cues) {
    /** Most samples of one dial: 20 minutes at 60 a second. */
    public static final int MOST = 72_000;

    public LiveTake {
        if (from < 0 || to <= from) {
            throw new IllegalArgumentException(
                    "A take goes over a frame at least, from 0 on; not from " + from + " to " + to + ".");
        }
        dials = each(dials, Comparator.comparingDouble(LiveSample::frame));
        drawings = each(drawings, Comparator.comparingDouble(LivePick::frame));
        looks = each(looks, Comparator.comparingDouble(LiveSample::frame));
        cues = each(cues, Comparator.naturalOrder());
    }

    /** A take in which no cue was set going. */
    public LiveTake(
            int from,
            int to,
            Map<String, List<LiveSample>> dials,
            Map<String, List<LivePick>> drawings,
            Map<String, List<LiveSample>> looks) {
        this(from, to, dials, drawings, looks, Map.of());
    }

    private static <T> Map<String, List<T>> each(Map<String, List<T>> all, Comparator<T> order) {
        Map<String, List<T>> sorted = new TreeMap<>();
        if (all == null) {
            return sorted;
        }
        all.forEach((id, items) -> {
            if (items.size() > MOST) {
                throw new IllegalArgumentException("A take holds " + MOST + " samples of a dial at most.");
            }
            if (!items.isEmpty()) {
                sorted.put(id, items.stream().sorted(order).toList());
            }
        });
        return sorted;
    }
}
