package app.leeward.core.edit;

import app.leeward.core.rig.Character;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.MirrorLink;
import app.leeward.core.rig.Part;
import java.util.Optional;

/** Keeps linked sides alike: what an edit did to one of two, is done to the other, reflected. */
final class Twins {
    private Twins() {}

    static Character follow(Character before, Character after) {
        Character c = after;
        for (MirrorLink link : after.rig().links()) {
            boolean left = changed(before, after, link.left());
            boolean right = changed(before, after, link.right());
            // when both changed the edit has seen to both
            if (left && !right) {
                c = Mirror.copyOver(c, link.left(), link.right());
            } else if (right && !left) {
                c = Mirror.copyOver(c, link.right(), link.left());
            }
        }
        return c;
    }

    private static boolean changed(Character before, Character after, String id) {
        Optional<Part> was = before.part(id);
        Optional<Part> is = after.part(id);
        return was.isPresent()
                && is.isPresent()
                && !(was.get().pivot().equals(is.get().pivot())
                        && was.get().rest().equals(is.get().rest())
                        && was.get().shown().equals(is.get().shown())
                        && was.get().wristBend().equals(is.get().wristBend())
                        && was.get().pastEdges().equals(is.get().pastEdges())
                        && was.get().drawings().equals(is.get().drawings()));
    }
}
