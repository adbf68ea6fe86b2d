package app.leeward.core.edit;

import app.leeward.core.dial.Offset;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Placement;
import java.util.Optional;

/** What an edit that poses a part at rest comes to when it is recorded somewhere else instead. */
final class Posing {
    private Posing() {}

    /** The part posed; empty for an edit that poses none. */
    static Optional<Part> part(Character c, Edit pose) {
        if (pose instanceof Nudge n) {
            return c.part(n.part());
        }
        if (pose instanceof Place p) {
            return c.part(p.part());
        }
        return pose instanceof Show s ? c.part(s.part()) : Optional.empty();
    }

    /** How a {@link Nudge} or {@link Place} changes where the part stands. */
    static Offset more(Part part, Edit pose) {
        if (pose instanceof Nudge n) {
            return Offset.shift(n.dx(), n.dy());
        }
        Placement was = part.rest();
        Placement is = ((Place) pose).rest();
        return Offset.placed(
                is.x() - was.x(),
                is.y() - was.y(),
                is.rotation() - was.rotation(),
                is.scaleX() / was.scaleX(),
                is.scaleY() / was.scaleY(),
                is.skewX() - was.skewX(),
                was.opacity() == 0 ? 1 : Math.min(1, is.opacity() / was.opacity()));
    }
}
