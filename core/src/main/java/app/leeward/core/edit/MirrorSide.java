package app.leeward.core.edit;

import app.leeward.core.refusal.RefusalCode;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Mirror;
import app.leeward.core.rig.Part;
import app.leeward.core.rig.Side;
import java.util.Optional;
import java.util.Set;

/**
 * Makes the other side from one: the part and all that follows it, reflected exactly about the axis, names and sides
 * changed, pivots, windows and what dials do too. The two stay linked until the link is broken; making it again restores
 * it.
 */
public record MirrorSide(String part) implements PartEdit {
    @Override
    public Set<Touch> touches() {
        return Set.of(Touch.EVERYTHING);
    }

    @Override
    public String describe(Character before) {
        String name = Edits.nameOf(before, part);
        return "Made " + Mirror.otherSide(name) + " from " + name;
    }

    @Override
    public Outcome on(Character before) {
        Optional<Part> from = before.part(part);
        if (from.isEmpty()) {
            return Edits.noPart(part);
        }
        if (from.get().side() == Side.NONE) {
            return new Outcome.Refused(
                    RefusalCode.NO_SIDE,
                    from.get().name()
                            + " belongs to neither side, so it has no other one. Say which side it is on first.");
        }
        return new Outcome.Done(Mirror.makeOtherSide(before, part));
    }
}
