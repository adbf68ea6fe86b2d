package app.leeward.core.shot;

import app.leeward.core.mouth.MouthTrack;
import app.leeward.core.rig.Evaluator;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Pose;
import java.util.Optional;

/**
 * What a shot looks like at any frame: the one evaluation that the screen, the renderer and exports share. Immutable.
 */
public final class Playhead {
    private final Evaluator evaluator;
    private final Shot shot;
    private final Optional<MouthTrack> mouths;

    public Playhead(Evaluator evaluator, Shot shot) {
        this.evaluator = evaluator;
        this.shot = shot;
        boolean talks = evaluator.character().mouths().part().isPresent()
                && !evaluator.character().mouths().drawn().isEmpty();
        this.mouths = talks ? Optional.of(shot.mouths(evaluator.character().mouths())) : Optional.empty();
    }

    /** The mouth track; empty for a character without a mouth set. */
    public Optional<MouthTrack> mouths() {
        return mouths;
    }

    /** {@code frame} rounded down to the exposure it is photographed in, and held inside the shot. */
    public int exposed(int frame) {
        int held = Math.max(0, Math.min(shot.frames() - 1, frame));
        return held - held % shot.rules().exposure();
    }

    /** The pose at a frame: {@code live} (what the dials are held at by hand) with the line's mouth added. */
    public Pose poseAt(int frame, Pose live) {
        if (mouths.isEmpty()) {
            return live;
        }
        String part = evaluator.character().mouths().part().orElseThrow();
        int at = exposed(frame);
        Pose speaking = live.saying(part, mouths.get().at(at));
        String pin = shot.pins().get(at);
        return pin == null ? speaking : speaking.withPins(java.util.Map.of(part, pin));
    }

    public Frame frameAt(int frame, Pose live) {
        return evaluator.frame(poseAt(frame, live));
    }
}
