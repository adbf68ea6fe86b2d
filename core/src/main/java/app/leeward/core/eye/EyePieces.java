package app.leeward.core.eye;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.List;
import java.util.Optional;

/** One eye and the pieces that follow it. */
record EyePieces(Part eye, List<Part> pieces) {
    static List<EyePieces> of(Character c) {
        return c.rig().parts().stream()
                .filter(p -> p.role() == PartRole.EYE)
                .map(eye -> new EyePieces(eye, c.rig().childrenOf(eye.id())))
                .toList();
    }

    /** What has to stay in sight: the pupil, or the iris of an eye that has no other. */
    Optional<Part> pupil() {
        return piece(PartRole.PUPIL).or(() -> piece(PartRole.IRIS)).filter(p -> !p.drawings()
                .isEmpty());
    }

    /** Whether the eye is its pupil alone, drawn straight on the face. */
    boolean dot() {
        return pupil().isPresent()
                && pieces.stream()
                        .filter(p -> p.role() == PartRole.WHITE || p.role() == PartRole.EYE_OUTLINE)
                        .allMatch(p -> p.drawings().isEmpty());
    }

    /** What says how large the eye is: its white, or the pupil of a dot. */
    Optional<Part> measure() {
        return piece(PartRole.WHITE).filter(p -> !p.drawings().isEmpty()).or(() -> dot() ? pupil() : Optional.empty());
    }

    /** Whether the eye shuts by a set of drawings, of its lid or of itself, which needs no lower lid. */
    boolean drawnLids() {
        return piece(PartRole.UPPER_LID).filter(p -> p.drawings().size() > 1).isPresent() || blink().isPresent();
    }

    /** The drawings of the eye as it shuts. */
    Optional<Part> blink() {
        return piece(PartRole.BLINK).filter(p -> !p.drawings().isEmpty());
    }

    Optional<Part> piece(PartRole role) {
        return pieces.stream().filter(p -> p.role() == role).findFirst();
    }
}
