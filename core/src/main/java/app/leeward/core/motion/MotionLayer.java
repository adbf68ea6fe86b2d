package app.leeward.core.motion;

import app.leeward.core.art.Matrix;
import app.leeward.core.art.Path;
import app.leeward.core.rig.Frame;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One drawing of a part at one place of the stacking order, masked by the same parts throughout, and how it moves.
 *
 * @param states one for each exposure of the motion; null where it is not seen
 */
public record MotionLayer(
        String part,
        String drawing,
        List<String> windows,
        List<String> outside,
        List<String> behind,
        List<State> states) {
    public MotionLayer {
        states = Collections.unmodifiableList(Arrays.asList(states.toArray(State[]::new)));
    }

    /**
     * How it lies in one exposure.
     *
     * @param matrix from the drawing's coordinates to the canvas
     * @param opacity above 0, to 1
     * @param outlines of its shapes in their order where they are bent; empty when they are as they were drawn
     */
    public record State(Matrix matrix, double opacity, List<Path> outlines) {
        static State of(Frame.Placed p) {
            return new State(p.matrix(), p.opacity(), p.outlines());
        }
    }

    /** The state of an exposure, when it is seen there. */
    public Optional<State> at(int exposure) {
        return Optional.ofNullable(states.get(exposure));
    }

    /** Its states where it is seen, in the order of time. */
    public Stream<State> seen() {
        return states.stream().filter(Objects::nonNull);
    }

    /**
     * The outline of one of its shapes in each exposure where it is seen.
     *
     * @param drawn what it is where nothing bends it
     * @return as long as {@link #states}, null where it is not seen
     */
    public List<Path> outlines(int shape, Path drawn) {
        return states.stream()
                .map(s -> s == null
                        ? null
                        : s.outlines().isEmpty() ? drawn : s.outlines().get(shape))
                .toList();
    }
}
