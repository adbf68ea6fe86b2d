package app.leeward.core.eye;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;

/** One eye and the pieces that follow it. */
record EyePieces(Part eye, List<Part> pieces) {
    static List<EyePieces> of(Character c) {
        return c.parts().stream()
                .filter(p -> p.role() == PartRole.EYE)
                .map(eye -> new EyePieces(eye, c.childrenOf(eye.id())))
                .toList();
    }

    /** What has to stay in sight: the pupil, or the iris of an eye that has no other. */
    Optional<Part> pupil() {
        return piece(PartRole.PUPIL).or(() -> piece(PartRole.IRIS)).filter(p -> !p.drawings()
                .isEmpty());
    }

    /** Whether the eye shuts by a set of lid drawings, which needs no lower lid. */
    boolean drawnLids() {
        return piece(PartRole.UPPER_LID).filter(p -> p.drawings().size() > 1).isPresent();
    }

    Optional<Part> piece(PartRole role) {
        return pieces.stream().filter(p -> p.role() == role).findFirst();
    }
}
