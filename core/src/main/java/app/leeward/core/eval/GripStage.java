package app.leeward.core.eval;

import app.leeward.core.art.Grip;
import app.leeward.core.art.Matrix;
import java.util.List;
import java.util.Optional;

/** Things that hang from the grip of the hand they follow: a hand that shows no grip holds nothing. */
final class GripStage {
    private final CompiledRig rig;
    /** Whether a part hangs from the grip of the hand it follows. */
    private final boolean[] held;

    private final boolean any;
    private final List<String>[] behind;

    @SuppressWarnings("unchecked") // an array of lists cannot be made otherwise
    GripStage(CompiledRig rig) {
        this.rig = rig;
        held = new boolean[rig.parts.length];
        behind = new List[rig.parts.length];
        boolean some = false;
        for (int i = 0; i < held.length; i++) {
            held[i] = rig.parentOf[i] >= 0 && rig.parts[i].inGrip();
            behind[i] = held[i] ? List.of(rig.parts[rig.parentOf[i]].id()) : List.of();
            some |= held[i];
        }
        any = some;
    }

    /**
     * Takes away what no grip holds.
     *
     * @param trace null when nobody asks why
     */
    void drop(String[] drawings, Trace trace) {
        for (int i = 0; any && i < held.length; i++) {
            if (held[i] && grip(i, drawings).isEmpty()) {
                drawings[i] = null;
                if (trace != null && trace.part == i) {
                    String shows = drawings[rig.parentOf[i]];
                    trace.drawings.add(
                            0,
                            new Trace.Choice(Contribution.Kind.HAND, rig.parts[rig.parentOf[i]].id(), 0, shows, true));
                }
            }
        }
    }

    private Optional<Grip> grip(int thing, String[] drawings) {
        int hand = rig.parentOf[thing];
        return drawings[hand] == null ? Optional.empty() : rig.character.grip(rig.parts[hand].id(), drawings[hand]);
    }

    /** The coordinates a part stands in: those of what it follows, or of the grip it is held by. */
    Matrix within(int i, Matrix[] matrices, String[] drawings) {
        if (rig.parentOf[i] < 0) {
            return Matrix.IDENTITY;
        }
        Matrix parent = matrices[rig.parentOf[i]];
        return !held[i]
                ? parent
                : grip(i, drawings)
                        .map(g -> parent.times(g.holding(rig.parts[i].pivot())))
                        .orElse(parent);
    }

    /** Ids of the hands before whose fingers a part does not show. */
    List<String> behind(int part) {
        return behind[part];
    }
}
