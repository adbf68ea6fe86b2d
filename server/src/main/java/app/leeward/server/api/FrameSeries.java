package app.leeward.server.api;

import app.leeward.core.dial.Dial;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Several frames, most of which share most of their parts: the first whole, each with what differs from the first.
 *
 * @param at what each frame is a picture of: the value of a dial, or the frame number
 * @param edges values at which a drawing gives way to another; empty for what no hand drags
 * @param hysteresis how far beyond such an edge a hand must be for the other drawing to show
 */
public record FrameSeries(List<Double> at, Frame first, List<Change> changes, List<Double> edges, double hysteresis) {
    /**
     * @param placed parts that differ from the first frame, or are not in it
     * @param gone parts of the first frame that show nothing here
     * @param order every part shown, back to front, where that is not the character's own order; empty where it is
     */
    public record Change(List<Frame.Placed> placed, List<String> gone, List<String> order) {}

    static FrameSeries of(Character character, List<Double> at, List<Frame> frames) {
        Map<String, Integer> height = new HashMap<>();
        character.rig().order().forEach(id -> height.put(id, height.size()));
        Frame first = frames.get(0);
        Map<String, Frame.Placed> base = new HashMap<>();
        first.placed().forEach(p -> base.put(p.part(), p));
        List<Change> changes = new ArrayList<>();
        for (Frame frame : frames) {
            Set<String> gone = new HashSet<>(base.keySet());
            List<Frame.Placed> differs = new ArrayList<>();
            for (Frame.Placed p : frame.placed()) {
                gone.remove(p.part());
                if (!p.equals(base.get(p.part()))) {
                    differs.add(p);
                }
            }
            changes.add(new Change(differs, gone.stream().sorted().toList(), restacked(frame, height)));
        }
        return new FrameSeries(at, first, changes, List.of(), 0);
    }

    private static List<String> restacked(Frame frame, Map<String, Integer> height) {
        List<String> order = frame.placed().stream().map(Frame.Placed::part).toList();
        for (int i = 1; i < order.size(); i++) {
            if (height.get(order.get(i)) < height.get(order.get(i - 1))) {
                return order;
            }
        }
        return List.of();
    }

    /** The same, to be dragged along by a hand on this dial. */
    FrameSeries along(Character character, Dial dial) {
        return new FrameSeries(at, first, changes, character.controls().exchanges(dial), dial.hysteresis());
    }
}
