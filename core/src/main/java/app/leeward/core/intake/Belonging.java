package app.leeward.core.intake;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.PartRole;
import java.util.Optional;

/** What a part can be by what it hangs on, which is where the file kept it. */
final class Belonging {
    private Belonging() {}

    /** What a file keeps in an eye is a piece of it, and what it keeps with the body, such as a shell, is none of the head. */
    static boolean allows(Character character, Part part, PartRole role) {
        Optional<PartRole> on = above(character, part).map(Part::role);
        if (on.filter(r -> r.belongsTo(PartRole.EYE)).isPresent()) {
            return role.belongsTo(PartRole.EYE);
        }
        return !role.belongsTo(PartRole.HEAD)
                || on.filter(r -> !r.belongsTo(PartRole.HEAD)).isEmpty();
    }

    /** The nearest part it hangs on whose role is known. */
    private static Optional<Part> above(Character character, Part part) {
        Optional<Part> at = part.parent().flatMap(character::part);
        while (at.isPresent() && at.get().role() == PartRole.OTHER) {
            at = at.get().parent().flatMap(character::part);
        }
        return at;
    }
}
