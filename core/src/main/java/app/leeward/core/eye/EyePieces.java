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

    Optional<Part> piece(PartRole role) {
        return pieces.stream().filter(p -> p.role() == role).findFirst();
    }
}
