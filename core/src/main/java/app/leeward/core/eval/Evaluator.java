package app.leeward.core.eval;

import app.leeward.core.art.Matrix;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Frame;
import app.leeward.core.rig.Joint;
import app.leeward.core.rig.Pose;
import java.util.List;
import java.util.Optional;

/**
 * Turns poses of one character into frames. Everything that does not depend on the pose is looked up once, here, because
 * a drag asks for hundreds of poses; the result is immutable and may be shared.
 *
 * <p>The value of a channel is rest ⊕ dials, combined as each {@link app.leeward.core.dial.Channel} says. Looks and cues speak
 * through dials: what they ask is added to where the dial stands, and the sum is held in its range, so that a blink over a
 * sleepy look shuts the eye and no more. What happens in which order is in {@link Evaluation}; each stage is a file of its own.
 */
public final class Evaluator {
    private final Stages stages;

    public Evaluator(Character character) {
        stages = Stages.of(character);
    }

    public Character character() {
        return stages.rig().character;
    }

    public Frame frame(Pose pose) {
        return new Evaluation(stages, pose, null).frame();
    }

    /** The joints of every part in a pose, in the order of the parts. */
    public List<Joint> joints(Pose pose) {
        return new Evaluation(stages, pose, null).joints();
    }

    /** Where a part stands at rest by its own and its parents' rest placements; identity for no part. */
    public Matrix atRest(Optional<String> part) {
        return stages.rig().atRest(part);
    }

    /** Where a dial stands in a pose with what looks, cues and leaders add; 0 for a dial that is not there. */
    public double setting(String dial, Pose pose) {
        int i = stages.dials().indexOf(dial);
        return i < 0 ? 0 : stages.dials().of(pose)[i];
    }

    /**
     * Why a part looks as it does in a pose: one reason a channel, every channel named. It is the evaluation itself, recorded.
     *
     * @throws IllegalArgumentException for a part that is not there
     */
    public List<Reason> why(String part, Pose pose) {
        int place = stages.rig().place(part);
        if (place < 0) {
            throw new IllegalArgumentException("there is no part '" + part + "'");
        }
        return new Explanation(stages, new Evaluation(stages, pose, new Trace(place)), pose).all();
    }
}
