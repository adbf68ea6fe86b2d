package app.leeward.core.mouth;

import java.util.List;

/**
 * Which mouth each frame of a line shows.
 *
 * @param drawings a drawing id for every frame
 * @param classes the class most heard on every frame, lead included
 * @param cost the total that was minimised
 * @param broken sounds that could not be shown because their frames were too few or pinned
 */
public record MouthTrack(List<String> drawings, List<Viseme> classes, double cost, List<String> broken) {
    public MouthTrack {
        drawings = List.copyOf(drawings);
        classes = List.copyOf(classes);
        broken = List.copyOf(broken);
    }

    /** The mouth of a frame; before the first and behind the last frame the nearest one's. */
    public String at(int frame) {
        return drawings.get(Math.max(0, Math.min(drawings.size() - 1, frame)));
    }
}
