package app.leeward.core.motion;

import app.leeward.core.art.Artwork;
import app.leeward.core.art.Drawing;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.Playhead;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A shot as layers that are moved, shown and hidden.
 *
 * @param frameRate frames a second
 * @param frames how many there are
 * @param starts the frame each exposure begins with, the first 0; exposures that look the same are one
 * @param layers back to front
 * @param maskers part id to its drawings, for every part that masks another or is taken out of one, at opacity 1
 */
public record Motion(
        int frameRate,
        int frames,
        List<Integer> starts,
        List<MotionLayer> layers,
        Map<String, List<MotionLayer>> maskers) {

    /** A drawing and what masks it: what a layer is known again by. */
    private record Cell(String part, String drawing, List<String> windows, List<String> outside, List<String> behind) {
        static Cell of(Frame.Placed p) {
            return new Cell(p.part(), p.drawing(), p.windows(), p.outside(), p.behind());
        }
    }

    public static Motion of(Playhead playhead) {
        List<Integer> starts = new ArrayList<>();
        List<Frame> pictures = new ArrayList<>();
        int frames = playhead.shot().frames();
        for (int f = 0; f < frames; f++) {
            if (playhead.exposed(f) != f) {
                continue;
            }
            Frame frame = playhead.frameAt(f, Pose.REST);
            if (pictures.isEmpty() || !pictures.get(pictures.size() - 1).equals(frame)) {
                starts.add(f);
                pictures.add(frame);
            }
        }
        return new Motion(playhead.shot().rules().frameRate(), frames, starts, layers(pictures), maskers(pictures));
    }

    /** The first frame after an exposure. */
    public int end(int exposure) {
        return exposure + 1 < starts.size() ? starts.get(exposure + 1) : frames;
    }

    private static List<MotionLayer> layers(List<Frame> pictures) {
        List<List<Frame.Placed>> seen = pictures.stream()
                .map(f -> f.placed().stream().filter(p -> p.opacity() > 0).toList())
                .toList();
        LayerOrder<Cell> order = new LayerOrder<>();
        seen.forEach(f -> order.add(f.stream().map(Cell::of).toList()));
        List<Cell> places = order.places();
        MotionLayer.State[][] states = new MotionLayer.State[places.size()][pictures.size()];
        for (int e = 0; e < pictures.size(); e++) {
            List<Frame.Placed> frame = seen.get(e);
            int[] at = order.of(frame.stream().map(Cell::of).toList());
            for (int i = 0; i < at.length; i++) {
                states[at[i]][e] = MotionLayer.State.of(frame.get(i));
            }
        }
        List<MotionLayer> layers = new ArrayList<>();
        for (int i = 0; i < states.length; i++) {
            // a place may be left over when a later merge gave its things another
            if (Arrays.stream(states[i]).anyMatch(s -> s != null)) {
                layers.add(layer(places.get(i), states[i]));
            }
        }
        return List.copyOf(layers);
    }

    private static Map<String, List<MotionLayer>> maskers(List<Frame> pictures) {
        Map<String, Map<String, MotionLayer.State[]>> all = new LinkedHashMap<>();
        for (int e = 0; e < pictures.size(); e++) {
            Map<String, Frame.Placed> placed = new HashMap<>();
            pictures.get(e).placed().forEach(p -> placed.put(p.part(), p));
            for (Frame.Placed p : pictures.get(e).placed()) {
                for (List<String> by : List.of(p.windows(), p.outside(), p.behind())) {
                    for (String part : by) {
                        Frame.Placed masker = placed.get(part);
                        if (masker != null) {
                            all.computeIfAbsent(part, k -> new LinkedHashMap<>())
                                            .computeIfAbsent(
                                                    masker.drawing(), k -> new MotionLayer.State[pictures.size()])[e] =
                                    MotionLayer.State.of(masker.withOpacity(1));
                        }
                    }
                }
            }
        }
        Map<String, List<MotionLayer>> maskers = new LinkedHashMap<>();
        all.forEach((part, drawings) -> maskers.put(
                part,
                drawings.entrySet().stream()
                        .map(d -> layer(new Cell(part, d.getKey(), List.of(), List.of(), List.of()), d.getValue()))
                        .toList()));
        return maskers;
    }

    private static MotionLayer layer(Cell cell, MotionLayer.State[] states) {
        return new MotionLayer(
                cell.part(), cell.drawing(), cell.windows(), cell.outside(), cell.behind(), Arrays.asList(states));
    }

    /** What a layer draws where nothing bends it. */
    public static Artwork art(Character character, MotionLayer layer) {
        return character
                .part(layer.part())
                .flatMap(p -> p.drawing(layer.drawing()))
                .map(Drawing::art)
                .orElseThrow();
    }
}
