package app.leeward.core.dial;

import app.leeward.core.art.Numbers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A value of a dial at which a pose was recorded.
 *
 * @param at in the dial's unit
 * @param offsets part id to what this stop does to it; parts left out take no part in this stop
 * @param ease how the dial comes here from the side of rest
 * @param reshapes part id to how the outlines of its drawings are reshaped here
 */
public record Stop(double at, Map<String, Offset> offsets, Ease ease, Map<String, List<PointDeltas>> reshapes) {
    public Stop {
        Numbers.finite("stop", at);
        // sorted, so that the same stop is always written the same way
        offsets = Collections.unmodifiableMap(new TreeMap<>(offsets));
        // stored before there were such things
        ease = ease == null ? Ease.LINEAR : ease;
        Map<String, List<PointDeltas>> kept = new TreeMap<>();
        (reshapes == null ? Map.<String, List<PointDeltas>>of() : reshapes)
                .forEach((part, all) -> kept.put(part, List.copyOf(all)));
        kept.values().removeIf(List::isEmpty);
        reshapes = Collections.unmodifiableMap(kept);
    }

    /** A stop that is come to evenly and reshapes nothing. */
    public Stop(double at, Map<String, Offset> offsets) {
        this(at, offsets, Ease.LINEAR, Map.of());
    }

    /** Whether it does nothing at all. */
    public boolean empty() {
        return offsets.isEmpty() && reshapes.isEmpty();
    }

    /** The same stop, saying nothing about one part. */
    public Stop without(String part) {
        if (!offsets.containsKey(part) && !reshapes.containsKey(part)) {
            return this;
        }
        Map<String, Offset> left = new TreeMap<>(offsets);
        left.remove(part);
        Map<String, List<PointDeltas>> shapes = new TreeMap<>(reshapes);
        shapes.remove(part);
        return new Stop(at, left, ease, shapes);
    }

    public Stop with(String part, Offset offset) {
        Map<String, Offset> more = new TreeMap<>(offsets);
        more.put(part, offset);
        return withOffsets(more);
    }

    public Stop withOffsets(Map<String, Offset> newOffsets) {
        return new Stop(at, newOffsets, ease, reshapes);
    }

    /** With another word about one outline; a reshape that moves nothing takes the old one away. */
    public Stop with(String part, PointDeltas reshape) {
        List<PointDeltas> of = new ArrayList<>(reshapes.getOrDefault(part, List.of()));
        of.removeIf(r -> r.drawing().equals(reshape.drawing()) && r.shape() == reshape.shape());
        if (!reshape.still()) {
            of.add(reshape);
        }
        Map<String, List<PointDeltas>> more = new TreeMap<>(reshapes);
        more.put(part, of);
        return withReshapes(more);
    }

    public Stop withReshapes(Map<String, List<PointDeltas>> newReshapes) {
        return new Stop(at, offsets, ease, newReshapes);
    }

    public Stop withEase(Ease newEase) {
        return new Stop(at, offsets, newEase, reshapes);
    }

    public Stop movedTo(double newAt) {
        return new Stop(newAt, offsets, ease, reshapes);
    }
}
